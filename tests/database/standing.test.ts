import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Entry } from '../../src/core/job-file';
import { connect } from '../../src/database/client';
import { listUnsettled, settleStandingOf } from '../../src/database/jobs';
import { jobs } from '../../src/database/schema';
import { settled, settleStanding } from '../../src/server/settle-standing';
import { standingMeanwhile, standingOf } from '../../src/server/standing-of';
import { job as jobWith, reading } from '../electric-job';
import { stamp } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** What a job stands at is worked out after the entries are stored, and never holds them up. */
let test: TestDatabase;
let firm: TestFirm;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());

const ohms = (ohm: number) => reading('upper-element-ohms', { ohm });
const standingIn = (job: string) =>
  firm.as(async (transaction) => {
    const [row] = await transaction.select().from(jobs).where(eq(jobs.id, job));
    return { ...row!.standing, isOpen: row!.isOpen };
  });

describe('until it is worked out', () => {
  it('a job stands at what its record alone says', async () => {
    const job = await firm.open(firm.live);
    expect(await standingIn(job)).toMatchObject({ stage: 'call', suspects: [], isSettled: false });
    const closing: Entry = {
      ...stamp(),
      kind: 'status',
      status: 'closed-not-repaired',
      reason: 'moved out',
    };
    await firm.record(job, [ohms(12.8), closing], firm.live);
    expect(await standingIn(job)).toMatchObject({
      stage: 'closed',
      isOpen: false,
      reason: 'moved out',
      entryCount: 2,
    });
  });

  it('a job that is closed is open again once it is taken up, and in repair once its verdict is acted on', async () => {
    const job = await firm.open(firm.live);
    const status = (status: 'closed-not-repaired' | 'diagnosing'): Entry => ({
      ...stamp(),
      kind: 'status',
      status,
      reason: 'wrong house',
    });
    await firm.record(job, [status('closed-not-repaired')], firm.live);
    expect(await standingIn(job)).toMatchObject({ stage: 'closed', isOpen: false });
    await firm.record(job, [status('diagnosing')], firm.live);
    expect(await standingIn(job)).toMatchObject({ stage: 'diagnose', isOpen: true });
    const acted: Entry = {
      ...stamp(),
      kind: 'verdict',
      engine: 'of-this-test',
      parameters: 'of-this-test',
      repair: 'replace-upper-element',
      suspects: [],
    };
    await firm.record(job, [acted], firm.live);
    expect(await standingIn(job)).toMatchObject({ stage: 'repair', isOpen: true });
  });

  it('it keeps the suspects of before, and the same stage once it is worked out', () => {
    const file = jobWith([ohms(12.8)]);
    const before = standingOf(file);
    const later = { ...file, entries: [...file.entries, reading('supply-volts', { volt: 240 })] };
    const meanwhile = standingMeanwhile(later, before);
    expect(meanwhile.suspects).toEqual(before.suspects);
    expect(meanwhile).toMatchObject({ entryCount: 2, stage: standingOf(later).stage });
  });
});

describe('working it out', () => {
  it('is done once for all entries that came meanwhile', async () => {
    const job = await firm.open(firm.live);
    for (let k = 0; k < 5; k++) {
      await firm.record(job, [ohms(12.8 + k / 100)], firm.live);
      settleStanding(test.database, firm.id, job);
    }
    await settled();
    const standing = await standingIn(job);
    expect(standing.entryCount).toBe(5);
    expect(standing.isSettled).toBeUndefined();
    const wanted: unknown = JSON.parse(JSON.stringify(standingOf(await firm.read(job))));
    expect(standing).toMatchObject(wanted as object);
  });

  it('never writes over what came after it was begun', async () => {
    const job = await firm.open(firm.live);
    await firm.record(job, [ohms(12.8)], firm.live);
    const late = standingOf(await firm.read(job));
    await firm.record(job, [reading('supply-volts', { volt: 239 })], firm.live);
    await firm.as((transaction) => settleStandingOf(transaction, job, late));
    expect(await standingIn(job)).toMatchObject({ entryCount: 2, isSettled: false });
  });

  it('that failed leaves the job to the next start, and the jobs after it are done', async () => {
    const [gone, job] = [await firm.open(firm.live), await firm.open(firm.live)];
    const { database, pool } = connect('postgres://ohmmeter_app:x@127.0.0.1:1/none');
    settleStanding(database, firm.id, gone);
    settleStanding(test.database, firm.id, job);
    await settled();
    await pool.end();
    expect((await standingIn(job)).isSettled).toBeUndefined();
    expect(await firm.as((transaction) => listUnsettled(transaction, 100))).toContain(gone);
    expect(await firm.as((transaction) => listUnsettled(transaction, 100))).not.toContain(job);
  });

  it('of a job that is not there harms nothing', async () => {
    const job = await firm.open(firm.live);
    settleStanding(test.database, firm.id, '018f0000-0000-7000-8000-00000000dead');
    settleStanding(test.database, firm.id, job);
    await settled();
    expect((await standingIn(job)).isSettled).toBeUndefined();
  });
});
