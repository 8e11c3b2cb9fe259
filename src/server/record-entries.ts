import { v7 as newId } from 'uuid';
import { familyOfJob } from '../core/appliances/all';
import {
  canonical,
  isRestored,
  permissionProblems,
  readEntry,
  type Entry,
  type JobFile,
  type JobFileProblem,
} from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { appendEntries, readEntries, readEntriesById } from '../database/entries';
import { lockJob, readJob, updateStanding, type JobWithUnit } from '../database/jobs';
import { lastRestore, type Restore } from '../database/restores';
import { listTechnicians, type Technician } from '../database/technicians';
import { checkLogbook, mayAskEngine, type CheckedLogbook } from './check-logbook';
import { datedAhead } from './dated-ahead';
import { Conflict, NotFound, Refused } from './errors';
import { jobFileOf } from './job-file-of';
import type { KnownJob } from './open-jobs';
import { withPlainIds } from './plain-ids';
import { standingFromRecord } from '../core/job-diagnosis/standing';
import { stopAmong } from '../core/job-diagnosis/stop';
import { inThread } from './threads';

export interface RecordedEntries {
  /** Ids that are stored now, be it from this batch or an earlier one. */
  readonly stored: readonly string[];
  /** The job as it is with them, where some were new. */
  readonly known?: KnownJob;
}

/**
 * Appends a batch of entries to a job, all or none. The same batch again changes nothing.
 * @param sender who sends it: an entry that names nobody of the firm is theirs.
 * @throws NotFound, Refused with the pointer of each bad entry, or Conflict where an id has other content.
 */
export async function recordEntries(
  transaction: FirmTransaction,
  organisationId: string,
  jobId: string,
  sent: unknown,
  sender: Technician,
): Promise<RecordedEntries> {
  const batch = readBatch(sent);
  return recordBatch(transaction, organisationId, jobId, batch, sender);
}

/** The same for entries that have been read already. */
export async function recordBatch(
  transaction: FirmTransaction,
  organisationId: string,
  jobId: string,
  batch: readonly Entry[],
  sender: Technician,
): Promise<RecordedEntries> {
  const stored = await lockedJob(transaction, jobId);
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
  let knownJob: KnownJob | undefined;
  if (fresh.length > 0) {
    const stands = await readEntries(transaction, jobId);
    const restored = restoredBefore(fresh, stands, await lastRestore(transaction));
    const earlier = [...stands, ...restored];
    const technicians = await listTechnicians(transaction);
    const job = jobFileOf(stored, [...earlier, ...fresh], technicians);
    const { problems, fold, state } = await checked(job, fresh, earlier.length);
    refuse([...problems, ...withoutPermission(job, fresh, sender, technicians)]);
    const standing = standingFromRecord(
      state,
      job.entries.length,
      stored.job.standing,
      stopAmong(familyOfJob(job), job, fresh),
    );
    await appendEntries(transaction, organisationId, jobId, [...restored, ...fresh]);
    await updateStanding(transaction, jobId, standing);
    knownJob = { organisationId, job, standing, technicians, fold };
  }
  return { stored: batch.map((each) => each.id), known: knownJob };
}

/**
 * What was written before the last restore and comes only now comes to a logbook that a backup took the place of: it says so,
 * once. What other devices have of that time may still come, and a proof of that time is none until it has.
 */
function restoredBefore(
  fresh: readonly Entry[],
  earlier: readonly Entry[],
  restore: Restore | undefined,
): Entry[] {
  if (!restore) return [];
  const isOfIt = (each: Entry) => isRestored(each) && each.at === restore.at;
  const isLate = fresh.some(({ at }) => Date.parse(at) <= Date.parse(restore.at));
  return isLate && !earlier.some(isOfIt)
    ? [{ id: newId(), at: restore.at, kind: 'action', action: 'restored' }]
    : [];
}

/** A longer logbook is checked in a thread, and whatever may ask the engine: it would be felt by others. */
const mostHere = 1000;

const checked = (
  job: JobFile,
  fresh: readonly Entry[],
  earlierCount: number,
): CheckedLogbook | Promise<CheckedLogbook> =>
  job.entries.length <= mostHere && !mayAskEngine(fresh)
    ? checkLogbook(job, earlierCount)
    : inThread('checks', (service) => service.checkLogbook(job, earlierCount));

/** @throws NotFound where this firm has no such job. */
export async function lockedJob(transaction: FirmTransaction, jobId: string): Promise<JobWithUnit> {
  const isLocked = await lockJob(transaction, jobId);
  const stored = isLocked ? await readJob(transaction, jobId) : undefined;
  if (!stored) throw new NotFound('This firm has no such job.');
  return stored;
}

/** Devices send a hundred at once. */
const mostSent = 2000;

/**
 * @param now what the time is here: what is stamped a day later and more was stamped by a clock that is wrong.
 * @throws Refused with the pointer of each entry that is none.
 */
export function readBatch(sent: unknown, now = new Date().toISOString()): Entry[] {
  if (!Array.isArray(sent)) {
    throw new Refused([{ pointer: '/entries', message: 'Entries come as a list.' }]);
  }
  if (sent.length > mostSent) {
    throw new Refused([
      { pointer: '/entries', message: `At most ${mostSent} entries are taken at once.` },
    ]);
  }
  const problems: JobFileProblem[] = [];
  const batch = new Map<string, Entry>();
  const read: Entry[] = [];
  sent.forEach((each: unknown, index) => {
    const one = readEntry(each);
    if (!one.ok) {
      problems.push(
        ...one.problems.map(({ pointer, message }) => ({
          pointer: `/entries/${index}${pointer}`,
          message,
        })),
      );
      return;
    }
    const entry = withPlainIds(one.entry);
    read.push(entry);
    const twin = batch.get(entry.id);
    if (twin && canonical(twin) !== canonical(entry)) throw new Conflict([twin.id]);
    batch.set(entry.id, entry);
  });
  refuse(problems);
  refuse(
    datedAhead(read, now, 'the clock of this device is wrong. Set it right, and enter it again.'),
  );
  return [...batch.values()];
}

function refuse(problems: readonly JobFileProblem[]): void {
  if (problems.length > 0) throw new Refused(problems);
}

/** Live and gas work by somebody who may not do it, and any while the job is set to none. */
function withoutPermission(
  job: JobFile,
  fresh: readonly Entry[],
  sender: Technician,
  technicians: readonly Technician[],
): JobFileProblem[] {
  const takerOf = ({ by }: Entry) => technicians.find((each) => each.id === by) ?? sender;
  return permissionProblems(
    fresh,
    familyOfJob(job).catalogue,
    (each, work) => job.constraints?.[work] !== false && takerOf(each)[work],
  );
}
