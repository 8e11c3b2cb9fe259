import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation';
import { calibrationOf, meanOf, quantileOf, savingOf, shareOf } from './statistics';

describe('the interval of a share', () => {
  // Newcombe, Statistics in Medicine 17 (1998) 857–872, table I, method 3 (Wilson without correction); from memory.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('of %d in %d is %d to %d', (successes, of, from, to) => {
    const found = shareOf(successes, of);
    expect(found.from).toBeCloseTo(from, 4);
    expect(found.to).toBeCloseTo(to, 4);
  });

  it('of nothing is everything', () => {
    expect(shareOf(0, 0)).toMatchObject({ from: 0, to: 1, of: 0 });
  });

  it('covers the true share about as often as it says', () => {
    const random = seededRandom(17);
    const covered = Array.from({ length: 2000 }, () => {
      const successes = Array.from({ length: 80 }, () => random.chance(0.9)).filter(Boolean).length;
      const { from, to } = shareOf(successes, 80);
      return from <= 0.9 && 0.9 <= to;
    }).filter(Boolean).length;
    expect(covered / 2000).toBeGreaterThan(0.93);
    expect(covered / 2000).toBeLessThan(0.975);
  });
});

describe('mean and quantiles', () => {
  it('are those of the sample', () => {
    expect(meanOf([1, 2, 3, 4]).mean).toBe(2.5);
    expect(meanOf([1, 2, 3, 4]).plusMinus).toBeCloseTo((1.96 * 1.29099) / 2, 4);
    expect(quantileOf([5, 1, 4, 2, 3], 0.5)).toBe(3);
    expect(quantileOf([5, 1, 4, 2, 3], 1)).toBe(5);
    expect(quantileOf([], 0.5)).toBeNaN();
  });
});

describe('a saving', () => {
  const random = () => seededRandom(5);
  const timed = (minutes: readonly number[]) =>
    minutes.map((each, k) => ({ unit: `1-${k}`, minutes: each }));

  it('is paired, unit by unit: what both spend on a hard unit cancels out', () => {
    const draw = random();
    const hard = Array.from({ length: 200 }, () => 5 + 95 * draw.next());
    const own = timed(hard.map((each) => each * 0.8));
    const { saved, from, to } = savingOf(own, timed(hard), () => draw.next());
    expect(saved).toBeCloseTo(-0.2, 9);
    // A fifth less on every single one: there is nothing uncertain about it.
    expect(to - from).toBeLessThan(1e-9);
  });

  it('counts only units that both worked on', () => {
    const own = [
      { unit: 'a', minutes: 10 },
      { unit: 'only mine', minutes: 1000 },
    ];
    const rival = [
      { unit: 'a', minutes: 20 },
      { unit: 'only theirs', minutes: 1 },
    ];
    expect(savingOf(own, rival, random().next).saved).toBeCloseTo(-0.5, 9);
  });

  it('that is not there has an interval about nought', () => {
    const draw = random();
    const minutes = () => timed(Array.from({ length: 300 }, () => 10 + 20 * draw.next()));
    const { from, to } = savingOf(minutes(), minutes(), () => draw.next());
    expect(from).toBeLessThan(0);
    expect(to).toBeGreaterThan(0);
  });
});

describe('calibration', () => {
  const predict = (gap: number) => {
    const random = seededRandom(4);
    return Array.from({ length: 6000 }, (_, unit) => {
      const probability = 0.5 + 0.5 * random.next();
      return { unit, probability, isRight: random.chance(probability - gap) };
    });
  };

  it('finds no error in predictions that come true as often as they say', () => {
    const random = seededRandom(9);
    expect(calibrationOf(predict(0), () => random.next(), 20).expectedError).toBeLessThan(0.02);
  });

  it('finds the gap where they do not', () => {
    const random = seededRandom(9);
    const off = calibrationOf(predict(0.1), () => random.next(), 20);
    expect(off.expectedError).toBeCloseTo(0.1, 1);
    expect(off.from).toBeLessThan(off.expectedError);
    expect(off.to).toBeGreaterThan(off.expectedError);
    expect(off.bins.reduce((sum, each) => sum + each.of, 0)).toBe(6000);
  });
});
