import { describe, expect, it } from 'vitest';
import { emptyJob, provedDead, stamp } from '../../../tests/plates';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import type { Entry } from '../job-file';
import { diagnoseJob } from '.';

const reading = (check: string, value: object): Entry =>
  ({ ...stamp(), kind: 'reading', check, value }) as Entry;
const chanceOf = (...entries: Entry[]) =>
  diagnoseJob(emptyJob({ complaint: { kind: 'runs-out', answers: {} }, entries }), {
    depth: 'one-step',
  }).answer.suspects.find((each) => each.repair === 'look-further')?.probability ?? 0;

describe('something that is in no list', () => {
  const dead = () => ({ ...stamp(), ...provedDead(family) }) as Entry;

  it('is a few in a hundred before anything is read', () => {
    expect(chanceOf()).toBeGreaterThan(0.005);
    expect(chanceOf()).toBeLessThan(0.06);
  });

  it('grows where an element reads what no element of its plate does', () => {
    // 4500 W at 240 V is 12.8 Ω by Ohm's law; 7 Ω is no element of this plate, neither good, open nor earthed.
    const odd = [
      reading('lower-element-ohms', { ohm: 7 }),
      reading('lower-element-ohms', { ohm: 7 }),
    ];
    expect(chanceOf(dead(), ...odd)).toBeGreaterThan(5 * chanceOf());
  });

  it('falls where a listed fault explains what is read', () => {
    const open = reading('lower-element-ohms', { overRange: true, above: { ohm: 2e6 } });
    expect(chanceOf(dead(), open)).toBeLessThan(0.1);
  });

  it('is left behind by good readings of a good unit', () => {
    const good = [
      reading('upper-element-ohms', { ohm: 12.9 }),
      reading('lower-element-ohms', { ohm: 12.9 }),
    ];
    expect(chanceOf(dead(), ...good)).toBeLessThan(0.08);
  });
});
