import type { ApplianceFamily, FlueAnalysis } from '../appliances';
import { judgeAnalysis, patternOf, type JudgedAnalysis, type Pattern } from '../combustion';
import type { JobFile, ReadingEntry, WalkedEntry } from '../job-file';

export interface FlueReading extends JudgedAnalysis {
  readonly entryId: string;
  readonly at: string;
  readonly fire: 'high' | 'low';
  /** Something had been repaired before it was taken. */
  readonly isAfterRepair: boolean;
}

export interface FlueSheet {
  /** In the order in which they were taken. */
  readonly readings: readonly FlueReading[];
  /** What the last one at high fire, with the last at low fire beside it, points to. */
  readonly pattern?: Pattern;
}

/** Analyses of a check that reads flue gas; undefined for any other check. */
export function judgedAsAnalysis(
  { flue }: Pick<ApplianceFamily, 'flue'>,
  plate: JobFile['unit']['plate'],
  entry: Pick<ReadingEntry, 'check' | 'values'>,
): JudgedAnalysis | undefined {
  if (!flue || (entry.check !== flue.checks.high && entry.check !== flue.checks.low)) {
    return undefined;
  }
  return judgeAnalysis(flue.burner, flue.fuelOf(plate), flue.read(entry));
}

/**
 * Why an analysis may not be entered as it stands, in words; undefined where it may, and for any other check. Half an analysis
 * says nothing, but what is past its limit is taken as it is.
 */
export function problemOfAnalysis(
  ...read: Parameters<typeof judgedAsAnalysis>
): string | undefined {
  const judged = judgedAsAnalysis(...read);
  return judged && !judged.worked && !judged.isStop ? judged.problem : undefined;
}

/** Every analysis of a job, and what the last one points to; undefined for a family whose flue gas is not analysed. */
export function flueSheet(
  { flue }: Pick<ApplianceFamily, 'flue'>,
  { unit: { plate } }: Pick<JobFile, 'unit'>,
  walked: readonly WalkedEntry[],
): FlueSheet | undefined {
  if (!flue) return undefined;
  const { checks } = flue;
  const readings = walked.flatMap(({ entry, before }): FlueReading[] => {
    if (entry.kind !== 'reading' || entry.values === undefined) return [];
    const judged = judgedAsAnalysis({ flue }, plate, entry);
    if (!judged) return [];
    return [
      {
        entryId: entry.id,
        at: entry.at,
        fire: entry.check === checks.high ? 'high' : 'low',
        isAfterRepair: before.repairsDone.length > 0,
        ...judged,
      },
    ];
  });
  const pattern = patternIn(flue, readings);
  return { readings, ...(pattern ? { pattern } : {}) };
}

function patternIn(
  { burner }: FlueAnalysis,
  readings: readonly FlueReading[],
): Pattern | undefined {
  const high = readings.findLast(({ fire, worked }) => fire === 'high' && worked);
  if (!high?.worked) return undefined;
  const { result, outcome, analysis } = high.worked;
  // Nothing burned: the figures are those of air.
  if (outcome === 'no-flame') return undefined;
  const low = readings.findLast(
    ({ fire, worked, isAfterRepair }) =>
      fire === 'low' &&
      worked &&
      worked.outcome !== 'no-flame' &&
      isAfterRepair === high.isAfterRepair,
  );
  return patternOf(burner, result, {
    isFlueHot: outcome === 'flue-hot',
    ...(low?.worked ? { low: low.worked.result } : {}),
    ...(analysis.ambientCarbonMonoxidePpm === undefined
      ? {}
      : { ambientPpm: analysis.ambientCarbonMonoxidePpm }),
  });
}
