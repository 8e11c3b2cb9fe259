import { describe, expect, it } from 'vitest';
import { compileFamily, updateBelief } from '.';
import type { Evidence } from '.';
import { filamentGrid, lamp, look, ohms } from '../../../tests/lamp';
import { normalBelow } from './meter';

const family = compileFamily(lamp);

describe('the posterior', () => {
  it('is what enumerating every hypothesis at every grid point by hand gives', () => {
    // Brute force with the same likelihood: it checks the algebra, not the likelihood. A reading is that of the middle of
    // its class: 0.4 of a spread wide, 0.02 at most, spreads in steps of a fifth of e.
    const u = (value: number) => Math.asinh(value / 0.5);
    const density = (x: number, mean: number, spread: number) =>
      Math.exp(-0.5 * ((x - mean) / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI));
    const wrong = 0.45 / u(20e6) + 0.25 * density(u(41), 0.2, 0.4);
    const weights = lamp.hypotheses.map(({ weight }, index) =>
      filamentGrid.points.reduce((sum, { logRatio, share }) => {
        const value = [40, 1e9, 62][index]! + (index === 1 ? 0 : 40) * logRatio;
        const ownSpread = Math.sqrt(
          ((0.02 * value) ** 2 + 0.25 ** 2 + (index === 2 ? 25 : 0)) / (value ** 2 + 0.25),
        );
        const spread = Math.exp(Math.round(Math.log(ownSpread) * 5) / 5);
        const width = Math.min(0.4 * spread, 0.02);
        const centre = Math.round(u(value) / width) * width;
        const over = normalBelow((centre - u(20e6)) / Math.hypot(spread, 0.3));
        const right = (1 - over) * density(u(41), centre, spread);
        const dark = index === 0 ? 0.05 : 0.9;
        return (
          sum + weight * share * (0.97 * right + 0.03 * wrong) * (0.96 * (1 - dark) + 0.04 * 0.5)
        );
      }, 0),
    );
    const total = weights.reduce((sum, each) => sum + each, 0);
    const belief = updateBelief(family, [ohms('1', 41), look('2', 'lit')]);
    belief.byHypothesis.forEach((each, index) => {
      expect(each).toBeCloseTo(weights[index]! / total, 6);
    });
  });

  it('does not depend on the order of the entries', () => {
    const one = updateBelief(family, [ohms('1', 60), look('2', 'dark')]);
    const other = updateBelief(family, [look('2', 'dark'), ohms('1', 60)]);
    one.byHypothesis.forEach((each, index) => {
      expect(each).toBeCloseTo(other.byHypothesis[index]!, 12);
    });
  });

  it('takes the same reading twice as one reading, better vouched for', () => {
    const once = updateBelief(family, [ohms('1', 'over-range')]).byHypothesis[1]!;
    const twice = updateBelief(family, [ohms('1', 'over-range'), ohms('2', 'over-range')]);
    expect(twice.contributions).toHaveLength(1);
    expect(twice.byHypothesis[1]!).toBeGreaterThan(once);
  });

  it('takes over range on several ranges as over range on the widest of them', () => {
    const over = (id: string, above?: number): Evidence => ({
      ...ohms(id, 'over-range'),
      result: { kind: 'over-range', above },
    });
    const chances = (...evidence: Evidence[]) => [...updateBelief(family, evidence).byHypothesis];
    const wide = chances(over('1', 2e6), over('2', 2e6));
    expect(chances(over('1', 2e3), over('2', 2e6))).toEqual(wide);
    expect(chances(over('1', 2e6), over('2', 2e3))).toEqual(wide);
  });

  it('groups numbers alike in whatever order they were read', () => {
    // The first and the last are too far apart to be one reading; the middle one agrees with both.
    const ids = { '40': 40, '42.8': 42.8, '45.6': 45.6 };
    const groupsIn = (...order: (keyof typeof ids)[]) =>
      updateBelief(
        family,
        order.map((id) => ohms(id, ids[id])),
      )
        .contributions.map((each) => [...each.entryIds].sort().join())
        .sort();
    const groups = groupsIn('40', '42.8', '45.6');
    expect(groups).toEqual(['40,42.8', '45.6']);
    expect(groupsIn('45.6', '42.8', '40')).toEqual(groups);
    expect(groupsIn('42.8', '40', '45.6')).toEqual(groups);
  });

  it('takes what was read after a repair as a reading of the repaired unit', () => {
    const after = { ...ohms('2', 40.3), repairsBefore: ['replace-lamp'] };
    const belief = updateBelief(family, [ohms('1', 'over-range'), after]);
    expect(belief.byHypothesis[1]!).toBeGreaterThan(0.9);
  });
});
