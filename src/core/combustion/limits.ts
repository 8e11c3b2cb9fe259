import { airFree, carbonMonoxideRatio, type Analysis, type AnalysisResult } from './analysis';
import { carbonDioxideOf, instrumentOxygen, oxygenOf } from './excess-air';
import type { Fuel } from './fuel';

/** How a burner is built: what is right differs. */
export type BurnerKind = 'premix-condensing' | 'atmospheric' | 'oil';

/** Bounds of one figure: right inside, to be looked at outside, and off at once past the stop. */
export interface Bounds {
  readonly right: readonly [least: number, most: number];
  readonly look: readonly [least: number, most: number];
  readonly stopBelow?: number;
  readonly stopAbove?: number;
  readonly source: string;
}

export type Figure = 'oxygen' | 'air-free' | 'ratio' | 'flue-over-return' | 'ambient';

const infinite = Infinity;

const oxygen: Readonly<Record<BurnerKind, Bounds>> = {
  'premix-condensing': {
    right: [4, 5.5],
    look: [3, 7],
    stopBelow: 2.5,
    source: 'common practice; plate or manual first',
  },
  atmospheric: { right: [6, 11], look: [4, 14], stopBelow: 4, source: 'common practice' },
  oil: { right: [3, 6], look: [2, 9], source: 'common practice; smoke number 0 to 1 beside it' },
};

/** Limits of one kind of burner. A firm's or a country's own come before them. */
export const limitsOf = (kind: BurnerKind): Readonly<Record<Figure, Bounds>> => ({
  oxygen: oxygen[kind],
  'air-free': {
    right: [0, 100],
    look: [0, 400],
    stopAbove: 400,
    source: 'common practice; 400 ppm ANSI Z21, from memory',
  },
  ratio: {
    right: [0, 0.004],
    look: [0, 0.008],
    stopAbove: 0.008,
    source: 'BS 7967, from memory; stop by common practice',
  },
  'flue-over-return': {
    right: [-infinite, 25],
    look: [-infinite, 40],
    source: 'common practice, condensing',
  },
  ambient: {
    right: [0, 0],
    look: [0, 9],
    stopAbove: 9,
    source: 'common practice',
  },
});

export type Grade = 'right' | 'look' | 'outside' | 'stop';

/** How a figure stands to its bounds. @throws RangeError for a figure that is no number. */
export function gradeOf({ right, look, stopBelow, stopAbove }: Bounds, value: number): Grade {
  if (Number.isNaN(value)) throw new RangeError('a figure is a number');
  if (stopBelow !== undefined && value < stopBelow) return 'stop';
  if (stopAbove !== undefined && value > stopAbove) return 'stop';
  if (value >= right[0] && value <= right[1]) return 'right';
  return value >= look[0] && value <= look[1] ? 'look' : 'outside';
}

export interface GradedFigure {
  readonly figure: Figure;
  readonly value: number;
  readonly bounds: Bounds;
  readonly grade: Grade;
}

/** Every figure of an analysis beside its limits. */
export function gradeAnalysis(
  kind: BurnerKind,
  result: AnalysisResult,
  beside: {
    readonly flueCelsius: number;
    readonly returnCelsius?: number;
    readonly ambientCarbonMonoxidePpm?: number;
  },
): GradedFigure[] {
  const limits = limitsOf(kind);
  const graded = (figure: Figure, value: number | undefined): GradedFigure[] =>
    value === undefined
      ? []
      : [{ figure, value, bounds: limits[figure], grade: gradeOf(limits[figure], value) }];
  return [
    ...graded('oxygen', result.oxygenPercent),
    ...graded('air-free', result.carbonMonoxideAirFreePpm),
    ...graded('ratio', result.ratio),
    ...graded(
      'flue-over-return',
      kind === 'premix-condensing' && beside.returnCelsius !== undefined
        ? beside.flueCelsius - beside.returnCelsius
        : undefined,
    ),
    ...graded('ambient', beside.ambientCarbonMonoxidePpm),
  ];
}

/**
 * Whether anything of an analysis, however little of it was entered, is past what nobody leaves burning. Carbon monoxide as
 * read is never more than free of air, so it counts by itself where no oxygen can be told.
 */
export function isPastStop(kind: BurnerKind, fuel: Fuel, read: Partial<Analysis>): boolean {
  const limits = limitsOf(kind);
  const stops = (figure: Figure, value: number | undefined) =>
    value !== undefined && gradeOf(limits[figure], value) === 'stop';
  const { carbonMonoxidePpm: ppm, ambientCarbonMonoxidePpm } = read;
  const oxygen = oxygenReadOrTold(fuel, read);
  if (stops('ambient', ambientCarbonMonoxidePpm) || stops('oxygen', oxygen)) return true;
  if (ppm === undefined) return false;
  if (stops('air-free', ppm)) return true;
  const dioxide = dioxideReadOrTold(fuel, read, oxygen);
  return (
    (oxygen !== undefined && stops('air-free', airFree(ppm, oxygen))) ||
    (dioxide !== undefined && stops('ratio', carbonMonoxideRatio(ppm, dioxide)))
  );
}

/** Undefined where neither figure is one that this fuel can give. */
function oxygenReadOrTold(fuel: Fuel, read: Partial<Analysis>): number | undefined {
  const { oxygenPercent: oxygen, carbonDioxidePercent: dioxide } = read;
  if (oxygen !== undefined) return oxygen >= 0 && oxygen < instrumentOxygen ? oxygen : undefined;
  if (dioxide === undefined || !(dioxide > 0 && dioxide <= fuel.carbonDioxideMost))
    return undefined;
  return oxygenOf(fuel, dioxide);
}

function dioxideReadOrTold(
  fuel: Fuel,
  { carbonDioxidePercent: dioxide }: Partial<Analysis>,
  oxygen: number | undefined,
): number | undefined {
  if (dioxide !== undefined) return dioxide > 0 ? dioxide : undefined;
  return oxygen === undefined ? undefined : carbonDioxideOf(fuel, oxygen);
}

/** What an analysis is to a diagnosis, the first that holds. */
export type AnalysisOutcome = 'right' | 'lean' | 'rich' | 'co-high' | 'flue-hot' | 'no-flame';

/** Oxygen above which nothing burned: the probe breathed air. */
const noFlameOxygen = 19.5;
/** A condensing burner whose flue is hotter than its return by more, and one whose return nobody read. Common practice. */
const flueHot = { overReturnKelvin: 40, celsius: 90 } as const;

export function outcomeOf(
  kind: BurnerKind,
  result: AnalysisResult,
  beside: { readonly flueCelsius: number; readonly returnCelsius?: number },
): AnalysisOutcome {
  if (result.oxygenPercent >= noFlameOxygen) return 'no-flame';
  const limits = limitsOf(kind);
  const isHigh = (figure: Figure, value: number) => value > limits[figure].right[1];
  if (isHigh('air-free', result.carbonMonoxideAirFreePpm) || isHigh('ratio', result.ratio)) {
    return 'co-high';
  }
  const [least, most] = limits.oxygen.right;
  if (result.oxygenPercent < least) return 'rich';
  if (result.oxygenPercent > most) return 'lean';
  if (kind !== 'premix-condensing') return 'right';
  const isHot =
    beside.returnCelsius === undefined
      ? beside.flueCelsius > flueHot.celsius
      : beside.flueCelsius - beside.returnCelsius > flueHot.overReturnKelvin;
  return isHot ? 'flue-hot' : 'right';
}
