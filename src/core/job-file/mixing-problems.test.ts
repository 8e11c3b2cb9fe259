import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { familyOf } from '../appliances/all';
import { mixingAdvice, mixingSession } from '../mixing-valve';
import type { Entry, MixingEntry } from './generated/job-types';
import { mixingProblems } from './mixing-problems';

const { catalogue } = familyOf('heat-pump-cylinder')!;
const entry = (fields: object): MixingEntry => ({
  id: '00000000-0000-4000-8000-000000000001',
  at: '2026-03-02T08:00:00Z',
  kind: 'mixing',
  phase: 'read',
  ...fields,
});
const pointers = (fields: object, of = catalogue) =>
  mixingProblems(entry(fields), '/entries/0', of).map(({ pointer }) => pointer);
const read = {
  eighths: 0,
  hot: { celsius: 50 },
  mixed: { celsius: 41 },
  cold: { celsius: 10 },
  tap: { celsius: 40 },
};
const begun = {
  phase: 'begun',
  outlet: 'kitchen',
  rule: 'own',
  limit: { celsius: 48 },
  isFrail: false,
  wanted: { celsius: 46 },
};

describe('an entry of a mixing valve', () => {
  it('says what its phase needs, each lack with its pointer', () => {
    expect(pointers(read)).toEqual([]);
    expect(pointers(begun)).toEqual([]);
    expect(pointers({ phase: 'read' })).toEqual(
      ['eighths', 'hot', 'mixed', 'cold', 'tap'].map((each) => `/entries/0/${each}`),
    );
    expect(pointers({ ...begun, isFrail: undefined })).toEqual(['/entries/0/isFrail']);
    expect(pointers({ ...begun, limit: undefined })).toEqual(['/entries/0/limit']);
    expect(pointers({ phase: 'ended', ended: 'wanted' })).toEqual([
      '/entries/0/isLocked',
      '/entries/0/isTold',
    ]);
  });

  it('is refused in another unit, in two, and where no water can be so', () => {
    expect(pointers({ ...read, hot: { kelvin: 50 } })).toEqual(['/entries/0/hot']);
    expect(pointers({ ...read, hot: { celsius: 50, volt: 1 } })).toEqual(['/entries/0/hot']);
    expect(pointers({ ...read, tap: { celsius: 120 } })).toEqual(['/entries/0/tap']);
    expect(pointers({ ...read, cold: { celsius: 47 } })).toEqual(['/entries/0/cold']);
    expect(pointers({ ...read, hot: { celsius: 12 } })).toEqual(['/entries/0/hot']);
    expect(pointers({ ...read, mixed: { celsius: 53 } })).toEqual(['/entries/0/mixed']);
    expect(pointers({ ...read, mixed: { celsius: 7 } })).toEqual(['/entries/0/mixed']);
    // 40 °F, sent as if it were of a tap that runs 40 °C.
    expect(pointers({ ...read, tap: { celsius: 4.4 } })).toEqual(['/entries/0/tap']);
    expect(pointers({ ...read, tap: { celsius: 54 } })).toEqual(['/entries/0/tap']);
    // Two probes at the same water.
    expect(pointers({ ...read, mixed: { celsius: 51 }, tap: { celsius: 9 } })).toEqual([]);
    expect(pointers({ ...begun, limit: { celsius: 70 } })).toEqual(['/entries/0/limit']);
    expect(pointers({ ...begun, wanted: { celsius: 90 } })).toEqual(['/entries/0/wanted']);
  });

  it('is refused in a family without a valve', () => {
    const { catalogue: tank } = familyOf('gas-storage-pilot')!;
    expect(pointers(read, tank)).toEqual(['/entries/0/kind']);
  });
});

describe('a logbook of a mixing valve', () => {
  let second = 0;
  const at = (fields: object): Entry => {
    second += 1;
    return entry({
      id: `00000000-0000-4000-8000-${String(second).padStart(12, '0')}`,
      at: new Date(Date.UTC(2026, 2, 2, 8, 0, second)).toISOString(),
      ...fields,
    }) as Entry;
  };

  it('counts from the last beginning, and a reading after its end takes it up again', () => {
    const stray = at(read);
    const first = [at(begun), at(read), at({ ...read, eighths: 1 })];
    expect(mixingSession(first).steps).toHaveLength(2);
    expect(mixingSession([stray, ...first]).unbegun).toBe(1);
    const ended = [...first, at({ phase: 'ended', ended: 'wanted', isLocked: true, isTold: true })];
    expect(mixingSession(ended).ended?.isLocked).toBe(true);
    expect(mixingSession([...ended, at(read)]).ended).toBeUndefined();
    expect(mixingSession([...ended, at(begun)]).steps).toEqual([]);
  });

  it('holds the strictest limit where nobody said who lives there', () => {
    const { begun: told } = mixingSession([at({ ...begun, isFrail: undefined })]);
    expect(told!.limit.celsius).toBe(41);
  });

  it('is read whatever stands in it, and in whatever order', () => {
    const celsius = fc.record({ celsius: fc.double({ min: -50, max: 200, noNaN: true }) });
    const one = fc.record(
      {
        phase: fc.constantFrom('begun', 'read', 'ended'),
        outlet: fc.constantFrom('bath', 'basin', 'shower', 'kitchen'),
        rule: fc.constantFrom('tmv2', 'document-g', 'own'),
        isFrail: fc.boolean(),
        limit: celsius,
        wanted: celsius,
        eighths: fc.integer({ min: -40, max: 40 }),
        hot: celsius,
        mixed: celsius,
        cold: celsius,
        tap: celsius,
        ended: fc.constantFrom('wanted', 'no-gain', 'stopped'),
        isLocked: fc.boolean(),
      },
      { requiredKeys: ['phase'] },
    );
    fc.assert(
      fc.property(fc.array(one, { maxLength: 12 }), (made) => {
        const session = mixingSession(made.map(at));
        const advice = mixingAdvice({
          tankLitre: 200,
          wantedCelsius: session.begun?.wantedCelsius ?? 46,
          limitCelsius: session.begun?.limit.celsius ?? 48,
          readings: session.steps,
        });
        if (!advice) return;
        const { now, next } = advice;
        for (const value of [now.marginKelvin, now.disinfectionMarginKelvin, now.hotShare]) {
          expect(Number.isFinite(value)).toBe(true);
        }
        if (!next) return;
        expect(Number.isFinite(next.tapCelsius)).toBe(true);
        // What would pass the limit says so.
        expect(next.isOverLimit).toBe(
          Math.min(next.marginKelvin, next.disinfectionMarginKelvin) < 0,
        );
      }),
      { numRuns: 400 },
    );
  });
});
