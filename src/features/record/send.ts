import type { Entry } from '@/core/job-file';
import { deviceStore, keptEntries, type KeptEntry } from './store';

/** How a round of sending ended. */
export type SendOutcome =
  | { readonly kind: 'all-sent' }
  | { readonly kind: 'waiting'; readonly message: string }
  | { readonly kind: 'refused'; readonly message: string };

/** Entries sent at once. */
const batchSize = 100;

/**
 * Sends what waits for a job, oldest first, in batches. Sending the same twice is harmless: the server knows an entry
 * by its id. A refused batch is sent again one by one, so that one bad entry does not hold up the others.
 */
export async function sendWaiting(jobId: string): Promise<SendOutcome> {
  const waiting = (await keptEntries(jobId)).filter((each) => each.state === 'waiting');
  for (let start = 0; start < waiting.length; start += batchSize) {
    const batch = waiting.slice(start, start + batchSize);
    const answer = await post(
      jobId,
      batch.map((each) => each.entry),
    );
    if (answer.kind === 'waiting') return answer;
    if (answer.kind === 'all-sent') await mark(batch, 'sent');
    else {
      const refused = await sendOneByOne(jobId, batch);
      if (refused) return refused;
    }
  }
  const refused = (await keptEntries(jobId)).find((each) => each.state === 'refused');
  return refused ? { kind: 'refused', message: refused.problem ?? '' } : { kind: 'all-sent' };
}

/** Sends entries that this device could not keep: the answer says whether the server has them. */
export const sendStraight = (jobId: string, entries: readonly Entry[]): Promise<SendOutcome> =>
  post(jobId, entries);

async function sendOneByOne(
  jobId: string,
  batch: readonly KeptEntry[],
): Promise<SendOutcome | undefined> {
  for (const each of batch) {
    const answer = await post(jobId, [each.entry]);
    if (answer.kind === 'waiting') return answer;
    if (answer.kind === 'all-sent') await mark([each], 'sent');
    else await mark([each], 'refused', answer.message);
  }
  return undefined;
}

async function mark(entries: readonly KeptEntry[], state: KeptEntry['state'], problem?: string) {
  await deviceStore().entries.bulkUpdate(
    entries.map((each) => ({ key: each.id, changes: { state, problem } })),
  );
}

/** What is answered so will be answered so again: not found, in conflict, too large, refused. */
const finalStatuses: ReadonlySet<number> = new Set([404, 409, 413, 422]);

async function post(jobId: string, entries: readonly Entry[]): Promise<SendOutcome> {
  let response: Response;
  try {
    response = await fetch(`/api/jobs/${jobId}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries }),
    });
  } catch {
    return { kind: 'waiting', message: 'No connection' };
  }
  if (response.ok) return { kind: 'all-sent' };
  const answer = (await response.json().catch(() => ({}))) as { message?: string };
  const message = answer.message ?? `The server answered ${response.status}.`;
  return { kind: finalStatuses.has(response.status) ? 'refused' : 'waiting', message };
}
