import { familyOfJob } from '../core/appliances/all';
import { beginFold } from '../core/job-file';
import { asFirm, type Database } from '../database/client';
import type { FoldedJob } from './open-jobs';
import { readKnownJob } from './read-job';

/**
 * Reads a job and folds its logbook; undefined where an entry came meanwhile.
 * @throws NotFound where this firm has no such job.
 */
export async function foldJob(
  database: Database,
  organisationId: string,
  jobId: string,
): Promise<FoldedJob | undefined> {
  const { job, standing, technicians } = await asFirm(database, organisationId, (transaction) =>
    readKnownJob(transaction, jobId),
  );
  const { entries } = job;
  if (standing.entryCount !== entries.length) return undefined;
  return {
    organisationId,
    head: { ...job, entries: [] },
    ids: entries.map((each) => each.id),
    fold: beginFold(entries, familyOfJob(job).catalogue),
    standing,
    technicians,
  };
}
