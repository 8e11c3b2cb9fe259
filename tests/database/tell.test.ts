import pg from 'pg';
import { afterAll, afterEach, beforeAll, expect, it, vi } from 'vitest';
import { entriesChannel } from '../../src/database/entries';
import { applicationUrl } from '../../src/database/migrate';
import { tellOfEntries } from '../../src/database/tell';
import { patience } from '../patience';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** Entries that were stored are told of, once the database hears it. */
let test: TestDatabase;
let client: pg.Client;
const heard = vi.fn<(job: string | undefined) => void>();
beforeAll(async () => {
  test = await makeTestDatabase();
  client = new pg.Client({
    connectionString: applicationUrl(
      test.ownerUrl,
      process.env.OHMMETER_APPLICATION_PASSWORD ?? 'test',
    ),
  });
  await client.connect();
  client.on('notification', ({ payload }) => heard(payload));
  await client.query(`listen ${entriesChannel}`);
});
afterEach(() => {
  vi.restoreAllMocks();
  heard.mockClear();
});
afterAll(async () => {
  await client.end();
  await test.drop();
});

it('each job that got entries is told of, those of a moment in one statement', async () => {
  const asked = vi.spyOn(test.database.$client, 'query');
  for (let k = 0; k < 50; k++) tellOfEntries(test.database, k % 2 ? 'one' : 'two');
  await vi.waitFor(() => {
    expect(heard).toHaveBeenCalledWith('one');
    expect(heard).toHaveBeenCalledWith('two');
  }, patience);
  expect(asked.mock.calls.length).toBeLessThanOrEqual(2);
});

it('what could not be told is told when the database answers again', async () => {
  const asked = vi
    .spyOn(test.database.$client, 'query')
    .mockImplementationOnce(() => Promise.reject(new Error('Connection terminated')) as never);
  tellOfEntries(test.database, 'later');
  await vi.waitFor(() => expect(heard.mock.calls).toEqual([['later']]), patience);
  expect(asked).toHaveBeenCalledTimes(2);
});
