import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import { walkEntries, type Entry, type JobFile } from '../job-file';
import { diagnoseJob } from '.';
import { evidenceOf } from './evidence';

const made = (rest: object): Entry => ({ ...stamp(), ...rest }) as Entry;
const evidence = (entries: Entry[], overrides: Partial<JobFile> = {}) => {
  const job = emptyJob({ entries, ...overrides });
  return evidenceOf(family, job, walkEntries(job.entries, family.catalogue));
};
const keys = (entries: Entry[]) =>
  evidence(entries)
    .filter((each) => !each.checkId.startsWith('call:'))
    .map((each) => each.observable.key);

describe('what counts as evidence', () => {
  it('is the complaint and every answer that the tables know', () => {
    const call = evidence([], {
      complaint: {
        kind: 'runs-out',
        answers: { onset: 'gradual', allOutlets: true, mood: 'bad', rumble: 'perhaps' },
      },
    });
    expect(call.map((each) => each.entryId)).toEqual([
      'call:complaint',
      'call:onset',
      'call:allOutlets',
    ]);
  });

  it('is every reading and observation, and no action', () => {
    const found = keys([
      made({ kind: 'action', action: 'power-off' }),
      made({ kind: 'reading', check: 'upper-element-ohms', value: { ohm: 13 } }),
      made({ kind: 'observation', check: 'splices-look', value: 'sound' }),
      made({ kind: 'skip', check: 'supply-volts', reason: 'cannot' }),
    ]);
    expect(found).toHaveLength(2);
  });

  it('is both dials as found, as good as a look at them', () => {
    const dial = (which: string, celsius: number) =>
      made({ kind: 'setting', setting: `${which}-dial`, as: 'found', value: { celsius } });
    const outcome = (upper: number, lower: number) =>
      evidence([dial('upper', upper), dial('lower', lower)]).find(
        (each) => each.checkId === 'dials-look',
      )!.result;
    expect(outcome(50, 50)).toEqual({ kind: 'outcome', outcome: 'equal' });
    expect(outcome(52, 40)).toEqual({ kind: 'outcome', outcome: 'unequal' });
    expect(outcome(40, 38)).toEqual({ kind: 'outcome', outcome: 'low' });
    expect(evidence([dial('upper', 50)]).some((each) => each.checkId === 'dials-look')).toBe(false);
  });

  it('after a reset is a reading of a unit whose limit is closed', () => {
    const ohms = { kind: 'reading', check: 'limit-pole-1-ohms', value: { ohm: 0.3 } };
    const pressed = made({ kind: 'observation', check: 'limit-reset-press', value: 'clicked' });
    const [before] = keys([made(ohms)]);
    const after = keys([pressed, made(ohms)]).at(-1);
    expect(after).not.toBe(before);
  });

  it('says what the check implies unless the entry says otherwise', () => {
    const plain = made({ kind: 'reading', check: 'upper-element-ohms', value: { ohm: 6.6 } });
    const inCircuit = made({
      kind: 'reading',
      check: 'upper-element-ohms',
      value: { ohm: 6.6 },
      state: { lifted: [] },
    });
    expect(keys([plain])[0]).not.toBe(keys([inCircuit])[0]);
  });
});

describe('a limit that tripped', () => {
  it('is shown by the click, and what follows is read with it closed', () => {
    const clicked = made({ kind: 'observation', check: 'limit-reset-press', value: 'clicked' });
    const { suspects } = diagnoseJob(emptyJob({ entries: [clicked] })).answer;
    const top = suspects.slice(0, 3).map((each) => each.repair);
    expect(top).toContain('reset-limit');
    expect(top.some((each) => each.includes('thermostat'))).toBe(true);
  });
});

describe('over range', () => {
  it('on a stated range says more against a high leak than without one', () => {
    const chance = (value: object) =>
      diagnoseJob(
        emptyJob({
          complaint: { kind: 'trips-rcd', answers: {} },
          entries: [
            made({ kind: 'reading', check: 'upper-element-a-to-tank-ohms', value }),
            made({ kind: 'reading', check: 'upper-element-b-to-tank-ohms', value }),
          ],
        }),
      )
        .answer.suspects.find((each) => each.repair === 'replace-upper-element')!
        .faults.find((each) => each.id === 'upper-element.leaky')?.probability ?? 0;
    expect(chance({ overRange: true, above: { ohm: 20e6 } })).toBeLessThan(
      chance({ overRange: true }),
    );
    expect(chance({ overRange: true })).toBeLessThanOrEqual(
      chance({ overRange: true, above: { ohm: 2000 } }),
    );
  });
});
