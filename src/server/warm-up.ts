import type { JobFile } from '../core/job-file';
import { performance } from 'node:perf_hooks';
import { setTimeout as pause } from 'node:timers/promises';
import { applicationDatabase, connectAhead, DatabaseUnavailable } from '../database/client';
import { listJobs, listUnsettled } from '../database/jobs';
import { jobFileOf } from './job-file-of';
import { logFault } from './log';
import { inFirm } from './in-firm';
import { settleStanding } from './settle-standing';
import { endThread, inThread } from './threads';
import { visitPages } from './visit-pages';

/** Jobs that are likely to be opened first: the newest of those that are open. `OHMMETER_WARM_JOBS` says another number. */
const mostJobs = Number(process.env.OHMMETER_WARM_JOBS ?? 8);
/** Somebody is at work here if the server was busy for more than this share of the time looked at. */
const busyShare = 0.1;
const lookMilliseconds = 2000;

/**
 * Takes in the code of the pages that come first, and fills the tables of the newest open jobs' plates, so that the first page
 * of a job waits for neither. A plate at a time, and only while nobody asks for anything. Without a database nothing is warmed, and nothing is lost.
 */
export async function warmUp(): Promise<void> {
  try {
    await connectAhead(applicationDatabase());
    await settleLeftOver();
    if (!(mostJobs > 0)) return;
    const rows =
      (await inFirm((transaction) => listJobs(transaction, { isOpen: true, most: mostJobs }))) ??
      [];
    const jobs = rows.map((each) => jobFileOf(each, []));
    const [newest] = jobs;
    if (newest) {
      await quiet();
      await visitPages(process.env.OHMMETER_ADDRESS, newest.job.id);
    }
    for (const job of jobs) {
      await quiet();
      await warmJob(job);
    }
  } catch (error) {
    // The page that needs the tables fills them, and says what is wrong with the database.
    if (!(error instanceof DatabaseUnavailable)) logFault('warming up failed', error);
  } finally {
    await endThread('warming');
  }
}

/** One that cannot be worked out leaves the others to be warmed. */
async function warmJob(job: JobFile): Promise<void> {
  try {
    // In a thread of its own, which leaves them on the disk: a plate takes seconds, and no page is to wait behind it.
    await inThread('warming', (service) => service.tablesFor(job));
    await inThread('answers', (service) =>
      service.firstAnswer(job, undefined, new Date().toISOString()),
    );
  } catch (error) {
    if (error instanceof DatabaseUnavailable) throw error;
    logFault('a job could not be warmed', error);
  }
}

/** Jobs that a server left unsettled when it stopped. */
async function settleLeftOver(): Promise<void> {
  await inFirm(async (transaction, organisationId) => {
    for (const id of await listUnsettled(transaction, mostLeftOver)) {
      settleStanding(applicationDatabase(), organisationId, id);
    }
  });
}

/** More than this many were left by something worse than a stop. */
const mostLeftOver = 1000;

async function quiet(): Promise<void> {
  for (;;) {
    const from = performance.eventLoopUtilization();
    await pause(lookMilliseconds, undefined, { ref: false });
    if (performance.eventLoopUtilization(from).utilization < busyShare) return;
  }
}
