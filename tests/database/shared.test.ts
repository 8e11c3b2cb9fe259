import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { partReadingSchool } from '../../src/core/job-diagnosis';
import type { Entry } from '../../src/core/job-file';
import { listenForEntries } from '../../src/database/listen';
import { applicationUrl } from '../../src/database/migrate';
import { entriesAfter } from '../../src/server/entries-after';
import { NotFound, Refused } from '../../src/server/errors';
import { setSchools } from '../../src/server/set-schools';
import { patience } from '../patience';
import { stamp } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** What several devices of a firm share: its rules, and what each writes while the others watch. */
let test: TestDatabase;
let firm: TestFirm;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());

const skipped = (check: string): Entry => ({ ...stamp(), kind: 'skip', check, reason: 'cannot' });

describe('the ways of a firm', () => {
  const set = (sent: unknown) => firm.as((transaction) => setSchools(transaction, firm.id, sent));

  it('are kept, and each may be changed back', async () => {
    const { id, on, off } = partReadingSchool;
    expect(await set({ [id]: off })).toEqual({ [id]: off });
    expect(await set({ [id]: on })).toEqual({ [id]: on });
  });

  it.each([
    ['a school that there is not', { mood: 'good' }],
    ['a way that there is not', { [partReadingSchool.id]: 'sometimes' }],
    ['a word of the language', { toString: 'read-first' }],
    ['no object', ['read-first']],
    ['nothing', null],
  ])('refuse %s', async (_, sent) => {
    await expect(set(sent)).rejects.toThrow(Refused);
  });
});

describe('what came after', () => {
  const after = (job: string, count: number) =>
    firm.as((transaction) => entriesAfter(transaction, job, count));

  it('is in the order of receipt, whatever the clocks of those who wrote it say', async () => {
    const job = await firm.open(firm.live);
    const late = { ...skipped('supply-volts'), at: '2026-03-02T12:00:00.000Z' };
    const early = { ...skipped('feed-volts'), at: '2026-03-02T09:00:00.000Z' };
    await firm.record(job, [late], firm.live);
    await firm.record(job, [early], firm.dead);
    const ids = async (count: number) =>
      (JSON.parse((await after(job, count)).entries) as Entry[]).map((each) => each.id);
    expect(await ids(0)).toEqual([late.id, early.id]);
    expect(await ids(1)).toEqual([early.id]);
    expect(await ids(9)).toEqual([]);
  });

  it('is refused for a count that is none, and for a job of nobody', async () => {
    const job = await firm.open(firm.live);
    for (const count of [-1, 0.5, Number.NaN]) {
      await expect(after(job, count)).rejects.toThrow(Refused);
    }
    await expect(after('018f0000-0000-7000-8000-00000000dead', 0)).rejects.toThrow(NotFound);
    await expect(after('toString', 0)).rejects.toThrow(NotFound);
  });

  it('is told to those who listen to that job, and to no other', async () => {
    process.env.OHMMETER_APPLICATION_DATABASE_URL = applicationUrl(
      test.ownerUrl,
      process.env.OHMMETER_APPLICATION_PASSWORD ?? 'test',
    );
    const [job, other] = [await firm.open(firm.live), await firm.open(firm.live)];
    const [heard, elsewhere] = [vi.fn(), vi.fn()];
    const ends = [listenForEntries(job, heard), listenForEntries(other, elsewhere)];
    await vi.waitFor(() => expect(heard).toHaveBeenCalledWith(true), patience);
    const before = [heard.mock.calls.length, elsewhere.mock.calls.length] as const;
    await firm.record(job, [skipped('supply-volts')], firm.dead);
    await vi.waitFor(() => expect(heard.mock.calls.length).toBe(before[0] + 1), patience);
    expect(elsewhere.mock.calls.length).toBe(before[1]);
    for (const end of ends) end();
  });
});
