import type { EvidenceResult, MeterModel } from './model';

/**
 * The reading model. Work is done in u = asinh(y / 2f), f the floor of the meter: linear near zero, logarithmic far
 * from it, so that one spread serves 0.2 Ω and 2 MΩ.
 */

export function toScale(value: number, meter: MeterModel): number {
  return Math.asinh(value / (2 * meter.floor));
}

export function fromScale(u: number, meter: MeterModel): number {
  return 2 * meter.floor * Math.sinh(u);
}

/** Standard deviation of u for a predicted value whose own variance (kept units squared) is given. */
export function spreadOnScale(value: number, variance: number, meter: MeterModel): number {
  const { relativeError, floor } = meter;
  return Math.sqrt(
    ((relativeError * value) ** 2 + floor ** 2 + variance) / (value ** 2 + 4 * floor ** 2),
  );
}

/** What a check shows under one group of hypotheses that predict the same. */
export type OutcomeClass = QuantityClass | OutcomesClass;

export interface QuantityClass {
  readonly kind: 'quantity';
  readonly meter: MeterModel;
  readonly centre: number;
  readonly spread: number;
  /** Chance that the meter shows over range on its widest range. */
  readonly overRange: number;
  /** What is read in so many of all readings instead. */
  readonly otherwise?: { readonly share: number; readonly as: QuantityClass };
}

export interface OutcomesClass {
  readonly kind: 'outcomes';
  readonly probabilities: Readonly<Record<string, number>>;
}

/** A class of several things that may be read, each on its own with its share; they sum to 1. */
export function partsOf({ otherwise, ...own }: QuantityClass): readonly QuantityPart[] {
  if (!otherwise) return [{ share: 1, of: own }];
  const { share, as } = otherwise;
  return [
    { share: 1 - share, of: own },
    ...partsOf(as).map((each) => ({ ...each, share: share * each.share })),
  ];
}

export interface QuantityPart {
  readonly share: number;
  readonly of: Omit<QuantityClass, 'otherwise'>;
}

export function quantityClass(meter: MeterModel, centre: number, spread: number): QuantityClass {
  const { overRangeAbove } = meter;
  const overRange =
    overRangeAbove === undefined ? 0 : overRangeChance({ meter, centre, spread }, overRangeAbove);
  return { kind: 'quantity', meter, centre, spread, overRange };
}

/** How sharply a meter goes over range, on the scale of u. */
const rangeEdge = 0.3;

/** Density (or probability) of a result that has nothing to do with the unit: a slip or a misreading. */
export function wrongDensity(result: EvidenceResult, outcome: OutcomeClass): number {
  if (outcome.kind === 'outcomes') return 1 / Object.keys(outcome.probabilities).length;
  const { meter } = outcome;
  const { overRange, nearZero } = meter.wrong;
  if (result.kind === 'over-range') return overRange;
  if (result.kind !== 'number') return 0;
  const u = toScale(result.value, meter);
  const broad =
    (1 - overRange - nearZero) / (toScale(meter.most, meter) - toScale(meter.least ?? 0, meter));
  return broad + nearZero * normalDensity(u, 0.2, 0.4);
}

/** Density (or probability) of a result that was taken rightly, under an outcome class. */
export function rightDensity(result: EvidenceResult, outcome: OutcomeClass): number {
  if (outcome.kind === 'outcomes') {
    return result.kind === 'outcome' ? (outcome.probabilities[result.outcome] ?? 0) : 0;
  }
  if (result.kind === 'outcome') return 0;
  return partsOf(outcome).reduce((sum, { share, of }) => sum + share * partDensity(result, of), 0);
}

function partDensity(
  result: Exclude<EvidenceResult, { kind: 'outcome' }>,
  outcome: QuantityPart['of'],
): number {
  const { meter, centre, spread } = outcome;
  if (result.kind === 'over-range') {
    if (meter.overRangeAbove === undefined) return 0;
    if (result.above !== undefined) return overRangeChance(outcome, result.above);
    const { ranges = [meter.overRangeAbove] } = meter;
    return (
      0.5 * outcome.overRange +
      ranges.reduce((sum, above) => sum + overRangeChance(outcome, above), 0) *
        (0.5 / ranges.length)
    );
  }
  return (1 - outcome.overRange) * normalDensity(toScale(result.value, meter), centre, spread);
}

/** Probability that the meter shows over range, if its range ends at `above`. */
export function overRangeChance(
  { meter, centre, spread }: Pick<QuantityClass, 'meter' | 'centre' | 'spread'>,
  above: number,
): number {
  return normalBelow((centre - toScale(above, meter)) / Math.hypot(spread, rangeEdge));
}

export function normalDensity(x: number, mean: number, spread: number): number {
  const z = (x - mean) / spread;
  return Math.exp(-0.5 * z * z) / (spread * 2.5066282746310002);
}

/** Standard normal distribution function; absolute error below 1.5e-7 (Abramowitz and Stegun 7.1.26). */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const series =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - series * Math.exp(-x * x);
  return z >= 0 ? 0.5 * (1 + erf) : 0.5 * (1 - erf);
}
