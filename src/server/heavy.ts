import { familyOfJob } from '../core/appliances/all';
import {
  benchAnswer,
  catalogueOf,
  packTables,
  type BenchAnswer,
  type TablePack,
} from '../core/job-diagnosis';
import { readJobFile, type JobFile, type ReadJobFile } from '../core/job-file';
import { applicationDatabase } from '../database/client';
import { checkLogbook, type CheckedLogbook } from './check-logbook';
import { settleJob } from './settle-job';
import { standingMeanwhile } from './standing-of';

/** Packs are kept as long as their tables; so is the text of each. */
const textOfPack = new WeakMap<TablePack, string>();

/**
 * What takes long enough to be felt by whoever asks for something else at the same time: done in threads of their own
 * (`threads.ts`). All of it is plain data in and plain data out.
 */
export const heavy = {
  standingMeanwhile,

  /** Over a connection of this thread's own. */
  settle: (organisationId: string, jobId: string): Promise<void> =>
    settleJob(applicationDatabase(), organisationId, jobId),

  /** The bench's answer that comes with the page. */
  firstAnswer: (job: JobFile, now: string): BenchAnswer => benchAnswer(job, undefined, { now }),

  /** The tables of the job's plate, for the devices that work on it, as the text that is sent. */
  tablesFor(job: JobFile): string {
    const family = familyOfJob(job);
    const pack = packTables(family, family.plateOf(job));
    const text = textOfPack.get(pack) ?? JSON.stringify(pack);
    textOfPack.set(pack, text);
    return text;
  },

  /** Reads a file that somebody brings, up to its size. */
  readFile: (text: string): ReadJobFile => readJobFile(text, catalogueOf),

  checkLogbook: (job: JobFile, earlierCount: number): CheckedLogbook =>
    checkLogbook(job, earlierCount),
};

export type Heavy = typeof heavy;
