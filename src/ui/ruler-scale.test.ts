import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rulerScale } from './ruler-scale';

describe('the ruler', () => {
  it('of an element is linear to twice what it should read, then breaks', () => {
    const scale = rulerScale('resistance', 12.8, 'us');
    expect(scale.breakAt).toBeGreaterThan(scale.place(25.6));
    expect(scale.place(12.8) / scale.place(25.6)).toBeCloseTo(0.5, 2);
    expect(scale.place(1000)).toBeCloseTo(1, 6);
    expect(scale.hasOverRange).toBe(true);
  });

  it('of a contact tells 0.2 Ω from 1 Ω', () => {
    const scale = rulerScale('resistance', 0.03, 'us');
    expect(scale.place(1) - scale.place(0.2)).toBeGreaterThan(0.15);
  });

  it('to the tank runs by decades, since a good one reads over range', () => {
    const scale = rulerScale('resistance', undefined, 'us');
    expect(scale.place(1e3) - scale.place(1e2)).toBeCloseTo(scale.place(1e6) - scale.place(1e5), 6);
  });

  it.each([
    ['voltage-ac', 240],
    ['current-ac', 18.75],
    ['temperature', 50],
  ] as const)('of %s has no cell for over range', (quantity, expected) => {
    const scale = rulerScale(quantity, expected, 'us');
    expect(scale.hasOverRange).toBe(false);
    expect(scale.place(expected)).toBeGreaterThan(0.3);
    expect(scale.place(expected)).toBeLessThan(0.95);
  });

  it('of a temperature is numbered in the unit of its reader', () => {
    const us = rulerScale('temperature', 50, 'us');
    const metric = rulerScale('temperature', 50, 'metric');
    expect(us.ticks.find((each) => each.label === '120')!.at).toBeCloseTo(us.place(48.89), 3);
    expect(metric.ticks.find((each) => each.label === '50')!.at).toBeCloseTo(metric.place(50), 6);
  });

  it('never turns back and never leaves its line', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('resistance', 'voltage-ac', 'current-ac', 'temperature'),
        fc.option(fc.double({ min: 0.01, max: 400, noNaN: true }), { nil: undefined }),
        fc.double({ min: 0, max: 2e7, noNaN: true }),
        fc.double({ min: 0, max: 2e7, noNaN: true }),
        (quantity, expected, one, other) => {
          const scale = rulerScale(quantity, expected, 'us');
          const [low, high] = [Math.min(one, other), Math.max(one, other)];
          expect(scale.place(low)).toBeLessThanOrEqual(scale.place(high));
          expect(scale.place(high)).toBeLessThanOrEqual(1);
          expect(scale.place(low)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('has ticks where their numbers are', () => {
    for (const expected of [0.03, 12.8, 15.2]) {
      const scale = rulerScale('resistance', expected, 'us');
      for (const { at, label } of scale.ticks) {
        if (label !== undefined && !label.includes('k')) {
          expect(at).toBeCloseTo(scale.place(Number(label)), 6);
        }
      }
    }
  });
});
