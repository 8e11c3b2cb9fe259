import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { familyOf } from '../appliances/all';
import { balancingSession } from '../balancing';
import { balancingProblems } from './balancing-problems';
import type { BalancingEntry, Entry } from './generated/job-types';

const { catalogue } = familyOf('combi-boiler')!;
const entry = (fields: object): BalancingEntry => ({
  id: '00000000-0000-4000-8000-000000000001',
  at: '2026-03-02T08:00:00Z',
  kind: 'balancing',
  phase: 'surface',
  ...fields,
});
const pointers = (fields: object, of = catalogue) =>
  balancingProblems(entry(fields), '/entries/0', of).map(({ pointer }) => pointer);

describe('an entry of balancing', () => {
  it('says what its phase needs, each lack with its pointer', () => {
    expect(pointers({ phase: 'surface' })).toEqual([
      '/entries/0/radiator',
      '/entries/0/top',
      '/entries/0/bottom',
    ]);
    expect(pointers({ phase: 'valve', radiator: 'a', turnsFromShut: 1 })).toEqual([
      '/entries/0/as',
    ]);
    expect(pointers({ phase: 'changed' })).toEqual([]);
  });

  it('is refused in another unit, in two, and where no radiator can be so', () => {
    const read = (top: object, bottom: object) => pointers({ radiator: 'a', top, bottom });
    expect(read({ celsius: 60 }, { celsius: 50 })).toEqual([]);
    expect(read({ kelvin: 60 }, { celsius: 50 })).toEqual(['/entries/0/top']);
    expect(read({ celsius: 60, volt: 1 }, { celsius: 50 })).toEqual(['/entries/0/top']);
    expect(read({ celsius: 60 }, { celsius: 130 })).toEqual(['/entries/0/bottom']);
    expect(read({ celsius: 60 }, { celsius: 1600 })).toEqual(['/entries/0/bottom/celsius']);
    const boiler = (flow: number, back: number) =>
      pointers({ phase: 'boiler', flow: { celsius: flow }, return: { celsius: back } });
    expect(boiler(60, 50)).toEqual([]);
    expect(boiler(50, 60)).toEqual(['/entries/0/return']);
    expect(boiler(50, 50)).toEqual(['/entries/0/return']);
    expect(pointers({ phase: 'boiler', flow: { celsius: 60 } })).toEqual([]);
    const listed = { radiator: 'a', room: 'r', radiatorKind: '22', height: { millimetre: 600 } };
    expect(pointers({ phase: 'radiator', ...listed, width: { millimetre: 1 } })).toEqual([
      '/entries/0/width',
    ]);
  });

  it('is refused in a family that heats no radiators', () => {
    const { catalogue: tank } = familyOf('gas-storage-pilot')!;
    expect(pointers({ radiator: 'a' }, tank)).toEqual(['/entries/0/kind']);
  });
});

describe('a logbook of balancing', () => {
  it('is read whatever stands in it, and in whatever order', () => {
    const id = fc.constantFrom('a', 'b', 'toString', '__proto__', 'constructor');
    const celsius = fc.record({ celsius: fc.double({ min: -50, max: 200, noNaN: true }) });
    const one = fc.record(
      {
        phase: fc.constantFrom(
          'radiator',
          'warming',
          'valve',
          'boiler',
          'surface',
          'set-aside',
          'taken-in',
          'changed',
          'ended',
        ),
        radiator: id,
        radiatorKind: fc.constantFrom('11', '22'),
        width: fc.record({ millimetre: fc.integer({ min: 0, max: 3000 }) }),
        height: fc.record({ millimetre: fc.integer({ min: 0, max: 900 }) }),
        turnsFromShut: fc.double({ min: 0, max: 10, noNaN: true }),
        as: fc.constantFrom('found', 'left'),
        top: celsius,
        bottom: celsius,
        flow: celsius,
      },
      { requiredKeys: ['phase'] },
    );
    fc.assert(
      fc.property(fc.array(one, { maxLength: 30 }), (all) => {
        const entries = all.map((each, k) => ({
          ...entry(each),
          id: `00000000-0000-4000-8000-${String(k).padStart(12, '0')}`,
          at: new Date(Date.UTC(2026, 2, 2, 8, 0, (k * 7) % 30)).toISOString(),
        })) as Entry[];
        const { radiators, rounds } = balancingSession(entries);
        for (const { turns, topCelsius } of rounds) {
          expect(turns).toHaveLength(radiators.length);
          expect(topCelsius).toHaveLength(radiators.length);
        }
      }),
      { numRuns: 300, seed: 9 },
    );
  });
});
