import type { JobFile } from './generated/job-types';
import { gasWorkAllowed, liveWorkAllowed } from './permitted-work';

/**
 * A job as one technician of a firm works on it: what may be proposed is what the one who looks at it may do; the firm's
 * schools count where the job says nothing.
 */
export const asSeenBy = (
  job: JobFile,
  { liveWork, gasWork }: { readonly liveWork: boolean; readonly gasWork: boolean },
  { schools }: { readonly schools: Readonly<Record<string, string>> },
): JobFile => ({
  ...job,
  constraints: {
    ...job.constraints,
    liveWork: liveWork && liveWorkAllowed(job),
    gasWork: gasWork && gasWorkAllowed(job),
    schools: { ...schools, ...job.constraints?.schools },
  },
});
