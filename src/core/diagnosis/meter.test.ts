import { describe, expect, it } from 'vitest';
import {
  fromScale,
  normalBelow,
  quantityClass,
  rightDensity,
  spreadOnScale,
  toScale,
  wrongDensity,
} from './meter';
import type { EvidenceResult, MeterModel } from './model';

const ohms: MeterModel = {
  id: 'ohms',
  relativeError: 0.015,
  floor: 0.25,
  overRangeAbove: 20e6,
  ranges: [2e3, 2e4, 2e5, 2e6],
  wrong: { overRange: 0.3, nearZero: 0.25 },
  most: 20e6,
};
const volts: MeterModel = {
  id: 'volts',
  relativeError: 0.012,
  floor: 1.5,
  wrong: { overRange: 0, nearZero: 0.3 },
  most: 600,
};

/** Sum over the whole scale, in steps fine enough for six digits: the trapezoidal rule. */
function overScale(meter: MeterModel, density: (result: EvidenceResult) => number): number {
  const [from, to, count] = [-6, toScale(1e12, meter), 40_000];
  const step = (to - from) / count;
  let sum = 0;
  for (let k = 0; k <= count; k++) {
    const value = fromScale(from + k * step, meter);
    sum += density({ kind: 'number', value }) * (k === 0 || k === count ? 0.5 : 1);
  }
  return sum * step;
}

describe('the normal distribution function', () => {
  // Abramowitz and Stegun, table 26.1.
  it.each([
    [0, 0.5],
    [0.5, 0.6914624613],
    [1, 0.8413447461],
    [1.96, 0.9750021049],
    [-2.5, 0.0062096653],
    [3, 0.998650102],
  ])('is at %f what the handbook gives', (z, expected) => {
    expect(Math.abs(normalBelow(z) - expected)).toBeLessThan(1.5e-7);
  });
});

describe('the scale of readings', () => {
  it.each([0, 0.2, 12.8, 240, 3.5e3, 2e6])('gives %f back as it took it', (value) => {
    expect(fromScale(toScale(value, ohms), ohms)).toBeCloseTo(value, 6);
  });

  it('is linear near zero, and logarithmic far from it', () => {
    // By hand: asinh(x) = x for small x, and grows by ln 10 for every tenfold of a large one.
    expect(toScale(0.01, ohms)).toBeCloseTo(0.01 / 0.5, 5);
    expect(toScale(1e6, ohms) - toScale(1e5, ohms)).toBeCloseTo(Math.LN10, 9);
  });

  it('has the spread of the floor near zero, and the relative error far from it', () => {
    expect(spreadOnScale(0, 0, ohms)).toBeCloseTo(0.25 / 0.5, 12);
    expect(spreadOnScale(1e5, 0, ohms)).toBeCloseTo(0.015, 6);
    // 4 % of its own beside 1.5 % of the meter: the root of the sum of squares.
    expect(spreadOnScale(1e5, (0.04 * 1e5) ** 2, ohms)).toBeCloseTo(Math.hypot(0.015, 0.04), 6);
  });
});

describe('the likelihood of a reading', () => {
  it.each([
    ['a closed contact', 0.2],
    ['an element', 12.8],
    ['a leak', 3500],
    ['insulation near the end of the range', 15e6],
    ['an open circuit', 1e10],
  ])('of %s, with over range in it, sums to one', (_, value) => {
    const outcome = quantityClass(ohms, toScale(value, ohms), spreadOnScale(value, 0, ohms));
    const inRange = overScale(ohms, (result) => rightDensity(result, outcome));
    expect(inRange + outcome.overRange).toBeCloseTo(1, 4);
  });

  it('puts an open circuit over range, and an element never', () => {
    const at = (value: number) =>
      quantityClass(ohms, toScale(value, ohms), spreadOnScale(value, 0, ohms)).overRange;
    expect(at(1e10)).toBeGreaterThan(0.999);
    expect(at(12.8)).toBeLessThan(1e-6);
    expect(at(20e6)).toBeCloseTo(0.5, 2);
  });

  it('takes over range on a stated range as more than that range, and no more', () => {
    const leak = quantityClass(ohms, toScale(50e3, ohms), spreadOnScale(50e3, 0, ohms));
    const over = (above?: number) => rightDensity({ kind: 'over-range', above }, leak);
    expect(over(2e3)).toBeGreaterThan(0.99);
    expect(over(2e6)).toBeLessThan(0.01);
    // Nobody said the range: between the two.
    expect(over()).toBeGreaterThan(over(2e6));
    expect(over()).toBeLessThan(over(2e3));
  });

  it('of a slip says nothing of the unit, and sums to one as well', () => {
    const { overRange } = {
      overRange: wrongDensity({ kind: 'over-range' }, quantityClass(ohms, 1, 1)),
    };
    for (const [meter, over] of [
      [ohms, overRange],
      [volts, 0],
    ] as const) {
      const [one, other] = [quantityClass(meter, 1, 0.1), quantityClass(meter, 5, 0.4)];
      const slip = { kind: 'number', value: 7 } as const;
      expect(wrongDensity(slip, one)).toBe(wrongDensity(slip, other));
      // The broad part is spread over what the meter can show, and near zero there is a heap.
      const top = toScale(meter.most, meter);
      const sum = overScale(meter, (result) =>
        result.kind === 'number' &&
        toScale(result.value, meter) >= -6 &&
        toScale(result.value, meter) <= top
          ? wrongDensity(result, one)
          : 0,
      );
      const belowZero =
        (6 / top) * (wrongDensity({ kind: 'number', value: meter.most }, one) * top);
      expect(sum - belowZero + over).toBeCloseTo(1, 2);
    }
  });

  it('of a look is its table, and a wrong look may say anything', () => {
    const look = {
      kind: 'outcomes',
      probabilities: { sound: 0.8, loose: 0.15, scorched: 0.05 },
    } as const;
    expect(rightDensity({ kind: 'outcome', outcome: 'loose' }, look)).toBe(0.15);
    expect(rightDensity({ kind: 'outcome', outcome: 'wet' }, look)).toBe(0);
    expect(wrongDensity({ kind: 'outcome', outcome: 'loose' }, look)).toBeCloseTo(1 / 3, 12);
  });

  it('never takes a number for a look, or a look for a number', () => {
    const look = { kind: 'outcomes', probabilities: { lit: 1, dark: 0 } } as const;
    const element = quantityClass(ohms, toScale(12.8, ohms), 0.05);
    expect(rightDensity({ kind: 'number', value: 1 }, look)).toBe(0);
    expect(rightDensity({ kind: 'outcome', outcome: 'lit' }, element)).toBe(0);
    expect(rightDensity({ kind: 'over-range' }, quantityClass(volts, 3, 0.1))).toBe(0);
  });
});
