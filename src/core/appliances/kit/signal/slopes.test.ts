import { describe, expect, it, vi } from 'vitest';
import { differenceOf, KnownSlopes } from './slopes';

// d(a·e^(n·x))/dx = n·a·e^(n·x): what a signal that follows a power of an element must come to.
const powers = { heat: 1, flow: 0.5, loss: 2, still: 0 };
const run = (log: number) =>
  Object.fromEntries(Object.entries(powers).map(([id, power]) => [id, 40 * Math.exp(power * log)]));

describe('slopes of signals', () => {
  it('are those of the powers that the signals follow, within a moved share', () => {
    const known = new KnownSlopes();
    for (const [id, power] of Object.entries(powers)) {
      const slope = known.slope(7, 'element', id, run(0), run);
      // The second derivative over half the move.
      expect(Math.abs(slope - 40 * power)).toBeLessThanOrEqual(40 * 0.02 * power ** 2);
      expect(differenceOf(40, (log) => run(log)[id]!)).toBe(slope);
    }
  });

  it('are worked out once for all signals of a unit and an element', () => {
    const known = new KnownSlopes();
    const counted = vi.fn(run);
    for (const id of Object.keys(powers)) {
      for (const element of ['one', 'other']) {
        for (const index of [0, 3]) known.slope(index, element, id, run(0), counted);
      }
    }
    expect(counted).toHaveBeenCalledTimes(4);
  });
});
