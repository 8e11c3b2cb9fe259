import { beliefAfterRepairs, heldRepairs, mixed, updateBelief, type Belief } from './belief';
import type { CompiledFamily } from './compile';
import type { Evidence, Observable } from './model';
import { chanceOf } from './unlisted';

/**
 * One way in which the repairs may have gone: all of them held, or one or two did not, because the new part is bad too or was
 * fitted wrongly. Three that did not hold are not thought of.
 */
export interface Course {
  /** Chance that they went this way; all courses sum to 1. */
  readonly share: number;
  /** The unit as it was met, weighed by everything read since, if they went this way. */
  readonly belief: Belief;
  /** Places of the repairs that did not hold, in the order in which they were done. */
  readonly failed: readonly number[];
  /** The repairs that hold now. */
  readonly held: readonly string[];
}

/**
 * Weighs all evidence under every course of the repairs, that all held in front.
 * @param done Repairs that were done, in their order.
 */
export function coursesOf<O extends Observable>(
  family: CompiledFamily<O>,
  evidence: readonly Evidence<O>[],
  done: readonly string[],
): readonly Course[] {
  const { repairFails = 0 } = family.model;
  const ways = repairFails > 0 ? waysToFail(done.length) : [[]];
  const weighed = ways.map((failed) => {
    const chance =
      repairFails ** failed.length * (1 - repairFails) ** (done.length - failed.length);
    const belief = updateBelief(family, evidence, failed);
    return {
      failed,
      held: heldRepairs(done, failed),
      belief,
      logWeight: Math.log(chance) + belief.listedLogLikelihood,
    };
  });
  const most = Math.max(...weighed.map((each) => each.logWeight));
  const weights = weighed.map((each) => Math.exp(each.logWeight - most));
  const total = weights.reduce((sum, each) => sum + each, 0);
  return weighed.map(({ failed, held, belief }, k) => ({
    share: weights[k]! / total,
    belief,
    failed,
    held,
  }));
}

/** None, each, and each two of so many repairs; with very many, two of the last ones. */
function waysToFail(count: number): readonly (readonly number[])[] {
  const places = Array.from({ length: count }, (_, k) => k);
  const late = places.slice(-mostInPairs);
  return [
    [],
    ...places.map((each) => [each]),
    ...late.flatMap((one, k) => late.slice(k + 1).map((other) => [one, other])),
  ];
}

const mostInPairs = 4;

/** What still stands, whichever way the repairs went. */
export function standingAfter(family: CompiledFamily<never>, courses: readonly Course[]): Belief {
  const [first, ...others] = courses;
  const standing = beliefAfterRepairs(family, first!.belief, first!.held);
  if (others.length === 0) return standing;
  const parts = courses
    .filter(({ share }) => share > leastShare)
    .map(({ share, belief, held }) => ({
      share,
      belief: beliefAfterRepairs(family, belief, held),
    }));
  // What is in no list has to explain the readings better than all courses together do.
  const unlistedLogOdds = first!.belief.unlistedLogOdds + Math.log(first!.share);
  return {
    ...mixed(family, parts),
    unlistedLogOdds,
    unlisted: family.model.unlisted ? chanceOf(unlistedLogOdds) : 0,
  };
}

/** A course that is less likely than this is not looked at any more. */
const leastShare = 1e-6;
