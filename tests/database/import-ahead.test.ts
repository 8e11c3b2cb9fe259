import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { asSeenBy, longLogbook, type Entry } from '../../src/core/job-file';
import { readOrganisation } from '../../src/database/technicians';
import { answerAhead } from '../../src/server/answer-ahead';
import { answerLong } from '../../src/server/answer-long';
import { firstAnswerOfLong } from '../../src/server/first-answer';
import { heavy } from '../../src/server/heavy';
import { importJob, readImport } from '../../src/server/import-job';
import { readLongJobHead } from '../../src/server/read-job';
import { emptyJob, stamp } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

let test: TestDatabase;
let firm: TestFirm;

beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());

it('begins the answer of a long job that is brought in, and its page asks for no other', async () => {
  const reading = (k: number): Entry => ({
    ...stamp(),
    kind: 'reading',
    check: 'upper-element-ohms',
    value: { ohm: 12 + (k % 7) / 10 },
    by: k % 2 ? firm.dead.id : firm.live.id,
  });
  const entries = Array.from({ length: longLogbook + 1 }, (_, k) => reading(k));
  const read = await readImport(JSON.stringify(emptyJob({ entries })), firm.live);
  const { id } = await firm.as((transaction) =>
    importJob(transaction, firm.id, firm.live.id, read, {
      whenOpened: (opened) => answerAhead(transaction, firm.live, opened),
    }),
  );

  const { head, organisation } = await firm.as(async (transaction) => ({
    head: await readLongJobHead(transaction, id),
    organisation: (await readOrganisation(transaction))!,
  }));
  expect(head.people!.map((each) => each.id)).toContain(firm.dead.id);
  const logbook = {
    organisationId: firm.id,
    jobId: id,
    entryCount: entries.length,
    technician: firm.live,
    organisation,
  };
  const another = vi.spyOn(heavy, 'firstAnswerOfLong');
  const answer = await firstAnswerOfLong(asSeenBy(head, firm.live, organisation), logbook);
  expect(another).not.toHaveBeenCalled();

  const stored = await answerLong(test.database, logbook, undefined, new Date().toISOString());
  expect(answer!.answer).toEqual(stored!.answer);
  expect(answer!.state).toEqual(stored!.state);
});
