import { diagnoseJob, type Diagnosis } from '../src/core/job-diagnosis';
import type { Entry, JobFile } from '../src/core/job-file';
import { emptyJob, stamp } from './plates';

/** A result of a check, taken after all that were made before it. */
export const reading = (check: string, value: object, rest: object = {}): Entry =>
  ({ ...stamp(), kind: 'reading', check, value, ...rest }) as Entry;

/** A job on a heater of two elements, with these entries. */
export const job = (entries: Entry[], overrides: Partial<JobFile> = {}): JobFile =>
  emptyJob({ entries, ...overrides });

/** What the engine says to them. */
export const answer = (entries: Entry[], overrides: Partial<JobFile> = {}): Diagnosis =>
  diagnoseJob(job(entries, overrides)).answer;
