import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { gasStoragePilot as family } from '../../src/core/appliances/gas-storage-pilot';
import { diagnoseJob } from '../../src/core/job-diagnosis';
import { asSeenBy, type Entry, type JobFile } from '../../src/core/job-file';
import { listJobs } from '../../src/database/jobs';
import { Refused } from '../../src/server/errors';
import { openCall } from '../../src/server/open-call';
import { rememberJob } from '../../src/server/open-jobs';
import { readKnownJob } from '../../src/server/read-job';
import { recordQuickly } from '../../src/server/record-quickly';
import { setConstraints } from '../../src/server/set-constraints';
import { standingFromRecord } from '../../src/core/job-diagnosis/standing';
import { standingOf } from '../../src/server/standing-of';
import { emptyJob, stamp } from '../plates';
import { sampleUnit } from '../sample-unit';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** What opens the gas way or lights something is for who may, by every way in. Local codes say who may. */

const unit = sampleUnit(family, { input: '11700', volume: '151' });
const jobOf = (entries: Entry[]): JobFile => emptyJob({ ...unit, entries });

let test: TestDatabase;
let firm: TestFirm;
let job: string;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());
beforeEach(async () => {
  const { id } = await firm.as((transaction) =>
    openCall(transaction, firm.id, {
      technicianId: firm.live.id,
      complaint: { kind: 'no-hot-water', words: '', answers: {} },
      newUnit: {
        customer: 'A. Customer',
        address: 'A street',
        family: family.id,
        services: {},
        plate: unit.unit.plate,
      },
    }),
  );
  job = id;
});

const sniff = (): Entry => ({
  ...stamp(),
  kind: 'observation',
  check: 'gas-smell-sniff',
  value: 'none',
});
const lighting = (): Entry => ({
  ...stamp(),
  kind: 'observation',
  check: 'pilot-light-try',
  value: 'lights',
});
const ways: [string, (first: Entry) => Entry][] = [
  ['a check that lights the pilot', lighting],
  [
    'a reading with the burner on',
    () => ({ ...stamp(), kind: 'reading', check: 'gas-rate', value: { cubicMetrePerHour: 1 } }),
  ],
  [
    'a fact that takes the burner out',
    () => ({ ...stamp(), kind: 'action', action: 'make-so', fact: 'burner-out' }),
  ],
  [
    'a step of lighting it',
    () => ({
      ...stamp(),
      kind: 'step',
      run: '018f0000-0000-7000-8000-0000000000aa',
      procedure: 'light-pilot',
      step: 'off',
      phase: 'done',
    }),
  ],
  [
    'a correction into one',
    ({ id }) => ({
      ...stamp(),
      kind: 'correction',
      replaces: id,
      reason: 'mistyped',
      entry: lighting(),
    }),
  ],
];

describe('gas work without the permission', () => {
  it.each(ways)('is refused as %s, and taken of somebody who may', async (_, way) => {
    const first = sniff();
    await firm.record(job, [first], firm.dead);
    await expect(firm.record(job, [way(first)], firm.dead)).rejects.toThrow(
      /no permission for gas work/,
    );
    expect(await firm.entries(job)).toHaveLength(1);
    await firm.record(job, [way(first)], firm.live);
    expect(await firm.entries(job)).toHaveLength(2);
  });

  it('does not come in with a file, nor the short way', async () => {
    for (const [, way] of ways) {
      const first = sniff();
      const text = JSON.stringify(jobOf([first, way(first)]));
      await expect(firm.import(text, firm.dead)).rejects.toThrow(/no permission/);
      await expect(firm.import(text, firm.live)).resolves.toMatchObject({ warnings: [] });
    }
    rememberJob(await firm.as((transaction) => readKnownJob(transaction, job)));
    expect(await recordQuickly(test.database, job, [lighting()], firm.dead.id)).toBeUndefined();
    expect(await firm.entries(job)).toEqual([]);
  });

  it('is told by who took it, not by whose device sends it', async () => {
    await firm.record(job, [{ ...lighting(), by: firm.live.id }], firm.dead);
    await expect(
      firm.record(job, [{ ...lighting(), by: firm.dead.id }], firm.live),
    ).rejects.toThrow(Refused);
  });

  it('is neither proposed nor set by who may not; set to none it is none for everybody', async () => {
    const seen = asSeenBy(await firm.read(job), firm.dead, { schools: {} });
    const { next, alternatives } = diagnoseJob(seen).answer;
    const proposed = [next, ...alternatives].flatMap((each) => (each ? [each.check] : []));
    expect(proposed.length).toBeGreaterThan(1);
    expect(proposed.filter((each) => family.catalogue.check(each)!.isGasWork)).toEqual([]);
    const set = (sent: unknown, by: TestFirm['live']) =>
      firm.as((transaction) => setConstraints(transaction, job, sent, by));
    await expect(set({ gasWork: true }, firm.dead)).rejects.toThrow(/no permission/);
    await set({ gasWork: false }, firm.live);
    await expect(firm.record(job, [lighting()], firm.live)).rejects.toThrow(Refused);
  });
});

describe('a job that was stopped', () => {
  const smelled = jobOf([{ ...sniff(), value: 'smell' } as Entry]);

  it('says so where jobs are listed, until a later sniff finds none', () => {
    expect(standingOf(smelled).stop).toBe('Gas: make it safe, nothing else');
    expect(standingOf(jobOf([...smelled.entries, sniff()])).stop).toBeUndefined();
  });

  it('says so with the entry that stops it, by every way in, before anything is worked out', async () => {
    const listed = async (id: string) =>
      (await firm.as((transaction) => listJobs(transaction))).find((row) => row.job.id === id)!.job
        .standing;
    const stopped = { stop: 'Gas: make it safe, nothing else', isSettled: false };
    const smell = () => ({ ...sniff(), value: 'smell' }) as Entry;
    await firm.record(job, [smell()], firm.live);
    expect(await listed(job)).toMatchObject(stopped);

    const { id: brought } = await firm.import(JSON.stringify(smelled), firm.live);
    expect(await listed(brought)).toMatchObject(stopped);

    const { id: quick } = await firm.import(JSON.stringify(jobOf([])), firm.live);
    expect(await listed(quick)).not.toHaveProperty('stop');
    const quickly = (entry: Entry) => recordQuickly(test.database, quick, [entry], firm.live.id);
    rememberJob(await firm.as((transaction) => readKnownJob(transaction, quick)));
    expect(await quickly(smell())).toHaveLength(1);
    expect(await listed(quick)).toMatchObject(stopped);
    expect(await quickly(sniff())).toHaveLength(1);
    // That it is over has to be worked out.
    expect(await listed(quick)).toMatchObject(stopped);
  });

  it('goes on saying so while what it stands at is worked out', () => {
    const { state } = diagnoseJob(smelled, { depth: 'one-step', brief: true });
    const before = standingOf(smelled);
    expect(standingFromRecord(state, 2, before, undefined).stop).toBe(before.stop);
  });
});
