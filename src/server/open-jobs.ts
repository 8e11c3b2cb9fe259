import { familyOfJob } from '../core/appliances/all';
import { beginFold, type Entry, type JobFile, type RunningFold } from '../core/job-file';
import type { Standing } from '../core/job-diagnosis/standing';
import type { Technician } from '../database/technicians';

/**
 * Jobs that are being worked on, as they were after the last entry that this process stored: a logbook is read and folded
 * once, and each entry more is one step. What is known here is never believed by itself: the database is asked, with the
 * entry, whether the job still is so.
 */
export interface OpenJob {
  readonly organisationId: string;
  /** Without its entries. */
  readonly head: JobFile;
  readonly ids: Set<string>;
  fold: RunningFold;
  standing: Standing;
  readonly technicians: readonly Technician[];
}

/** At most so many jobs, and so many ids of the entries of all of them together. */
const mostJobs = 1000;
const mostEntries = 200_000;

interface OpenJobs {
  readonly byId: Map<string, OpenJob>;
  entryCount: number;
}

const global = globalThis as { ohmmeterOpenJobs?: OpenJobs };
const own = (): OpenJobs => (global.ohmmeterOpenJobs ??= { byId: new Map(), entryCount: 0 });

export function openJob(id: string): OpenJob | undefined {
  const { byId } = own();
  const found = byId.get(id);
  if (found) {
    // The one that was asked for last stays longest.
    byId.delete(id);
    byId.set(id, found);
  }
  return found;
}

/** A job as it was when its last entries were stored. */
export interface KnownJob {
  readonly organisationId: string;
  readonly job: JobFile;
  readonly standing: Standing;
  readonly technicians: readonly Technician[];
  /** Where it has been folded already. */
  readonly fold?: RunningFold;
}

export function rememberJob({ job, fold, ...rest }: KnownJob): void {
  rememberFolded({
    ...rest,
    head: { ...job, entries: [] },
    ids: job.entries.map((each) => each.id),
    fold: fold ?? beginFold(job.entries, familyOfJob(job).catalogue),
  });
}

/** A job that was read and folded elsewhere. */
export interface FoldedJob extends Omit<OpenJob, 'ids'> {
  readonly ids: readonly string[];
}

export function rememberFolded({ ids, ...folded }: FoldedJob): void {
  const { id } = folded.head.job;
  forgetJob(id);
  const jobs = own();
  jobs.byId.set(id, { ...folded, ids: new Set(ids) });
  jobs.entryCount += ids.length;
  for (const oldest of jobs.byId.keys()) {
    if (jobs.byId.size <= mostJobs && jobs.entryCount <= mostEntries) break;
    forgetJob(oldest);
  }
}

/** Folding a longer logbook would be felt by others: it is done in a thread, or left to the first entry that comes. */
const mostWhenOpened = 1000;

/** A job that somebody opened is one that entries are likely to come to. */
export function rememberOpened(known: KnownJob): void {
  const { entries, job } = known.job;
  // Entries that came between the reading of the two make it another job than it says.
  const isWhole = known.standing.entryCount === entries.length;
  if (isWhole && entries.length <= mostWhenOpened && !own().byId.has(job.id)) rememberJob(known);
}

/** After entries of it were stored. */
export function advanceJob(
  job: OpenJob,
  fresh: readonly Entry[],
  fold: RunningFold,
  standing: Standing,
): void {
  for (const each of fresh) job.ids.add(each.id);
  own().entryCount += fresh.length;
  job.fold = fold;
  job.standing = standing;
}

export function forgetJob(id: string): void {
  const jobs = own();
  const known = jobs.byId.get(id);
  if (!known) return;
  jobs.byId.delete(id);
  jobs.entryCount -= known.ids.size;
}
