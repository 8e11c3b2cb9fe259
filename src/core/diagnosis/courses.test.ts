import { describe, expect, it } from 'vitest';
import { lamp, look, ohms } from '../../../tests/lamp';
import {
  compileFamily,
  coursesOf,
  judgeConsistency,
  listSuspects,
  standingAfter,
  updateBelief,
  weightsForHeld,
} from '.';
import type { Evidence } from '.';

const family = compileFamily({ ...lamp, repairFails: 0.02 });
const trusting = compileFamily(lamp);

const after = (evidence: Evidence, ...repairsBefore: string[]): Evidence => ({
  ...evidence,
  repairsBefore,
});
const found = ohms('1', 'over-range');

/** Chances of every hypothesis after the repairs. */
const standing = (evidence: Evidence[], done: string[], of = family) =>
  [...standingAfter(of, coursesOf(of, evidence, done)).byHypothesis] as [
    number,
    number,
    number,
    number?,
  ];

describe('a repair that may not have held', () => {
  it('is as likely to have failed as repairs do, while nothing was read since', () => {
    const courses = coursesOf(family, [found], ['replace-lamp']);
    expect(courses.map(({ share }) => share)).toEqual([
      expect.closeTo(0.98, 9) as number,
      expect.closeTo(0.02, 9) as number,
    ]);
    const [good, filament] = standing([found], ['replace-lamp']);
    const before = updateBelief(family, [found]).byHypothesis[1]!;
    expect(filament).toBeCloseTo(0.02 * before, 6);
    expect(good).toBeGreaterThan(0.95);
  });

  it('is what Bayes gives by hand once the new part was read', () => {
    const again = after(look('2', 'dark'), 'replace-lamp');
    // Of the unit as it was met: good, filament, socket, weighed by what was read first.
    const before = [...updateBelief(family, [found]).byHypothesis];
    // A look is wrong in 4 of 100; dark is 0.05 on a good lamp, 0.9 on a faulty one.
    const dark = (isFaulty: boolean) => 0.96 * (isFaulty ? 0.9 : 0.05) + 0.04 * 0.5;
    const held = before.map((each, h) => each * dark(h === 2) * 0.98);
    const failed = before.map((each, h) => each * dark(h !== 0) * 0.02);
    const total = [...held, ...failed].reduce((sum, each) => sum + each, 0);
    const [good, filament, socket] = standing([found, again], ['replace-lamp']);
    expect(good).toBeCloseTo((held[0]! + held[1]! + failed[0]!) / total, 9);
    expect(filament).toBeCloseTo(failed[1]! / total, 9);
    expect(socket).toBeCloseTo((held[2]! + failed[2]!) / total, 9);
  });

  it('leads where the new part reads as bad as the old one did', () => {
    const again = [
      found,
      after(ohms('2', 'over-range'), 'replace-lamp'),
      after(ohms('3', 'over-range'), 'replace-lamp'),
    ];
    expect(standing(again, ['replace-lamp'])[1]).toBeGreaterThan(0.9);
    // Who takes every repair to have held can only say that the meter lies.
    expect(standing(again, ['replace-lamp'], trusting)[1]).toBeLessThan(0.01);
  });

  it('is done a second time, and a good reading then ends it', () => {
    const twice = ['replace-lamp', 'replace-lamp'];
    const again = [
      found,
      after(ohms('2', 'over-range'), 'replace-lamp'),
      after(ohms('3', 40.2), ...twice),
    ];
    expect(standing(again, twice)[0]).toBeGreaterThan(0.95);
    // And it is the second that is proved by it: had that failed too, it would read open as before.
    const weights = weightsForHeld(family, coursesOf(family, again, twice), {
      id: 'replace-lamp',
      place: 1,
    })!;
    expect(weights[2]).toBeGreaterThan(10);
  });

  it('may fail twice', () => {
    const twice = ['replace-lamp', 'replace-lamp'];
    const again = [
      found,
      after(ohms('2', 'over-range'), 'replace-lamp'),
      after(look('3', 'dark'), 'replace-lamp'),
      after(ohms('4', 'over-range'), ...twice),
      after(look('5', 'dark'), ...twice),
    ];
    expect(standing(again, twice)[1]).toBeGreaterThan(0.9);
  });

  it('casts no doubt on a reading that says so', () => {
    const bad = [
      found,
      after(ohms('2', 'over-range'), 'replace-lamp'),
      after(look('3', 'dark'), 'replace-lamp'),
    ];
    const doubtOf = (entry: string, of: typeof family) =>
      judgeConsistency(of, coursesOf(of, bad, ['replace-lamp'])).doubts.find((each) =>
        each.entryIds.includes(entry),
      )!.probabilityWrong;
    expect(doubtOf('2', trusting)).toBeGreaterThan(0.5);
    expect(doubtOf('2', family)).toBeLessThan(0.2);
  });

  it('has the readings from before the repair speak for what was wrong then', () => {
    const courses = coursesOf(family, [found], ['replace-lamp']);
    const suspects = listSuspects(family, standingAfter(family, courses), courses);
    expect(suspects[0]!.repair).toBe('none');
    // Over range is no reading of a good lamp; but it is why a new one was fitted, and nothing is left now.
    expect(suspects[0]!.why[0]!.decibans).toBeGreaterThan(0);
    expect(suspects.reduce((sum, each) => sum + each.probability, 0)).toBeCloseTo(1, 9);
  });

  it('is read in any state that the mended unit may stand in', () => {
    const [good, ...others] = lamp.hypotheses;
    const warmIndex = lamp.hypotheses.length;
    const warming = compileFamily({
      ...lamp,
      repairFails: 0.02,
      statesAfterRepairs: () => [0.5, 0.5],
      hypotheses: [good!, ...others, { ...good!, id: 'good, warm', weight: 0.001 }],
      afterRepairs: (index, repairs) =>
        repairs.includes('replace-lamp') && index === 1 ? [0, warmIndex] : [index],
      // Cold, a good lamp is dark; warm, it is lit.
      predictor:
        ({ key }) =>
        (index) =>
          key === 'look' && [0, warmIndex].includes(index)
            ? {
                kind: 'outcomes',
                probabilities: index === 0 ? { lit: 0, dark: 1 } : { lit: 1, dark: 0 },
              }
            : lamp.predictor({ key })(index % warmIndex),
    });
    const dark = after(look('2', 'dark'), 'replace-lamp');
    const lit = after(look('3', 'lit'), 'replace-lamp');
    const held = (...evidence: Evidence[]) => {
      const [cold, , , warm] = standing([found, ...evidence], ['replace-lamp'], warming);
      return cold + warm!;
    };
    // Neither speaks against it, not even one after the other.
    expect(held(dark)).toBeGreaterThan(0.9);
    expect(held(lit)).toBeGreaterThan(0.95);
    expect(held(dark, lit)).toBeGreaterThan(0.95);
  });

  it('tells by what was read whether it held', () => {
    const dark = after(look('2', 'dark'), 'replace-lamp');
    const lit = after(look('3', 'lit'), 'replace-lamp');
    const first = { id: 'replace-lamp', place: 0 };
    const weights = (...evidence: Evidence[]) => [
      ...weightsForHeld(family, coursesOf(family, evidence, ['replace-lamp']), first)!,
    ];
    // Lit: 0.95 against 0.1, a look wrong in 4 of 100.
    const right = (p: number) => 0.96 * p + 0.04 * 0.5;
    expect(weights(found, lit)[1]).toBeCloseTo(10 * Math.log10(right(0.95) / right(0.1)), 6);
    expect(weights(found, dark)[1]).toBeCloseTo(10 * Math.log10(right(0.05) / right(0.9)), 6);
    // What was read before says nothing of it.
    expect(weights(found, lit)[0]).toBeCloseTo(0, 9);
    expect(weightsForHeld(family, coursesOf(family, [found], []), first)).toBeUndefined();
  });

  it('costs nothing where nothing was repaired', () => {
    const [only, ...others] = coursesOf(family, [found], []);
    expect(others).toEqual([]);
    expect(only).toMatchObject({ share: 1, held: [] });
    expect(only!.belief.byHypothesis).toEqual(updateBelief(family, [found]).byHypothesis);
  });
});
