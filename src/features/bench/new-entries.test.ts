import { describe, expect, it } from 'vitest';
import { electricStorageTwoElement as family } from '@/core/appliances/electric-storage-two-element';
import { validate as isUuid } from 'uuid';
import { readEntry, type Entry } from '@/core/job-file';
import { emptyJob, stamp } from '../../../tests/plates';
import { earlierNeedle, entryOfStep, trialEntry, valueOf, withState } from './new-entries';

const upperA = { wire: 'w-upper-a', end: 'upper-element.a' };
const lowerA = { wire: 'w-lower-a', end: 'lower-element.a' };
const reading = {
  kind: 'reading',
  check: 'upper-element-ohms',
  value: { ohm: 12.9 },
} as const;

describe('what is typed', () => {
  it('becomes a value in the unit of its check', () => {
    const typed = { kind: 'value', value: 18.7 } as never;
    expect(valueOf(family, 'upper-element-amps', typed)).toEqual({ ampere: 18.7 });
    expect(valueOf(family, 'upper-element-ohms', typed)).toEqual({ ohm: 18.7 });
    expect(valueOf(family, 'outlet-first', typed)).toEqual({ celsius: 18.7 });
    expect(valueOf(family, 'upper-element-ohms', { kind: 'over-range' } as never)).toEqual({
      overRange: true,
    });
  });

  it('is nothing while it cannot be read, or where the check is looked at', () => {
    expect(valueOf(family, 'upper-element-ohms', { kind: 'problem', message: 'no' } as never)).toBe(
      undefined,
    );
    expect(valueOf(family, 'splices-look', { kind: 'value', value: 1 } as never)).toBe(undefined);
  });
});

describe('an entry', () => {
  it('on trial comes after all others, under an id that none has', () => {
    const { id, at } = trialEntry(reading);
    expect(isUuid(id)).toBe(true);
    expect(id < stamp().id).toBe(true);
    expect(at > stamp().at).toBe(true);
  });

  it('says which wires hung free where they were not those of its check', () => {
    const asPlanned = withState(family, reading, reading.check, [upperA]);
    expect(asPlanned).toEqual(reading);
    expect(withState(family, reading, reading.check, [])).toMatchObject({ state: { lifted: [] } });
    expect(withState(family, reading, reading.check, [upperA, lowerA])).toMatchObject({
      state: { lifted: [upperA, lowerA] },
    });
  });

  it('keeps what else was said of its state', () => {
    const loaded = { ...reading, state: { load: 'loaded' } } as const;
    expect(withState(family, loaded, reading.check, [])).toMatchObject({
      state: { load: 'loaded', lifted: [] },
    });
  });

  it('is never made of a skip: a skip was taken in no state', () => {
    const skip = { kind: 'skip', check: reading.check, reason: 'cannot' } as const;
    expect(withState(family, skip, reading.check, [])).toEqual(skip);
  });
});

describe('a step', () => {
  it.each([
    [{ kind: 'power-off-and-prove' }, 'power-off'],
    [{ kind: 'power-on' }, 'power-on'],
    [{ kind: 'open-cover', cover: 'upper' }, 'open'],
    [{ kind: 'lift-wire', lifted: upperA }, 'lift-wire'],
    [{ kind: 'refit-wire', lifted: lowerA }, 'refit-wire'],
  ] as const)('%j leaves an entry that a job file takes', (step, action) => {
    const entry = entryOfStep(step);
    expect(entry).toMatchObject({ kind: 'action', action });
    expect(readEntry({ ...stamp(), ...entry })).toMatchObject({ ok: true });
  });
});

describe('the needle of an earlier result', () => {
  const job = (...values: object[]) =>
    emptyJob({
      entries: values.map((value) => ({ ...stamp(), ...reading, value })) as never,
    });

  it('stands at the last one of the same check', () => {
    expect(earlierNeedle(family, job({ ohm: 11 }, { ohm: 12.5 }), reading.check)).toEqual(
      earlierNeedle(family, job({ ohm: 12.5 }), reading.check),
    );
    expect(earlierNeedle(family, job({ ohm: 11 }, { ohm: 12.5 }), reading.check)).not.toEqual(
      earlierNeedle(family, job({ ohm: 11 }), reading.check),
    );
    expect(earlierNeedle(family, job({ overRange: true }), reading.check)).toBeDefined();
  });

  it('is of what it was corrected to, and not there once it was struck', () => {
    const taken = job({ ohm: 11 });
    const [first] = taken.entries;
    const after = (entry: object | null) => ({
      ...taken,
      entries: [
        first!,
        { ...stamp(), kind: 'correction', replaces: first!.id, entry, reason: 'slip' } as Entry,
      ],
    });
    expect(earlierNeedle(family, after({ ...first, value: { ohm: 12.5 } }), reading.check)).toEqual(
      earlierNeedle(family, job({ ohm: 12.5 }), reading.check),
    );
    expect(earlierNeedle(family, after(null), reading.check)).toBeUndefined();
  });

  it('is not there for a check that was never taken', () => {
    expect(earlierNeedle(family, job({ ohm: 11 }), 'lower-element-ohms')).toBeUndefined();
  });
});
