import 'server-only';
import { validate as isUuid } from 'uuid';
import { familyOfJob } from '../core/appliances/all';
import { asSeenBy, longLogbook, type JobFile } from '../core/job-file';
import type { BenchAnswer } from '../core/job-diagnosis';
import type { FirmTransaction } from '../database/client';
import { countEntries } from '../database/entries';
import type { Organisation, Technician } from '../database/technicians';
import { mostAtOnce } from './entries-after';
import { NotFound } from './errors';
import { firstAnswer, firstAnswerOfLong } from './first-answer';
import { openAhead } from './open-ahead';
import { rememberOpened } from './open-jobs';
import { readKnownJob, readLongJobHead } from './read-job';
import { inFirm } from './in-firm';
import { readSession } from './session';

export interface JobPage {
  /** Of a long one without its entries: the device fetches them part by part. */
  readonly job: JobFile;
  readonly isLong: boolean;
  /** How many entries it has, and how many of them are given at once. */
  readonly logbook: { readonly count: number; readonly atOnce: number };
  readonly organisation: Organisation;
  /** Who works on it now, whoever's job it is. */
  readonly technician: Pick<Technician, 'id' | 'name' | 'liveWork' | 'gasWork' | 'instruments'>;
}

export type NoPage = 'no-firm' | 'no-job';

/** A job for one of its pages, or why there is none. */
export async function readJobPage(asked: string): Promise<JobPage | NoPage> {
  const read = await readSeen(asked);
  return typeof read === 'string' ? read : read.page;
}

/** The same for the bench, with its answer on the way: for the check that the page is opened at, where it is one. */
export async function readBenchPage(
  asked: string,
  check?: string,
): Promise<(JobPage & { readonly first: Promise<BenchAnswer | undefined> }) | NoPage> {
  const read = await readSeen(asked);
  if (typeof read === 'string') return read;
  const { page, organisationId } = read;
  const chosen = familyOfJob(page.job).isCheckId(check) ? check : undefined;
  if (!page.isLong) return { ...page, first: firstAnswer(page.job, chosen) };
  const logbook = {
    organisationId,
    jobId: page.job.job.id,
    entryCount: page.logbook.count,
    technician: { liveWork: page.technician.liveWork, gasWork: page.technician.gasWork },
    organisation: { schools: page.organisation.schools },
  };
  const first = firstAnswerOfLong(page.job, logbook, chosen);
  // Nobody waits for this: what comes before it is there is taken as it was before.
  void first.then(() => openAhead(organisationId, logbook.jobId)).catch(() => undefined);
  return { ...page, first };
}

async function readSeen(
  asked: string,
): Promise<{ readonly page: JobPage; readonly organisationId: string } | NoPage> {
  if (!isUuid(asked)) return 'no-job';
  const id = asked.toLowerCase();
  const session = await readSession();
  if (!session) return 'no-firm';
  const { technician, organisation } = session;
  try {
    const read = await inFirm(async (transaction, organisationId) => ({
      ...(await readAsLongAsItIs(transaction, id)),
      organisationId,
    }));
    if (!read) return 'no-firm';
    const { job, count, isLong, organisationId } = read;
    const page = {
      job: asSeenBy(job, technician, organisation),
      isLong,
      logbook: { count, atOnce: mostAtOnce },
      organisation,
      technician: {
        id: technician.id,
        name: technician.name,
        liveWork: technician.liveWork,
        gasWork: technician.gasWork,
        instruments: technician.instruments,
      },
    };
    return { page, organisationId };
  } catch (error) {
    if (error instanceof NotFound) return 'no-job';
    throw error;
  }
}

async function readAsLongAsItIs(
  transaction: FirmTransaction,
  id: string,
): Promise<{ readonly job: JobFile; readonly count: number; readonly isLong: boolean }> {
  const count = await countEntries(transaction, id);
  if (count > longLogbook) {
    return { job: await readLongJobHead(transaction, id), count, isLong: true };
  }
  const known = await readKnownJob(transaction, id);
  rememberOpened(known);
  return { job: known.job, count: known.job.entries.length, isLong: false };
}
