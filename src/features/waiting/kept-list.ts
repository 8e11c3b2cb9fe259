import type { Entry, JobFile } from '@/core/job-file';
import { keptJob } from '@/features/device/kept-jobs';
import { deviceStore, type KeptCall, type KeptEntry } from '@/features/device/store';

/** What is kept of one job, and what this device knows of the job. */
export interface KeptOfOneJob {
  readonly jobId: string;
  readonly job: JobFile | undefined;
  readonly call: KeptCall | undefined;
  readonly entries: readonly KeptEntry[];
}

/** Everything that is kept and not sent, struck things too, by job, the oldest first. */
export async function readKeptList(): Promise<readonly KeptOfOneJob[]> {
  const store = deviceStore();
  const states = ['waiting', 'refused', 'struck'];
  const [calls, entries] = await Promise.all([
    store.calls.where('state').anyOf(states).toArray(),
    store.entries.where('state').anyOf(states).toArray(),
  ]);
  const byOrder = [...calls.map((each) => ({ ...each, jobId: each.id })), ...entries].sort(
    (one, other) => one.order - other.order,
  );
  const jobIds = [...new Set(byOrder.map((each) => each.jobId))];
  return Promise.all(
    jobIds.map(async (jobId) => ({
      jobId,
      job: await keptJob(jobId),
      call: calls.find((each) => each.id === jobId),
      entries: entries
        .filter((each) => each.jobId === jobId)
        .sort((one, other) => one.order - other.order),
    })),
  );
}

const change = (kept: KeptEntry, part: Partial<Pick<KeptEntry, 'state' | 'problem'>>) =>
  deviceStore().entries.update(kept.id, part);

export const sendAgain = (kept: KeptEntry) =>
  change(kept, { state: 'waiting', problem: undefined });

export const strike = (kept: KeptEntry) => change(kept, { state: 'struck' });

/**
 * Puts a mended entry in the place of one that was refused. The server never had that one, so that its id may go; a new one
 * is given, in case it was the id that was refused.
 */
export async function mend(kept: KeptEntry, entry: Entry): Promise<void> {
  const store = deviceStore();
  await store.transaction('rw', store.entries, async () => {
    await store.entries.delete(kept.id);
    await store.entries.add({
      id: entry.id,
      jobId: kept.jobId,
      entry,
      order: kept.order,
      state: 'waiting',
    });
  });
}

export const sendCallAgain = (call: KeptCall) =>
  deviceStore().calls.update(call.id, { state: 'waiting', problem: undefined });

export const strikeCall = (call: KeptCall) =>
  deviceStore().calls.update(call.id, { state: 'struck' });

/** Puts what was typed for a call back into the form of a new call. */
export const reopenCall = (call: KeptCall) =>
  deviceStore().drafts.put({ key: 'new-call', text: call.draft });
