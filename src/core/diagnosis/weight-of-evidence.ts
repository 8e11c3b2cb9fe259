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
  // In every state that it may stand in, it needs the same repairs.
  const { rows } = rowsAfter(held)[0]!;
  return Uint8Array.from(
    setOfHypothesis,
    (_, h) => firstOfSet[setOfHypothesis[hypothesisOfRow[rows[rowStart[h]!]!]!]!]!,
  );
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

/**
 * Weight of evidence of what was read after a repair, in decibans, for that it held against that it did not, given all other
 * entries. Only where the fault was there that it ends: where the part was good, nothing tells.
 * @param repair The repair, and its place in the order in which they were done.
 * @returns By contribution; undefined where no fault was likely that the repair ends, or where repairs are taken to hold.
 */
export function weightsForHeld(
  { model, rowStart }: CompiledFamily<never>,
  courses: readonly Course[],
  { id, place }: { readonly id: string; readonly place: number },
): Float64Array | undefined {
  const pairs = courses.flatMap((held) => {
    if (held.failed.includes(place)) return [];
    const key = [...held.failed, place].sort((one, other) => one - other).join(' ');
    const failed = courses.find((each) => each.failed.join(' ') === key);
    return failed ? [{ held, failed }] : [];
  });
  const ends = ({ faults, repairs }: (typeof model.hypotheses)[number]) =>
    faults.length > 0 && repairs.includes(id);
  const mended = model.hypotheses.flatMap((each, h) => (ends(each) ? [h] : []));
  if (pairs.length === 0 || mended.length === 0) return undefined;
  const { contributions } = courses[0]!.belief;
  const held = new Float64Array(contributions.length);
  const failed = new Float64Array(contributions.length);
  for (const pair of pairs) {
    const { byHypothesis, shareOfRow } = pair.held.belief;
    for (const h of mended) {
      if (byHypothesis[h]! < leastThought) continue;
      for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) {
        const own = pair.held.share * byHypothesis[h]! * shareOfRow[row]!;
        contributions.forEach((_, index) => {
          const ifHeld = pair.held.belief.contributions[index]!;
          const ifFailed = pair.failed.belief.contributions[index]!;
          held[index]! += own;
          failed[index]! +=
            (own * ifFailed.likelihoodOfClass[ifFailed.classOfRow[row]!]!) /
            ifHeld.likelihoodOfClass[ifHeld.classOfRow[row]!]!;
        });
      }
    }
  }
  if (held[0] === 0) return undefined;
  return held.map((each, index) => 10 * Math.log10(each / failed[index]!));
}

/** A hypothesis that is less likely than this tells nothing of a repair. */
const leastThought = 1e-6;

const sum = (values: Float64Array) => values.reduce((total, each) => total + each, 0);
