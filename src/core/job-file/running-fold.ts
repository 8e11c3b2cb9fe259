import type { FamilyCatalogue } from './catalogue';
import { effectiveEntries } from './corrections';
import { inOrder } from './in-order';
import { isOhmsUnderPower, namesProblems, saysPower, underPowerProblem } from './entry-problems';
import { step, withIsolation } from './fold';
import type { Entry } from './generated/job-types';
import {
  foldIsolation,
  moreDangerous,
  notIsolated,
  stepIsolation,
  type Isolation,
} from './isolation';
import type { JobFileProblem } from './problem';
import { emptyState, type JobState } from './state';

/**
 * A logbook that is folded once and kept: one entry more costs one step, however long it is. Entries that change what came
 * before them, a correction or one with an earlier time, need the whole logbook again.
 */
export interface RunningFold {
  readonly count: number;
  /** After the last by the clock, in milliseconds. */
  readonly lastTime: number;
  /** Ids that corrections name: one of them that comes late is corrected already. */
  readonly corrected: ReadonlySet<string>;
  readonly isPowerStated: boolean;
  /** Without the power. */
  readonly state: JobState;
  /** Of the entries that count, as a check's state is read. */
  readonly isolation: Isolation;
  readonly byClock: Isolation;
  readonly byReceipt: Isolation;
}

/** Folds a whole logbook, whose entries stand in the order in which they were received. */
export function beginFold(entries: readonly Entry[], catalogue: FamilyCatalogue): RunningFold {
  const corrected = new Set(
    entries.flatMap((each) => (each.kind === 'correction' ? [each.replaces] : [])),
  );
  const ordered = inOrder(entries);
  const counting = effectiveEntries(entries);
  return {
    count: entries.length,
    lastTime: ordered.length === 0 ? -Infinity : Date.parse(ordered.at(-1)!.at),
    corrected,
    isPowerStated: counting.some(saysPower),
    ...foldCounting(counting, catalogue),
    byClock: foldIsolation(ordered, corrected, catalogue),
    byReceipt: foldIsolation(entries, corrected, catalogue),
  };
}

function foldCounting(
  counting: readonly Entry[],
  catalogue: FamilyCatalogue,
): Pick<RunningFold, 'state' | 'isolation'> {
  let [state, isolation] = [emptyState, notIsolated];
  for (const entry of counting) {
    isolation = stepIsolation(isolation, entry, catalogue);
    state = withIsolation(step(state, entry, catalogue), isolation);
  }
  return { state, isolation };
}

/** What the fresh entries come to: the fold with them, and what of them the family cannot hold, counted from the first. */
export interface ExtendedFold {
  readonly fold: RunningFold;
  readonly problems: readonly JobFileProblem[];
}

/** The fold with more entries; undefined where the whole logbook has to be folded again. */
export function extendFold(
  before: RunningFold,
  fresh: readonly Entry[],
  catalogue: FamilyCatalogue,
): ExtendedFold | undefined {
  let { lastTime, isPowerStated, state, isolation, byClock, byReceipt } = before;
  const problems: JobFileProblem[] = [];
  const maybeUnderPower: [number, Entry, JobState['power']][] = [];
  for (const [index, entry] of fresh.entries()) {
    const time = Date.parse(entry.at);
    const isNext = time > lastTime && entry.kind !== 'correction';
    if (!isNext || before.corrected.has(entry.id)) return undefined;
    problems.push(...namesProblems(entry, `/entries/${index}`, catalogue));
    maybeUnderPower.push([index, entry, state.power]);
    lastTime = time;
    isPowerStated ||= saysPower(entry);
    isolation = stepIsolation(isolation, entry, catalogue);
    state = withIsolation(step(state, entry, catalogue), isolation);
    byClock = stepIsolation(byClock, entry, catalogue);
    byReceipt = stepIsolation(byReceipt, entry, catalogue);
  }
  // Whoever says first that there is power makes earlier ohms doubtful too.
  if (isPowerStated && !before.isPowerStated) return undefined;
  for (const [index, entry, power] of maybeUnderPower) {
    if (isOhmsUnderPower(entry, power, isPowerStated, catalogue)) {
      problems.push(underPowerProblem(index));
    }
  }
  const fold = {
    ...before,
    count: before.count + fresh.length,
    ...{ lastTime, isPowerStated, state, isolation, byClock, byReceipt },
  };
  return { fold, problems };
}

/** The state of the unit after all entries of the fold. */
export const stateOfFold = ({ state, byClock, byReceipt }: RunningFold): JobState =>
  withIsolation(state, moreDangerous(byClock, byReceipt));
