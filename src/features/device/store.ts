import Dexie, { liveQuery, type EntityTable, type Table, type Transaction } from 'dexie';
import type { Entry, JobFile } from '@/core/job-file';

/**
 * How something written here stands: it waits until the server has it; is `refused` where the server would not take it; is
 * `struck` where somebody decided that it is not to be sent. Nothing leaves the list by itself but what the server has.
 */
export type KeptState = 'waiting' | 'sent' | 'refused' | 'struck';

/** An entry on this device. */
export interface KeptEntry {
  readonly id: string;
  readonly jobId: string;
  readonly entry: Entry;
  /** Order of writing on this device. */
  readonly order: number;
  state: KeptState;
  problem?: string;
}

/** What the server would not take, and what somebody struck, counts for nothing. */
export const counts = ({ state }: KeptEntry): boolean => state === 'waiting' || state === 'sent';

/** A call that was taken on this device and has not reached the server. */
export interface KeptCall {
  /** The job's. */
  readonly id: string;
  /** As the server takes it. */
  readonly body: string;
  /** The form as it was typed, so that a refused call can be mended. */
  readonly draft: string;
  /** The job as this device works on it until the server has numbered it. */
  readonly job: JobFile;
  readonly order: number;
  state: KeptState;
  problem?: string;
}

/** A job as the server last showed it to this device: its logbook with it, or, of a long one, beside it as JSON. */
export interface KeptJob {
  readonly id: string;
  readonly job: Omit<JobFile, 'entries'> & Partial<Pick<JobFile, 'entries'>>;
  readonly logbook?: string;
  readonly entryCount?: number;
  /** When it was last opened or fetched, in milliseconds. */
  readonly keptAt: number;
}

/** What a page was made from when the server last answered, by the page's name. */
export interface KeptPage {
  readonly name: string;
  readonly keptAt: number;
  readonly content: unknown;
}

/** What was typed and not entered yet, by the field it stands in. */
export interface Draft {
  readonly key: string;
  readonly text: string;
}

type Store = Dexie & {
  entries: EntityTable<KeptEntry, 'id'>;
  drafts: EntityTable<Draft, 'key'>;
  calls: EntityTable<KeptCall, 'id'>;
  jobs: EntityTable<KeptJob, 'id'>;
  pages: EntityTable<KeptPage, 'name'>;
};

let opened: Store | undefined;

/** The device's own store, opened at the first use. */
export function deviceStore(): Store {
  if (!opened) {
    opened = new Dexie('ohmmeter') as Store;
    opened.version(1).stores({ entries: 'id, jobId, [jobId+state], state', drafts: 'key' });
    opened.version(2).stores({ calls: 'id, state', jobs: 'id, keptAt', pages: 'name' });
    opened.version(3).stores({ entries: 'id, jobId, [jobId+state], [jobId+order], state' });
  }
  return opened;
}

/** A store that says nothing for so long is taken not to answer: what can be had without it is tried. */
const longestKeepMilliseconds = 3000;
/** Where nothing can be had without it, it is waited for as long as this. */
export const longestWaitMilliseconds = 20_000;

/** The store of this device does not answer. */
export class StoreSilent extends Error {
  override name = 'StoreSilent';
}

/** @throws StoreSilent where the store does not answer in time. */
export async function inTime<T>(
  kept: PromiseLike<T>,
  milliseconds = longestKeepMilliseconds,
): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLong = new Promise<never>((_, reject) => {
    timer = setTimeout(
      () => reject(new StoreSilent('the store of this device does not answer')),
      milliseconds,
    );
  });
  return Promise.race([kept, tooLong]).finally(() => clearTimeout(timer));
}

/** Something on its way into this device's store. */
export interface Keeping {
  /** Fulfilled once it is kept; rejects where the store is full or closed, or it was given up. */
  readonly kept: Promise<void>;
  /**
   * Lets a store that was silent for too long keep it neither now nor later, so that nobody is told it is not there and finds it
   * there afterwards. Gives false where it is too late for that: it is kept, or just being kept.
   */
  giveUp(): boolean;
}

function keeping(table: Table, write: () => PromiseLike<unknown>): Keeping {
  let isGivenUp = false;
  let under: Transaction | undefined;
  const kept = deviceStore().transaction('rw', table, async (transaction) => {
    under = transaction;
    if (isGivenUp) throw new StoreSilent('given up before the store answered');
    await write();
  });
  return {
    kept: Promise.resolve(kept),
    giveUp() {
      isGivenUp = true;
      // Not begun: it ends as soon as it begins.
      if (!under) return true;
      if (!under.active) return false;
      try {
        under.abort();
        return true;
      } catch {
        // It is being put down at this moment.
        return false;
      }
    },
  };
}

/** Keeps entries on this device. */
export function keepEntries(jobId: string, added: readonly Entry[]): Keeping {
  const { entries } = deviceStore();
  return keeping(entries, async () => {
    const last = await entries
      .where('[jobId+order]')
      .between([jobId, Dexie.minKey], [jobId, Dexie.maxKey])
      .last();
    // What is written later stays later, though the clock was set back meanwhile: the order is the order of the work.
    const first = Math.max(Date.now() * 1000, (last?.order ?? 0) + 1);
    await entries.bulkAdd(
      added.map((entry, index) => ({
        id: entry.id,
        jobId,
        entry,
        order: first + index,
        state: 'waiting' as const,
      })),
    );
  });
}

/** Keeps a call on this device. */
export function keepCall(call: KeptCall): Keeping {
  const { calls } = deviceStore();
  return keeping(calls, () => calls.put(call));
}

export async function keptEntries(jobId: string): Promise<KeptEntry[]> {
  const kept = await deviceStore().entries.where('jobId').equals(jobId).toArray();
  return kept.sort((one, other) => one.order - other.order);
}

/** Why a question to the store has no answer: it never will have one, or it may yet. */
export type StoreTrouble = 'refused' | 'silent';

/**
 * Tells what a question to the store is answered, at once and whenever that changes, in whichever tab of this browser; and that
 * there is no answer, after which one may still come of a store that was silent.
 * @returns what ends it.
 */
export function watchStore<T>(
  ask: () => Promise<T>,
  tell: (answer: T) => void,
  onTrouble: (trouble: StoreTrouble) => void = () => undefined,
): () => void {
  const silent = setTimeout(() => onTrouble('silent'), longestKeepMilliseconds);
  const watching = liveQuery(ask).subscribe({
    next(answer) {
      clearTimeout(silent);
      tell(answer);
    },
    error() {
      clearTimeout(silent);
      onTrouble('refused');
    },
  });
  return () => {
    clearTimeout(silent);
    watching.unsubscribe();
  };
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
