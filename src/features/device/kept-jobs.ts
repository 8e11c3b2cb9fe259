import type { Entry, JobFile } from '@/core/job-file';
import { longLogbook } from '@/core/job-file/long-logbook';
import { deviceStore, keptEntries, type KeptEntry, type KeptJob } from './store';

const none: readonly never[] = [];

/** Jobs beyond so many leave the device again, those first that were not looked at for longest. */
const mostJobs = 60;

/** In the place of a job's number, until the server has given it one. */
export const notNumbered = 'new';

/**
 * Keeps a job as the server has it. What this device had written and the server now has needs no keeping of its own any more.
 * A device without a store of its own keeps nothing; its pages then need the server.
 */
export async function keepJob(job: JobFile): Promise<void> {
  const { id } = job.job;
  const store = deviceStore();
  const known = new Set(job.entries.map((each) => each.id));
  try {
    await store.transaction('rw', store.jobs, store.entries, store.calls, async () => {
      // A job whose call is still on its way is kept with that call.
      if (await store.calls.get(id)) return;
      const kept = await store.jobs.get(id);
      const number = job.job.number === notNumbered ? kept?.job.job.number : undefined;
      const numbered = number === undefined ? job : { ...job, job: { ...job.job, number } };
      const fresh = asKept(numbered);
      const lost = kept ? lostFrom(kept, fresh, job.entries) : none;
      const since = lost.length > 0 ? undefined : entriesSince(kept, job.entries.length);
      await store.jobs.put(since ? asKept({ ...numbered, entries: since }) : fresh);
      if (lost.length > 0) await keepBeforeOwn(id, lost, 'sent');
      const sent = await store.entries.where('[jobId+state]').equals([id, 'sent']).primaryKeys();
      await store.entries.bulkDelete(sent.filter((each) => known.has(each)));
      const tooMany = (await store.jobs.count()) - mostJobs;
      if (tooMany <= 0) return;
      const oldest = await store.jobs.orderBy('keptAt').limit(tooMany).primaryKeys();
      await store.jobs.bulkDelete(oldest);
    });
  } catch {
    // Full or closed: `append` says so where it matters.
  }
}

/**
 * What the kept logbook has and the one that takes its place does not, although it is no older page of it: a backup was put
 * back, and the server has lost it. It stays, as this device's own does that the server has not shown it yet.
 */
function lostFrom(kept: KeptJob, fresh: KeptJob, after: readonly Entry[]): readonly Entry[] {
  const isLonger = kept.logbook && fresh.logbook?.startsWith(kept.logbook.slice(0, -1));
  if (isLonger) return none;
  const before = asOpened(kept).entries;
  const isInOrder = before.every(({ id }, k) => k >= after.length || after[k]!.id === id);
  if (isInOrder) return none;
  const there = new Set(after.map(({ id }) => id));
  return before.filter(({ id }) => !there.has(id));
}

/** Keeps entries of others in the device's own order before all that it wrote on the job; what it has already stays as it is. */
export async function keepBeforeOwn(
  jobId: string,
  others: readonly Entry[],
  state: KeptEntry['state'],
): Promise<void> {
  const { entries } = deviceStore();
  const own = await entries.where('jobId').equals(jobId).toArray();
  const isOwn = new Set(own.map(({ id }) => id));
  const first = Math.min(Date.now() * 1000, ...own.map(({ order }) => order)) - others.length;
  await entries.bulkPut(
    others
      .map((entry, k): KeptEntry => ({ id: entry.id, jobId, entry, order: first + k, state }))
      .filter(({ id }) => !isOwn.has(id)),
  );
}

/** A job as this device has it: as the server last showed it, or as its call was taken here. */
export async function keptJob(id: string): Promise<JobFile | undefined> {
  const store = deviceStore();
  const call = await store.calls.get(id);
  if (call) return call.job;
  const kept = await store.jobs.get(id);
  return kept && asOpened(kept);
}

/**
 * A job's logbook as the server last told it to this device, where a page of fewer entries was made before: one that is gone
 * back to, or was on its way while an entry arrived. None where the page is as new.
 */
async function keptSince(id: string, pageCount: number): Promise<readonly Entry[]> {
  // A long one does not come with its page: whoever shows it has read it here already (read-logbook.ts).
  if (pageCount > longLogbook) return [];
  return entriesSince(await deviceStore().jobs.get(id), pageCount) ?? [];
}

/** What this device has of a job beside a page of it. */
export interface KeptBeside {
  /** What it wrote. */
  readonly own: readonly KeptEntry[];
  /** What the server had told it by then, where the page is older. */
  readonly since: readonly Entry[];
}

export async function keptBeside(id: string, pageCount: number): Promise<KeptBeside> {
  // In this order: what leaves the one meanwhile the other has.
  const own = await keptEntries(id);
  return { own, since: await keptSince(id, pageCount) };
}

/** The server gives a job's entries in one order, and none of them goes again: of two logbooks the longer is the newer. */
function entriesSince(kept: KeptJob | undefined, count: number): Entry[] | undefined {
  return kept && countOf(kept) > count ? asOpened(kept).entries : undefined;
}

const countOf = ({ job, entryCount }: KeptJob): number => entryCount ?? job.entries?.length ?? 0;

/** How many entries of a job this device has from the server. */
export async function keptCount(id: string): Promise<number | undefined> {
  const kept = await deviceStore().jobs.get(id);
  return kept && countOf(kept);
}

function asKept(job: JobFile): KeptJob {
  const { entries, ...head } = job;
  const kept = { id: job.job.id, keptAt: Date.now() };
  if (entries.length <= longLogbook) return { ...kept, job };
  // A store copies ten thousand entries one by one, into itself and out again, which takes it many times as long as a text.
  return { ...kept, job: head, logbook: JSON.stringify(entries), entryCount: entries.length };
}

const asOpened = ({ job, logbook }: KeptJob): JobFile => ({
  ...job,
  entries: job.entries ?? (JSON.parse(logbook ?? '[]') as Entry[]),
});
