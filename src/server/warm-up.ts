import { setTimeout as pause } from 'node:timers/promises';
import { familyOfJob } from '../core/appliances';
import { benchAnswer, packTables } from '../core/job-diagnosis';
import { listJobs } from '../database/jobs';
import { jobFileOf } from './job-file-of';
import { inFirm } from './session';

/** Jobs that are likely to be opened first: the newest of those that are open. */
const mostJobs = 8;
/** Between two plates the server is free for whoever asks. */
const pauseMilliseconds = 2000;

/**
 * Fills the tables of the newest open jobs' plates, so that the first page of a job does not wait for them. A plate at a
 * time, with room between: whoever asks meanwhile waits for one at the most. Without a database nothing is warmed, and nothing is lost.
 */
export async function warmUp(): Promise<void> {
  try {
    const rows = (await inFirm((transaction) => listJobs(transaction, mostJobs))) ?? [];
    const jobs = rows.filter(({ job }) => job.isOpen).map((each) => jobFileOf(each, []));
    for (const job of jobs) {
      await pause(pauseMilliseconds);
      const family = familyOfJob(job);
      benchAnswer(job, undefined);
      packTables(family, family.plateOf(job));
    }
  } catch {
    // The page that needs the tables fills them, and says what is wrong.
  }
}
