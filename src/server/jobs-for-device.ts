import { validate as isUuid } from 'uuid';
import { longLogbook, type JobFile } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { countEntries } from '../database/entries';
import { mostAtOnce } from './entries-after';
import { NotFound, Refused } from './errors';
import { readJobFile, readLongJobHead } from './read-job';

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
  const jobs: JobFile[] = [];
  const long: LongJob[] = [];
  for (const id of ids) {
    try {
      const count = await countEntries(transaction, id);
      if (count <= longLogbook) jobs.push(await readJobFile(transaction, id));
      else {
        const head = await readLongJobHead(transaction, id);
        long.push({ head, logbook: { count, atOnce: mostAtOnce } });
      }
    } catch (error) {
      if (!(error instanceof NotFound)) throw error;
    }
  }
  return { jobs, long };
}
