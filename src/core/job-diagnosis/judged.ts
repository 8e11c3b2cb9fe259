import type { Belief, GoodReading, Observable } from '../diagnosis';
import type { Entry, WalkedEntry, JobFile } from '../job-file';
import { goodReading } from './expect';
import { isGoodResult } from './judge';
import type { OpenDiagnosis } from './open-diagnosis';
import { resultOf } from './result';

/** What a good unit would have shown where and when an entry was taken, and whether it did. */
export interface JudgedResult {
  readonly good: GoodReading;
  readonly isGood: boolean;
  /** Where it stands on its ruler: a number with usual leads, or over range; absent for what is looked at. */
  readonly needle?: number | 'over-range';
}

export type JudgedLogbook = Readonly<Record<string, JudgedResult>>;

/** Every result of a job, or the last so many, beside what a good unit shows, by entry. */
export function judgeLogbook(open: OpenDiagnosis, job: JobFile, most = Infinity): JudgedLogbook {
  return Object.fromEntries(
    open.walked.slice(-most).flatMap((each) => {
      const judged = judgeEntry(open, job, each);
      return judged ? [[each.entry.id, judged]] : [];
    }),
  );
}

/** One result; undefined for an entry that is none. */
export function judgeEntry(
  open: OpenDiagnosis,
  job: Pick<JobFile, 'instruments' | 'unit'>,
  { entry, before }: WalkedEntry,
): JudgedResult | undefined {
  const result = resultOf(job, entry, open.family);
  const goods = goodsOf(open, entry, before);
  const [likeliest] = goods;
  if (!likeliest || !result) return undefined;
  const fitting = goods.find((good) => isGoodResult(good(), result));
  return {
    good: (fitting ?? likeliest)(),
    isGood: fitting !== undefined,
    ...(result.kind === 'number'
      ? { needle: result.value }
      : result.kind === 'over-range'
        ? { needle: 'over-range' as const }
        : {}),
  };
}

/** What a good unit most likely shows for the entry, in the state that it was really in; undefined for what is no result. */
export function goodOf(
  open: OpenDiagnosis,
  entry: Entry,
  before: WalkedEntry['before'],
): GoodReading | undefined {
  return goodsOf(open, entry, before)[0]?.();
}

/** The same in every way that it may have stood, the likeliest first; each is worked out when it is asked for. */
function goodsOf(
  open: OpenDiagnosis,
  entry: Entry,
  before: WalkedEntry['before'],
): readonly (() => GoodReading)[] {
  const { family, tables } = open;
  if (entry.kind !== 'reading' && entry.kind !== 'observation') return [];
  if (entry.check !== undefined && !family.isCheckId(entry.check)) return [];
  const observable = family.observableOf(entry, before);
  if (!observable) return [];
  const { hypotheses } = tables.model;
  if (!family.lookAtStanding(observable, hypotheses[tables.model.healthyIndex]!)) {
    return [() => goodReading(tables, observable)];
  }
  return standingsOf(open, before).map(
    ({ hypothesis }) =>
      () =>
        goodAt(open, family.lookAtStanding(observable, hypotheses[hypothesis]!)!),
  );
}

/** A logbook takes the same readings again and again: what a good one is, is worked out once for each look. */
function goodAt({ tables }: OpenDiagnosis, observable: Observable): GoodReading {
  const known = goodByLook.get(tables) ?? new Map<string, GoodReading>();
  goodByLook.set(tables, known);
  const found = known.get(observable.key) ?? goodReading(tables, observable);
  if (known.size >= mostLooksKept) known.clear();
  known.set(observable.key, found);
  return found;
}

const goodByLook = new WeakMap<OpenDiagnosis['tables'], Map<string, GoodReading>>();

/** Looks are few, but water and dials that were measured are numbers: a long logbook may have thousands. */
const mostLooksKept = 2000;

interface StandingShare {
  /** One that stands so. */
  readonly hypothesis: number;
  readonly share: number;
  /** True where a good unit may stand so. */
  readonly isUsual: boolean;
}

/** A standing that is less likely than this is not thought of. */
const leastStandingShare = 0.05;

/**
 * The ways that the unit may have stood, the likeliest first. On a cold tank a good thermostat stays closed with its
 * dial down, and the lower circuit gets no power. After a repair the tank is filled and heats up: it may stand in any way
 * that a good unit does.
 */
function standingsOf(
  open: OpenDiagnosis,
  { repairsDone }: WalkedEntry['before'],
): readonly StandingShare[] {
  const found = standingsOfBelief.get(open.belief) ?? sharedStandings(open);
  standingsOfBelief.set(open.belief, found);
  const isRepaired = repairsDone.length > 0;
  return found.filter(
    ({ share, isUsual }, k) => k === 0 || (isRepaired ? isUsual : share >= leastStandingShare),
  );
}

/** Worked out once for all entries of a logbook. */
const standingsOfBelief = new WeakMap<Belief, readonly StandingShare[]>();

function sharedStandings({ family, tables, belief }: OpenDiagnosis): readonly StandingShare[] {
  const found = new Map<string | number, StandingShare & { share: number; isUsual: boolean }>();
  tables.model.hypotheses.forEach((each, h) => {
    const key = family.standingKey(each);
    const known = found.get(key) ?? { hypothesis: h, share: 0, isUsual: false };
    known.share += belief.byHypothesis[h]!;
    if (each.faults.length === 0) known.isUsual = true;
    found.set(key, known);
  });
  return [...found.values()].sort((one, other) => other.share - one.share);
}
