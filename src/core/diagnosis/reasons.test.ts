import { describe, expect, it } from 'vitest';
import type { Belief } from './belief';
import { mostReasons, reasonsOf } from './reasons';

const contributions = (...groups: string[][]) =>
  groups.map((entryIds) => ({ entryIds })) as unknown as Belief['contributions'];

describe('what speaks for a suspect', () => {
  it('is every entry, in the order of the logbook, and repeats share a weight', () => {
    const weights = [1, -6];
    expect(reasonsOf(contributions(['a'], ['b', 'c']), (k) => weights[k]!)).toEqual([
      { entry: 'a', decibans: 1 },
      { entry: 'b', decibans: -3 },
      { entry: 'c', decibans: -3 },
    ]);
    expect(reasonsOf([], () => 1)).toEqual([]);
  });

  it('is of a very long logbook what speaks most, for or against', () => {
    const count = mostReasons * 5;
    const all = Array.from({ length: count }, (_, k) => [`entry ${k}`]);
    // The weightiest stand far apart, half of them against it.
    const weightOf = (k: number) => (k % 5 === 0 ? (k % 2 === 0 ? 3 : -3) : 0.1);
    const told = reasonsOf(contributions(...all), weightOf);
    expect(told.map((each) => each.entry)).toEqual(all.flat().filter((_, k) => k % 5 === 0));
  });

  it('is of a reading that was repeated without end the newest', () => {
    const repeats = Array.from({ length: mostReasons * 2 }, (_, k) => `repeat ${k}`);
    const told = reasonsOf(contributions(repeats, ['alone']), (k) =>
      k === 0 ? 10 * repeats.length : 50,
    );
    expect(told).toHaveLength(mostReasons);
    expect(told.at(-1)).toEqual({ entry: 'alone', decibans: 50 });
    expect(told[0]!.entry).toBe(`repeat ${mostReasons + 1}`);
  });

  it('is of what speaks the same the newest', () => {
    const all = Array.from({ length: mostReasons * 2 }, (_, k) => [`entry ${k}`]);
    const told = reasonsOf(contributions(...all), () => 0);
    expect(told.map(({ entry }) => entry)).toEqual(all.slice(mostReasons).map(([id]) => id));
  });
});
