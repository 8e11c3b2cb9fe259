import {
  benchAnswer,
  judgedAtOnce,
  reportAnswer,
  type BenchAnswer,
  type ReportAnswer,
} from '../core/job-diagnosis';
import type { JobFile } from '../core/job-file';
import { applicationDatabase } from '../database/client';
import { unpackEntries, type PackedEntries } from '../database/packed-entries';
import { answerLong, type LongLogbook } from './answer-long';
import { checkLogbook, type CheckedLogbook } from './check-logbook';
import { foldJob } from './fold-job';
import type { FoldedJob } from './open-jobs';
import { prepareImport } from './prepare-import';
import { settleJob } from './settle-job';
import { tableTextOf, takeStoredTables } from './stored-tables';

/**
 * What takes long enough to be felt by whoever asks for something else at the same time: done in threads of their own
 * (`threads.ts`). All of it is plain data in and plain data out.
 */
export const heavy = {
  /** Over a connection of this thread's own. */
  settle: (organisationId: string, jobId: string): Promise<void> =>
    settleJob(applicationDatabase(), organisationId, jobId),

  /** The bench's answer that comes with the page. */
  firstAnswer(job: JobFile, chosen: string | undefined, now: string): BenchAnswer {
    takeStoredTables(job);
    return benchAnswer(job, chosen, { now, judgeMost: judgedAtOnce });
  },

  /** The same of a long logbook, which is read here too. */
  firstAnswerOfLong: (
    logbook: LongLogbook,
    chosen: string | undefined,
    now: string,
  ): Promise<BenchAnswer | undefined> => answerLong(applicationDatabase(), logbook, chosen, now),

  /** The same of a logbook that is on its way to the database. */
  firstAnswerOfPacked: (head: JobFile, entries: PackedEntries, now: string): BenchAnswer =>
    heavy.firstAnswer({ ...head, entries: unpackEntries(entries) }, undefined, now),

  /** What its report says. */
  reportAnswer(job: JobFile): ReportAnswer {
    takeStoredTables(job);
    return reportAnswer(job);
  },

  /** Reads a job and folds its logbook, over a connection of this thread's own. */
  foldJob: (organisationId: string, jobId: string): Promise<FoldedJob | undefined> =>
    foldJob(applicationDatabase(), organisationId, jobId),

  /** The tables of the job's plate, for the devices that work on it, as the text that is sent. */
  tablesFor: (job: JobFile): string => tableTextOf(job),

  /** Reads a file that somebody brings, and makes its logbook ready to be stored. */
  prepareImport,

  checkLogbook(job: JobFile, earlierCount: number): CheckedLogbook {
    takeStoredTables(job);
    return checkLogbook(job, earlierCount);
  },
};

export type Heavy = typeof heavy;
