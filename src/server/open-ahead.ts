import { openJob, rememberFolded } from './open-jobs';
import { inThread } from './threads';

/** A job with a long logbook that somebody opened: it is read and folded in a thread, before the first entry comes to it. */
export async function openAhead(organisationId: string, jobId: string): Promise<void> {
  if (openJob(jobId)) return;
  const folded = await inThread('checks', (service) => service.foldJob(organisationId, jobId));
  if (folded && !openJob(jobId)) rememberFolded(folded);
}
