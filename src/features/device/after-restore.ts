import type { Entry, JobFile } from '@/core/job-file';
import type { ForDevice } from '@/server/for-device';
import { keepBeforeOwn, keptJob } from './kept-jobs';
import { sendSoon } from './outbox';
import { restoredEvent } from './restored-event';
import { serverPatienceMilliseconds } from './server-patience';
import { constraintsDraftKey, deviceStore, writeDraft, type KeptCall } from './store';

type OfFirm = Pick<ForDevice, 'organisation' | 'technicians' | 'technicianId' | 'restored'>;

/** Whether a backup of this firm took the place of what this device knew. A firm that begins anew sends for nothing. */
export const wasRestored = (before: OfFirm, now: OfFirm): boolean =>
  before.organisation.id === now.organisation.id &&
  now.restored !== undefined &&
  before.restored !== now.restored;

/**
 * What this device knows of its jobs and the restored server does not waits here once more, and goes as everything does that
 * waits. A job that the server has lost is called in again, under its id.
 * @throws where the server does not say what it has: what was kept by then is kept, and all of it can be done once more.
 */
export async function keepWhatWasLost(firm: OfFirm): Promise<void> {
  const { jobs, entries } = deviceStore();
  const sent = await entries.where('state').equals('sent').toArray();
  const ids = new Set([
    ...(await jobs.toCollection().primaryKeys()),
    ...sent.map((each) => each.jobId),
  ]);
  for (const id of ids) await keepLostOf(id, firm);
  sendSoon();
  window.dispatchEvent(new Event(restoredEvent));
}

async function keepLostOf(jobId: string, firm: OfFirm): Promise<void> {
  const store = deviceStore();
  if (await store.calls.get(jobId)) return;
  const there = await idsOnServer(jobId);
  const job = await keptJob(jobId);
  const lost = (job?.entries ?? []).filter(({ id }) => !there?.has(id));
  // Nobody may do more on a job that is called in again than before.
  if (!there && job?.constraints) {
    await writeDraft(constraintsDraftKey(jobId), JSON.stringify(job.constraints));
  }
  await store.transaction('rw', store.jobs, store.entries, store.calls, async () => {
    // Before all that was written since: what was kept of the server is older than what is not.
    await keepBeforeOwn(jobId, lost, 'waiting');
    await store.entries
      .where('[jobId+state]')
      .equals([jobId, 'sent'])
      .filter(({ id }) => !there?.has(id))
      .modify({ state: 'waiting' });
    if (!there && job) await store.calls.put(callAgain(job, firm));
    // Counted by an order that is no longer the server's: it is fetched anew.
    else if (!isBeginningOf(job?.entries ?? [], there)) await store.jobs.delete(jobId);
  });
}

const isBeginningOf = (entries: readonly Entry[], ids: ReadonlySet<string> = new Set()) => {
  const order = [...ids];
  return entries.every(({ id }, k) => order[k] === id);
};

/** The ids of a job's entries that the server has, in its order; undefined where it does not have the job. */
async function idsOnServer(jobId: string): Promise<ReadonlySet<string> | undefined> {
  const ids = new Set<string>();
  for (let after = 0; ;) {
    const response = await fetch(`/api/jobs/${jobId}/entries?after=${after}`, {
      cache: 'no-store',
      signal: AbortSignal.timeout(serverPatienceMilliseconds),
    });
    if (response.status === 404) return undefined;
    if (!response.ok) throw new Error(`The server answered ${response.status}.`);
    const { entries, more } = (await response.json()) as { entries: Entry[]; more: boolean };
    for (const { id } of entries) ids.add(id);
    if (!more) return ids;
    after += entries.length;
  }
}

/** The call that opens the job again. The server gives it a number of its own. */
function callAgain(job: JobFile, { technicians, technicianId }: OfFirm): KeptCall {
  const { id, openedAt, technician } = job.job;
  const { customer = '', address = '', supply, gas, water } = job.site ?? {};
  const { family, plate, make = '', model = '', serial = '', installed = '' } = job.unit;
  const complaint = job.complaint ?? { kind: 'other' as const, words: '', answers: {} };
  const typed = { family, customer, address, make, model, serial, installed };
  return {
    id,
    body: JSON.stringify({
      id,
      openedAt,
      technicianId: technicians.find(({ name }) => name === technician)?.id ?? technicianId,
      complaint,
      newUnit: { ...typed, services: { supply, gas, water }, plate },
    }),
    draft: JSON.stringify({ id, ...typed, ...complaint }),
    job,
    order: Date.now() * 1000,
    state: 'waiting',
  };
}
