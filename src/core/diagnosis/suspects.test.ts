import { describe, expect, it } from 'vitest';
import { lamp, look, ohms } from '../../../tests/lamp';
import { compileFamily, listSuspects, suspectChances, updateBelief } from '.';
import type { Evidence } from '.';

const family = compileFamily(lamp);

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

describe('the suspects', () => {
  it('are all repairs, the likeliest first, and sum to one', () => {
    const suspects = listSuspects(family, updateBelief(family, [look('1', 'dark')]));
    expect(suspects.map((each) => each.repair)).toEqual(['replace-lamp', 'replace-socket', 'none']);
    // By hand: dark is 0.884 under a fault and 0.068 on a good lamp, with 4 % of looks wrong.
    const dark = [0.05, 0.9, 0.9].map((p) => 0.96 * p + 0.04 * 0.5);
    const joint = [0.6, 0.3, 0.1].map((p, k) => p * dark[k]!);
    const total = joint.reduce((sum, each) => sum + each, 0);
    expect(suspects.map((each) => each.probability)).toEqual([
      expect.closeTo(joint[1]! / total, 6) as number,
      expect.closeTo(joint[2]! / total, 6) as number,
      expect.closeTo(joint[0]! / total, 6) as number,
    ]);
    expect(suspects[0]!.faults).toEqual([
      { id: 'filament.open', probability: suspects[0]!.probability },
    ]);
  });

  it('have the same chances asked for alone', () => {
    for (const evidence of [[], [look('1', 'dark')], [ohms('1', 'over-range'), look('2', 'lit')]]) {
      const belief = { ...updateBelief(family, evidence), unlisted: 0.1 };
      const chances = suspectChances(family, belief);
      for (const { repair, probability } of listSuspects(family, belief))
        expect(chances[repair], repair).toBeCloseTo(probability, 6);
    }
    const strange = compileFamily({ ...lamp, unlisted: { share: 0.1, repair: 'look-further' } });
    const belief = updateBelief(strange, [ohms('1', 3000)]);
    const chances = suspectChances(strange, belief);
    expect(chances['look-further']).toBeCloseTo(belief.unlisted, 9);
    expect(Object.values(chances).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 6);
  });

  it('weigh an entry that says nothing of them with nothing', () => {
    const unread = { ...look('1', 'lit'), result: { kind: 'outcome', outcome: 'broken' } } as const;
    const [first] = listSuspects(family, updateBelief(family, [unread]));
    expect(first!.why[0]!.decibans).toBeCloseTo(0, 6);
  });

  it('share the weight of a reading that was repeated', () => {
    const [suspect] = listSuspects(
      family,
      updateBelief(family, [ohms('1', 'over-range'), ohms('2', 'over-range')]),
    );
    expect(suspect!.repair).toBe('replace-lamp');
    expect(suspect!.why.map((each) => each.entry)).toEqual(['1', '2']);
    expect(suspect!.why[0]!.decibans).toBeCloseTo(suspect!.why[1]!.decibans, 9);
  });
});
