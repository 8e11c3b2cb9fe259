import { benchAnswer, judgedAtOnce, type BenchAnswer } from '../core/job-diagnosis';
import { asSeenBy } from '../core/job-file';
import { asFirm, type Database } from '../database/client';
import type { Organisation, Technician } from '../database/technicians';
import { readJobFile } from './read-job';
import { takeStoredTables } from './stored-tables';

/** A job whose logbook is too long to be handed from thread to thread, as somebody works on it. */
export interface LongLogbook {
  readonly organisationId: string;
  readonly jobId: string;
  readonly entryCount: number;
  readonly technician: Pick<Technician, 'liveWork' | 'gasWork'>;
  readonly organisation: Pick<Organisation, 'schools'>;
}

/**
 * Reads a job and works out the bench's answer to it; undefined where its logbook is not as long as was thought.
 * @throws NotFound where this firm has no such job.
 */
export async function answerLong(
  database: Database,
  { organisationId, jobId, entryCount, technician, organisation }: LongLogbook,
  chosen: string | undefined,
  now: string,
): Promise<BenchAnswer | undefined> {
  const job = await asFirm(database, organisationId, (transaction) =>
    readJobFile(transaction, jobId),
  );
  if (job.entries.length !== entryCount) return undefined;
  takeStoredTables(job);
  const seen = asSeenBy(job, technician, organisation);
  return benchAnswer(seen, chosen, { now, judgeMost: judgedAtOnce });
}
