import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { systemBoiler as family } from '../appliances/system-boiler';
import { diagnoseJob } from '../job-diagnosis';
import { foldEntries, type Entry, type JobFile } from '../job-file';
import {
  curveOfSheet,
  emitterCurveOf,
  emitterTarget,
  settingsSheet,
  supplyTarget,
  systemParameters,
  type SheetLine,
} from '.';

const unit = {
  family: family.id,
  plate: { fuel: 'natural-gas', input: { watt: 24_000 }, rated: { volt: 230 } },
} as unknown as JobFile['unit'];
const found = (setting: string, value: unknown): Entry =>
  ({ ...stamp(), kind: 'setting', setting, as: 'found', value }) as unknown as Entry;
const jobOf = (...entries: Entry[]) =>
  emptyJob({ unit, complaint: { kind: 'lukewarm', answers: {} }, entries });
const findings = (...entries: Entry[]) => {
  const job = jobOf(...entries);
  const sheet = settingsSheet(
    family,
    family.plateOf(job),
    foldEntries(job.entries, family.catalogue),
    undefined,
  )!;
  return Object.fromEntries(sheet.findings.map((each) => [each.id, each]));
};

/** The check values of the design: straight, and curved by the exponent of EN 442. */
describe('the heating curve', () => {
  const curve = { outdoorDesign: -10, outdoorMild: 18, supplyAtDesign: 80, supplyAtMild: 50 };
  it.each([
    [4, 65],
    [-10, 80],
    [-20, 80],
    [18, 50],
  ])('at %d °C', (outdoor, supply) => {
    expect(supplyTarget(curve, outdoor)).toBeCloseTo(supply, 6);
  });

  it('calls for nothing where it is warm, and is cut at its limit', () => {
    expect(supplyTarget(curve, 25)).toBeUndefined();
    expect(supplyTarget({ ...curve, supplyLimit: 60 }, -10)).toBe(60);
    expect(() => supplyTarget({ ...curve, outdoorMild: -10 }, 0)).toThrow(RangeError);
  });

  it('bends as radiators do', () => {
    const emitter = {
      room: 20,
      outdoorDesign: -10,
      supplyAtDesign: 70,
      returnAtDesign: 55,
      exponent: 1.3,
    };
    expect(emitterTarget(emitter, 5)).toBeCloseTo(48.7, 1);
    expect(emitterTarget(emitter, 22)).toBe(20);
  });
});

describe('the curve of a sheet', () => {
  const ends = (as: 'found' | 'left', ...lines: SheetLine[]) =>
    curveOfSheet({ lines }, as, 'radiator');
  const line = (id: string, given: Partial<SheetLine>): SheetLine => ({
    parameter: systemParameters.find((each) => each.id === id)!,
    isUnusual: false,
    ...given,
  });
  it('is what was read, and usual where nobody read', () => {
    const design = line('curve-supply-at-design', { found: 75, left: 60 });
    expect(ends('found', design).curve.supplyAtDesign).toBe(75);
    expect(ends('left', design)).toMatchObject({
      curve: { supplyAtDesign: 60, outdoorDesign: -10 },
      told: ['supplyAtDesign'],
    });
    expect(ends('left', line('supply-limit', { found: 55 })).curve.supplyLimit).toBe(55);
  });
  it('bends for its emitters through its cold end', () => {
    const { curve } = ends('left', line('curve-supply-at-design', { found: 70 }));
    expect(emitterTarget(emitterCurveOf(curve, 'radiator'), -10)).toBeCloseTo(70, 6);
    // The design's check value: 48.7 °C at 5 °C outdoors.
    expect(emitterTarget(emitterCurveOf(curve, 'radiator'), 5)).toBeCloseTo(48.7, 1);
  });
});

describe('the sheet of a boiler with zones', () => {
  it('names what is no fault with its own numbers', () => {
    const sheet = findings(
      found('cylinder-setpoint', { celsius: 60 }),
      found('cylinder-limit', { celsius: 60 }),
      found('start-delay-heating', { second: 540 }),
      found('hot-water-switch', 'off'),
    );
    expect(sheet['cylinder-limit']!.state).toBe('broken');
    expect(sheet['start-delay']!.says.join('')).toBe(
      'Not a fault: the start delay is set to 9 min.',
    );
    expect(sheet['hot-water-switch']!.state).toBe('broken');
    expect(sheet.enabled!.state).toBe('unknown');
  });

  it('leaves a gap of 6 K and more alone', () => {
    const sheet = findings(
      found('cylinder-setpoint', { celsius: 60 }),
      found('cylinder-limit', { celsius: 66 }),
    );
    expect(sheet['cylinder-limit']!.state).toBe('kept');
  });

  it('hurts no floor', () => {
    const floor = {
      ...unit,
      plate: { ...unit.plate, emitter: 'radiant-floor' },
    } as unknown as JobFile['unit'];
    const job = emptyJob({
      unit: floor,
      entries: [found('curve-supply-at-design', { celsius: 75 })],
    });
    const sheet = settingsSheet(
      family,
      family.plateOf(job),
      foldEntries(job.entries, family.catalogue),
      undefined,
    )!;
    expect(sheet.findings.find(({ id }) => id === 'emitter')!.state).toBe('broken');
  });

  it.each([
    [
      'cylinder limit at its setpoint',
      [found('cylinder-setpoint', { celsius: 60 }), found('cylinder-limit', { celsius: 62 })],
      'settings.tank-limit-too-near',
    ],
    ['a start delay', [found('start-delay-heating', { second: 540 })], 'settings.start-delay'],
    ['switched off', [found('enabled', 'off')], 'settings.not-enabled'],
  ] as const)('counts as evidence: %s', (_, entries, fault) => {
    const [first] = diagnoseJob(jobOf(...entries), { depth: 'one-step' }).answer.suspects;
    expect(first!.repair).toBe('set-parameters');
    expect(first!.faults[0]!.id).toBe(fault);
  });

  it('tells nothing by half a sheet that is all right so far', () => {
    const bare = diagnoseJob(jobOf(), { depth: 'one-step' }).answer.suspects;
    const half = diagnoseJob(jobOf(found('enabled', 'on')), { depth: 'one-step' }).answer.suspects;
    expect(half[0]!.probability).toBeCloseTo(bare[0]!.probability, 9);
  });
});
