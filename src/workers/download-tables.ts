import { buildId } from '../build-id';
import { familyOfJob } from '../core/appliances';
import { adoptTables, type TablePack } from '../core/job-diagnosis';
import type { JobFile } from '../core/job-file';

/** No longer than this is waited: what the server does not bring in time is worked out here, which takes a phone as long. */
const patienceMilliseconds = 6000;

const downloads = new Map<string, Promise<void>>();

/** Takes the tables of the job's plate from the server, which has them already; without it they are filled here. */
export function downloadTables(job: JobFile): Promise<void> {
  const { id } = job.job;
  const found = downloads.get(id) ?? download(job);
  downloads.set(id, found);
  return found;
}

async function download(job: JobFile): Promise<void> {
  try {
    const response = await fetch(`/api/jobs/${job.job.id}/tables?build=${buildId}`, {
      signal: AbortSignal.timeout(patienceMilliseconds),
    });
    if (!response.ok) return;
    const family = familyOfJob(job);
    adoptTables(family, family.plateOf(job), (await response.json()) as TablePack);
  } catch {
    // No connection, a slow one, or tables of another model: the worker fills its own.
  }
}
