import type { JobFile } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { readEntries, readWriters } from '../database/entries';
import { readJob } from '../database/jobs';
import { listTechnicians } from '../database/technicians';
import { NotFound } from './errors';
import { jobFileOf } from './job-file-of';
import type { KnownJob } from './open-jobs';
import { withHistories } from './unit-history';

/**
 * A job with its whole logbook, and what it stands at.
 * @throws NotFound where this firm has no such job.
 */
export async function readKnownJob(transaction: FirmTransaction, jobId: string): Promise<KnownJob> {
  const stored = await storedJob(transaction, jobId);
  const technicians = await listTechnicians(transaction);
  const job = jobFileOf(stored, await readEntries(transaction, jobId), technicians);
  const { organisationId, standing } = stored.job;
  return { organisationId, job, standing, technicians };
}

/**
 * The same of a job whose logbook is too long to be read for it: its file without entries, with everybody who wrote in it.
 * @param writers who wrote in it, where they are known before it is stored.
 * @throws NotFound where this firm has no such job.
 */
export async function readLongJobHead(
  transaction: FirmTransaction,
  jobId: string,
  writers?: readonly string[],
): Promise<JobFile> {
  const stored = await storedJob(transaction, jobId);
  const technicians = await listTechnicians(transaction);
  const wrote = writers ? new Set(writers) : await readWriters(transaction, jobId);
  return jobFileOf(stored, [], technicians, wrote);
}

/** The same without what it stands at. */
export const readJobFile = async (transaction: FirmTransaction, jobId: string): Promise<JobFile> =>
  (await readKnownJob(transaction, jobId)).job;

/**
 * A job without its logbook.
 * @throws NotFound where this firm has no such job.
 */
export async function readJobHead(transaction: FirmTransaction, jobId: string): Promise<JobFile> {
  const stored = await storedJob(transaction, jobId);
  return jobFileOf(stored, []);
}

async function storedJob(transaction: FirmTransaction, jobId: string) {
  const found = await readJob(transaction, jobId);
  if (!found) throw new NotFound('This firm has no such job.');
  return (await withHistories(transaction, [found]))[0]!;
}
