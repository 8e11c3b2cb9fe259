import { describe, expect, it } from 'vitest';
import { countContradictions } from './contradictions';
import { at90, parts } from './parts';
import { bestPossible, plannersCost, reduce, type ReducedModel } from './reduced-model';

/** Two boxes with something in one of them: small enough to be worked out by hand. */
const boxes: ReducedModel = {
  faults: ['left', 'right'],
  weights: [0.7, 0.3],
  verdicts: ['left', 'right'],
  checks: [{ checkId: 'look', minutes: 2, sets: 1, clears: 0, outcomes: [0, 1] }],
  facts: [{ id: 'lid', setMinutes: 3, clearMinutes: 0 }],
  wrongVerdictMinutes: 60,
};

describe('exact dynamic programming', () => {
  it('looks where looking costs less than guessing, and guesses where it does not', () => {
    // By hand: guessing costs 0.3 × 60 = 18, lid and look cost 5.
    expect(bestPossible(boxes)).toBeCloseTo(5, 9);
    expect(bestPossible({ ...boxes, wrongVerdictMinutes: 10 })).toBeCloseTo(3, 9);
  });

  it('pays for access once: what is behind the same lid is cheap', () => {
    const three: ReducedModel = {
      ...boxes,
      faults: ['a', 'b', 'c'],
      verdicts: ['a', 'b', 'c'],
      weights: [0.5, 0.25, 0.25],
      checks: [
        { checkId: 'is-a', minutes: 1, sets: 1, clears: 0, outcomes: [0, 1, 1] },
        { checkId: 'is-b', minutes: 1, sets: 1, clears: 0, outcomes: [1, 0, 1] },
      ],
    };
    // By hand: lid 3 and is-a 1, then with a half is-b 1.
    expect(bestPossible(three)).toBeCloseTo(4.5, 9);
    expect(plannersCost(three)).toBeCloseTo(4.5, 9);
  });

  it('is what the planner comes within one percent of, on a path of the heater', () => {
    const model = reduce(
      at90,
      [
        'upper-element.open',
        'upper-thermostat.never-closes',
        'limit.pole-1-open',
        'supply.off',
        'no-fault',
      ],
      [
        'upper-path-ohms',
        'upper-element-ohms',
        'upper-contact-high-ohms',
        'limit-pole-1-ohms',
        'supply-volts',
      ],
    );
    const best = bestPossible(model);
    expect(plannersCost(model)).toBeGreaterThanOrEqual(best - 1e-9);
    expect(plannersCost(model) / best).toBeLessThan(1.01);
  });
});

describe('every part of the benchmark', () => {
  it.each(parts)('$name comes to a verdict, the same one again', ({ run }) => {
    const [one, again] = [0, 0].map((index) => run(33, index, () => 0));
    expect(one).toEqual(again);
    expect(one!.minutes).toBeGreaterThan(0);
    expect(one!.checks).toBeGreaterThan(0);
  });
});

describe('a clamp that contradicts ohms and volts', () => {
  it('is named on nearly every unit, and a clean set on none', () => {
    const triple = {
      ohms: 'upper-element-ohms',
      volts: 'upper-element-volts',
      amps: 'upper-element-amps',
    };
    const counts = countContradictions(at90, triple, 44, 100);
    expect(counts.named).toBeGreaterThanOrEqual(94);
    expect(counts.falseAlarms).toBe(0);
  });
});
