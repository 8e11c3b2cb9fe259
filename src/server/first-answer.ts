import 'server-only';
import { setTimeout as pause } from 'node:timers/promises';
import type { BenchAnswer } from '../core/job-diagnosis';
import { stillHolds, type JobFile } from '../core/job-file';
import { inThread } from './threads';

/** No page waits longer for its answer: the device works it out then. A long logbook takes the device longer than this server. */
const patience = { usualMilliseconds: 1200, longMilliseconds: 10_000 };

/** Answers of so many jobs are kept: a page is opened more often than its job changes. */
const mostKept = 100;

/** An answer and what it is the answer to: a logbook only grows, so that its end says which one it was. */
interface KeptAnswer {
  readonly head: string;
  /** How many entries, and the last of them. */
  readonly logbook: string;
  readonly at: string;
  readonly answer: Promise<BenchAnswer | undefined>;
}

const global = globalThis as { ohmmeterFirstAnswers?: Map<string, KeptAnswer> };
const kept = (): Map<string, KeptAnswer> => (global.ohmmeterFirstAnswers ??= new Map());

/**
 * The bench's answer that comes with the page, if it is known in time.
 * @param chosen the check that the page is opened at; the one that is proposed where there is none.
 */
export function firstAnswer(
  job: JobFile,
  { isLong = false, chosen }: { readonly isLong?: boolean; readonly chosen?: string } = {},
): Promise<BenchAnswer | undefined> {
  const most = isLong ? patience.longMilliseconds : patience.usualMilliseconds;
  return Promise.race([
    knownAnswer(job, chosen, new Date().toISOString()),
    pause(most, undefined, { ref: false }),
  ]);
}

async function knownAnswer(
  job: JobFile,
  chosen: string | undefined,
  now: string,
): Promise<BenchAnswer | undefined> {
  const key = `${job.job.id} ${chosen ?? ''}`;
  const head = JSON.stringify({ ...job, entries: [] });
  const logbook = `${job.entries.length} ${job.entries.at(-1)?.id}`;
  const before = kept().get(key);
  if (before?.head === head && before.logbook === logbook) {
    const answer = await before.answer;
    if (answer && stillHolds(answer.state, before.at, now)) return answer;
  }
  // What goes wrong here the device, which then works it out, will tell.
  const answer = inThread('answers', (service) => service.firstAnswer(job, chosen, now)).catch(
    () => undefined,
  );
  kept().delete(key);
  kept().set(key, { head, logbook, at: now, answer });
  for (const oldest of kept().keys()) {
    if (kept().size <= mostKept) break;
    kept().delete(oldest);
  }
  return answer;
}
