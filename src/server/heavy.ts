import { benchAnswer, judgedAtOnce, type BenchAnswer } from '../core/job-diagnosis';
import { asSeenBy, type JobFile } from '../core/job-file';
import { applicationDatabase, asFirm } from '../database/client';
import type { Organisation, Technician } from '../database/technicians';
import { checkLogbook, type CheckedLogbook } from './check-logbook';
import { foldJob } from './fold-job';
import type { FoldedJob } from './open-jobs';
import { prepareImport } from './prepare-import';
import { readJobFile } from './read-job';
import { settleJob } from './settle-job';
import { tableTextOf, takeStoredTables } from './stored-tables';

/** A job whose logbook is too long to be handed from thread to thread, as somebody works on it. */
export interface LongLogbook {
  readonly organisationId: string;
  readonly jobId: string;
  readonly entryCount: number;
  readonly technician: Pick<Technician, 'liveWork' | 'gasWork'>;
  readonly organisation: Pick<Organisation, 'schools'>;
}

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

  /** The same of a long logbook, which is read here too; undefined where it is not as long as was thought. */
  async firstAnswerOfLong(
    { organisationId, jobId, entryCount, technician, organisation }: LongLogbook,
    chosen: string | undefined,
    now: string,
  ): Promise<BenchAnswer | undefined> {
    const job = await asFirm(applicationDatabase(), organisationId, (transaction) =>
      readJobFile(transaction, jobId),
    );
    if (job.entries.length !== entryCount) return undefined;
    return heavy.firstAnswer(asSeenBy(job, technician, organisation), chosen, now);
  },

  /** Reads a job and folds its logbook, over a connection of this thread's own. */
  foldJob: (organisationId: string, jobId: string): Promise<FoldedJob | undefined> =>
    foldJob(applicationDatabase(), organisationId, jobId),

  /** The tables of the job's plate, for the devices that work on it, as the text that is sent. */
  tablesFor: (job: JobFile): string => tableTextOf(job),

  /** Reads a file that somebody brings, and makes its logbook ready to be stored. */
  prepareImport,

  checkLogbook: (job: JobFile, earlierCount: number): CheckedLogbook =>
    checkLogbook(job, earlierCount),
};

export type Heavy = typeof heavy;
