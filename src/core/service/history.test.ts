import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../../tests/plates';
import { familyOf } from '../appliances/all';
import type { Entry, JobFile } from '../job-file';
import { dueOfJob, laterOf, serviceHistory, serviceTold } from '.';

/** What the logbooks of several jobs tell together of services on their unit. */

const gas = familyOf('gas-storage-pilot')!;
const electric = familyOf('electric-storage-two-element')!;

let made = 0;
const idOf = (k: number) => `018f0000-0000-7000-8000-${String(k).padStart(12, '0')}`;
const entry = (at: string, body: object): Entry => ({ id: idOf(++made), at, ...body }) as Entry;
const flushed = (at: string) => entry(at, { kind: 'service', service: 'flush' });
const struck = (at: string, { id }: Entry) =>
  entry(at, { kind: 'correction', replaces: id, entry: null, reason: 'wrong job' });
const anode = (at: string, value: string) =>
  entry(at, { kind: 'observation', check: 'anode-look', value });
const lit = entry('2026-11-26T10:00:00Z', {
  kind: 'action',
  action: 'replace',
  repair: 'relight-pilot',
});
const lookedAfter = entry('2026-11-27T07:00:00Z', {
  kind: 'observation',
  check: 'pilot-after-a-day',
  value: 'lit',
});
const run = (key: number, at: string, phase: 'done' | 'skipped') => {
  const step = { kind: 'step', run: idOf(key), procedure: 'flush' };
  return [
    entry(at, { ...step, step: 'drain', phase }),
    entry(at, { ...step, step: 'done', phase: 'done', ends: 'done' }),
  ];
};
const tellsOf = (entries: Entry[], rest: Partial<JobFile> = {}, family = electric) =>
  serviceTold({ ...emptyJob({ entries }), ...rest }, family);

describe('one job', () => {
  it('tells of no service that was struck', () => {
    const first = flushed('2026-01-01T09:00:00Z');
    const wrong = flushed('2026-05-01T09:00:00Z');
    const entries = [first, wrong, struck('2026-05-01T09:01:00Z', wrong)];
    expect(tellsOf(entries).served).toEqual({ flush: first.at });
  });

  it('tells of the run that had its key step, though a later one left it out', () => {
    const entries = [
      ...run(901, '2026-05-01T09:00:00Z', 'done'),
      ...run(902, '2026-06-01T09:00:00Z', 'skipped'),
    ];
    expect(tellsOf(entries).served).toEqual({ flush: '2026-05-01T09:00:00Z' });
  });

  it('tells of the last by its time, in whatever zone and order it came', () => {
    const entries = [flushed('2026-05-01T12:00:00Z'), flushed('2026-05-01T13:00:00+02:00')];
    expect(tellsOf(entries).served).toEqual({ flush: '2026-05-01T12:00:00Z' });
  });

  it('tells of an anode as it was seen last, by what counts', () => {
    const worn = anode('2026-01-01T09:00:00Z', 'worn');
    expect(tellsOf([worn]).seen).toEqual({ 'worn-was-seen': { at: worn.at, isSo: true } });
    expect(tellsOf([worn, struck('2026-01-01T09:01:00Z', worn)]).seen).toEqual({});
    const good = anode('2026-02-01T09:00:00Z', 'good');
    expect(tellsOf([worn, good]).seen).toEqual({ 'worn-was-seen': { at: good.at, isSo: false } });
  });
});

describe('several jobs', () => {
  it('tell the later of each service', () => {
    const jobs = [
      tellsOf([flushed('2026-05-01T09:00:00Z')]),
      tellsOf([flushed('2026-03-01T09:00:00Z')]),
    ];
    const before = { served: { flush: '2024-01-01T00:00:00Z', anode: '2023-01-01T00:00:00Z' } };
    expect(serviceHistory(jobs, before).served).toEqual({
      flush: '2026-05-01T09:00:00Z',
      anode: '2023-01-01T00:00:00Z',
    });
    expect(laterOf({ toString: '2025-01-01' }, { toString: '2026-01-01' })).toEqual({
      toString: '2026-01-01',
    });
  });

  it('end on one what another asked for: the look the day after', () => {
    const first = tellsOf([lit], {}, gas);
    const second = tellsOf([lookedAfter], {}, gas);
    expect(serviceHistory([first]).served).toHaveProperty('pilot-recheck');
    expect(serviceHistory([first, second]).served).not.toHaveProperty('pilot-recheck');
    const again = entry('2026-12-01T10:00:00Z', { ...lit, id: idOf(903) });
    const third = tellsOf([{ ...again, at: '2026-12-01T10:00:00Z' } as Entry], {}, gas);
    expect(serviceHistory([first, second, third]).served['pilot-recheck']).toBe(
      '2026-12-01T10:00:00Z',
    );
  });

  it('remember a worn anode and a laundry until somebody saw otherwise', () => {
    const asked = (lint: string, openedAt: string) =>
      tellsOf([], { complaint: { answers: { lint } }, job: { id: idOf(1), openedAt } });
    const worn = tellsOf([anode('2026-01-01T09:00:00Z', 'worn')]);
    const laundry = asked('yes', '2026-02-01T09:00:00Z');
    expect(serviceHistory([laundry, worn]).circumstances).toEqual(['laundry', 'worn-was-seen']);
    const moved = asked('no', '2026-03-01T09:00:00Z');
    expect(serviceHistory([moved, worn, laundry]).circumstances).toEqual(['worn-was-seen']);
    expect(serviceHistory([moved], { circumstances: ['laundry'] }).circumstances).toEqual([]);
  });
});

describe('a job after others', () => {
  const now = new Date('2026-11-27T08:00:00Z');
  const dueAt = (
    unit: Partial<JobFile['unit']>,
    id: string,
    entries: Entry[] = [],
    of = electric,
  ) => {
    const job = emptyJob({ entries });
    return dueOfJob({ ...job, unit: { ...job.unit, ...unit } }, of, now)
      .find(({ service }) => service.id === id)
      ?.dueAt?.slice(0, 10);
  };

  it('counts from what they did and saw', () => {
    const served = { anode: '2026-01-01T00:00:00Z' };
    expect(dueAt({ served }, 'anode')).toBe('2031-01-01');
    const circumstances = ['worn-was-seen', 'of a newer program'];
    expect(dueAt({ served, circumstances }, 'anode')).toBe('2028-01-01');
  });

  it('has the look the day after that an earlier one asked for', () => {
    const served = { 'pilot-recheck': lit.at };
    expect(dueAt({ served }, 'pilot-recheck', [], gas)).toBe('2026-11-27');
    expect(dueAt({ served }, 'pilot-recheck', [lookedAfter], gas)).toBeUndefined();
  });
});
