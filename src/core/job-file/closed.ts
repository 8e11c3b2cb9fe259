import type { StatusEntry } from './generated/job-types';

/** Whether a job is closed: repaired, or given up for a reason. */
export const isClosed = (status: StatusEntry | undefined): boolean =>
  status?.status.startsWith('closed') ?? false;

/** Whether nobody is at the unit any more once a job has this status. */
export const leavesUnit = (status: StatusEntry): boolean =>
  status.status === 'waiting-for-part' || isClosed(status);
