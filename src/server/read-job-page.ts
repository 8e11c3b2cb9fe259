import 'server-only';
import { validate as isUuid } from 'uuid';
import { asSeenBy, type JobFile } from '../core/job-file';
import type { Organisation, Technician } from '../database/technicians';
import { NotFound } from './errors';
import { rememberOpened } from './open-jobs';
import { readKnownJob } from './read-job';
import { inFirm } from './in-firm';
import { readSession } from './session';

export interface JobPage {
  /** Of a long one without its entries: the device fetches them part by part. */
  readonly job: JobFile;
  readonly isLong: boolean;
  readonly organisation: Organisation;
  /** Who works on it now, whoever's job it is. */
  readonly technician: Pick<Technician, 'id' | 'name' | 'liveWork' | 'gasWork' | 'instruments'>;
}

/** A job for one of its pages, or why there is none. */
export async function readJobPage(asked: string): Promise<JobPage | 'no-firm' | 'no-job'> {
  if (!isUuid(asked)) return 'no-job';
  const id = asked.toLowerCase();
  const session = await readSession();
  if (!session) return 'no-firm';
  const { technician, organisation } = session;
  try {
    const known = await inFirm((transaction) => readKnownJob(transaction, id));
    if (known) rememberOpened(known);
    const job = known?.job;
    return job
      ? {
          job: asSeenBy(isLong(job) ? { ...job, entries: [] } : job, technician, organisation),
          isLong: isLong(job),
          organisation,
          technician: {
            id: technician.id,
            name: technician.name,
            liveWork: technician.liveWork,
            gasWork: technician.gasWork,
            instruments: technician.instruments,
          },
        }
      : 'no-firm';
  } catch (error) {
    if (error instanceof NotFound) return 'no-job';
    throw error;
  }
}

/** More entries than these make the page itself heavy. */
const mostInPage = 500;

const isLong = ({ entries }: JobFile): boolean => entries.length > mostInPage;
