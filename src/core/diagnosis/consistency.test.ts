import { describe, expect, it } from 'vitest';
import { lamp, look, ohms } from '../../../tests/lamp';
import { compileFamily, coursesOf, judgeConsistency } from '.';
import type { Evidence } from '.';

const family = compileFamily(lamp);
const consistencyOf = (...evidence: Evidence[]) =>
  judgeConsistency(family, coursesOf(family, evidence, []));

describe('a reading that fits nothing', () => {
  it('is named', () => {
    const { allTrue, doubts } = consistencyOf(ohms('odd', 3000));
    expect(allTrue).toBeLessThan(0.1);
    expect(doubts[0]).toMatchObject({ entryIds: ['odd'], taken: 1 });
    expect(doubts[0]!.probabilityWrong).toBeGreaterThan(0.9);
  });

  it('is not cried over on a clean set', () => {
    const { allTrue, doubts } = consistencyOf(ohms('1', 40.6), look('2', 'lit'));
    expect(allTrue).toBeGreaterThan(0.9);
    expect(doubts[0]!.probabilityWrong).toBeLessThan(0.1);
  });
});

describe('a reading that was taken twice with two results', () => {
  it('is told to contradict itself', () => {
    const { doubts } = consistencyOf(ohms('1', 40), ohms('2', 'over-range'));
    expect(doubts).toHaveLength(2);
    expect(doubts.every((each) => each.contradicted)).toBe(true);
    // One of the two was wrong: their doubts come to about one.
    const sum = doubts.reduce((total, each) => total + each.probabilityWrong, 0);
    expect(sum).toBeGreaterThan(0.95);
    expect(sum).toBeLessThan(1.1);
  });
});
