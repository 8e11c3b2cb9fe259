import { setTimeout as pause } from 'node:timers/promises';

/** The code of a page or a route is taken in when it is first asked for, which holds everybody for a quarter of a second. */
const paths = (jobId: string): readonly string[] => [
  '/',
  '/call',
  `/jobs/${jobId}`,
  `/jobs/${jobId}/repair`,
  `/jobs/${jobId}/report`,
  `/api/jobs/${jobId}/entries?after=0`,
  `/api/jobs/${jobId}/tables`,
  `/api/jobs/${jobId}/events`,
  `/api/jobs/${jobId}/file`,
  '/api/instruments',
  '/api/code-packs',
  '/api/for-device',
  `/api/for-device/jobs?ids=${jobId}`,
  '/service-worker.js',
  '/from-device',
];

/** What takes in a file, with one that it has to refuse. */
const refused = { path: '/api/job-files', body: '{}' };

/** Between two of them others are answered. */
const restMilliseconds = 100;
const longestMilliseconds = 20_000;

/**
 * Asks this server itself for the pages that come first in a day, so that whoever opens one does not wait for its code.
 * @param address of this server; undefined where it has none of its own.
 */
export async function visitPages(address: string | undefined, jobId: string): Promise<void> {
  if (address === undefined) return;
  for (const path of paths(jobId)) await visit(address + path);
  await visit(address + refused.path, {
    method: 'POST',
    headers: { origin: address, 'content-type': 'application/json' },
    body: refused.body,
  });
}

async function visit(url: string, asking: RequestInit = {}): Promise<void> {
  const leaving = new AbortController();
  try {
    const answer = await fetch(url, {
      ...asking,
      signal: AbortSignal.any([leaving.signal, AbortSignal.timeout(longestMilliseconds)]),
    });
    // What is told as it happens has no end. It is left, not cancelled: the framework's fetch keeps a branch of its own of
    // what it gives, and to cancel one of two is never done with.
    const isEndless = answer.headers.get('content-type')?.startsWith('text/event-stream');
    if (isEndless) leaving.abort();
    else await answer.text();
  } catch {
    // Not there: whoever asks for it will be told why.
  }
  await pause(restMilliseconds, undefined, { ref: false });
}
