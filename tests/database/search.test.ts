import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { questionWords } from '../../src/core/search';
import { v7 as newId } from 'uuid';
import { countJobs, insertJob, listJobs, mostCounted } from '../../src/database/jobs';
import { insertWords } from '../../src/database/search';
import { knownUnitChoices } from '../../src/server/known-units';
import { openCall } from '../../src/server/open-call';
import { emptyJob } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

let test: TestDatabase;
let firm: TestFirm;

const units = [
  { customer: 'Käthe Brandt', address: '14 Mill Lane, Sorrel', make: 'Orrin', serial: 'OT-118832' },
  { customer: 'Brandt & Daughters', address: '9 Weir Street', make: 'Hask', serial: 'H77' },
  { customer: 'Otter Lane Laundry', address: '1 Otter Lane', make: 'Orrin', serial: 'OT-118833' },
];

beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
  for (const [index, unit] of units.entries()) {
    await firm.as((transaction) =>
      openCall(transaction, firm.id, {
        technicianId: firm.live.id,
        complaint: {
          kind: 'no-hot-water',
          words: index === 2 ? 'cold since Tuesday' : '',
          answers: {},
        },
        newUnit: {
          ...unit,
          family: 'electric-storage-two-element',
          services: { supply: { system: 'split-phase', nominal: { volt: 240 } } },
          plate: emptyJob().unit.plate,
        },
      }),
    );
  }
});
afterAll(() => test.drop());

const found = (words: string) =>
  firm.as(async (transaction) =>
    (await listJobs(transaction, { words: questionWords(words) }))
      .map((each) => each.customer.name)
      .sort(),
  );

describe('jobs', () => {
  it.each([
    ['kathe', ['Käthe Brandt']],
    ['BRANDT', ['Brandt & Daughters', 'Käthe Brandt']],
    ['brandt weir', ['Brandt & Daughters']],
    ['lane', ['Käthe Brandt', 'Otter Lane Laundry']],
    ['1001', ['Käthe Brandt']],
    ['ot118833', ['Otter Lane Laundry']],
    ['118833', ['Otter Lane Laundry']],
    ['tuesday', ['Otter Lane Laundry']],
    ['weir tuesday', []],
    ["'; drop table jobs; --", []],
    ['%', ['Brandt & Daughters', 'Käthe Brandt', 'Otter Lane Laundry']],
  ])('are found by %s', async (words, names) => {
    expect(await found(words)).toEqual(names);
  });

  it('come page by page, and are counted', async () => {
    const page = (from: number) =>
      firm.as((transaction) => listJobs(transaction, { isOpen: true, most: 2, from }));
    const numbers = [...(await page(0)), ...(await page(2)), ...(await page(4))].map(
      (each) => each.job.number,
    );
    expect(numbers).toEqual([1003, 1002, 1001]);
    expect(await firm.as((transaction) => countJobs(transaction))).toEqual({
      open: 3,
      waiting: 0,
      closed: 0,
    });
    expect(await firm.as((transaction) => countJobs(transaction, ['brandt']))).toMatchObject({
      open: 2,
    });
  });

  it('are counted up to a thousand where words find more, and all of them without words', async () => {
    const [known] = await firm.as((transaction) => listJobs(transaction, { most: 1 }));
    await firm.as(async (transaction) => {
      const { job } = known!;
      for (let k = 0; k < 1100; k++) {
        const id = newId();
        await insertJob(transaction, {
          ...job,
          id,
          number: 5000 + k,
          standing: { ...job.standing, stage: k < 3 ? 'waiting' : job.standing.stage },
        });
        await insertWords(transaction, job.organisationId, 'job', id, ['many']);
      }
    });
    const counts = (words: readonly string[]) =>
      firm.as((transaction) => countJobs(transaction, words));
    expect(await counts(['many'])).toEqual({
      open: mostCounted + 1,
      waiting: undefined,
      closed: 0,
    });
    expect(await counts([])).toEqual({ open: 1103, waiting: 3, closed: 0 });
    // What is counted no further can be listed all the same.
    const last = await firm.as((transaction) =>
      listJobs(transaction, { isOpen: true, words: ['many'], most: 50, from: 1050 }),
    );
    expect(last).toHaveLength(50);
  });
});

describe('known units', () => {
  it('are found by their words, with all that a call on them begins with', async () => {
    const [choice, ...more] = await firm.as((transaction) =>
      knownUnitChoices(transaction, 'hask', 20),
    );
    expect(more).toEqual([]);
    expect(choice).toMatchObject({
      label: 'Brandt & Daughters, 9 Weir Street: Hask H77',
      unit: { family: 'electric-storage-two-element', serial: 'H77' },
      site: { customer: 'Brandt & Daughters', supply: { nominal: { volt: 240 } } },
    });
    expect(await firm.as((transaction) => knownUnitChoices(transaction, '', 2))).toHaveLength(2);
  });
});
