import {
  fuels,
  isPastStop,
  outcomeOf,
  workOut,
  type Analysis,
  type AnalysisResult,
} from '../../combustion';
import type { JobFile } from '../../job-file/generated/job-types';

type SaidPlate = JobFile['unit']['plate'];

/** What an analysis is to the diagnosis; undefined where it lacks what it is judged by, or no flue gas has such figures. */
export function outcomeOfValues(
  values: Readonly<Record<string, number>>,
  plate: SaidPlate,
): string | undefined {
  const analysis = analysisOf(values);
  if (!analysis) return undefined;
  const result = workedOut(plate, analysis);
  return result && outcomeOf('premix-condensing', result, analysis);
}

/** What follows from an analysis of a boiler; undefined for figures that no flue gas has. */
function workedOut(plate: SaidPlate, analysis: Analysis): AnalysisResult | undefined {
  try {
    return workOut(fuelOf(plate), analysis);
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

/** Whether figures are past what nobody leaves burning. */
export const isStop = (values: Readonly<Record<string, number>>, plate: SaidPlate): boolean =>
  isPastStop('premix-condensing', fuelOf(plate), readOf(values));

export const fuelOf = ({ fuel }: SaidPlate) => fuels[fuel === 'lpg' ? 'lpg' : 'natural-gas'];

/** An analysis out of the values of an entry; undefined where it lacks what everything is worked out from. */
function analysisOf(values: Readonly<Record<string, number>>): Analysis | undefined {
  const { carbonMonoxidePpm, flueCelsius, airCelsius, ...rest } = readOf(values);
  if (rest.oxygenPercent === undefined && rest.carbonDioxidePercent === undefined) return undefined;
  if (carbonMonoxidePpm === undefined || flueCelsius === undefined || airCelsius === undefined) {
    return undefined;
  }
  return { ...rest, carbonMonoxidePpm, flueCelsius, airCelsius };
}

/** What was entered of an analysis, under the names of the computation. */
export function readOf(values: Readonly<Record<string, number>>): Partial<Analysis> {
  return Object.fromEntries(
    Object.entries(analysisKeys).flatMap(([key, name]) =>
      values[key] === undefined ? [] : [[name, values[key]]],
    ),
  );
}

const analysisKeys = {
  oxygen: 'oxygenPercent',
  carbonDioxide: 'carbonDioxidePercent',
  carbonMonoxide: 'carbonMonoxidePpm',
  flueTemperature: 'flueCelsius',
  airTemperature: 'airCelsius',
  returnTemperature: 'returnCelsius',
  ambientCarbonMonoxide: 'ambientCarbonMonoxidePpm',
} as const satisfies Record<string, keyof Analysis>;
