import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { familyOf } from '../../src/core/appliances/all';
import { foldEntries, type Entry } from '../../src/core/job-file';
import { entriesChannel } from '../../src/database/entries';
import { rememberJob } from '../../src/server/open-jobs';
import { readKnownJob } from '../../src/server/read-job';
import { recordQuickly } from '../../src/server/record-quickly';
import { patience } from '../patience';
import { provedDead, stamp } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** A backup takes the place of the data: what was proved dead before is none any more, whatever comes afterwards and by whom. */

let test: TestDatabase;
let firm: TestFirm;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());

const family = familyOf('electric-storage-two-element')!;
const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
const made = (fields: object) => ({ ...stamp(), ...fields }) as Entry;
const off = (minutes: number) => made({ kind: 'action', action: 'power-off', at: ago(minutes) });
const proof = (minutes: number): Entry => made({ ...provedDead(family), at: ago(minutes) });
const restore = () => test.owner.query('insert into restores default values');
const kinds = async (job: string) =>
  (await firm.entries(job)).map((each) => (each.kind === 'action' ? each.action : each.kind));
const isProved = async (job: string) =>
  foldEntries(await firm.entries(job), family.catalogue, ago(0)).provedDeadAt !== undefined;
const countOf = async (job: string) =>
  (await firm.as((transaction) => readKnownJob(transaction, job))).standing;

it('ends proofs of the jobs that were worked on that day, and of those alone', async () => {
  const [worked, closed, empty, idle] = [
    await firm.open(firm.live),
    await firm.open(firm.live),
    await firm.open(firm.live),
    await firm.open(firm.live),
  ];
  await firm.record(worked, [off(30), proof(29)], firm.live);
  await firm.record(
    closed,
    [made({ kind: 'status', status: 'closed-not-repaired', reason: 'x', at: ago(20) })],
    firm.live,
  );
  await firm.record(idle, [off(3000), proof(2999)], firm.live);
  await test.owner.query(
    `begin; select set_config('ohmmeter.organisation', '${firm.id}', true);
     update entries set received_at = at where job_id = '${idle}'; commit`,
  );
  expect(await isProved(worked)).toBe(true);
  // Devices that are at work hear of it, also where the server was not stopped for it.
  const heard: (string | undefined)[] = [];
  const client = await test.owner.connect();
  client.on('notification', ({ payload }) => heard.push(payload));
  await client.query(`listen ${entriesChannel}`);
  await restore();
  await vi.waitFor(() => expect(heard).toEqual([worked]), patience);
  client.release(true);
  expect(await kinds(worked)).toEqual(['power-off', 'proved-dead', 'restored']);
  expect(await isProved(worked)).toBe(false);
  expect(await countOf(worked)).toMatchObject({ entryCount: 3, isSettled: false });
  expect(await kinds(closed)).toEqual(['status']);
  expect(await kinds(empty)).toEqual([]);
  expect(await kinds(idle)).toEqual(['power-off', 'proved-dead']);
  // A proof that is taken now stands.
  await firm.record(worked, [proof(0)], firm.live);
  expect(await isProved(worked)).toBe(true);
});

it('holds for what a device sends afterwards: said once, before it, by either way', async () => {
  const job = await firm.open(firm.live);
  await restore();
  rememberJob(await firm.as((transaction) => readKnownJob(transaction, job)));
  const quickly = (...entries: Entry[]) => recordQuickly(test.database, job, entries, firm.live.id);
  const late = [off(12), proof(11)];
  expect(await quickly(...late)).toBeUndefined();
  expect(await kinds(job)).toEqual([]);
  await firm.record(job, late, firm.live);
  expect(await kinds(job)).toEqual(['restored', 'power-off', 'proved-dead']);
  expect(await isProved(job)).toBe(false);
  // Sent twice, and what another device has of that time: nothing more to say.
  await firm.record(job, late, firm.live);
  await firm.record(job, [proof(10)], firm.live);
  expect(await kinds(job)).toEqual(['restored', 'power-off', 'proved-dead', 'proved-dead']);
  // A wrong one is named by its place in what was sent.
  const wrong = made({ kind: 'skip', check: 'toString', reason: 'cannot', at: ago(9) });
  await expect(firm.record(job, [proof(9), wrong], firm.live)).rejects.toMatchObject({
    problems: [{ pointer: '/entries/1/check' }],
  });
  rememberJob(await firm.as((transaction) => readKnownJob(transaction, job)));
  expect(await quickly(proof(0))).toBeDefined();
  expect(await isProved(job)).toBe(true);
  // Once more put back: what was sent before is said of anew.
  await restore();
  expect((await kinds(job)).at(-1)).toBe('restored');
  expect(await isProved(job)).toBe(false);
});
