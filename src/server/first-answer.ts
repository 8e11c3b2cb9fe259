import 'server-only';
import { setTimeout as pause } from 'node:timers/promises';
import type { BenchAnswer } from '../core/job-diagnosis';
import { stillHolds, type JobFile } from '../core/job-file';
import type { PackedEntries } from '../database/packed-entries';
import type { LongLogbook } from './answer-long';
import { inThread } from './threads';

/** No page waits longer for its answer: the device works it out then. A long logbook takes the device longer than this server. */
const patience = { usualMilliseconds: 1200, longMilliseconds: 10_000 };

/** Answers of so many jobs are kept: a page is opened more often than its job changes. */
const mostKept = 100;

/** An answer and what it is the answer to: a logbook only grows, so that its length says which one it was. */
interface KeptAnswer {
  readonly head: string;
  readonly entryCount: number;
  readonly at: string;
  readonly answer: Promise<BenchAnswer | undefined>;
}

const global = globalThis as { ohmmeterFirstAnswers?: Map<string, KeptAnswer> };
const kept = (): Map<string, KeptAnswer> => (global.ohmmeterFirstAnswers ??= new Map());

/**
 * The bench's answer that comes with the page, if it is known in time.
 * @param chosen the check that the page is opened at; the one that is proposed where there is none.
 */
export const firstAnswer = (job: JobFile, chosen?: string): Promise<BenchAnswer | undefined> =>
  inTime(
    patience.usualMilliseconds,
    knownAnswer({ head: { ...job, entries: [] }, entryCount: job.entries.length, chosen }, (now) =>
      inThread('answers', (service) => service.firstAnswer(job, chosen, now)),
    ),
  );

/**
 * The same for a job whose logbook is too long to be read on the thread that answers.
 * @param head the job as it is seen, without its entries.
 */
export const firstAnswerOfLong = (
  head: JobFile,
  logbook: LongLogbook,
  chosen?: string,
): Promise<BenchAnswer | undefined> =>
  inTime(
    patience.longMilliseconds,
    knownAnswer({ head, entryCount: logbook.entryCount, chosen }, (now) =>
      inThread('answers', (service) => service.firstAnswerOfLong(logbook, chosen, now)),
    ),
  );

/**
 * Begins the answer to a job whose logbook is on its way to the database, so that its page finds it on the way too.
 * @param head the job as it is seen, without its entries.
 */
export function beginFirstAnswer(head: JobFile, entries: PackedEntries): void {
  void knownAnswer({ head, entryCount: entries.count, chosen: undefined }, (now) =>
    inThread('answers', (service) => service.firstAnswerOfPacked(head, entries, now)),
  );
}

const inTime = (
  milliseconds: number,
  answer: Promise<BenchAnswer | undefined>,
): Promise<BenchAnswer | undefined> =>
  Promise.race([answer, pause(milliseconds, undefined, { ref: false })]);

interface Asked extends Pick<KeptAnswer, 'entryCount'> {
  readonly head: JobFile;
  readonly chosen: string | undefined;
}

async function knownAnswer(
  { head: asked, entryCount, chosen }: Asked,
  work: (now: string) => Promise<BenchAnswer | undefined>,
): Promise<BenchAnswer | undefined> {
  const now = new Date().toISOString();
  const key = `${asked.job.id} ${chosen ?? ''}`;
  const head = JSON.stringify(asked);
  const before = kept().get(key);
  if (before?.head === head && before.entryCount === entryCount) {
    const answer = await before.answer;
    if (answer && stillHolds(answer.state, before.at, now)) return answer;
  }
  // What goes wrong here the device, which then works it out, will tell.
  const answer = work(now).catch(() => undefined);
  kept().delete(key);
  kept().set(key, { head, entryCount, at: now, answer });
  for (const oldest of kept().keys()) {
    if (kept().size <= mostKept) break;
    kept().delete(oldest);
  }
  return answer;
}
