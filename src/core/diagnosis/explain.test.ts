import { describe, expect, it } from 'vitest';
import { lamp, look, ohms } from '../../../tests/lamp';
import { compileFamily, expectBands, judgeConsistency, listSuspects, updateBelief } from '.';
import type { Evidence } from '.';

const family = compileFamily(lamp);

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

describe('what each suspect would read', () => {
  const bands = (...evidence: Evidence[]) =>
    expectBands(family, updateBelief(family, evidence), { key: 'ohms' });

  it('is its own stretch of the scale, as likely as the suspect is', () => {
    const found = bands();
    const of = (repair: string) => found.filter((each) => each.repair === repair);
    expect(of('replace-lamp')).toHaveLength(1);
    expect(of('replace-lamp')[0]!.reads.kind).toBe('over-range');
    expect(of('replace-lamp')[0]!.probability).toBeCloseTo(0.3, 3);
    const [good] = of('none');
    expect(good!.probability).toBeCloseTo(0.6, 3);
    expect(good!.reads).toMatchObject({ kind: 'range' });
    if (good!.reads.kind !== 'range') return;
    // 40 Ω and 5 % to either side, with the meter's own 2 %.
    expect(good!.reads.centre).toBeCloseTo(40, 0);
    expect(good!.reads.from).toBeGreaterThan(35);
    expect(good!.reads.from).toBeLessThan(38);
    expect(good!.reads.to).toBeGreaterThan(42);
    expect(good!.reads.to).toBeLessThan(45);
  });

  it('narrows with what another reading has told of the same part', () => {
    const width = (found: ReturnType<typeof bands>) => {
      const { reads } = found.find((each) => each.repair === 'none')!;
      return reads.kind === 'range' ? reads.to - reads.from : NaN;
    };
    expect(width(bands(ohms('1', 42), ohms('2', 42.1)))).toBeLessThan(0.8 * width(bands()));
  });

  it('leaves out what has next to no chance', () => {
    const found = bands(ohms('1', 'over-range'), look('2', 'dark'));
    expect(found.every((each) => each.probability > 0.002)).toBe(true);
    expect(found[0]!.repair).toBe('replace-lamp');
  });
});

describe('a reading that was taken twice with two results', () => {
  it('is told to contradict itself', () => {
    const { doubts } = judgeConsistency(
      family,
      updateBelief(family, [ohms('1', 40), ohms('2', 'over-range')]),
    );
    expect(doubts).toHaveLength(2);
    expect(doubts.every((each) => each.contradicted)).toBe(true);
    // One of the two was wrong: their doubts come to about one.
    const sum = doubts.reduce((total, each) => total + each.probabilityWrong, 0);
    expect(sum).toBeGreaterThan(0.95);
    expect(sum).toBeLessThan(1.1);
  });
});
