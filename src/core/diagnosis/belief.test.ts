import { describe, expect, it } from 'vitest';
import { compileFamily, judgeConsistency, listSuspects, planNext, updateBelief } from '.';
import type { Evidence, FamilyModel, MeterModel } from '.';
import { normalBelow } from './meter';

/** A small family of its own: a lamp that is good, or has one of two faults. The engine knows no heater. */
const meter: MeterModel = {
  id: 'ohms',
  relativeError: 0.02,
  floor: 0.25,
  overRangeAbove: 20e6,
  most: 20e6,
};
const filamentGrid = {
  points: [
    { logRatio: -0.05, share: 0.25 },
    { logRatio: 0, share: 0.5 },
    { logRatio: 0.05, share: 0.25 },
  ],
  within: 0,
};
const lamp: FamilyModel = {
  hypotheses: [
    { id: 'good', faults: [], repairs: ['none'], weight: 6, grid: 'fine' },
    {
      id: 'filament',
      faults: ['filament.open'],
      repairs: ['replace-lamp'],
      weight: 3,
      grid: 'fine',
    },
    {
      id: 'socket',
      faults: ['socket.burnt'],
      repairs: ['replace-socket'],
      weight: 1,
      grid: 'fine',
    },
  ],
  unknowns: [
    {
      id: 'filament-ohm',
      fine: filamentGrid,
      coarse: filamentGrid,
    },
  ],
  repairOf: { 'filament.open': 'replace-lamp', 'socket.burnt': 'replace-socket' },
  healthyIndex: 0,
  predictor:
    ({ key }) =>
    (index) => {
      if (key === 'look') {
        const dark = index === 0 ? 0.05 : 0.9;
        return { kind: 'outcomes', probabilities: { lit: 1 - dark, dark } };
      }
      const value = [40, 1e9, 62][index]!;
      return {
        kind: 'quantity',
        meter,
        value,
        gradients: [index === 1 ? 0 : 40],
        variance: index === 2 ? 25 : 0,
        floats: false,
      };
    },
  afterRepairs: (index, repairs) =>
    repairs.includes(['none', 'replace-lamp', 'replace-socket'][index]!) ? 0 : index,
};

const ohms = (id: string, value: number | 'over-range'): Evidence => ({
  entryId: id,
  checkId: 'ohms',
  observable: { key: 'ohms' },
  result: value === 'over-range' ? { kind: 'over-range' } : { kind: 'number', value },
  repairsBefore: [],
  errorRate: 0.03,
});
const look = (id: string, outcome: string): Evidence => ({
  entryId: id,
  checkId: 'look',
  observable: { key: 'look' },
  result: { kind: 'outcome', outcome },
  repairsBefore: [],
  errorRate: 0.04,
});

const family = compileFamily(lamp);

describe('the posterior', () => {
  it('is what enumerating every hypothesis at every grid point by hand gives', () => {
    // Brute force with the same likelihood: it checks the algebra, not the likelihood.
    const u = (value: number) => Math.asinh(value / 0.5);
    const density = (x: number, mean: number, spread: number) =>
      Math.exp(-0.5 * ((x - mean) / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI));
    const wrong = 0.45 / u(20e6) + 0.25 * density(u(41), 0.2, 0.4);
    const weights = lamp.hypotheses.map(({ weight }, index) =>
      filamentGrid.points.reduce((sum, { logRatio, share }) => {
        const value = [40, 1e9, 62][index]! + (index === 1 ? 0 : 40) * logRatio;
        const spread = Math.sqrt(
          ((0.02 * value) ** 2 + 0.25 ** 2 + (index === 2 ? 25 : 0)) / (value ** 2 + 0.25),
        );
        const over = normalBelow((u(value) - u(20e6)) / Math.hypot(spread, 0.3));
        const right = (1 - over) * density(u(41), u(value), spread);
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

  it('takes what was read after a repair as a reading of the repaired unit', () => {
    const after = { ...ohms('2', 40.3), repairsBefore: ['replace-lamp'] };
    const belief = updateBelief(family, [ohms('1', 'over-range'), after]);
    expect(belief.byHypothesis[1]!).toBeGreaterThan(0.9);
  });
});

describe('a reading that fits nothing', () => {
  it('is named', () => {
    const { allTrue, doubts } = judgeConsistency(family, updateBelief(family, [ohms('odd', 3000)]));
    expect(allTrue).toBeLessThan(0.1);
    expect(doubts[0]).toMatchObject({ entryIds: ['odd'], taken: 1 });
    expect(doubts[0]!.probabilityWrong).toBeGreaterThan(0.9);
  });

  it('is not cried over on a clean set', () => {
    const { allTrue, doubts } = judgeConsistency(
      family,
      updateBelief(family, [ohms('1', 40.6), look('2', 'lit')]),
    );
    expect(allTrue).toBeGreaterThan(0.9);
    expect(doubts[0]!.probabilityWrong).toBeLessThan(0.1);
  });
});

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
});

describe('why', () => {
  it('gives each entry its weight in decibans: the change that leaving it out would make', () => {
    const both = [ohms('1', 'over-range'), look('2', 'dark')];
    const odds = (evidence: Evidence[]) => {
      const p = updateBelief(family, evidence).byHypothesis[1]!;
      return p / (1 - p);
    };
    const suspect = listSuspects(family, updateBelief(family, both)).find(
      (each) => each.repair === 'replace-lamp',
    )!;
    const weight = suspect.why.find((each) => each.entry === '1')!.decibans;
    expect(weight).toBeCloseTo(10 * Math.log10(odds(both) / odds([both[1]!])), 4);
  });
});
