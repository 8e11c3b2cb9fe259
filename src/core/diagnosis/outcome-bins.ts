import { normalBelow, overRangeChance, type OutcomeClass } from './meter';

/** The outcomes of a check cut into a few bins, with the probability of each under each class, taken rightly. */
export interface OutcomeBins {
  readonly count: number;
  /** Class by class, bin by bin. */
  readonly shares: Float64Array;
}

/** Cuts at the gaps between what the classes that matter predict. */
export function binOutcomes(classes: readonly OutcomeClass[], masses: Float64Array): OutcomeBins {
  const first = classes[0]!;
  if (first.kind === 'outcomes') {
    const values = Object.keys(first.probabilities);
    const shares = new Float64Array(classes.length * values.length);
    classes.forEach((each, c) =>
      values.forEach((value, bin) => {
        if (each.kind !== 'outcomes') return;
        shares[c * values.length + bin] = each.probabilities[value] ?? 0;
      }),
    );
    return { count: values.length, shares };
  }
  const cuts = cutPoints(classes, masses);
  const count = cuts.length + 2;
  const shares = new Float64Array(classes.length * count);
  classes.forEach((each, c) => {
    if (each.kind !== 'quantity' || masses[c]! < leastMass) return;
    const over =
      each.meter.overRangeAbove === undefined
        ? 0
        : overRangeChance(each, each.meter.overRangeAbove);
    let below = 0;
    for (let bin = 0; bin < count - 1; bin++) {
      const upTo = bin < cuts.length ? normalBelow((cuts[bin]! - each.centre) / each.spread) : 1;
      shares[c * count + bin] = (1 - over) * (upTo - below);
      below = upTo;
    }
    shares[c * count + count - 1] = over;
  });
  return { count, shares };
}

const leastMass = 1e-7;
/** A check is cut into no more bins than this: finer ones cost time and change no plan. */
const mostCuts = 4;

/** Midway between neighbouring predictions that lie further apart than their spreads; the widest gaps first. */
function cutPoints(classes: readonly OutcomeClass[], masses: Float64Array): number[] {
  const present: Extract<OutcomeClass, { kind: 'quantity' }>[] = [];
  for (let c = 0; c < classes.length; c++) {
    const each = classes[c]!;
    if (masses[c]! > leastCutMass && each.kind === 'quantity') present.push(each);
  }
  present.sort((one, other) => one.centre - other.centre);
  const cuts: { at: number; gap: number }[] = [];
  for (let k = 1; k < present.length; k++) {
    const lower = present[k - 1]!;
    const upper = present[k]!;
    const gap = (upper.centre - lower.centre) / Math.min(lower.spread, upper.spread);
    if (gap > 1.5) {
      cuts.push({
        at:
          (lower.centre * upper.spread + upper.centre * lower.spread) /
          (lower.spread + upper.spread),
        gap,
      });
    }
  }
  if (cuts.length > mostCuts) cuts.sort((one, other) => other.gap - one.gap).length = mostCuts;
  return cuts.map((each) => each.at).sort((one, other) => one - other);
}

/** Classes lighter than this make no cut. */
const leastCutMass = 1e-4;
