import { describe, expect, it } from 'vitest';
import type { Entry } from '@/core/job-file';
import type { MixingReading } from '@/core/mixing-valve';
import { stamp } from '../../../tests/plates';
import { evidenceOfStep } from './evidence-of-step';

const family = { isCheckId: (id: string | undefined): id is string => id !== undefined };
const reading = (eighths: number, tapCelsius: number): MixingReading => ({
  eighths,
  hotCelsius: 50,
  mixedCelsius: tapCelsius + 0.6,
  coldCelsius: 10,
  tapCelsius,
});
const read = { kind: 'mixing', phase: 'read' } as Entry;
const checks = (entries: readonly Entry[], before: readonly MixingReading[], now: MixingReading) =>
  evidenceOfStep(family, entries, before, now).map((each) => 'check' in each && each.check);

describe('what readings at the valve tell the diagnosis', () => {
  it('is the three as found, then the first step either way', () => {
    expect(checks([], [], reading(0, 40))).toEqual([
      'mixer-hot-port-temperature',
      'mixer-mixed-port-temperature',
      'tap-temperature',
    ]);
    expect(checks([read], [reading(0, 40)], reading(1, 44))).toEqual(['mixer-step-open-rise']);
    expect(checks([read], [reading(0, 40)], reading(-1, 36))).toEqual(['mixer-step-shut-fall']);
    expect(checks([read], [reading(0, 40)], reading(2, 47))).toEqual([]);
  });

  it('is what it is without a reading that was struck', () => {
    const [first, wrong] = [
      { ...stamp(), ...read },
      { ...stamp(), ...read },
    ];
    const struck = { ...stamp(), kind: 'correction', replaces: wrong.id, entry: null } as Entry;
    const entries = [first, wrong, struck] as Entry[];
    expect(checks(entries, [reading(0, 40)], reading(1, 44))).toEqual(['mixer-step-open-rise']);
  });

  it('is nothing of a valve that was begun anew, wherever it stands', () => {
    expect(checks([read, read], [], reading(0, 46))).toEqual([]);
    expect(checks([read, read, read], [reading(0, 46)], reading(1, 48))).toEqual([]);
  });
});
