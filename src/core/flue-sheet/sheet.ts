import type { ApplianceFamily, FlueAnalysis } from '../appliances';
import {
  gradeAnalysis,
  isPastStop,
  outcomeOf,
  patternOf,
  workOut,
  type Analysis,
  type AnalysisOutcome,
  type AnalysisResult,
  type Fuel,
  type GradedFigure,
  type Pattern,
} from '../combustion';
import type { JobFile, ReadingEntry, WalkedEntry } from '../job-file';

/** An analysis with all that follows from it. */
export interface WorkedAnalysis {
  readonly analysis: Analysis;
  readonly result: AnalysisResult;
  readonly figures: readonly GradedFigure[];
  readonly outcome: AnalysisOutcome;
}

/** What was entered, and what follows; where nothing does, why. */
export interface JudgedAnalysis {
  readonly read: Partial<Analysis>;
  /** Past what nobody leaves burning: said even of figures from which nothing else follows. */
  readonly isStop: boolean;
  readonly worked?: WorkedAnalysis;
  readonly problem?: string;
}

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

/** Judges figures as they were entered, however few. */
export function judgeAnalysis(
  { burner }: Pick<FlueAnalysis, 'burner'>,
  fuel: Fuel,
  read: Partial<Analysis>,
): JudgedAnalysis {
  const judged = { read, isStop: isPastStop(burner, fuel, read) };
  const { carbonMonoxidePpm, flueCelsius, airCelsius, ...rest } = read;
  if (rest.oxygenPercent === undefined && rest.carbonDioxidePercent === undefined) {
    return { ...judged, problem: 'Oxygen or carbon dioxide is missing.' };
  }
  if (carbonMonoxidePpm === undefined || flueCelsius === undefined || airCelsius === undefined) {
    return { ...judged, problem: 'Carbon monoxide and both temperatures are needed.' };
  }
  const analysis: Analysis = { ...rest, carbonMonoxidePpm, flueCelsius, airCelsius };
  try {
    const result = workOut(fuel, analysis);
    return {
      ...judged,
      worked: {
        analysis,
        result,
        figures: gradeAnalysis(burner, result, analysis),
        outcome: outcomeOf(burner, result, analysis),
      },
    };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ...judged, problem: `No flue gas of ${fuel.words} has such figures.` };
  }
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
  return judgeAnalysis(flue, flue.fuelOf(plate), flue.read(entry));
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
