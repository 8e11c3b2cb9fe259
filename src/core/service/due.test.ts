import { describe, expect, it } from 'vitest';
import { familyOf } from '../appliances/all';
import type { Entry, JobFile } from '../job-file';
import { emptyJob } from '../../../tests/plates';
import { dueOfJob, monthsAfter } from '.';

/** Intervals and what they are counted from: the design's table of services, marked there as common practice. */

const electric = familyOf('electric-storage-two-element')!;
const gas = familyOf('gas-storage-pilot')!;
const now = new Date('2026-11-27T08:00:00Z');

let made = 0;
const entry = (at: string, body: object): Entry =>
  ({ id: `018f0000-0000-7000-8000-${String(++made).padStart(12, '0')}`, at, ...body }) as Entry;
const jobWith = (entries: Entry[], unit: Partial<JobFile['unit']> = {}) => {
  const job = emptyJob({ entries });
  return { ...job, unit: { ...job.unit, ...unit } };
};
const dueAt = (job: JobFile, id: string, family = electric, intervals = {}) => {
  const found = dueOfJob(job, family, now, intervals).find(({ service }) => service.id === id);
  return found?.dueAt?.slice(0, 10);
};
const flushed = (at: string, key: 'done' | 'skipped') => {
  const run = '018f0000-0000-7000-8000-00000000000a';
  const step = { kind: 'step', run, procedure: 'flush' };
  return [
    entry(at, { ...step, step: 'drain', phase: key }),
    entry(at, { ...step, step: 'done', phase: 'done', ends: 'done' }),
  ];
};

describe('what comes due', () => {
  it('is counted from the installation where nothing was done, and is due now where nobody knows', () => {
    expect(dueAt(jobWith([], { installed: '2025-06' }), 'flush')).toBe('2026-06-01');
    const [first] = dueOfJob(jobWith([]), electric, now).filter(
      ({ service }) => service.id === 'flush',
    );
    expect(first).toMatchObject({ isDue: true });
    expect(first!.dueAt).toBeUndefined();
  });

  it('is counted from the last of its kind, on this job or on others', () => {
    const job = jobWith([entry('2026-03-10T09:00:00Z', { kind: 'service', service: 'flush' })], {
      installed: '2019',
      served: { flush: '2024-01-01T00:00:00Z', anode: '2025-02-03T00:00:00Z' },
    });
    expect(dueAt(job, 'flush')).toBe('2027-03-10');
    expect(dueAt(job, 'anode')).toBe('2030-02-03');
  });

  it('counts a procedure that was gone through, but not one whose key step was left out', () => {
    const at = '2026-05-01T09:00:00Z';
    expect(dueAt(jobWith(flushed(at, 'done'), { installed: '2019' }), 'flush')).toBe('2027-05-01');
    expect(dueAt(jobWith(flushed(at, 'skipped'), { installed: '2019' }), 'flush')).toBe(
      '2020-01-01',
    );
  });

  it('is sooner in hard water, in a laundry, and after a worn anode', () => {
    const served = { flush: '2026-01-01T00:00:00Z', anode: '2026-01-01T00:00:00Z' };
    const hard = { ...jobWith([], { served }), site: { water: { hardness: 'hard, well' } } };
    expect(dueAt(hard, 'flush')).toBe('2026-07-01');
    const worn = [
      entry('2026-01-01T00:00:00Z', { kind: 'observation', check: 'anode-look', value: 'worn' }),
    ];
    expect(dueAt(jobWith(worn, { served }), 'anode')).toBe('2028-01-01');
    const laundry = {
      ...jobWith([], { installed: '2026-01' }),
      complaint: { answers: { lint: 'yes' } },
    };
    expect(dueAt(laundry, 'intake-filter', gas)).toBe('2026-03-01');
  });

  it('goes by the intervals of the firm', () => {
    const job = jobWith([], { installed: '2026-01' });
    expect(dueAt(job, 'flush', electric, { flush: 24 })).toBe('2028-01-01');
  });

  it('asks for a look the day after a pilot was lit again, until it was had', () => {
    const lit = entry('2026-11-26T10:00:00Z', {
      kind: 'action',
      action: 'replace',
      repair: 'relight-pilot',
    });
    expect(dueAt(jobWith([lit]), 'pilot-recheck', gas)).toBe('2026-11-27');
    const looked = entry('2026-11-27T07:00:00Z', {
      kind: 'observation',
      check: 'pilot-after-a-day',
      value: 'lit',
    });
    expect(dueAt(jobWith([lit, looked]), 'pilot-recheck', gas)).toBeUndefined();
    expect(dueOfJob(jobWith([]), gas, now).map(({ service }) => service.id)).not.toContain(
      'pilot-recheck',
    );
  });

  it('leaves what burns gas to units that do', () => {
    const ids = dueOfJob(jobWith([]), electric, now).map(({ service }) => service.id);
    expect(ids).toEqual(expect.arrayContaining(['flush', 'anode', 'relief-valve']));
    expect(ids).not.toContain('intake-filter');
  });

  it('takes the last day of a shorter month', () => {
    expect(monthsAfter('2024-01-31T12:00:00Z', 1).toISOString()).toBe('2024-02-29T12:00:00.000Z');
  });
});
