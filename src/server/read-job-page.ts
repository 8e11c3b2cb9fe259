import 'server-only';
import { validate as isUuid } from 'uuid';
import { familyOfJob } from '../core/appliances/all';
import { asSeenBy, type JobFile } from '../core/job-file';
import type { BenchAnswer } from '../core/job-diagnosis';
import type { Organisation, Technician } from '../database/technicians';
import { mostAtOnce } from './entries-after';
import { NotFound } from './errors';
import { firstAnswer } from './first-answer';
import { rememberOpened } from './open-jobs';
import { readKnownJob } from './read-job';
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
  const read = await readWhole(asked);
  return typeof read === 'string' ? read : read.page;
}

/** The same for the bench, with its answer on the way: for the check that the page is opened at, where it is one. */
export async function readBenchPage(
  asked: string,
  check?: string,
): Promise<(JobPage & { readonly first: Promise<BenchAnswer | undefined> }) | NoPage> {
  const read = await readWhole(asked);
  if (typeof read === 'string') return read;
  const chosen = familyOfJob(read.whole).isCheckId(check) ? check : undefined;
  return { ...read.page, first: firstAnswer(read.whole, { isLong: read.page.isLong, chosen }) };
}

async function readWhole(
  asked: string,
): Promise<{ readonly page: JobPage; readonly whole: JobFile } | NoPage> {
  if (!isUuid(asked)) return 'no-job';
  const id = asked.toLowerCase();
  const session = await readSession();
  if (!session) return 'no-firm';
  const { technician, organisation } = session;
  try {
    const known = await inFirm((transaction) => readKnownJob(transaction, id));
    if (known) rememberOpened(known);
    if (!known) return 'no-firm';
    const whole = asSeenBy(known.job, technician, organisation);
    const page = {
      job: isLong(whole) ? { ...whole, entries: [] } : whole,
      isLong: isLong(whole),
      logbook: { count: whole.entries.length, atOnce: mostAtOnce },
      organisation,
      technician: {
        id: technician.id,
        name: technician.name,
        liveWork: technician.liveWork,
        gasWork: technician.gasWork,
        instruments: technician.instruments,
      },
    };
    return { page, whole };
  } catch (error) {
    if (error instanceof NotFound) return 'no-job';
    throw error;
  }
}

/** More entries than these make the page itself heavy. */
const mostInPage = 500;

const isLong = ({ entries }: JobFile): boolean => entries.length > mostInPage;
