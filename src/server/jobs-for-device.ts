import { validate as isUuid } from 'uuid';
import type { JobFile } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { countEntries, readEntries, readWriters } from '../database/entries';
import { readJob } from '../database/jobs';
import { listTechnicians } from '../database/technicians';
import { mostAtOnce } from './entries-after';
import { Refused } from './errors';
import { jobFileOf } from './job-file-of';
import { longLogbook } from './long-logbook';

/** Jobs for a device that has not opened them. */
export interface JobsForDevice {
  readonly jobs: readonly JobFile[];
  /** Those with a long logbook, without it: it is fetched part by part, so that nobody waits for it to be read. */
  readonly long: readonly LongJob[];
}

interface LongJob {
  readonly head: JobFile;
  /** How many entries it has, and how many of them are given at once. */
  readonly logbook: { readonly count: number; readonly atOnce: number };
}

/** A device asks for so many at once. */
const mostAsked = 10;

/**
 * Reads jobs that a device would like to have without signal. One that is not there, or is another firm's, is left out.
 * @throws Refused for what can be no ids of jobs, and for too many.
 */
export async function jobsForDevice(
  transaction: FirmTransaction,
  asked: readonly string[],
): Promise<JobsForDevice> {
  const ids = new Set(asked.map((each) => each.toLowerCase()));
  if (ids.size > mostAsked || [...ids].some((each) => !isUuid(each))) {
    const message = `Which jobs? At most ${mostAsked} ids with commas between them.`;
    throw new Refused([{ pointer: '/ids', message }]);
  }
  const technicians = await listTechnicians(transaction);
  const jobs: JobFile[] = [];
  const long: LongJob[] = [];
  for (const id of ids) {
    const stored = await readJob(transaction, id);
    if (!stored) continue;
    const count = await countEntries(transaction, id);
    if (count > longLogbook) {
      const writers = await readWriters(transaction, id);
      const head = jobFileOf(stored, [], technicians, writers);
      long.push({ head, logbook: { count, atOnce: mostAtOnce } });
    } else {
      jobs.push(jobFileOf(stored, await readEntries(transaction, id), technicians));
    }
  }
  return { jobs, long };
}
