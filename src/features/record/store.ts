import Dexie, { liveQuery, type EntityTable } from 'dexie';
import type { Entry } from '@/core/job-file';

/** An entry on this device: kept until the server has it, and marked where it would not take it. */
export interface KeptEntry {
  readonly id: string;
  readonly jobId: string;
  readonly entry: Entry;
  /** Order of writing on this device. */
  readonly order: number;
  state: 'waiting' | 'sent' | 'refused';
  problem?: string;
}

/** What was typed and not entered yet, by the field it stands in. */
export interface Draft {
  readonly key: string;
  readonly text: string;
}

type Store = Dexie & {
  entries: EntityTable<KeptEntry, 'id'>;
  drafts: EntityTable<Draft, 'key'>;
};

let opened: Store | undefined;

/** The device's own store, opened at the first use. */
export function deviceStore(): Store {
  if (!opened) {
    opened = new Dexie('ohmmeter') as Store;
    opened.version(1).stores({ entries: 'id, jobId, [jobId+state], state', drafts: 'key' });
  }
  return opened;
}

/** A store that says nothing for so long is taken not to answer at all. */
const longestKeepMilliseconds = 3000;

/**
 * Keeps entries on this device.
 * @throws where the store is full, closed, or does not answer.
 */
export async function keepEntries(jobId: string, added: readonly Entry[]): Promise<void> {
  const now = Date.now();
  const kept = deviceStore().entries.bulkAdd(
    added.map((entry, index) => ({
      id: entry.id,
      jobId,
      entry,
      order: now * 1000 + index,
      state: 'waiting' as const,
    })),
  );
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLong = new Promise<never>((_, reject) => {
    timer = setTimeout(
      () => reject(new Error('the store of this device does not answer')),
      longestKeepMilliseconds,
    );
  });
  await Promise.race([kept, tooLong]).finally(() => clearTimeout(timer));
}

export async function keptEntries(jobId: string): Promise<KeptEntry[]> {
  const kept = await deviceStore().entries.where('jobId').equals(jobId).toArray();
  return kept.sort((one, other) => one.order - other.order);
}

/**
 * Tells what is kept for a job, at once and whenever that changes, in whichever tab of this browser.
 * @returns what ends it.
 */
export function watchKept(
  jobId: string,
  tell: (kept: KeptEntry[]) => void,
  onFailure: () => void,
): () => void {
  const watching = liveQuery(() => keptEntries(jobId)).subscribe({ next: tell, error: onFailure });
  return () => watching.unsubscribe();
}

export async function readDraft(key: string): Promise<string> {
  return (await deviceStore().drafts.get(key))?.text ?? '';
}

export async function writeDraft(key: string, text: string): Promise<void> {
  if (text === '') await deviceStore().drafts.delete(key);
  else await deviceStore().drafts.put({ key, text });
}

/** Forgets a draft, unless something else was written meanwhile. */
export async function forgetDraft(key: string, text: string): Promise<void> {
  await deviceStore()
    .drafts.where('key')
    .equals(key)
    .and((each) => each.text === text)
    .delete();
}

export const constraintsDraftKey = (jobId: string) => `constraints ${jobId}`;
