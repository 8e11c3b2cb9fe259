import { validate as isUuid } from 'uuid';
import type { FirmTransaction } from '../database/client';
import { readEntriesAfter } from '../database/entries';
import { readJob } from '../database/jobs';
import { NotFound, Refused } from './errors';

/**
 * What has come to a job after its first so many entries, in the order of receipt, as the JSON of a list; whether there is more; and
 * which backup was put back last, by which a device sees that it may know more than the server.
 * @throws NotFound where this firm has no such job; Refused for a count that is none.
 */
export async function entriesAfter(
  transaction: FirmTransaction,
  jobId: string,
  count: number,
): Promise<{ readonly entries: string; readonly more: boolean; readonly restored?: string }> {
  if (!Number.isSafeInteger(count) || count < 0) {
    throw new Refused([{ pointer: '/after', message: 'After how many entries? A whole number.' }]);
  }
  if (!isUuid(jobId) || !(await readJob(transaction, jobId))) {
    throw new NotFound('This firm has no such job.');
  }
  const { entries, found, restored } = await readEntriesAfter(
    transaction,
    jobId,
    count,
    mostAtOnce,
  );
  return { entries, more: found === mostAtOnce, restored };
}

/** A long logbook comes part by part. */
export const mostAtOnce = 2000;
