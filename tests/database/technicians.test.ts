import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Entry } from '../../src/core/job-file';
import { technicianChanges } from '../../src/database/schema';
import { listTechnicians } from '../../src/database/technicians';
import { NotFound, Refused } from '../../src/server/errors';
import { rememberJob } from '../../src/server/open-jobs';
import { readKnownJob } from '../../src/server/read-job';
import { recordQuickly } from '../../src/server/record-quickly';
import { presentOf } from '../../src/server/in-firm';
import { addTechnician, changeTechnician, readPeople } from '../../src/server/technicians';
import { stamp } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

let test: TestDatabase;
let firm: TestFirm;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());

const author = () => ({ organisationId: firm.id, technician: firm.live });
const add = (sent: unknown) => firm.as((transaction) => addTechnician(transaction, author(), sent));
const change = (id: string, sent: unknown) =>
  firm.as((transaction) => changeTechnician(transaction, author(), id, sent));
const namesOf = async () => (await firm.as(listTechnicians)).map((each) => each.name);

const volts = (by: string): Entry => ({
  ...stamp(),
  by,
  kind: 'reading',
  check: 'supply-volts',
  value: { volt: 239 },
});

describe('who works here', () => {
  it('is added and changed, with no permission that was not given', async () => {
    const { id } = await add({ name: ' C. New ', licence: ' ' });
    const people = await firm.as(listTechnicians);
    expect(people.find((each) => each.id === id)).toMatchObject({
      name: 'C. New',
      licence: null,
      liveWork: false,
      gasWork: false,
    });
    await change(id.toUpperCase(), { name: 'c. new', licence: 'L-1', gasWork: true });
    expect((await firm.as(listTechnicians)).find((each) => each.id === id)).toMatchObject({
      name: 'c. new',
      licence: 'L-1',
      liveWork: false,
      gasWork: true,
    });
  });

  it.each<[string, unknown, string]>([
    ['nothing', undefined, '/name'],
    ['a list', [], '/name'],
    ['no name', { name: '  ' }, '/name'],
    ['a name that is a number', { name: 7 }, '/name'],
    ['a long name', { name: 'x'.repeat(201) }, '/name'],
    ['somebody else’s name', { name: 'a. live' }, '/name'],
    ['a long licence', { name: 'D', licence: 'x'.repeat(201) }, '/licence'],
    ['a permission that is a word', { name: 'D', liveWork: 'yes' }, '/liveWork'],
    ['a permission that is nothing', { name: 'D', gasWork: null }, '/gasWork'],
    ['a leaving that is a word', { name: 'D', hasLeft: 'no' }, '/hasLeft'],
  ])('takes %s for nobody', async (_, sent, pointer) => {
    const before = await namesOf();
    for (const way of [() => add(sent), () => change(firm.dead.id, sent)]) {
      const refused = await way().catch((error: unknown) => error);
      expect(refused).toBeInstanceOf(Refused);
      expect((refused as Refused).problems[0]).toMatchObject({ pointer });
    }
    expect(await namesOf()).toEqual(before);
  });

  it.each(['toString', '', '00000000-0000-7000-8000-000000000000'])(
    'knows nobody by the id "%s"',
    async (id) => {
      await expect(change(id, { name: 'E' })).rejects.toThrow(NotFound);
    },
  );
});

describe('somebody who leaves', () => {
  it('cannot be chosen any more, and leaves the name to another', async () => {
    const { id } = await add({ name: 'G. Going', gasWork: true });
    await change(id, { name: 'G. Going', gasWork: true, hasLeft: true });
    const people = await firm.as(listTechnicians);
    expect(people.at(-1)?.id).toBe(id);
    expect(presentOf(people, id).id).toBe(firm.live.id);
    const second = await add({ name: 'g. going' });
    const back = await change(id, { name: 'G. Going' }).catch((error: unknown) => error);
    expect((back as Refused).problems[0]).toMatchObject({ pointer: '/name' });
    await change(second.id, { name: 'g. going', hasLeft: true });
    await change(id, { name: 'G. Going' });
    expect(presentOf(await firm.as(listTechnicians), id).id).toBe(id);
  });

  it('is never the last', async () => {
    const here = (await firm.as(listTechnicians)).filter((each) => !each.hasLeft);
    const [last, ...others] = here;
    for (const { id, name } of others) await change(id, { name, hasLeft: true });
    const refused = await change(last!.id, { name: last!.name, hasLeft: true }).catch(
      (error: unknown) => error,
    );
    expect((refused as Refused).problems).toMatchObject([{ pointer: '/hasLeft' }]);
    for (const { id, name, liveWork, gasWork } of others) {
      await change(id, { name, liveWork, gasWork });
    }
  });

  it('has what was kept on a device taken still', async () => {
    const job = await firm.open(firm.live);
    const { id } = await add({ name: 'H. Gone', liveWork: true });
    await change(id, { name: 'H. Gone', liveWork: true, hasLeft: true });
    await firm.record(job, [volts(id)], firm.live);
    expect(await firm.entries(job)).toMatchObject([{ by: id }]);
  });
});

it('two who add the same name in the same moment add one', async () => {
  const adding = await Promise.allSettled([add({ name: 'I. Twin' }), add({ name: 'i. twin' })]);
  expect(adding.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
});

it('what is said of somebody is written down, with who said it', async () => {
  const { id } = await add({ name: 'J. Noted' });
  await change(id, { name: 'J. Noted', gasWork: true });
  const { changes } = await firm.as(readPeople);
  expect(changes.filter((each) => each.technicianId === id)).toMatchObject([
    { byName: 'A. Live', said: { name: 'J. Noted', gasWork: true } },
    { byName: 'A. Live', said: { gasWork: false, hasLeft: false } },
  ]);
  const forget = firm.as((transaction) => transaction.delete(technicianChanges));
  await expect(forget).rejects.toMatchObject({ cause: { code: '42501' } });
});

describe('somebody who came while a job stood open', () => {
  it('is not taken for somebody else, who may work live', async () => {
    const job = await firm.open(firm.live);
    rememberJob(await firm.as((transaction) => readKnownJob(transaction, job)));
    const late = await add({ name: 'F. Late', liveWork: false });
    // Neither by the entry nor by who sends it.
    expect(await recordQuickly(test.database, job, [volts(late.id)], late.id)).toBeUndefined();
    const { by: _, ...unsaid } = volts(late.id);
    expect(await recordQuickly(test.database, job, [unsaid], late.id)).toBeUndefined();
    await expect(firm.record(job, [volts(late.id)], late)).rejects.toThrow(Refused);
    await change(late.id, { name: 'F. Late', liveWork: true });
    const may = { ...late, liveWork: true };
    await firm.record(job, [volts(late.id)], may);
    expect(await firm.entries(job)).toHaveLength(1);
  });
});
