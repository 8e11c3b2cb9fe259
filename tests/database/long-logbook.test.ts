import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { familyOfJob } from '../../src/core/appliances/all';
import { isLiveWork, longLogbook, type Entry } from '../../src/core/job-file';
import { countEntries } from '../../src/database/entries';
import type { Technician } from '../../src/database/technicians';
import { answerLong } from '../../src/server/answer-long';
import { mostAtOnce } from '../../src/server/entries-after';
import { Refused } from '../../src/server/errors';
import { foldJob } from '../../src/server/fold-job';
import { jobsForDevice } from '../../src/server/jobs-for-device';
import { openJob, rememberFolded, rememberJob } from '../../src/server/open-jobs';
import { readKnownJob, readLongJobHead } from '../../src/server/read-job';
import { recordQuickly } from '../../src/server/record-quickly';
import { emptyJob, stamp } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** A long logbook is read where nobody waits for it, and comes to the same as one that is read on the spot. */

let test: TestDatabase;
let firm: TestFirm;
let job: string;
const skip = (): Entry => ({
  ...stamp(),
  kind: 'skip',
  check: 'supply-volts',
  reason: 'cannot',
});
const off = (): Entry => ({ ...stamp(), kind: 'action', action: 'power-off' });

beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
  job = await firm.open(firm.live);
  await firm.record(job, [{ ...off(), by: firm.dead.id }, skip(), skip()], firm.live);
});
afterAll(() => test.drop());

describe('a job whose logbook is not read for its page', () => {
  it('is told with everybody who wrote in it, and with how many entries there are', async () => {
    const { entries, ...whole } = await firm.read(job);
    const head = await firm.as((transaction) => readLongJobHead(transaction, job));
    expect(head).toEqual({ ...whole, entries: [] });
    expect(head.people!.map(({ id }) => id)).toContain(firm.dead.id);
    expect(await firm.as((transaction) => countEntries(transaction, job))).toBe(entries.length);
    const empty = await firm.open(firm.live);
    expect(await firm.as((transaction) => countEntries(transaction, empty))).toBe(0);
  });

  it('comes to a device that has not opened it without its logbook, and with its length', async () => {
    const entries = Array.from({ length: longLogbook + 1 }, skip);
    const { id } = await firm.import(JSON.stringify(emptyJob({ entries })), firm.live);
    const asked = [job, id.toUpperCase(), id, newId()];
    const { jobs, long } = await firm.as((transaction) => jobsForDevice(transaction, asked));
    expect(jobs).toEqual([await firm.read(job)]);
    const { entries: stored, ...whole } = await firm.read(id);
    expect(long).toEqual([
      { head: { ...whole, entries: [] }, logbook: { count: stored.length, atOnce: mostAtOnce } },
    ]);
    for (const wrong of [['toString'], [''], Array.from({ length: 11 }, () => newId())]) {
      await expect(firm.as((transaction) => jobsForDevice(transaction, wrong))).rejects.toThrow(
        Refused,
      );
    }
  });

  it('is answered as it is seen by whoever opens it, if it is as long as was thought', async () => {
    const other = await firm.open(firm.live);
    await firm.record(other, [{ ...skip(), check: 'upper-path-ohms' }], firm.live);
    const answer = (technician: Technician, entryCount: number) =>
      answerLong(
        test.database,
        {
          organisationId: firm.id,
          jobId: other,
          entryCount,
          technician,
          organisation: { schools: {} },
        },
        undefined,
        new Date().toISOString(),
      );
    const proposed = async (technician: Technician) => {
      const { next, alternatives } = (await answer(technician, 1))!.answer;
      return [next!, ...alternatives].map((each) => each.check);
    };
    const { catalogue } = familyOfJob(await firm.read(other));
    const isLive = (check: string) =>
      isLiveWork({ ...stamp(), kind: 'reading', check } as Entry, catalogue);
    expect((await proposed(firm.live)).some(isLive)).toBe(true);
    expect((await proposed(firm.dead)).some(isLive)).toBe(false);
    expect(await answer(firm.live, 2)).toBeUndefined();
  });

  it('is known as well when it was folded elsewhere, and takes its first entry by the short way', async () => {
    rememberJob(await firm.as((transaction) => readKnownJob(transaction, job)));
    const here = openJob(job);
    rememberFolded((await foldJob(test.database, firm.id, job))!);
    expect(openJob(job)).toEqual(here);
    const more = skip();
    expect(await recordQuickly(test.database, job, [more], firm.live.id)).toEqual([more.id]);
    expect((await firm.entries(job)).at(-1)!.id).toBe(more.id);
  });

  it('that got an entry after it was folded gives the next one to the long way', async () => {
    rememberFolded((await foldJob(test.database, firm.id, job))!);
    await firm.record(job, [skip()], firm.live);
    expect(await recordQuickly(test.database, job, [skip()], firm.live.id)).toBeUndefined();
  });
});
