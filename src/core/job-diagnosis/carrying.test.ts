import { describe, expect, it } from 'vitest';
import { job, reading } from '../../../tests/electric-job';
import { stamp } from '../../../tests/plates';
import type { Entry, VerdictEntry } from '../job-file';
import { carryingResults, diagnoseJob, isTakenUnread } from '.';

const over = { overRange: true, above: { ohm: 2e6 } };
const path = reading('upper-path-ohms', over);
const contact = reading('upper-contact-high-ohms', { ohm: 0.3 });
const own = reading('upper-element-ohms', over);
const cold = reading('outlet-first', { celsius: 16 });

const verdictOn = (entries: Entry[]): VerdictEntry => {
  const { suspects } = diagnoseJob(job(entries)).answer;
  return {
    ...stamp(),
    kind: 'verdict',
    engine: 'test',
    parameters: 'test',
    repair: suspects[0]!.repair,
    suspects: suspects.slice(0, 3).map((each) => ({
      repair: each.repair,
      repairs: [...each.repairs],
      probability: each.probability,
      faults: [...each.faults],
      why: [...each.why],
    })),
  };
};

describe('what carries a verdict', () => {
  const carrying = (entries: Entry[]) => {
    const open = diagnoseJob(job(entries));
    return carryingResults(open, open.answer.suspects[0]!);
  };

  it('is what was read on the suspect part itself, before what speaks most for it', () => {
    expect(carrying([path, cold, contact, own])[0]).toBe(own.id);
    expect(carrying([own, path, cold, contact])[0]).toBe(own.id);
  });

  it('is three readings at most, and none that speaks against it', () => {
    const found = carrying([path, cold, contact, own]);
    expect(found.length).toBeLessThanOrEqual(3);
    const { why } = diagnoseJob(job([path, cold, contact, own])).answer.suspects[0]!;
    for (const id of found) {
      expect(why.find((each) => each.entry === id)!.decibans).toBeGreaterThanOrEqual(1);
    }
  });

  it('is no answer of the caller where there is a reading', () => {
    const known = new Set([path, own].map((each) => each.id));
    expect(carrying([path, own]).every((each) => known.has(each))).toBe(true);
  });

  it('is what the caller said where nothing was read', () => {
    const open = diagnoseJob(job([], { complaint: { kind: 'trips-breaker', answers: {} } }));
    const [first] = carryingResults(open, open.answer.suspects[0]!);
    expect(first).toMatch(/^call:/);
  });

  it('is nothing of an entry that is not there any more', () => {
    const open = diagnoseJob(job([path]));
    const suspect = { repair: 'replace-upper-element', why: [{ entry: 'gone', decibans: 30 }] };
    expect(carryingResults(open, suspect)).toEqual(['gone']);
    expect(
      carryingResults(open, { ...suspect, why: [...suspect.why, { entry: path.id, decibans: 2 }] }),
    ).toEqual([path.id]);
  });
});

describe('a part taken without being read on itself', () => {
  const taken = (before: Entry[], verdict = verdictOn(before)) =>
    isTakenUnread(diagnoseJob(job([...before, verdict])), verdict);

  it('is said of a verdict by what others read', () => {
    const byOthers = [path, contact, reading('limit-pole-1-ohms', { ohm: 0.2 })];
    const verdict = { ...verdictOn([path, own]), repair: 'replace-upper-element' };
    expect(taken(byOthers, { ...verdict, ...stamp() })).toBe(true);
  });

  it('is not said once the part was read, by a check or by two probes on it', () => {
    expect(taken([path, own])).toBe(false);
    const probed = {
      ...stamp(),
      kind: 'reading',
      between: ['upper-element.a', 'upper-element.b'],
      quantity: 'resistance',
      value: { overRange: true },
      state: { lifted: [{ wire: 'w-upper-a', end: 'upper-element.a' }] },
    } as Entry;
    const verdict = { ...verdictOn([path, own]), ...stamp() };
    expect(taken([path, probed], verdict)).toBe(false);
  });

  it('is said again of a second part, though the first was read before its repair', () => {
    const replaced: Entry = {
      ...stamp(),
      kind: 'action',
      action: 'replace',
      repair: 'replace-upper-element',
    };
    const second = { ...verdictOn([path, own]), ...stamp() };
    const late = { ...replaced };
    expect(taken([path, own, late], second)).toBe(true);
  });
});
