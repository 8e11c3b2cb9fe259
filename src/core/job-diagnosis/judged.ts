import type { ApplianceFamily, ElectricalObservable, UnitHypothesis } from '../appliances';
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

/** Every result of a job beside what a good unit shows, by entry. */
export function judgeLogbook(open: OpenDiagnosis, job: JobFile): JudgedLogbook {
  return Object.fromEntries(
    open.walked.flatMap((each) => {
      const judged = judgeEntry(open, job, each);
      return judged ? [[each.entry.id, judged]] : [];
    }),
  );
}

/** One result; undefined for an entry that is none. */
export function judgeEntry(
  open: Pick<OpenDiagnosis, 'family' | 'tables' | 'belief'>,
  job: Pick<JobFile, 'instruments'>,
  { entry, before }: WalkedEntry,
): JudgedResult | undefined {
  const good = goodOf(open, entry, before);
  const result = resultOf(job, entry, open.family.catalogue);
  if (!good || !result) return undefined;
  return {
    good,
    isGood: isGoodResult(good, result),
    ...(result.kind === 'number'
      ? { needle: result.value }
      : result.kind === 'over-range'
        ? { needle: 'over-range' as const }
        : {}),
  };
}

/** What a good unit shows for the entry, in the state that it was really in; undefined for entries that are no results. */
export function goodOf(
  { family, tables, belief }: Pick<OpenDiagnosis, 'family' | 'tables' | 'belief'>,
  entry: Entry,
  before: WalkedEntry['before'],
): GoodReading | undefined {
  if (entry.kind !== 'reading' && entry.kind !== 'observation') return undefined;
  if (entry.check !== undefined && !family.isCheckId(entry.check)) return undefined;
  const observable = observableOfEntry(family, entry, before);
  return observable && goodReading(tables, inItsWater(family, tables, belief, observable));
}

/**
 * The same look at a good unit with the water that this one has: on a cold tank a good thermostat stays closed with its
 * dial down, and the lower circuit gets no power. Water that was measured stays as it was measured.
 */
export function inItsWater(
  family: ApplianceFamily,
  { model }: Pick<OpenDiagnosis['tables'], 'model'>,
  { byHypothesis }: Pick<OpenDiagnosis['belief'], 'byHypothesis'>,
  observable: ElectricalObservable,
): ElectricalObservable {
  if (observable.kind !== 'probe' && observable.kind !== 'clamp') return observable;
  const likeliest = byHypothesis.indexOf(Math.max(...byHypothesis));
  const { situation } = model.hypotheses[likeliest] as UnitHypothesis;
  const supposed = Object.fromEntries(
    family.thermostats.map(({ id, water }) => [
      id,
      water === 'top' ? situation.topCelsius : situation.bottomCelsius,
    ]),
  );
  const state = {
    ...observable.state,
    waterCelsius: { ...supposed, ...observable.state.waterCelsius },
  };
  return { ...observable, state, key: `${observable.key} in its water` };
}
