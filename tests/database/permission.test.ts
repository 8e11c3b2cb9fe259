import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Entry } from '../../src/core/job-file';
import { Refused } from '../../src/server/errors';
import { importJob, readImport } from '../../src/server/import-job';
import { asSeenBy } from '../../src/core/job-file';
import { setConstraints } from '../../src/server/set-constraints';
import { emptyJob, provedDead, stamp } from '../plates';
import { electricStorageTwoElement as family } from '../../src/core/appliances/electric-storage-two-element';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

let test: TestDatabase;
let firm: TestFirm;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());

const made = (rest: object): Entry => ({ ...stamp(), ...rest }) as Entry;
const dead = () => made({ kind: 'reading', check: 'upper-element-ohms', value: { ohm: 12.8 } });
const volts = (rest: object = {}) =>
  made({ kind: 'reading', check: 'supply-volts', value: { volt: 240 }, ...rest });

/** Every way in which a live result can reach the server, after a dead reading that stands in the logbook already. */
const ways: readonly (readonly [string, (before: Entry) => Entry])[] = [
  ['a named reading', () => volts()],
  ['a look', () => made({ kind: 'observation', check: 'supply-presence', value: 'both' })],
  [
    'two touched terminals',
    () =>
      made({
        kind: 'reading',
        between: ['limit.1', 'limit.3'],
        quantity: 'voltage-ac',
        value: { volt: 240 },
      }),
  ],
  ['a clamp', () => made({ kind: 'reading', around: 'w-upper-a', value: { ampere: 18 } })],
  [
    'a correction',
    (before) =>
      made({ kind: 'correction', replaces: before.id, entry: volts(), reason: 'wrong check' }),
  ],
  [
    'a series',
    () =>
      made({
        kind: 'series',
        check: 'supply-volts',
        samples: [{ offset: { second: 0 }, value: { volt: 240 } }],
      }),
  ],
];

describe('live work without the permission', () => {
  it.each(ways)('is refused as %s, and taken of somebody who may', async (_, way) => {
    for (const owner of [firm.live, firm.dead]) {
      const job = await firm.open(owner);
      const first = dead();
      await firm.record(job, [first], firm.dead);
      await expect(firm.record(job, [way(first)], firm.dead)).rejects.toThrow(/no permission/);
      expect(await firm.entries(job)).toHaveLength(1);
    }
    const job = await firm.open(firm.live);
    const first = dead();
    await firm.record(job, [first, way(first)], firm.live);
    expect(await firm.entries(job)).toHaveLength(2);
  });

  it('is told by who took it, not by whose device sends it', async () => {
    const job = await firm.open(firm.live);
    await firm.record(job, [volts({ by: firm.live.id })], firm.dead);
    await expect(firm.record(job, [volts({ by: firm.dead.id })], firm.live)).rejects.toThrow(
      /no permission/,
    );
    // Who is nobody of this firm is whoever sends it.
    await expect(firm.record(job, [volts({ by: 'p9' })], firm.dead)).rejects.toThrow(Refused);
  });

  it('does not come in with a file', async () => {
    for (const [, way] of ways) {
      const first = dead();
      const text = JSON.stringify(emptyJob({ entries: [first, way(first)] }));
      await expect(firm.import(text, firm.dead)).rejects.toThrow(/no permission/);
      await expect(firm.import(text, firm.live)).resolves.toMatchObject({ warnings: [] });
    }
  });

  it('does not come in with a file that was read while its technician still might', async () => {
    const read = await readImport(JSON.stringify(emptyJob()), firm.live);
    await expect(
      firm.as((transaction) => importJob(transaction, firm.id, firm.dead.id, read)),
    ).rejects.toThrow(/changed meanwhile/);
  });

  it('leaves everybody free to prove a unit dead, and to write down what is live', async () => {
    const job = await firm.open(firm.dead);
    await firm.record(job, [made(provedDead(family, 118))], firm.dead);
    expect(await firm.entries(job)).toMatchObject([{ points: [{ value: { volt: 118 } }, {}, {}] }]);
  });

  it('is not proposed to who may not, on whosever job', async () => {
    const job = await firm.read(await firm.open(firm.live));
    expect(asSeenBy(job, firm.dead, { schools: {} }).constraints?.liveWork).toBe(false);
    expect(asSeenBy(job, firm.live, { schools: {} }).constraints?.liveWork).toBe(true);
  });
});

describe('the limits of a job', () => {
  const constrain = (job: string, sent: unknown, sender: TestFirm['live']) =>
    firm.as((transaction) => setConstraints(transaction, job, sent, sender));

  it('with nothing said of live work leave it as it was, and never above the permission', async () => {
    const own = await firm.open(firm.dead);
    expect((await constrain(own, {}, firm.dead)).liveWork).toBe(false);
    await expect(firm.record(own, [volts()], firm.dead)).rejects.toThrow(Refused);
    const other = await firm.open(firm.live);
    expect((await constrain(other, { order: 'usual' }, firm.live)).liveWork).toBe(true);
    await constrain(other, { liveWork: false }, firm.live);
    expect((await constrain(other, {}, firm.live)).liveWork).toBe(false);
    expect((await constrain(await firm.open(firm.live), {}, firm.dead)).liveWork).toBe(false);
  });

  it('refuse live work that is asked for without the permission', async () => {
    const job = await firm.open(firm.live);
    await expect(constrain(job, { liveWork: true }, firm.dead)).rejects.toThrow(/no permission/);
  });

  it('set to none, are none for everybody', async () => {
    const job = await firm.open(firm.live);
    await constrain(job, { liveWork: false }, firm.live);
    await expect(firm.record(job, [volts()], firm.live)).rejects.toThrow(Refused);
  });
});

describe('closing a job as repaired', () => {
  const replaced = () =>
    made({ kind: 'action', action: 'replace', repair: 'replace-upper-element' });
  const close = (rest: object = {}) => made({ kind: 'status', status: 'closed-repaired', ...rest });
  const good = () => made({ kind: 'reading', check: 'upper-element-ohms', value: { ohm: 12.8 } });
  const bad = () => made({ kind: 'reading', check: 'upper-element-amps', value: { ampere: 0 } });

  it('is refused without a proof, with a bad one beside good ones, and with a wire lifted', async () => {
    const job = await firm.open(firm.live);
    const send = (...entries: Entry[]) => firm.record(job, entries, firm.live);
    await expect(send(close())).rejects.toThrow(/No repair is done/);
    await send(replaced());
    await expect(send(close())).rejects.toThrow(/No proving reading/);
    await send(good(), bad());
    await expect(send(close())).rejects.toThrow(/not what a good unit/);
    await expect(send(close({ reason: '  ' }))).rejects.toThrow(Refused);
    await send(
      made({ kind: 'action', action: 'lift-wire', wire: 'w-upper-a', end: 'upper-element.a' }),
    );
    await expect(send(close({ reason: 'asked for' }))).rejects.toThrow(/still lifted/);
    await send(
      made({ kind: 'action', action: 'refit-wire', wire: 'w-upper-a', end: 'upper-element.a' }),
      close({ reason: 'asked for' }),
    );
    expect((await firm.entries(job)).at(-1)).toMatchObject({ status: 'closed-repaired' });
  });

  it('is taken once it is proved, in one batch or several', async () => {
    const job = await firm.open(firm.live);
    await firm.record(job, [replaced(), good(), close()], firm.live);
    expect(await firm.entries(job)).toHaveLength(3);
  });
});
