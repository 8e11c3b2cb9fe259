import { normalBelow, partsOf, type OutcomeClass, type QuantityPart } from './meter';

/** The outcomes of a check cut into a few bins, with the probability of each under each class, taken rightly. */
export interface OutcomeBins {
  readonly count: number;
  /** Class by class, bin by bin. */
  readonly shares: Float64Array;
}

/**
 * Cuts at the gaps between what the classes that matter predict. The shares of the others stay at nought: which others there
 * are, and which class came first, makes no difference.
 */
export function binOutcomes(classes: readonly OutcomeClass[], masses: Float64Array): OutcomeBins {
  return classes[0]!.kind === 'outcomes'
    ? binByAnswer(classes, masses, answersOf(classes, masses))
    : binByCuts(classes, masses, cutPoints(classes, masses));
}

/** Every answer that a class that matters gives a chance. */
const answersOf = (classes: readonly OutcomeClass[], masses: Float64Array): string[] =>
  [
    ...new Set(
      classes.flatMap((each, c) =>
        each.kind === 'outcomes' && masses[c]! >= leastMass ? Object.keys(each.probabilities) : [],
      ),
    ),
  ].sort();

function binByAnswer(
  classes: readonly OutcomeClass[],
  masses: Float64Array,
  values: readonly string[],
): OutcomeBins {
  const count = values.length;
  const shares = new Float64Array(classes.length * count);
  for (let c = 0; c < classes.length; c++) {
    const each = classes[c]!;
    if (each.kind !== 'outcomes' || masses[c]! < leastMass) continue;
    for (let bin = 0; bin < count; bin++) {
      shares[c * count + bin] = each.probabilities[values[bin]!] ?? 0;
    }
  }
  return { count, shares };
}

/** A bin between every two cuts, and one for over range at the end where the meter has one. */
function binByCuts(
  classes: readonly OutcomeClass[],
  masses: Float64Array,
  cuts: readonly number[],
): OutcomeBins {
  const inRange = cuts.length + 1;
  const goesOver = classes.some(
    (each, c) =>
      each.kind === 'quantity' &&
      masses[c]! >= leastMass &&
      partsOf(each).some(({ of }) => of.overRange > 0),
  );
  const count = goesOver ? inRange + 1 : inRange;
  const shares = new Float64Array(classes.length * count);
  for (let c = 0; c < classes.length; c++) {
    const each = classes[c]!;
    if (each.kind !== 'quantity' || masses[c]! < leastMass) continue;
    for (const { share, of } of partsOf(each)) {
      const { centre, spread, overRange } = of;
      let below = 0;
      for (let bin = 0; bin < inRange; bin++) {
        const upTo = bin < cuts.length ? normalBelow((cuts[bin]! - centre) / spread) : 1;
        shares[c * count + bin]! += share * (1 - overRange) * (upTo - below);
        below = upTo;
      }
      if (goesOver) shares[c * count + inRange]! += share * overRange;
    }
  }
  return { count, shares };
}

const leastMass = 1e-7;
/** A check is cut into no more bins than this: finer ones cost time and change no plan. */
const mostCuts = 4;

/** Midway between neighbouring predictions that lie further apart than their spreads; the widest gaps first. */
function cutPoints(classes: readonly OutcomeClass[], masses: Float64Array): number[] {
  const present: QuantityPart['of'][] = [];
  for (let c = 0; c < classes.length; c++) {
    const each = classes[c]!;
    if (masses[c]! <= leastCutMass || each.kind !== 'quantity') continue;
    for (const { share, of } of partsOf(each)) {
      if (masses[c]! * share > leastCutMass) present.push(of);
    }
  }
  present.sort((one, other) => one.centre - other.centre || one.spread - other.spread);
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
