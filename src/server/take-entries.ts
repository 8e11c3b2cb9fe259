import { applicationDatabase } from '../database/client';
import { NotFound } from './errors';
import { changingInFirmBy } from './in-firm';
import { openJob, rememberJob } from './open-jobs';
import { readBatch, recordBatch, type RecordedEntries } from './record-entries';
import { recordQuickly } from './record-quickly';
import { settleStanding } from './settle-standing';

/**
 * Takes entries for a job from the technician who was chosen on the device, all or none: in one statement where the job is
 * known to this process, else by reading the whole of it once.
 * @param body as it was sent: an object with the list `entries`.
 * @throws NotFound, Refused or Conflict as `recordEntries` does.
 */
export async function takeEntries(
  jobId: string,
  body: unknown,
  chosen: string | undefined,
): Promise<Pick<RecordedEntries, 'stored'>> {
  const batch = readBatch((body as { entries?: unknown } | null)?.entries);
  const database = applicationDatabase();
  // Asked before: by the time that it is stored the job may have been forgotten here.
  const organisationId = openJob(jobId)?.organisationId;
  const quick = await recordQuickly(database, jobId, batch, chosen);
  if (quick && organisationId !== undefined) {
    settleStanding(database, organisationId, jobId);
    return { stored: quick };
  }
  const recorded = await changingInFirmBy(
    chosen,
    (transaction, { organisationId, technician }) =>
      recordBatch(transaction, organisationId, jobId, batch, technician),
    () => jobId,
  );
  if (!recorded) throw new NotFound('No firm is set up yet.');
  if (recorded.known) rememberJob(recorded.known);
  return { stored: recorded.stored };
}
