import { beliefAfterRepairs, mixed, updateBelief, type Belief } from './belief';
import { chanceOf } from './unlisted';
import type { CompiledFamily } from './compile';
import type { Evidence, Observable } from './model';

/**
 * One way in which the repairs may have gone: all of them held, or one did not, because the new part is bad too or was
 * fitted wrongly. Two that did not hold are not thought of.
 */
export interface Course {
  /** Chance that they went this way; all courses sum to 1. */
  readonly share: number;
  /** The unit as it was met, weighed by everything read since, if they went this way. */
  readonly belief: Belief;
  /** The repairs that held. */
  readonly held: readonly string[];
}

/**
 * Weighs all evidence under every course of the repairs.
 * @param done Repairs that were done, in their order.
 */
export function coursesOf<O extends Observable>(
  family: CompiledFamily<O>,
  evidence: readonly Evidence<O>[],
  done: readonly string[],
): readonly Course[] {
  const all = updateBelief(family, evidence);
  const { repairFails } = family.model;
  if (done.length === 0 || !repairFails) return [{ share: 1, belief: all, held: done }];
  const failed = done.map((_, index) => {
    const belief = updateBelief(family, evidence, index);
    const chance = repairFails * Math.exp(belief.listedLogLikelihood - all.listedLogLikelihood);
    return { chance, belief, held: done.filter((__, k) => k !== index) };
  });
  const allHeld = (1 - repairFails) ** done.length;
  const total = failed.reduce((sum, { chance }) => sum + chance, allHeld);
  return [
    { share: allHeld / total, belief: all, held: done },
    ...failed.map(({ chance, belief, held }) => ({ share: chance / total, belief, held })),
  ];
}

/** What still stands, whichever way the repairs went. */
export function standingAfter(family: CompiledFamily<never>, courses: readonly Course[]): Belief {
  const [first, ...others] = courses;
  const standing = beliefAfterRepairs(family, first!.belief, first!.held);
  if (others.length === 0) return standing;
  const parts = courses.map(({ share, belief, held }) => ({
    share,
    belief: beliefAfterRepairs(family, belief, held),
  }));
  // What is in no list had to explain the readings better than the best course did.
  const unlistedLogOdds = first!.belief.unlistedLogOdds + Math.log(first!.share);
  return {
    ...mixed(family, parts),
    unlistedLogOdds,
    unlisted: family.model.unlisted ? chanceOf(unlistedLogOdds) : 0,
  };
}
