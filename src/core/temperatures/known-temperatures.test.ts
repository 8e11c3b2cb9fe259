import { describe, expect, it } from 'vitest';
import { combiBoiler } from '../appliances/combi-boiler';
import type { Entry } from '../job-file';
import { knownCelsiusOf } from './known-temperatures';

const at = (minute: number) => `2026-03-02T08:${String(minute).padStart(2, '0')}:00Z`;
const stamp = (n: number) => ({ id: `018f0000-0000-7000-8000-0000000000${10 + n}`, at: at(n) });
const known = (...entries: readonly object[]) =>
  knownCelsiusOf({ entries: entries as Entry[] }, combiBoiler);

const read = (n: number, check: string, value: object) => ({
  ...stamp(n),
  kind: 'reading',
  check,
  value,
});

describe('temperatures that are known', () => {
  it('are the last that were read at a point, and nothing of the model', () => {
    expect(
      known(
        read(1, 'tap-temperature', { celsius: 40 }),
        read(2, 'tap-temperature', { celsius: 44 }),
      ),
    ).toEqual({ tap: 44 });
    expect(known()).toEqual({});
  });

  it('leave out a difference, a rate, what was struck, and points that no drawing has', () => {
    const first = read(1, 'tap-temperature', { celsius: 40 });
    const struck = {
      ...stamp(2),
      kind: 'correction',
      replaces: first.id,
      entry: null,
      reason: 'slip',
    };
    expect(known(first, struck)).toEqual({});
    expect(known(read(1, 'tap-test-low-difference', { kelvin: 3 }))).toEqual({});
    expect(known({ ...read(1, 'x', { celsius: 5 }), check: undefined, point: 'toString' })).toEqual(
      {},
    );
  });

  it('take the last of a followed place at its point', () => {
    const log = {
      ...stamp(1),
      kind: 'log',
      log: 'a',
      phase: 'samples',
      place: 'outlet',
      track: { second: [0, 4], celsius: [20, 31] },
    };
    expect(known(log, { ...log, ...stamp(2), place: 'constructor' })).toEqual({ tap: 31 });
  });
});
