import { familyOfJob } from '../core/appliances/all';
import {
  extendFold,
  permissionProblems,
  stateOfFold,
  type Entry,
  type PermittedWork,
} from '../core/job-file';
import type { Database } from '../database/client';
import { appendQuickly } from '../database/entries';
import type { Technician } from '../database/technicians';
import { tellOfEntries } from '../database/tell';
import { advanceJob, forgetJob, openJob, type OpenJob } from './open-jobs';
import { standingFromRecord } from '../core/job-diagnosis/standing';
import { stopAmong } from '../core/job-diagnosis/stop';

/**
 * Appends entries to a job that this process knows, in one statement. Gives undefined where that cannot be: the job is not
 * known here or has changed, an id is there already, or an entry changes what came before it or ends the job. Whatever is
 * wrong with an entry is left to the long way too, which says it.
 */
export async function recordQuickly(
  database: Database,
  jobId: string,
  batch: readonly Entry[],
  chosenTechnician: string | undefined,
): Promise<readonly string[] | undefined> {
  const job = openJob(jobId);
  if (!job || batch.length === 0 || batch.some((each) => isForTheLongWay(job, each))) {
    return undefined;
  }
  const family = familyOfJob(job.head);
  const { catalogue } = family;
  const next = extendFold(job.fold, batch, catalogue);
  const relied = next && reliedOn(job, batch, chosenTechnician);
  if (!relied || next.problems.length > 0) return undefined;
  const state = stateOfFold(next.fold);
  const standing = standingFromRecord(
    state,
    next.fold.count,
    job.standing,
    stopAmong(family, job.head, batch),
  );
  const known = job.fold;
  let isDone = false;
  try {
    isDone = await appendQuickly(database, {
      jobId,
      knownCount: known.count,
      knownConstraints: job.head.constraints ?? {},
      relied,
      added: batch,
      standing,
    });
  } catch (error) {
    forgetJob(jobId);
    if (isTaken(error)) return undefined;
    throw error;
  }
  if (!isDone) {
    forgetJob(jobId);
    return undefined;
  }
  tellOfEntries(database, jobId);
  // Another entry may have been stored meanwhile from here, or the job forgotten: then what is known is of before that.
  if (job.fold === known && openJob(jobId) === job) advanceJob(job, batch, next.fold, standing);
  else forgetJob(jobId);
  return batch.map((each) => each.id);
}

/** Closings are judged by the whole record, and what is known already is compared. */
const isForTheLongWay = ({ ids }: OpenJob, { id, kind }: Entry): boolean =>
  kind === 'status' || kind === 'correction' || ids.has(id);

/** Whose permission the entries rest on that take one; undefined where somebody has none. */
function reliedOn(
  { head, technicians }: OpenJob,
  batch: readonly Entry[],
  chosen: string | undefined,
): string[] | undefined {
  const { catalogue } = familyOfJob(head);
  const known = (id: string | undefined) => technicians.find((each) => each.id === id);
  const present = chosen === undefined ? technicians[0] : known(chosen);
  // For whoever has left the long way says who is here.
  const sender = present?.hasLeft ? undefined : present;
  const relied = new Set<string>();
  const isAllowed = ({ by }: Entry, work: PermittedWork): boolean => {
    // Somebody who is not known here may have come since: nobody else answers for them.
    const taker: Technician | undefined = by === undefined ? sender : known(by);
    // The one statement looks the permission for live work up again; for gas the long way does.
    if (work === 'gasWork') return false;
    if (!taker?.[work] || head.constraints?.[work] === false) return false;
    relied.add(taker.id);
    return true;
  };
  return permissionProblems(batch, catalogue, isAllowed).length > 0 ? undefined : [...relied];
}

/** PostgreSQL's word for an id that is there already: in another job, or from this one sent twice at once. */
const isTaken = (error: unknown): boolean => (error as { code?: string }).code === '23505';
