import type { BranchChange } from '../../appliances/electrical/circuit-of';
import { simulationNumbers as numbers } from './numbers';
import type { Random } from '../random';

/** How elements and joints fail in simulated units, in continuous values. */

/** Moves the middle node of an element to `fraction` of the way from a to b and gives it a leak to the tank. */
const leakChanges = (
  part: string,
  fraction: number,
  ohm: number,
): Record<string, BranchChange> => ({
  [`${part}.a-half`]: { factor: 2 * fraction },
  [`${part}.b-half`]: { factor: 2 * (1 - fraction) },
  [`${part}.leak`]: { ohm },
});

/** How an element fails, in values of its own. An open element has, now and then, burst as well. */
export function elementChanges(
  part: string,
  mode: string,
  random: Random,
): Record<string, BranchChange> {
  const { earthedOhm, earthedAt, burstOhm, leakyOhm, highFactor, openIsBurst } = numbers;
  if (mode === 'high') {
    const factor = random.between(highFactor);
    return { [`${part}.a-half`]: { factor }, [`${part}.b-half`]: { factor } };
  }
  if (mode === 'leaky') return leakChanges(part, random.between(earthedAt), random.near(leakyOhm));
  if (mode === 'earthed') {
    const leak = random.pick(earthedOhm.map((each) => [each, each.share] as const));
    return leakChanges(part, random.between(earthedAt), random.near(leak));
  }
  const isBurst = mode === 'burst' || random.chance(openIsBurst);
  if (!isBurst) return { [`${part}.b-half`]: 'open' };
  const end = random.chance(0.5) ? 'a' : 'b';
  return {
    ...leakChanges(part, end === 'a' ? 0.1 : 0.9, random.near(burstOhm)),
    [`${part}.${end === 'a' ? 'b' : 'a'}-half`]: 'open',
  };
}

/** A joint that burns: evenly spread in its logarithm. */
export function burntJoint(branch: string, random: Random): Record<string, BranchChange> {
  const { least, most } = numbers.jointOhm;
  return {
    [branch]: {
      ohm: Math.exp(random.between({ least: Math.log(least), most: Math.log(most) })),
    },
  };
}
