import { familyOfJob } from '../core/appliances';
import { closingProblem, openDiagnosis, proofOf } from '../core/job-diagnosis';
import {
  canonical,
  entryProblems,
  liveWorkProblems,
  readEntry,
  type Entry,
  type JobFile,
  type JobFileProblem,
} from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { appendEntries, readEntries, readEntriesById } from '../database/entries';
import { lockJob, readJob, updateStanding, type JobWithUnit } from '../database/jobs';
import type { Standing } from '../database/standing';
import { listTechnicians, type Technician } from '../database/technicians';
import { Conflict, NotFound, Refused } from './errors';
import { jobFileOf } from './job-file-of';
import type { KnownJob } from './open-jobs';
import { withPlainIds } from './plain-ids';
import { standingMeanwhile } from './standing-of';

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
    const earlier = await readEntries(transaction, jobId);
    const technicians = await listTechnicians(transaction);
    const job = jobFileOf(stored, [...earlier, ...fresh], technicians);
    refuse([
      ...ofFresh(entryProblems(job.entries, familyOfJob(job).catalogue), earlier.length),
      ...withoutPermission(job, fresh, sender, technicians),
      ...badClosings(job, fresh, earlier.length),
    ]);
    const standing = await storeEntries(
      transaction,
      organisationId,
      job,
      fresh,
      stored.job.standing,
    );
    knownJob = { organisationId, job, standing, technicians };
  }
  return { stored: batch.map((each) => each.id), known: knownJob };
}

/**
 * Appends entries that have been checked, with what the record alone says of the job. The job's row must be locked. What it
 * stands at is worked out after the transaction (`settleStanding`).
 */
export async function storeEntries(
  transaction: FirmTransaction,
  organisationId: string,
  job: JobFile,
  fresh: readonly Entry[],
  before: Standing,
): Promise<Standing> {
  const standing = standingMeanwhile(job, before);
  await appendEntries(transaction, organisationId, job.job.id, fresh);
  await updateStanding(transaction, job.job.id, standing);
  return standing;
}

/** @throws NotFound where this firm has no such job. */
export async function lockedJob(transaction: FirmTransaction, jobId: string): Promise<JobWithUnit> {
  const isLocked = await lockJob(transaction, jobId);
  const stored = isLocked ? await readJob(transaction, jobId) : undefined;
  if (!stored) throw new NotFound('This firm has no such job.');
  return stored;
}

/** @throws Refused with the pointer of each entry that is none. */
export function readBatch(sent: unknown): Entry[] {
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
    const entry = withPlainIds(read.entry);
    const twin = batch.get(entry.id);
    if (twin && canonical(twin) !== canonical(entry)) throw new Conflict([twin.id]);
    batch.set(entry.id, entry);
  });
  if (problems.length > 0) throw new Refused(problems);
  return [...batch.values()];
}

function refuse(problems: readonly JobFileProblem[]): void {
  if (problems.length > 0) throw new Refused(problems);
}

/** Of problems in the whole logbook, those of the fresh entries, counted from the first of them. */
const ofFresh = (problems: readonly JobFileProblem[], earlierCount: number): JobFileProblem[] =>
  problems.flatMap(({ pointer, message }) => {
    const [, index = '', rest = ''] = /^\/entries\/(\d+)(.*)$/.exec(pointer) ?? [];
    const place = Number(index) - earlierCount;
    return place >= 0 ? [{ pointer: `/entries/${place}${rest}`, message }] : [];
  });

/** Live results by somebody who may not take them, and any while the job is set to none. */
function withoutPermission(
  job: JobFile,
  fresh: readonly Entry[],
  sender: Technician,
  technicians: readonly Technician[],
): JobFileProblem[] {
  const takerOf = ({ by }: Entry) => technicians.find((each) => each.id === by) ?? sender;
  const isNone = job.constraints?.liveWork === false;
  return liveWorkProblems(
    fresh,
    familyOfJob(job).catalogue,
    (each) => !isNone && takerOf(each).liveWork,
  );
}

/** Closings that a bad proof, a lifted wire or a missing reason bars. */
function badClosings(
  job: JobFile,
  fresh: readonly Entry[],
  earlierCount: number,
): JobFileProblem[] {
  return fresh.flatMap((each, index) => {
    const closing = each.kind === 'correction' ? each.entry : each;
    if (closing?.kind !== 'status') return [];
    const before = { ...job, entries: job.entries.slice(0, earlierCount + index) };
    const open = openDiagnosis(before);
    const message = closingProblem({ state: open.state, proof: proofOf(open, before) }, closing);
    return message ? [{ pointer: `/entries/${index}/reason`, message }] : [];
  });
}
