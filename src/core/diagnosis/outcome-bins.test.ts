import { describe, expect, it } from 'vitest';
import { quantityClass, toScale, type OutcomeClass } from './meter';
import type { MeterModel } from './model';
import { binOutcomes } from './outcome-bins';

const ohmmeter: MeterModel = {
  id: 'resistance',
  relativeError: 0.015,
  floor: 0.25,
  overRangeAbove: 20e6,
  wrong: { overRange: 0.3, nearZero: 0.25 },
  most: 20e6,
};
const voltmeter: MeterModel = {
  id: 'voltage-ac',
  relativeError: 0.012,
  floor: 1.5,
  wrong: { overRange: 0, nearZero: 0.3 },
  most: 600,
};
const reads = (meter: MeterModel, value: number, spread = 0.03) =>
  quantityClass(meter, toScale(value, meter), spread);
const bin = (classes: readonly OutcomeClass[], masses = classes.map(() => 1)) =>
  binOutcomes(classes, Float64Array.from(masses));
const sharesOf = ({ count, shares }: ReturnType<typeof bin>, at: number) => [
  ...shares.slice(at * count, (at + 1) * count),
];

describe('outcome bins', () => {
  it('part what a good element, an open one and a closed contact read', () => {
    const found = bin([reads(ohmmeter, 12.8), reads(ohmmeter, 1e9), reads(ohmmeter, 0.3)]);
    const likeliest = [0, 1, 2].map((at) => {
      const shares = sharesOf(found, at);
      return shares.indexOf(Math.max(...shares));
    });
    expect(new Set(likeliest).size).toBe(3);
    for (const at of [0, 1, 2]) expect(Math.max(...sharesOf(found, at))).toBeGreaterThan(0.95);
  });

  it('share out the whole of every class', () => {
    const found = bin([reads(ohmmeter, 12.8, 0.2), reads(ohmmeter, 18, 0.3), reads(ohmmeter, 3e7)]);
    for (const at of [0, 1, 2]) {
      expect(sharesOf(found, at).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9);
    }
  });

  it('do not part what no meter tells apart', () => {
    expect(bin([reads(voltmeter, 238), reads(voltmeter, 241)]).count).toBe(1);
  });

  it('keep none for over range where the meter has none', () => {
    expect(bin([reads(voltmeter, 240), reads(voltmeter, 120)]).count).toBe(2);
  });

  it('are few, at the widest gaps', () => {
    const values = [1, 3, 9, 27, 81, 243, 729, 2187];
    const found = bin(values.map((each) => reads(ohmmeter, each)));
    expect(found.count).toBe(5);
  });

  it('go by what may still be so', () => {
    const classes = [reads(voltmeter, 240), reads(voltmeter, 120), reads(voltmeter, 0)];
    expect(bin(classes, [0.5, 0, 0.5]).count).toBe(2);
    expect(sharesOf(bin(classes, [0.5, 0, 0.5]), 1)).toEqual([0, 0]);
  });

  it('of an observation are its answers', () => {
    const found = bin([
      { kind: 'outcomes', probabilities: { clicks: 0.9, silent: 0.1 } },
      { kind: 'outcomes', probabilities: { clicks: 0.05, silent: 0.95 } },
    ]);
    expect(found.count).toBe(2);
    expect(sharesOf(found, 1)).toEqual([0.05, 0.95]);
  });

  it('of an observation with many answers hold every one of them', () => {
    const answers = Array.from({ length: 40 }, (_, k) => `code ${k}`);
    const probabilities = Object.fromEntries(answers.map((each) => [each, 1 / 40]));
    const one = { ...probabilities, 'code 39': 0.5 };
    const found = bin([
      { kind: 'outcomes', probabilities },
      { kind: 'outcomes', probabilities: one },
    ]);
    expect(found.count).toBe(40);
    expect(sharesOf(found, 1)[answers.sort().indexOf('code 39')]).toBe(0.5);
  });

  it('of an observation have room for what only one suspect would show', () => {
    const found = bin([
      { kind: 'outcomes', probabilities: { sound: 1 } },
      { kind: 'outcomes', probabilities: { scorched: 1 } },
    ]);
    expect(sharesOf(found, 0)).toEqual([0, 1]);
    expect(sharesOf(found, 1)).toEqual([1, 0]);
  });

  it('are the same whichever class came first, and whichever others nobody weighs', () => {
    const [sound, scorched, other] = ['sound', 'scorched', 'corroded'].map(
      (each): OutcomeClass => ({ kind: 'outcomes', probabilities: { [each]: 1 } }),
    );
    const one = bin([sound!, scorched!], [0.5, 0.5]);
    const more = bin([other!, scorched!, sound!], [0, 0.5, 0.5]);
    expect(more.count).toBe(one.count);
    expect(sharesOf(more, 1)).toEqual(sharesOf(one, 1));
    expect(sharesOf(more, 2)).toEqual(sharesOf(one, 0));
  });
});
