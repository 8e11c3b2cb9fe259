import type { CompiledFamily } from './compile';
import type { Course } from './courses';

/**
 * Weight of evidence of every contribution for each repair against all else, in decibans: 10·log10 of the ratio of its
 * likelihoods, given all the other entries. What was read before a repair speaks for what was wrong then, and so for what
 * stands only by what the repair left of it.
 * @param firstOfSet By set of repairs, the one that is done first.
 * @returns By contribution, then by repair.
 */
export function weightsOfEvidence(
  family: CompiledFamily<never>,
  courses: readonly Course[],
  firstOfSet: Uint8Array,
): Float64Array[] {
  const ways = courses.map((course) => ({
    ...course,
    repairOf: repairsThatStand(family, course.held, firstOfSet),
  }));
  return courses[0]!.belief.contributions.map((_, index) => weightsByRepair(family, ways, index));
}

interface Way extends Course {
  /** By hypothesis of the unit as it was met, the repair that what is left of it asks for first. */
  readonly repairOf: Uint8Array;
}

function repairsThatStand(
  { setOfHypothesis, hypothesisOfRow, rowStart, rowsAfter }: CompiledFamily<never>,
  held: readonly string[],
  firstOfSet: Uint8Array,
): Uint8Array {
  const rows = rowsAfter(held);
  return Uint8Array.from(setOfHypothesis, (set, h) => {
    const standing = rows ? setOfHypothesis[hypothesisOfRow[rows[rowStart[h]!]!]!]! : set;
    return firstOfSet[standing]!;
  });
}

function weightsByRepair(
  { repairs, rowStart }: CompiledFamily<never>,
  ways: readonly Way[],
  index: number,
): Float64Array {
  const withEntry = new Float64Array(repairs.length);
  const without = new Float64Array(repairs.length);
  for (const { share, belief, repairOf } of ways) {
    const { likelihoodOfClass, classOfRow, isFlat } = belief.contributions[index]!;
    for (let h = 0; h < repairOf.length; h++) {
      const repair = repairOf[h]!;
      const own = share * belief.byHypothesis[h]!;
      withEntry[repair]! += own;
      if (isFlat[h] === 1) {
        without[repair]! += own / likelihoodOfClass[classOfRow[rowStart[h]!]!]!;
        continue;
      }
      for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) {
        without[repair]! += (own * belief.shareOfRow[row]!) / likelihoodOfClass[classOfRow[row]!]!;
      }
    }
  }
  const allWith = sum(withEntry);
  const allWithout = sum(without);
  return withEntry.map((each, repair) => {
    const forSuspect = each / without[repair]!;
    const forRest = (allWith - each) / (allWithout - without[repair]!);
    const decibans = 10 * Math.log10(forSuspect / forRest);
    return Number.isFinite(decibans) ? decibans : 0;
  });
}

const sum = (values: Float64Array) => values.reduce((total, each) => total + each, 0);
