import type { Contribution } from './contribution';
import type { CompiledFamily } from './compile';

/**
 * The possibility that what is wrong is in no list. Nothing is known of such a fault, so it has no row of its own: of every
 * reading it is thought that most parts of the unit are good, that some read as parts of some faulty unit do, and that a few
 * read anything. A listed fault that explains the readings does so sharper and leaves it behind; where none does, it grows.
 */
const shares = { good: 0.5, asSomeFault: 0.35, anything: 0.15 };
/** A caller's answers say as much of it as of all that is listed together. */
const callShares = { good: 0, asSomeFault: 1, anything: 0 };

/** Likelihood of a contribution under an unlisted fault. */
export function unlistedLikelihood(
  family: CompiledFamily<never>,
  contribution: Contribution,
): number {
  const { model, prior } = family;
  const { good, asSomeFault, anything } = contribution.checkId.startsWith('call:')
    ? callShares
    : shares;
  let listed = 0;
  for (let h = 0; h < prior.length; h++)
    listed += prior[h]! * likelihoodIn(family, contribution, h);
  return (
    good * likelihoodIn(family, contribution, model.healthyIndex) +
    asSomeFault * listed +
    anything * contribution.wrongDensity
  );
}

function likelihoodIn(
  { rowStart, priorShare }: CompiledFamily<never>,
  { likelihoodOfClass, classOfRow, isFlat }: Contribution,
  h: number,
): number {
  const start = rowStart[h]!;
  if (isFlat[h] === 1) return likelihoodOfClass[classOfRow[start]!]!;
  let sum = 0;
  for (let row = start; row < rowStart[h + 1]!; row++) {
    sum += priorShare[row]! * likelihoodOfClass[classOfRow[row]!]!;
  }
  return sum;
}

/** Chance from the logarithm of the odds. */
export const chanceOf = (logOdds: number): number => 1 / (1 + Math.exp(-logOdds));
