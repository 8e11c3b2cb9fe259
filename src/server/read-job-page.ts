import 'server-only';
import { validate as isUuid } from 'uuid';
import type { JobFile } from '../core/job-file';
import { readOrganisation, type Organisation } from '../database/technicians';
import { NotFound } from './errors';
import { readJobFile } from './read-job';
import { inFirm } from './session';

export interface JobPage {
  readonly job: JobFile;
  readonly organisation: Organisation;
}

/** A job for one of its pages, or why there is none. */
export async function readJobPage(id: string): Promise<JobPage | 'no-firm' | 'no-job'> {
  if (!isUuid(id)) return 'no-job';
  try {
    const page = await inFirm(async (transaction) => ({
      job: await readJobFile(transaction, id),
      organisation: (await readOrganisation(transaction))!,
    }));
    return page ?? 'no-firm';
  } catch (error) {
    if (error instanceof NotFound) return 'no-job';
    throw error;
  }
}
