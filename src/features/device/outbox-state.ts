/** What of one job waits on this device. */
export interface KeptOfJob {
  readonly waiting: number;
  readonly refused: number;
  /** Why the server did not take the first that it refused. */
  readonly problem?: string;
}

/** What waits on this device, for every page. */
export interface Outbox {
  readonly byJob: Readonly<Record<string, KeptOfJob>>;
  readonly waiting: number;
  readonly refused: number;
  /** When the oldest of them was written, in milliseconds. */
  readonly since?: number;
  /** False where the last try found nobody who would take anything. */
  readonly isReachable: boolean;
  /** Why, in the server's words, where it was the server that said so: its disk is full, its database does not answer. */
  readonly serverSays?: string;
  /** How far this device's clock is ahead of the server's, where they do not agree. */
  readonly clockAheadMilliseconds?: number;
}

const empty: Outbox = { byJob: {}, waiting: 0, refused: 0, isReachable: true };

let state = empty;
const listeners = new Set<() => void>();

export function changeOutbox(part: Partial<Outbox>): void {
  state = { ...state, ...part };
  listeners.forEach((tell) => tell());
}

export const presentOutbox = (): Outbox => state;
export const emptyOutbox = (): Outbox => empty;

export function onOutboxChange(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}
