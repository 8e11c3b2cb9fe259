import type { JobFile } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { readEntries } from '../database/entries';
import { readJob } from '../database/jobs';
import { listTechnicians } from '../database/technicians';
import { NotFound } from './errors';
import { jobFileOf } from './job-file-of';

/**
 * A job with its whole logbook.
 * @throws NotFound where this firm has no such job.
 */
export async function readJobFile(transaction: FirmTransaction, jobId: string): Promise<JobFile> {
  const stored = await readJob(transaction, jobId);
  if (!stored) throw new NotFound('This firm has no such job.');
  const technicians = await listTechnicians(transaction);
  return jobFileOf(stored, await readEntries(transaction, jobId), technicians);
}
