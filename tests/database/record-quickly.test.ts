import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { Entry } from '../../src/core/job-file';
import { openJob, rememberJob } from '../../src/server/open-jobs';
import { readKnownJob } from '../../src/server/read-job';
import { recordQuickly } from '../../src/server/record-quickly';
import { stamp } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** The short way into the logbook takes what the long way takes, and leaves everything else to it. */

let test: TestDatabase;
let firm: TestFirm;
let job: string;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());
beforeEach(async () => {
  job = await firm.open(firm.live);
  rememberJob(await firm.as((transaction) => readKnownJob(transaction, job)));
});

const skip = (change: object = {}): Entry =>
  ({ ...stamp(), kind: 'skip', check: 'supply-volts', reason: 'cannot', ...change }) as Entry;
const volts = (change: object = {}): Entry =>
  ({
    ...stamp(),
    kind: 'reading',
    check: 'supply-volts',
    value: { volt: 239 },
    ...change,
  }) as Entry;
const quickly = (entries: Entry[], by: string | undefined = firm.live.id) =>
  recordQuickly(test.database, job, entries, by);
const idsOf = async () => (await firm.entries(job)).map((each) => each.id);

describe('the short way', () => {
  it('stores in order, and keeps what the job stands at from the record', async () => {
    const entries = [skip(), skip(), volts()];
    expect(await quickly(entries.slice(0, 1))).toEqual([entries[0]!.id]);
    expect(await quickly(entries.slice(1))).toEqual([entries[1]!.id, entries[2]!.id]);
    expect(await idsOf()).toEqual(entries.map((each) => each.id));
    const { standing } = await firm.as((transaction) => readKnownJob(transaction, job));
    expect(standing).toMatchObject({ entryCount: 3, stage: 'diagnose', isSettled: false });
  });

  it('gives a job back to the long way once another process has written on it, and loses nothing', async () => {
    const [one, two, three] = [skip(), skip(), skip()];
    expect(await quickly([one!])).toBeDefined();
    await firm.record(job, [two], firm.live);
    expect(await quickly([three!])).toBeUndefined();
    expect(openJob(job)).toBeUndefined();
    await firm.record(job, [three], firm.live);
    expect(await idsOf()).toEqual([one!.id, two!.id, three!.id]);
  });

  it('of two that come at once stores one, and gives the other back', async () => {
    const answers = await Promise.all([quickly([skip()]), quickly([skip()])]);
    expect(answers.filter((each) => each !== undefined)).toHaveLength(1);
    expect(await idsOf()).toHaveLength(1);
  });

  it.each<[string, () => Entry[]]>([
    ['a closing', () => [skip({ kind: 'status', status: 'closed-not-repaired', reason: 'x' })]],
    [
      'a correction',
      () => [skip({ kind: 'correction', replaces: newId(), entry: null, reason: 'x' })],
    ],
    ['a time before the last', () => [skip({ at: '2020-01-01T00:00:00.000Z' })]],
    ['an unknown check', () => [skip({ check: 'toString' })]],
    [
      'ohms under power',
      () => [
        skip({
          kind: 'reading',
          check: 'upper-element-ohms',
          value: { ohm: 3 },
          state: { power: 'on' },
        }),
      ],
    ],
    ['nothing', () => []],
  ])('leaves %s to the long way', async (_, entries) => {
    await quickly([skip({ at: '2026-05-01T00:00:00.000Z' })]);
    expect(await quickly(entries())).toBeUndefined();
    expect(await idsOf()).toHaveLength(1);
  });

  it('takes no live reading of somebody who may not work live, nor of one who may no more', async () => {
    expect(await quickly([volts({ by: firm.dead.id })])).toBeUndefined();
    expect(await quickly([volts()], firm.dead.id)).toBeUndefined();
    await firm.as((transaction) =>
      transaction.execute(`update technicians set live_work = false where id = '${firm.live.id}'`),
    );
    expect(await quickly([volts({ by: firm.live.id })])).toBeUndefined();
    await firm.as((transaction) =>
      transaction.execute(`update technicians set live_work = true where id = '${firm.live.id}'`),
    );
    expect(await idsOf()).toEqual([]);
  });

  it('knows an id again, here and in another job', async () => {
    const entry = skip();
    await quickly([entry]);
    expect(await quickly([entry])).toBeUndefined();
    const other = await firm.open(firm.live);
    rememberJob(await firm.as((transaction) => readKnownJob(transaction, other)));
    expect(await recordQuickly(test.database, other, [entry], firm.live.id)).toBeUndefined();
    expect(await firm.entries(other)).toEqual([]);
  });

  it('stops when the limits of the job have changed meanwhile', async () => {
    await firm.as((transaction) =>
      transaction.execute(
        `update jobs set constraints = '{"liveWork": false}' where id = '${job}'`,
      ),
    );
    expect(await quickly([volts()])).toBeUndefined();
    expect(await idsOf()).toEqual([]);
  });
});
