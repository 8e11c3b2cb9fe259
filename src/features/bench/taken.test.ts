import { describe, expect, it } from 'vitest';
import { electricStorageTwoElement as family } from '@/core/appliances/electric-storage-two-element';
import { diagnoseJob } from '@/core/job-diagnosis';
import type { Entry } from '@/core/job-file';
import type { NewEntry } from '@/features/record/use-job-record';
import { takenWords } from '@/features/record/words';
import { emptyJob, stamp } from '../../../tests/plates';
import { takenNow, withTaken } from './taken';

const ohms = (ohm: number): NewEntry => ({
  kind: 'reading',
  check: 'upper-element-ohms',
  value: { ohm },
});
const volts: NewEntry = { kind: 'reading', check: 'supply-volts', value: { volt: 238 } };
const beep: NewEntry = { kind: 'observation', check: 'upper-element-beep', value: 'beeps' };
const meter = { leadOhm: 0.4, beepBelowOhm: 20 };

describe('what belongs to a result beside its number', () => {
  it('is the leads for ohms, the load for volts, the threshold for a beep', () => {
    expect(withTaken(family, ohms(13), meter, 'loaded')).toEqual({
      ...ohms(13),
      leads: { ohm: 0.4 },
    });
    expect(withTaken(family, volts, meter, 'loaded')).toEqual({
      ...volts,
      state: { load: 'loaded' },
    });
    expect(withTaken(family, beep, meter, undefined)).toEqual({ ...beep, threshold: { ohm: 20 } });
  });

  it('is not invented where nobody said', () => {
    for (const each of [ohms(13), volts, beep]) {
      expect(withTaken(family, each, {}, undefined)).toEqual(each);
    }
    expect(takenNow('leads', {}, undefined)).toMatch(/not known/);
  });

  it('leaves the wires that the entry names', () => {
    const lifted = [{ wire: 'w-upper-a', end: 'upper-element.a' }];
    const entry = withTaken(family, { ...volts, state: { lifted } }, meter, 'open-circuit');
    expect(entry).toMatchObject({ state: { lifted, load: 'open-circuit' } });
  });

  it('is named with a result, but the leads of the usual meter only once, at its head', () => {
    const job = emptyJob({ instruments: [{ id: 'm', kind: 'multimeter', leads: { ohm: 0.2 } }] });
    const named = (entry: NewEntry, leadOhm?: number) =>
      takenWords(
        {
          ...stamp(),
          ...withTaken(family, entry, { leadOhm, beepBelowOhm: 20 }, 'loaded'),
        } as Entry,
        job,
      );
    expect(named(ohms(13), 0.2)).toBe('');
    expect(named(ohms(13), 0.5)).toBe('leads 0.5 Ω');
    expect(named(volts)).toBe('under load');
    expect(named(beep)).toBe('beeps below 20 Ω');
  });

  it('counts: a beep under 200 Ω clears an element less than one under 20 Ω', () => {
    const left = (beepBelowOhm: number) => {
      const entry = withTaken(family, beep, { beepBelowOhm }, undefined);
      const job = emptyJob({ entries: [{ ...stamp(), ...entry } as Entry] });
      return diagnoseJob(job)
        .answer.suspects.filter(({ repair }) => repair === 'replace-upper-element')
        .reduce((sum, each) => sum + each.probability, 0);
    };
    expect(left(200)).toBeGreaterThan(left(20));
  });
});
