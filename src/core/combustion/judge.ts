import { workOut, type Analysis, type AnalysisResult } from './analysis';
import type { Fuel } from './fuel';
import {
  gradeAnalysis,
  isPastStop,
  outcomeOf,
  type AnalysisOutcome,
  type BurnerKind,
  type GradedFigure,
} from './limits';

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

/** Judges figures as they were entered, however few: without all that is needed nothing but a stop follows from them. */
export function judgeAnalysis(
  burner: BurnerKind,
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
