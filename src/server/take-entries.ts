import 'server-only';
import { applicationDatabase } from '../database/client';
import { NotFound } from './errors';
import { openJob, rememberJob } from './open-jobs';
import { readBatch, recordBatch, type RecordedEntries } from './record-entries';
import { recordQuickly } from './record-quickly';
import { chosenTechnician, inFirmChanging } from './session';
import { settleStanding } from './settle-standing';

/**
 * Takes entries for a job from whoever is here, all or none: by the short way where the job is known to this process, else
 * by reading the whole of it once.
 * @throws NotFound, Refused or Conflict as `recordEntries` does.
 */
export async function takeEntries(
  jobId: string,
  sent: unknown,
): Promise<Pick<RecordedEntries, 'stored'>> {
  const batch = readBatch(sent);
  const database = applicationDatabase();
  // Asked before: by the time that it is stored the job may have been forgotten here.
  const organisationId = openJob(jobId)?.organisationId;
  const quick = await recordQuickly(database, jobId, batch, await chosenTechnician());
  if (quick && organisationId !== undefined) {
    settleStanding(database, organisationId, jobId);
    return { stored: quick };
  }
  const recorded = await inFirmChanging(
    (transaction, { organisationId, technician }) =>
      recordBatch(transaction, organisationId, jobId, batch, technician),
    () => jobId,
  );
  if (!recorded) throw new NotFound('No firm is set up yet.');
  if (recorded.known) rememberJob(recorded.known);
  return { stored: recorded.stored };
}
