import { describe, expect, it } from 'vitest';
import type { WireEntry } from './generated/job-types';
import { belongsOn, misplacedWires, unconfirmedWires, withWire, type WireRecord } from './wire-map';

const noted = (entry: Partial<WireEntry>): WireEntry => ({
  id: 'a',
  at: '2026-01-05T08:00:00Z',
  kind: 'wire',
  wire: 'w-upper-a',
  from: 'upper-thermostat.2',
  ...entry,
});

const fold = (...entries: Partial<WireEntry>[]) => ({
  wires: entries.reduce<Readonly<Record<string, WireRecord>>>(
    (wires, each) => withWire(wires, noted(each)),
    {},
  ),
});

describe('the map of the wires', () => {
  it('is not there for notes of the first versions', () => {
    expect(fold({ colour: 'red' }).wires).toEqual({});
  });

  it('has an end open until somebody confirms it', () => {
    const open = fold({ stands: 'noted', colour: 'red', number: '3' });
    expect(unconfirmedWires(open)).toMatchObject([{ colour: 'red', number: '3' }]);
    const back = fold(
      { stands: 'noted', colour: 'red' },
      { stands: 'back', to: 'upper-thermostat.2' },
    );
    expect(unconfirmedWires(back)).toEqual([]);
    expect(misplacedWires(back)).toEqual([]);
  });

  it('knows a wire on the wrong terminal, until it is put right', () => {
    const wrong = fold({ stands: 'noted' }, { stands: 'back', to: 'upper-thermostat.4' });
    expect(misplacedWires(wrong)).toHaveLength(1);
    const right = fold(
      { stands: 'noted' },
      { stands: 'back', to: 'upper-thermostat.4' },
      { stands: 'back', to: 'upper-thermostat.2' },
    );
    expect(misplacedWires(right)).toEqual([]);
  });

  it('leads to the terminal of the new part where it has others', () => {
    const mapped = fold(
      { stands: 'noted' },
      { stands: 'mapped', to: 'T2' },
      { stands: 'back', to: 'T2' },
    );
    const [record] = Object.values(mapped.wires);
    expect(belongsOn(record!)).toBe('T2');
    expect(misplacedWires(mapped)).toEqual([]);
    // Lifted once more, it is open again.
    const again = fold({ stands: 'noted' }, { stands: 'back' }, { stands: 'noted' });
    expect(unconfirmedWires(again)).toHaveLength(1);
  });
});
