import { describe, expect, it } from 'vitest';
import { answer, reading } from '../../../tests/electric-job';
import { emptyJob, provedDead, stamp } from '../../../tests/plates';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import type { Entry, JobFile } from '../job-file';
import { practiseJob } from '../practice/run-job';
import { seededRandom, simulatedTwoElement, simulateUnit } from '../simulation';
import { partReadingSchool } from '.';

describe('a part found by what others read', () => {
  const simulated = (seed: number, school: string) => {
    const random = seededRandom(seed);
    const start = emptyJob();
    const unit = simulateUnit(simulatedTwoElement, family.plateOf(start), random);
    let ids = 0;
    const clock = {
      newId: () => `e${++ids}`,
      after: () => new Date(Date.UTC(2026, 0, 1, 8, ids)).toISOString(),
    };
    return practiseJob(
      {
        ...start,
        complaint: unit.complaint as JobFile['complaint'],
        constraints: { schools: { [partReadingSchool.id]: school } },
      },
      unit,
      clock,
    );
  };

  /** Jobs practised to their end with one school or the other: how often a part is fitted that nothing has read. */
  const outcomes = (school: string) => {
    let [fitted, unread] = [0, 0];
    for (let seed = 1; seed <= 26; seed++) {
      const { job: done, answer: last } = simulated(seed, school);
      const [leading] = last.suspects;
      if (!last.decided || family.repairs[leading!.repair]!.parts.length === 0) {
        expect(last.unread).toBeUndefined();
        continue;
      }
      fitted += 1;
      if (!last.unread) continue;
      unread += 1;
      const taken = done.entries.flatMap((each) => ('check' in each ? [each.check] : []));
      expect(taken).not.toContain(last.unread.check);
      expect(last.unread.minutes).toBeGreaterThan(0);
      // What costs a few minutes has been asked for before the verdict.
      if (school === partReadingSchool.on) expect(last.unread.minutes).toBeGreaterThan(5);
    }
    return { fitted, unread };
  };

  it('is read before the verdict where that costs a few minutes, unless the firm trusts the others', () => {
    const [careful, trusting] = [outcomes(partReadingSchool.on), outcomes(partReadingSchool.off)];
    expect(careful.fitted).toBeGreaterThan(10);
    expect(trusting.unread).toBeGreaterThan(careful.unread);
  });

  const eliminated = [
    reading('upper-element-volts', { volt: 238 }, { state: { power: 'on' } }),
    reading('outlet-first', { celsius: 16 }),
    reading('lower-path-ohms', { ohm: 13.1 }),
    { ...stamp(), kind: 'action', action: 'open', target: 'upper' } as Entry,
    { ...stamp(), kind: 'action', action: 'power-off' } as Entry,
    { ...stamp(), ...provedDead(family) } as Entry,
  ];

  it('is the next check, and taking the part without it is one refusal', () => {
    const asked = answer(eliminated);
    expect(asked.next).toMatchObject({
      check: 'upper-element-ohms',
      confirms: 'replace-upper-element',
    });
    expect(asked.decided).toBe(false);
    const refusal: Entry = {
      ...stamp(),
      kind: 'skip',
      check: 'upper-element-ohms',
      reason: 'skipped',
    };
    const others = ['beep', 'a-to-tank-ohms', 'b-to-tank-ohms', 'insulation-ohms'].map(
      (each): Entry => ({ ...refusal, ...stamp(), check: `upper-element-${each}` }),
    );
    const taken = answer([...eliminated, refusal, ...others]);
    expect(taken.decided).toBe(true);
    expect(taken.suspects[0]!.repair).toBe('replace-upper-element');
    const off = { constraints: { schools: { [partReadingSchool.id]: partReadingSchool.off } } };
    const trusting = answer(eliminated, off);
    expect(trusting.decided).toBe(true);
    expect(trusting.unread).toMatchObject({ check: 'upper-element-ohms' });
  });

  it('is read by two probes put on it, whether or not that is a check of its own', () => {
    const probed = {
      ...stamp(),
      kind: 'reading',
      between: ['upper-element.a', 'upper-element.b'],
      quantity: 'resistance',
      value: { overRange: true },
      state: { lifted: [{ wire: 'w-upper-a', end: 'upper-element.a' }] },
    } as Entry;
    const after = answer([...eliminated, probed]);
    expect(after.decided).toBe(true);
    expect(after.unread).toBeUndefined();
  });
});
