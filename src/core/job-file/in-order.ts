import type { Entry } from './generated/job-types';

/** By time, then id. */
export function inOrder(entries: readonly Entry[]): Entry[] {
  // Most logbooks are in order, and each time is read once: a long one is looked at with every entry that comes to it.
  const timed = entries.map((entry) => ({ entry, time: Date.parse(entry.at) }));
  const isOrdered = timed.every((each, k) => k === 0 || compareTimed(timed[k - 1]!, each) <= 0);
  return isOrdered ? [...entries] : timed.sort(compareTimed).map((each) => each.entry);
}

interface Timed {
  readonly entry: Entry;
  readonly time: number;
}

const compareTimed = (one: Timed, other: Timed): number =>
  one.entry.at === other.entry.at ? compare(one.entry.id, other.entry.id) : one.time - other.time;

const compare = (one: string, other: string) => (one < other ? -1 : one > other ? 1 : 0);
