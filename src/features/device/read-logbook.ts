import type { Entry } from '@/core/job-file';
import { dropAhead, partAhead, partPatienceMilliseconds } from '@/features/waking/logbook-ahead';
import { keptJob } from './kept-jobs';
import { inTime } from './store';

/** How many entries a logbook has, and how many of them are given at once. */
export interface LogbookSize {
  readonly count: number;
  readonly atOnce: number;
}

/**
 * Reads a long logbook part by part. What the device kept of it came in the server's order, so that only what came after it
 * is asked for.
 * @returns at least as many as the server had when it told the size.
 * @throws where the server does not give a part, in words.
 */
export async function readLogbook(jobId: string, { count, atOnce }: LogbookSize): Promise<Entry[]> {
  const kept = await inTime(keptJob(jobId)).catch(() => undefined);
  const entries = [...(kept?.entries ?? [])];
  const asked: Promise<readonly Entry[]>[] = [];
  for (let after = entries.length; after < count; after += atOnce) {
    asked.push(readPart(jobId, count, after));
  }
  dropAhead(jobId);
  for (const part of await Promise.all(asked)) entries.push(...part);
  // What has come since the size was told whoever shows the job asks for (`record/use-received.ts`).
  return entries;
}

async function readPart(jobId: string, count: number, after: number): Promise<readonly Entry[]> {
  try {
    const response = (await partAhead(jobId, count, after)) ?? (await askForPart(jobId, after));
    if (!response.ok) throw new Unread(`The server answered ${response.status}.`);
    return ((await response.json()) as { entries: Entry[] }).entries;
  } catch (error) {
    if (error instanceof Unread) throw error;
    throw new Unread(wordsFor(error));
  }
}

function wordsFor(error: unknown): string {
  if (error instanceof DOMException && error.name === 'TimeoutError') {
    return 'The server has not answered for a minute.';
  }
  // The page of a network that wants to be signed in to, as a rule.
  if (error instanceof SyntaxError) return 'Something else answered in the place of the server.';
  return 'The server could not be reached.';
}

/** Why a part was not read, for whoever looks at the page. */
class Unread extends Error {}

const askForPart = (jobId: string, after: number): Promise<Response> =>
  fetch(`/api/jobs/${jobId}/entries?after=${after}`, {
    cache: 'no-store',
    signal: AbortSignal.timeout(partPatienceMilliseconds),
  });
