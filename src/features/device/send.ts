import type { Entry, JobFile } from '@/core/job-file';
import { sendKeptConstraints } from './send-constraints';
import { deviceStore, type KeptCall, type KeptEntry, type KeptState } from './store';
import { serverPatienceMilliseconds } from './server-patience';

/** How the server answered what was sent. */
export type SendOutcome =
  | { readonly kind: 'all-sent' }
  | { readonly kind: 'waiting'; readonly message: string; readonly isUnreachable: boolean }
  | { readonly kind: 'refused'; readonly message: string };

/** What is told where nobody answered. */
export const noConnection = 'No connection';

/** Entries sent at once. */
const batchSize = 100;

const lockName = 'ohmmeter-sending';

/**
 * Sends everything that waits on this device: calls first, then the entries of each job, oldest first. One tab of a browser
 * sends at a time; sending the same twice is harmless, since the server knows a call and an entry by its id.
 * @returns how it ended, or undefined where another tab is sending.
 */
export async function sendAll(): Promise<SendOutcome | undefined> {
  if (!('locks' in navigator)) return sendInTurn();
  return navigator.locks.request(lockName, { ifAvailable: true }, (lock) =>
    lock ? sendInTurn() : undefined,
  );
}

async function sendInTurn(): Promise<SendOutcome> {
  const unsent = await sendCalls();
  if (unsent.kind === 'waiting' && unsent.isUnreachable) return unsent;
  const without = new Set(await deviceStore().calls.toCollection().primaryKeys());
  const waiting = (await deviceStore().entries.where('state').equals('waiting').toArray())
    .filter(({ jobId }) => !without.has(jobId))
    .sort((one, other) => one.order - other.order);
  let worst: SendOutcome = unsent;
  for (const jobId of new Set(waiting.map((each) => each.jobId))) {
    const outcome = await sendEntries(
      jobId,
      waiting.filter((each) => each.jobId === jobId),
    );
    if (outcome.kind !== 'waiting') continue;
    worst = outcome;
    if (outcome.isUnreachable) return outcome;
  }
  await sendKeptConstraints();
  return worst;
}

async function sendCalls(): Promise<SendOutcome> {
  const calls = await deviceStore().calls.where('state').equals('waiting').toArray();
  let outcome: SendOutcome = { kind: 'all-sent' };
  for (const call of calls.sort((one, other) => one.order - other.order)) {
    const answer = await post('/api/jobs', call.body);
    if (answer.kind === 'refused') {
      await deviceStore().calls.update(call.id, { state: 'refused', problem: answer.message });
    } else if (answer.kind === 'waiting') {
      outcome = answer;
      if (answer.isUnreachable) return answer;
    } else await callIsSent(call, answer.content as { number?: number });
  }
  return outcome;
}

/** The server has numbered it: the job is one like any other from now on. */
async function callIsSent(call: KeptCall, { number }: { number?: number }): Promise<void> {
  const job: JobFile = { ...call.job, job: { ...call.job.job, number: String(number ?? '') } };
  const store = deviceStore();
  await store.transaction('rw', store.calls, store.jobs, async () => {
    await store.calls.delete(call.id);
    await store.jobs.put({ id: call.id, job, keptAt: Date.now() });
  });
}

async function sendEntries(jobId: string, waiting: readonly KeptEntry[]): Promise<SendOutcome> {
  let worst: SendOutcome = { kind: 'all-sent' };
  for (let start = 0; start < waiting.length; start += batchSize) {
    const batch = waiting.slice(start, start + batchSize);
    const answer = await sendStraight(
      jobId,
      batch.map((each) => each.entry),
    );
    if (answer.kind === 'all-sent') await mark(batch, 'sent');
    else if (answer.kind === 'waiting' && answer.isUnreachable) return answer;
    else {
      const alone = await sendOneByOne(jobId, batch);
      if (alone.kind === 'waiting') worst = alone;
      if (alone.kind === 'waiting' && alone.isUnreachable) return alone;
    }
  }
  return worst;
}

/** One entry that cannot be taken never holds up the others. */
async function sendOneByOne(jobId: string, batch: readonly KeptEntry[]): Promise<SendOutcome> {
  let worst: SendOutcome = { kind: 'all-sent' };
  for (const each of batch) {
    const answer = await sendStraight(jobId, [each.entry]);
    if (answer.kind === 'all-sent') await mark([each], 'sent');
    else if (answer.kind === 'refused') await mark([each], 'refused', answer.message);
    else {
      worst = answer;
      if (answer.isUnreachable) return answer;
      await mark([each], 'waiting', answer.message);
    }
  }
  return worst;
}

async function mark(entries: readonly KeptEntry[], state: KeptState, problem?: string) {
  await deviceStore().entries.bulkUpdate(
    entries.map((each) => ({ key: each.id, changes: { state, problem } })),
  );
}

/** Sends entries; also those that this device could not keep: the answer says whether the server has them. */
export const sendStraight = (jobId: string, entries: readonly Entry[]): Promise<SendOutcome> =>
  post(`/api/jobs/${jobId}/entries`, JSON.stringify({ entries }));

/** What is answered so will be answered so again: not found, in conflict, too large, refused. */
const finalStatuses: ReadonlySet<number> = new Set([404, 409, 413, 422]);

/** Of an answer that may be another later, these say that nothing else would be taken now either. */
const unreachableStatuses: ReadonlySet<number> = new Set([502, 503, 504, 507]);

type Posted = SendOutcome & { readonly content?: unknown };

/** Puts something to the server. Also used for a call on its way in, before it is kept. */
export async function post(address: string, body: string): Promise<Posted> {
  let response: Response;
  try {
    response = await fetch(address, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      signal: AbortSignal.timeout(serverPatienceMilliseconds),
    });
  } catch {
    return { kind: 'waiting', message: noConnection, isUnreachable: true };
  }
  const content = (await response.json().catch(() => ({}))) as {
    readonly message?: string;
    readonly problems?: readonly { readonly message: string }[];
  };
  if (response.ok) return { kind: 'all-sent', content };
  const message = content.message ?? `The server answered ${response.status}.`;
  return finalStatuses.has(response.status)
    ? { kind: 'refused', message, content }
    : { kind: 'waiting', message, isUnreachable: unreachableStatuses.has(response.status) };
}
