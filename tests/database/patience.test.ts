import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asFirm, connect, DatabaseUnavailable } from '../../src/database/client';
import { lockJob } from '../../src/database/jobs';
import { applicationUrl } from '../../src/database/migrate';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** Nobody waits for ever: what takes too long is told as a database that does not answer, and is tried again. */
let test: TestDatabase;
let firm: TestFirm;
let hasty: ReturnType<typeof connect>;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
  hasty = connect(
    applicationUrl(test.ownerUrl, process.env.OHMMETER_APPLICATION_PASSWORD ?? 'test'),
    { statementMilliseconds: 300, lockMilliseconds: 150, idleMilliseconds: 200 },
  );
});
afterAll(async () => {
  await hasty.pool.end();
  await test.drop();
});

describe('a database that takes too long', () => {
  it('gives up a statement', async () => {
    await expect(
      asFirm(hasty.database, firm.id, (transaction) =>
        transaction.execute(sql`select pg_sleep(5)`),
      ),
    ).rejects.toThrow(DatabaseUnavailable);
  });

  it('gives up a lock that another holds, and takes it once it is free', async () => {
    const job = await firm.open(firm.live);
    const take = () => asFirm(hasty.database, firm.id, (transaction) => lockJob(transaction, job));
    await firm.as(async (transaction) => {
      await lockJob(transaction, job);
      await expect(take()).rejects.toThrow(DatabaseUnavailable);
    });
    expect(await take()).toBe(true);
  });

  it('ends a transaction whose holder forgot it, and the next one finds another connection', async () => {
    await expect(
      asFirm(hasty.database, firm.id, async (transaction) => {
        await new Promise((resolve) => setTimeout(resolve, 600));
        await transaction.execute(sql`select 1`);
      }),
    ).rejects.toThrow(DatabaseUnavailable);
    const { rows } = await hasty.database.execute(sql`select 1 as one`);
    expect(rows).toEqual([{ one: 1 }]);
  });

  it('is met with patience where nothing else is said', async () => {
    const { rows } = await test.database.execute<{ statement: string; lock: string }>(
      sql`select current_setting('statement_timeout') as statement, current_setting('lock_timeout') as lock`,
    );
    expect(rows[0]).toEqual({ statement: '15s', lock: '5s' });
  });
});
