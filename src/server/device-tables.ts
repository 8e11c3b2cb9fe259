import { buildId } from '../build-id';
import type { JobFile } from '../core/job-file';
import { NotFound } from './errors';
import { inThread } from './threads';

/**
 * The tables of a job's plate as JSON, worked out once for all devices that ask.
 * @throws NotFound where the device runs another build, whose tables may differ.
 */
export async function tablePackFor(job: JobFile, deviceBuild: string | null): Promise<string> {
  if (deviceBuild !== buildId) throw new NotFound('There are no tables for that build.');
  return inThread('answers', (service) => service.tablesFor({ ...job, entries: [] }));
}
