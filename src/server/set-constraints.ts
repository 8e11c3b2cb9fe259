import { validateConstraints } from '../core/job-file/generated/validators';
import type { Constraints } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { readEntries } from '../database/entries';
import { lockJob, readJob, updateConstraints, updateStanding } from '../database/jobs';
import { NotFound, Refused } from './errors';
import { jobFileOf } from './job-file-of';
import { standingOf } from './standing-of';

/**
 * Sets what the technician may and can do on a job, and by which order.
 * @throws NotFound; Refused with a pointer per field, or where live work is asked for without permission.
 */
export async function setConstraints(
  transaction: FirmTransaction,
  jobId: string,
  sent: unknown,
): Promise<Constraints> {
  if (!validateConstraints(sent)) {
    throw new Refused(
      (validateConstraints.errors ?? []).map(({ instancePath, message }) => ({
        pointer: `/constraints${instancePath}`,
        message: `This ${message ?? 'is not valid'}.`,
      })),
    );
  }
  if (!(await lockJob(transaction, jobId))) throw new NotFound('This firm has no such job.');
  const stored = await readJob(transaction, jobId);
  if (!stored) throw new NotFound('This firm has no such job.');
  if (sent.liveWork && !stored.technician.liveWork) {
    throw new Refused([
      {
        pointer: '/constraints/liveWork',
        message: 'This technician has no permission for live work.',
      },
    ]);
  }
  await updateConstraints(transaction, jobId, sent);
  const entries = await readEntries(transaction, jobId);
  const job = jobFileOf({ ...stored, job: { ...stored.job, constraints: sent } }, entries);
  await updateStanding(transaction, jobId, standingOf(job));
  return sent;
}
