import { familyOf } from '../core/appliances';
import {
  canonical,
  entryProblems,
  readEntry,
  type Entry,
  type JobFile,
  type JobFileProblem,
} from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { appendEntries, readEntries, readEntriesById } from '../database/entries';
import { lockJob, readJob, updateStanding } from '../database/jobs';
import { Conflict, NotFound, Refused } from './errors';
import { jobFileOf } from './job-file-of';
import { standingOf } from './standing-of';

export interface RecordedEntries {
  /** Ids that are stored now, be it from this batch or an earlier one. */
  readonly stored: readonly string[];
}

/**
 * Appends a batch of entries to a job, all or none. The same batch again changes nothing.
 * @throws NotFound, Refused with the pointer of each bad entry, or Conflict where an id has other content.
 */
export async function recordEntries(
  transaction: FirmTransaction,
  organisationId: string,
  jobId: string,
  sent: unknown,
): Promise<RecordedEntries> {
  const batch = readBatch(sent);
  if (!(await lockJob(transaction, jobId))) throw new NotFound('This firm has no such job.');
  const stored = await readJob(transaction, jobId);
  if (!stored) throw new NotFound('This firm has no such job.');

  const known = new Map(
    (
      await readEntriesById(
        transaction,
        batch.map((each) => each.id),
      )
    ).map((each) => [each.id, each]),
  );
  const conflicts = batch.filter((each) => {
    const earlier = known.get(each.id);
    return earlier && (earlier.jobId !== jobId || canonical(earlier.body) !== canonical(each));
  });
  if (conflicts.length > 0) throw new Conflict(conflicts.map((each) => each.id));

  const fresh = batch.filter((each) => !known.has(each.id));
  if (fresh.length > 0) {
    const earlier = await readEntries(transaction, jobId);
    const job = jobFileOf(stored, [...earlier, ...fresh]);
    refuseProblems(job, fresh, earlier.length);
    await appendEntries(transaction, organisationId, jobId, fresh);
    await updateStanding(transaction, jobId, standingOf(job));
  }
  return { stored: batch.map((each) => each.id) };
}

function readBatch(sent: unknown): Entry[] {
  if (!Array.isArray(sent)) {
    throw new Refused([{ pointer: '/entries', message: 'Entries come as a list.' }]);
  }
  const problems: JobFileProblem[] = [];
  const batch = new Map<string, Entry>();
  sent.forEach((each: unknown, index) => {
    const read = readEntry(each);
    if (!read.ok) {
      problems.push(
        ...read.problems.map(({ pointer, message }) => ({
          pointer: `/entries/${index}${pointer}`,
          message,
        })),
      );
      return;
    }
    const twin = batch.get(read.entry.id);
    if (twin && canonical(twin) !== canonical(read.entry)) throw new Conflict([twin.id]);
    batch.set(read.entry.id, read.entry);
  });
  if (problems.length > 0) throw new Refused(problems);
  return [...batch.values()];
}

function refuseProblems(job: JobFile, fresh: readonly Entry[], earlierCount: number) {
  const family = familyOf(job.unit.family);
  if (!family) throw new Refused([{ pointer: '/unit/family', message: 'Unknown family.' }]);
  const ofFresh = (pointer: string) =>
    Number(/^\/entries\/(\d+)/.exec(pointer)?.[1]) - earlierCount;
  const problems = entryProblems(job.entries, family.catalogue)
    .filter(({ pointer }) => ofFresh(pointer) >= 0)
    .map(({ pointer, message }) => ({
      pointer: pointer.replace(/^\/entries\/\d+/, `/entries/${ofFresh(pointer)}`),
      message,
    }));
  const liveWork = job.constraints?.liveWork ?? true;
  fresh.forEach((each, index) => {
    if (each.kind !== 'reading' || liveWork) return;
    // A reading on any two terminals is live where it is no ohms.
    const isLive = family.isCheckId(each.check)
      ? family.checks[each.check]!.caution === 'live'
      : each.quantity === 'voltage-ac' || each.quantity === 'current-ac';
    if (isLive) {
      problems.push({
        pointer: `/entries/${index}/${each.check === undefined ? 'quantity' : 'check'}`,
        message: 'This is a live reading, and this technician has no permission for live work.',
      });
    }
  });
  if (problems.length > 0) throw new Refused(problems);
}
