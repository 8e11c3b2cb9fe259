import { validateConstraints } from '../core/job-file/generated/validators';
import type { Constraints } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { readEntries } from '../database/entries';
import { updateConstraints, updateStanding } from '../database/jobs';
import type { Technician } from '../database/technicians';
import { Refused } from './errors';
import { jobFileOf } from './job-file-of';
import { lockedJob } from './record-entries';
import { standingMeanwhile } from './standing-of';

const works = [
  ['liveWork', 'live work'],
  ['gasWork', 'gas work'],
] as const;

/**
 * Sets what the technician may and can do on a job, and by which order. Live work and gas work are what they were where
 * nothing is said of them, and never more than the one who sets them may do.
 * @throws NotFound; Refused with a pointer per field, or where live work is asked for without permission.
 */
export async function setConstraints(
  transaction: FirmTransaction,
  jobId: string,
  sent: unknown,
  sender: Technician,
): Promise<Constraints> {
  if (!validateConstraints(sent)) {
    throw new Refused(
      (validateConstraints.errors ?? []).map(({ instancePath, message }) => ({
        pointer: `/constraints${instancePath}`,
        message: `This ${message ?? 'is not valid'}.`,
      })),
    );
  }
  const stored = await lockedJob(transaction, jobId);
  const refused = works.filter(([work]) => sent[work] && !sender[work]);
  if (refused.length > 0) {
    throw new Refused(
      refused.map(([work, words]) => ({
        pointer: `/constraints/${work}`,
        message: `This technician has no permission for ${words}.`,
      })),
    );
  }
  const permitted = Object.fromEntries(
    works.map(([work]) => {
      const wanted = sent[work] ?? stored.job.constraints[work] ?? true;
      return [work, wanted && sender[work]];
    }),
  );
  const constraints = { ...sent, ...permitted };
  await updateConstraints(transaction, jobId, constraints);
  const entries = await readEntries(transaction, jobId);
  const job = jobFileOf({ ...stored, job: { ...stored.job, constraints } }, entries);
  await updateStanding(transaction, jobId, standingMeanwhile(job, stored.job.standing));
  return constraints;
}
