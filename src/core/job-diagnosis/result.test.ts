import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import type { Entry, JobFile } from '../job-file';
import { resultOf } from './result';

const ohms = (ohm: number, leadOhm?: number, rest: object = {}): Entry =>
  ({
    ...stamp(),
    kind: 'reading',
    check: 'upper-element-ohms',
    value: { ohm },
    ...(leadOhm === undefined ? {} : { leads: { ohm: leadOhm } }),
    ...rest,
  }) as Entry;
const of = (entry: Entry, instruments?: JobFile['instruments']) =>
  resultOf({ ...emptyJob(), instruments }, entry, family);

describe('what a reading gave', () => {
  it('has the leads of its meter brought to usual ones, 0.2 Ω, once', () => {
    // By hand: 12.8 with 5 Ω of leads is 7.8 at the terminals, and 8.0 with usual leads.
    expect(of(ohms(12.8, 5))).toEqual({ kind: 'number', value: expect.closeTo(8, 9) as number });
    expect(of(ohms(1, 0.9))).toEqual({ kind: 'number', value: expect.closeTo(0.3, 9) as number });
    expect(of(ohms(12.8))).toEqual({ kind: 'number', value: 12.8 });
    expect(of(ohms(0.1, 5))).toEqual({ kind: 'number', value: 0 });
  });

  it('takes the leads of the instrument it names, and its own before those', () => {
    const instruments = [{ id: 'm1', kind: 'multimeter', leads: { ohm: 1.2 } }];
    const named = { instrument: 'm1' };
    expect(of(ohms(13, undefined, named), instruments)).toMatchObject({
      value: expect.closeTo(12, 9) as number,
    });
    expect(of(ohms(13, 0.2, named), instruments)).toMatchObject({ value: 13 });
  });

  it('is taken by the quantity of its check, and is nothing where that has no number', () => {
    expect(of({ ...ohms(1), value: { volt: 240 } } as Entry)).toBeUndefined();
    expect(of({ ...ohms(1), value: { overRange: true } } as Entry)).toEqual({
      kind: 'over-range',
      above: undefined,
    });
  });
});
