import type {
  ApplianceFamily,
  CircuitObservable,
  ElectricalObservable,
  UnitHypothesis,
} from '../appliances';
import type { Belief } from '../diagnosis';
import type { Entry, WalkedEntry, JobFile } from '../job-file';
import { observableOfEntry } from './evidence';
import { goodReading, type GoodReading } from './expect';
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
  job: Pick<JobFile, 'instruments'>,
  { entry, before }: WalkedEntry,
): JudgedResult | undefined {
  const result = resultOf(job, entry, open.family.catalogue);
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

/** The same in every water that it may have had, the likeliest first; each is worked out when it is asked for. */
function goodsOf(
  open: OpenDiagnosis,
  entry: Entry,
  before: WalkedEntry['before'],
): readonly (() => GoodReading)[] {
  const { family, tables } = open;
  if (entry.kind !== 'reading' && entry.kind !== 'observation') return [];
  if (entry.check !== undefined && !family.isCheckId(entry.check)) return [];
  const observable = observableOfEntry(family, entry, before);
  if (!observable) return [];
  if (observable.kind !== 'probe' && observable.kind !== 'clamp')
    return [() => goodReading(tables, observable)];
  return watersOf(open, before).map(
    (water) => () => goodInWater(open, inWater(family, observable, water)),
  );
}

/** A logbook takes the same readings again and again: what a good one is, is worked out once for each look. */
function goodInWater({ tables }: OpenDiagnosis, observable: ElectricalObservable): GoodReading {
  const known = goodByLook.get(tables) ?? new Map<string, GoodReading>();
  goodByLook.set(tables, known);
  const state = 'state' in observable ? observable.state : {};
  const key = `${observable.key} ${JSON.stringify(state)}`;
  const found = known.get(key) ?? goodReading(tables, observable);
  if (known.size >= mostLooksKept) known.clear();
  known.set(key, found);
  return found;
}

const goodByLook = new WeakMap<OpenDiagnosis['tables'], Map<string, GoodReading>>();

/** Looks are few, but water and dials that were measured are numbers: a long logbook may have thousands. */
const mostLooksKept = 2000;

interface Water {
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  readonly share: number;
  /** True where a good unit may have it. */
  readonly isUsual: boolean;
}

/** Water that is less likely than this is not thought of. */
const leastWaterShare = 0.05;

/**
 * The waters that the unit may have stood in, the likeliest first. On a cold tank a good thermostat stays closed with its
 * dial down, and the lower circuit gets no power. After a repair the tank is filled and heats up: it may be any that a good
 * unit has.
 */
function watersOf(
  { tables, belief }: OpenDiagnosis,
  { repairsDone }: WalkedEntry['before'],
): readonly Water[] {
  const found = watersOfBelief.get(belief) ?? sharedWaters(tables.model, belief);
  watersOfBelief.set(belief, found);
  const isRepaired = repairsDone.length > 0;
  return found.filter(
    ({ share, isUsual }, k) => k === 0 || (isRepaired ? isUsual : share >= leastWaterShare),
  );
}

/** Worked out once for all entries of a logbook. */
const watersOfBelief = new WeakMap<Belief, readonly Water[]>();

function sharedWaters(
  { hypotheses }: OpenDiagnosis['tables']['model'],
  { byHypothesis }: Belief,
): readonly Water[] {
  const waters = new Map<number, Water & { share: number; isUsual: boolean }>();
  hypotheses.forEach((each, h) => {
    const { topCelsius, bottomCelsius } = (each as UnitHypothesis).situation;
    const key = topCelsius * 1000 + bottomCelsius;
    const water = waters.get(key) ?? { topCelsius, bottomCelsius, share: 0, isUsual: false };
    water.share += byHypothesis[h]!;
    if (each.faults.length === 0) water.isUsual = true;
    waters.set(key, water);
  });
  return [...waters.values()].sort((one, other) => other.share - one.share);
}

/** The same look with the water that the unit has. Water that was measured stays as it was measured. */
function inWater(
  family: ApplianceFamily,
  observable: CircuitObservable,
  { topCelsius, bottomCelsius }: Water,
): ElectricalObservable {
  const supposed = Object.fromEntries(
    family.thermostats.map(({ id, water }) => [id, water === 'top' ? topCelsius : bottomCelsius]),
  );
  const state = {
    ...observable.state,
    waterCelsius: { ...supposed, ...observable.state.waterCelsius },
  };
  return { ...observable, state, key: `${observable.key} in its water` };
}
