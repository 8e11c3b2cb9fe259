import { fuels, isPastStop, judgeAnalysis, type Analysis } from '../../combustion';
import type { JobFile } from '../../job-file/generated/job-types';

type SaidPlate = JobFile['unit']['plate'];

const burner = 'premix-condensing';

/** What an analysis is to the diagnosis; undefined where it lacks what it is judged by, or no flue gas has such figures. */
export const outcomeOfValues = (
  values: Readonly<Record<string, number>>,
  plate: SaidPlate,
): string | undefined => judgeAnalysis(burner, fuelOf(plate), readOf(values)).worked?.outcome;

/** Whether figures are past what nobody leaves burning. */
export const isStop = (values: Readonly<Record<string, number>>, plate: SaidPlate): boolean =>
  isPastStop(burner, fuelOf(plate), readOf(values));

export const fuelOf = ({ fuel }: SaidPlate) => fuels[fuel === 'lpg' ? 'lpg' : 'natural-gas'];

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
