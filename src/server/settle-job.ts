import { asFirm, type Database } from '../database/client';
import { settleStandingOf } from '../database/jobs';
import { readJobFile } from './read-job';
import { settleServed } from './service-due';
import { standingOf } from './standing-of';
import { takeStoredTables } from './stored-tables';

/** Reads a job, works out what it stands at, and writes that down; and, with its unit, when services were last done. */
export async function settleJob(
  database: Database,
  organisationId: string,
  jobId: string,
): Promise<void> {
  const job = await asFirm(database, organisationId, (transaction) =>
    readJobFile(transaction, jobId),
  );
  takeStoredTables(job);
  const standing = standingOf(job);
  await asFirm(database, organisationId, async (transaction) => {
    await settleStandingOf(transaction, jobId, standing);
    if (job.unit.id !== undefined) await settleServed(transaction, job.unit.id);
  });
}
