import type { Random } from '../random';
import { waterNumbers, type Range } from './numbers';

/** What eyes and ears make of what is there: with slips of their own. */
export interface Eyes {
  /** Says yes where it is so, as often as such a thing is seen. */
  either<T extends string>(isSo: boolean, yes: T, no: T, how?: Range): T;
  oneOf(...shares: readonly (readonly [string, number])[]): string;
}

export function eyesOf(random: Random): Eyes {
  return {
    either: (isSo, yes, no, [there, not] = waterNumbers.seen) =>
      random.chance(isSo ? there : not) ? yes : no,
    oneOf: (...shares) => random.pick(shares),
  };
}

/** An instrument's last digit and its error. */
export const shown = (value: number, error: number, digit: number, random: Random): number =>
  Math.round((value + error * random.normal()) / digit) * digit;
