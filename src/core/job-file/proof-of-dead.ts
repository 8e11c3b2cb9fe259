import type { FamilyCatalogue } from './catalogue';
import type { ActionEntry, ProbedDead } from './generated/job-types';
import { deadBelowVolt } from './power-shown';

/** What trying to prove a unit dead came to. */
export type DeadProof =
  | { readonly kind: 'proved' }
  /** Volts where there should be none: the most important reading of the day. */
  | { readonly kind: 'live'; readonly between: readonly string[]; readonly volt: number }
  /** It proves nothing: a point was left out, or in another unit, or the prover was not tried before and after. */
  | { readonly kind: 'incomplete'; readonly missing: 'points' | 'prover' };

/**
 * Proved dead is only what was measured: every leg and point that the family names, in volts, all of them harmless, with a
 * prover that was tried on a live point before and after. Common practice; EN 50110-1 asks for the same, from memory.
 */
export function judgeDeadProof(
  { points = [], proverTried }: Pick<ActionEntry, 'points' | 'proverTried'>,
  { deadPoints }: Pick<FamilyCatalogue, 'deadPoints'>,
): DeadProof {
  const live = points.find((each) => Math.abs(each.value.volt ?? 0) >= deadBelowVolt);
  if (live) return { kind: 'live', between: live.between, volt: live.value.volt! };
  const isComplete =
    deadPoints.length > 0 &&
    points.every(isMeasured) &&
    deadPoints.every((named) => points.some((each) => isAt(each, named)));
  if (!isComplete) return { kind: 'incomplete', missing: 'points' };
  return proverTried === 'before-and-after'
    ? { kind: 'proved' }
    : { kind: 'incomplete', missing: 'prover' };
}

/** Volts and nothing else: over range, or ohms beside it, is no proof. */
const isMeasured = ({ value }: ProbedDead): boolean =>
  Object.keys(value).length === 1 && Number.isFinite(value.volt);

const isAt = ({ between }: ProbedDead, [one, other]: readonly [string, string]): boolean =>
  between.length === 2 && between.includes(one) && between.includes(other) && one !== other;
