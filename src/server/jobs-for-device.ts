import { validate as isUuid } from 'uuid';
import { longLogbook, type JobFile } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { countEntriesOfEach, readLogbooks, readWriters } from '../database/entries';
import { readJobs, type JobWithUnit } from '../database/jobs';
import { listTechnicians } from '../database/technicians';
import { mostAtOnce } from './entries-after';
import { Refused } from './errors';
import { jobFileOf } from './job-file-of';
import { withHistories } from './unit-history';

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
  // Each kind of thing is asked for once: every device asks for twenty-five jobs with its first page.
  const stored = await withHistories(transaction, await readJobs(transaction, [...ids]));
  const technicians = await listTechnicians(transaction);
  const counts = await countEntriesOfEach(transaction, [...ids]);
  const countOf = ({ job }: JobWithUnit) => counts.get(job.id) ?? 0;
  const short = stored.filter((each) => countOf(each) <= longLogbook);
  const logbooks = await readLogbooks(
    transaction,
    short.map(({ job }) => job.id),
  );
  const long: LongJob[] = [];
  for (const each of stored) {
    const count = countOf(each);
    if (count <= longLogbook) continue;
    const writers = await readWriters(transaction, each.job.id);
    long.push({
      head: jobFileOf(each, [], technicians, writers),
      logbook: { count, atOnce: mostAtOnce },
    });
  }
  const logbookOf = ({ job }: JobWithUnit) => logbooks.get(job.id) ?? [];
  return { jobs: short.map((each) => jobFileOf(each, logbookOf(each), technicians)), long };
}
