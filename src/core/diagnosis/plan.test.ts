import { describe, expect, it } from 'vitest';
import { lamp, look, ohms } from '../../../tests/lamp';
import { compileFamily, planNext, updateBelief } from '.';

const family = compileFamily(lamp);

describe('the next check', () => {
  const candidate = (checkId: string, minutes: number) => ({
    checkId,
    minutes,
    accessMinutes: 0,
    hazardMinutes: 0,
    errorRate: 0.03,
    need: { sets: 0, clears: 0 },
    changes: 0,
    observableIn: () => ({ key: checkId === 'look' ? 'look' : 'ohms' }),
  });
  const start = (...candidates: ReturnType<typeof candidate>[]) => ({
    candidates,
    facts: [],
    access: 0,
  });
  const prices = { wrongVerdictMinutes: () => 90, depth: 'rollout' } as const;

  it('is the one that tells most a minute', () => {
    const belief = updateBelief(family, []);
    const cheapOhms = planNext(
      family,
      belief,
      start(candidate('ohms', 1), candidate('look', 1)),
      prices,
    );
    expect(cheapOhms.appraisals[0]!.candidate.checkId).toBe('ohms');
    const dearOhms = planNext(
      family,
      belief,
      start(candidate('ohms', 30), candidate('look', 1)),
      prices,
    );
    expect(dearOhms.appraisals[0]!.candidate.checkId).toBe('look');
  });

  it('is not asked for once another costs more than it saves', () => {
    const sure = updateBelief(family, [ohms('1', 'over-range'), look('2', 'dark')]);
    expect(planNext(family, sure, start(candidate('ohms', 5)), prices).enough).toBe(true);
    expect(
      planNext(family, updateBelief(family, []), start(candidate('ohms', 5)), prices).enough,
    ).toBe(false);
  });

  it('expects of information what averaging over every outcome gives', () => {
    // By hand: the entropy of the repair before, less what is left after lit and after dark.
    const h = (...ps: number[]) => -ps.reduce((sum, p) => sum + (p > 0 ? p * Math.log(p) : 0), 0);
    const dark = [0.05, 0.9, 0.9].map((p) => 0.97 * p + 0.03 * 0.5);
    const prior = [0.6, 0.3, 0.1];
    const after = (likelihood: readonly number[]) => {
      const joint = prior.map((p, k) => p * likelihood[k]!);
      const total = joint.reduce((sum, each) => sum + each, 0);
      return total * h(...joint.map((each) => each / total));
    };
    const expected = h(...prior) - after(dark) - after(dark.map((p) => 1 - p));
    const [look1] = planNext(
      family,
      updateBelief(family, []),
      start(candidate('look', 1)),
      prices,
    ).appraisals;
    expect(look1!.information).toBeCloseTo(expected, 6);
  });

  it('of two that are worth the same is the first by name, whoever is asked first', () => {
    const belief = updateBelief(family, []);
    const twins = [candidate('b-ohms', 1), candidate('a-ohms', 1)];
    for (const list of [twins, [...twins].reverse()]) {
      const { appraisals } = planNext(family, belief, start(...list), prices);
      expect(appraisals.map((each) => each.candidate.checkId)).toEqual(['a-ohms', 'b-ohms']);
    }
  });

  it('is dearer by the way to it and by its danger', () => {
    const belief = updateBelief(family, []);
    const far = { ...candidate('far-ohms', 1), accessMinutes: 6 };
    const live = { ...candidate('live-ohms', 1), hazardMinutes: 1.5 };
    const { appraisals } = planNext(family, belief, start(far, live, candidate('ohms', 1)), prices);
    expect(appraisals.map((each) => each.candidate.checkId)).toEqual([
      'ohms',
      'live-ohms',
      'far-ohms',
    ]);
    expect(appraisals.map((each) => each.costMinutes)).toEqual([1, 2.5, 7]);
  });

  it('costs, if all is decided by it, its minutes and what it leaves in doubt', () => {
    // By hand: after a look, the best verdict is wrong with what the other two weigh then.
    const dark = [0.05, 0.9, 0.9].map((p) => 0.97 * p + 0.03 * 0.5);
    const prior = [0.6, 0.3, 0.1];
    const lossAfter = (likelihood: readonly number[]) => {
      const joint = prior.map((p, k) => p * likelihood[k]!);
      return 90 * (joint.reduce((sum, each) => sum + each, 0) - Math.max(...joint));
    };
    const expected = 2 + lossAfter(dark) + lossAfter(dark.map((p) => 1 - p));
    const { appraisals, stopLossMinutes } = planNext(
      family,
      updateBelief(family, []),
      start(candidate('look', 2)),
      { ...prices, thorough: true },
    );
    expect(stopLossMinutes).toBeCloseTo(90 * 0.4, 9);
    expect(appraisals[0]!.outlook!.cost).toBeCloseTo(expected, 6);
    expect(appraisals[0]!.outlook!.minutes).toBeCloseTo(2, 6);
  });

  it('in the usual order is the first of it that tells something, with its own minutes', () => {
    const belief = updateBelief(family, []);
    const { usual, appraisals } = planNext(
      family,
      belief,
      start(candidate('look', 4), candidate('ohms', 1)),
      { ...prices, usualOrder: ['look', 'ohms'] },
    );
    expect(appraisals[0]!.candidate.checkId).toBe('ohms');
    expect(usual!.checkId).toBe('look');
    expect(usual!.outlook.minutes).toBeGreaterThan(4);
    const none = planNext(family, belief, start(candidate('ohms', 1)), {
      ...prices,
      usualOrder: [],
    });
    expect(none.usual).toBeUndefined();
  });

  it('is none where nothing is left, and a verdict then needs a clear lead', () => {
    const nothing = planNext(family, updateBelief(family, []), start(), prices);
    expect(nothing.appraisals).toEqual([]);
    expect(nothing.enough).toBe(false);
    const sure = updateBelief(family, [ohms('1', 'over-range'), look('2', 'dark')]);
    expect(planNext(family, sure, start(), prices).enough).toBe(true);
  });

  it('is asked for longer, the dearer a wrong verdict is', () => {
    const belief = updateBelief(family, []);
    const enoughAt = (minutes: number) =>
      planNext(family, belief, start(candidate('look', 1)), {
        ...prices,
        wrongVerdictMinutes: () => minutes,
      }).enough;
    expect(enoughAt(1)).toBe(true);
    expect(enoughAt(1e6)).toBe(false);
  });
});
