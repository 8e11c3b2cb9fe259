import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { familyOf } from '../appliances/all';
import { halfCylinderMinutes } from '../appliances/heat-pump-cylinder/sheet';
import { foldEntries, type Entry, type JobFile } from '../job-file';
import { heatingMinutes } from '../thermal';
import { settingsSheet } from '.';

const plates = {
  'heat-pump-cylinder': {
    heatPump: { watt: 8000 },
    volume: { litre: 200 },
    flowLimit: { celsius: 60 },
  },
  'wireless-cylinder-control': { arrangement: 'two-zone-valves' },
} as const;

/** What the rules say of a sheet with these as found. */
function findingsOf(id: keyof typeof plates, found: Readonly<Record<string, unknown>>) {
  const family = familyOf(id)!;
  const job = emptyJob({
    unit: { family: id, plate: plates[id] } as unknown as JobFile['unit'],
    complaint: { kind: 'lukewarm', answers: {} },
    entries: Object.entries(found).map(
      ([setting, value]) =>
        ({ ...stamp(), kind: 'setting', setting, as: 'found', value }) as unknown as Entry,
    ),
  });
  const { findings } = settingsSheet(
    family,
    family.plateOf(job),
    foldEntries(job.entries, family.catalogue),
    undefined,
  )!;
  return Object.fromEntries(findings.map(({ id: rule, state }) => [rule, state]));
}

describe('the sheet of a heat pump', () => {
  const good = {
    'hot-water-setpoint': { celsius: 50 },
    'operating-mode': 'normal',
    'restart-differential': { kelvin: 6 },
    'hot-water-window': { second: 7200 },
    'window-ends': 'before-draw',
    disinfection: 'weekly',
    'curve-supply-at-design': { celsius: 45 },
    circulation: 'timed',
    'mixing-valve-setpoint': { celsius: 44 },
    household: 'able',
  };
  const with_ = (other: Readonly<Record<string, unknown>>) =>
    findingsOf('heat-pump-cylinder', { ...good, ...other });

  it('keeps every rule where it is set well, and knows nothing of what nobody read', () => {
    expect(new Set(Object.values(with_({})))).toEqual(new Set(['kept']));
    expect(Object.values(findingsOf('heat-pump-cylinder', {}))).not.toContain('broken');
  });

  it.each([
    [{ 'operating-mode': 'holiday' }, 'mode'],
    [{ 'hot-water-setpoint': { celsius: 58 } }, 'reach'],
    [{ 'hot-water-window': { second: 1200 } }, 'window'],
    [{ 'window-ends': 'long-before' }, 'window'],
    [{ 'window-ends': 'never' }, 'window'],
    [{ 'restart-differential': { kelvin: 16 } }, 'differential'],
    [{ disinfection: 'off' }, 'bacteria'],
    [{ 'curve-supply-at-design': { celsius: 62 } }, 'curve-limit'],
    [{ circulation: 'always' }, 'circulation'],
    [{ 'mixing-valve-setpoint': { celsius: 49 }, household: 'vulnerable' }, 'scald'],
  ])('with %j breaks %s, and no other', (other, rule) => {
    const broken = Object.entries(with_(other)).filter(([, state]) => state === 'broken');
    expect(broken.map(([id]) => id)).toEqual([rule]);
  });

  it('counts the minutes of half a cylinder as its heat and its water have them', () => {
    const plate = familyOf('heat-pump-cylinder')!.plateOf({
      unit: { family: 'heat-pump-cylinder', plate: plates['heat-pump-cylinder'] },
    } as unknown as JobFile);
    const own = halfCylinderMinutes(plate as never, 50);
    const judge = heatingMinutes({ litre: 100, fromCelsius: 10, toCelsius: 50, watt: 7000 });
    expect(Math.abs(own - judge)).toBeLessThan(1);
  });
});

describe('the sheet of a wireless control', () => {
  const good = {
    'hot-water-setpoint': { celsius: 60 },
    'call-differential': { kelvin: 10 },
    overrun: { second: 0 },
    'told-arrangement': 'two-zone-valves',
    'binding-hot-water': 'hot-water-receiver',
    'binding-heating': 'heating-receiver',
    'operating-mode': 'normal',
    'hot-water-periods': 'cover',
    'boiler-flow': { celsius: 75 },
    household: 'able',
  };
  it('keeps every rule where it is set well', () => {
    expect(new Set(Object.values(findingsOf('wireless-cylinder-control', good)))).toEqual(
      new Set(['kept']),
    );
  });

  it.each([
    [{ 'call-differential': { kelvin: 20 } }, 'call-sum'],
    [{ overrun: { second: 300 } }, 'overrun'],
    [{ 'told-arrangement': 'mid-position-valve' }, 'arrangement'],
    [{ 'binding-hot-water': 'heating-receiver' }, 'bindings'],
    [{ 'operating-mode': 'hot-water-off' }, 'mode'],
    [{ 'hot-water-periods': 'none' }, 'periods'],
    [{ 'boiler-flow': { celsius: 65 } }, 'boiler-flow'],
    [{ household: 'vulnerable' }, 'scald'],
  ])('with %j breaks %s, and no other', (other, rule) => {
    const states = findingsOf('wireless-cylinder-control', { ...good, ...other });
    expect(Object.keys(states).filter((id) => states[id] === 'broken')).toEqual([rule]);
  });
});
