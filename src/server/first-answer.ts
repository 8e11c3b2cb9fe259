import 'server-only';
import { setTimeout as pause } from 'node:timers/promises';
import type { BenchAnswer } from '../core/job-diagnosis';
import type { JobFile } from '../core/job-file';
import { inThread } from './threads';

/** No page waits longer for its answer: the device works it out then. */
const patienceMilliseconds = 1200;

/** The bench's answer that comes with the page, if it is known in time. */
export async function firstAnswer(job: JobFile): Promise<BenchAnswer | undefined> {
  const answer = inThread('answers', (service) =>
    service.firstAnswer(job, new Date().toISOString()),
  );
  // A page that did not wait does not hear of what went wrong; the device tells it.
  answer.catch(() => undefined);
  return Promise.race([answer, pause(patienceMilliseconds, undefined, { ref: false })]);
}
