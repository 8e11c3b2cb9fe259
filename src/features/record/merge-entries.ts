import { mostAheadMilliseconds, type Entry } from '@/core/job-file';

/** What the server has, in the order in which it got it, then what only this device has, in the order of writing. */
export function mergeEntries(
  received: readonly (readonly Entry[])[],
  own: readonly Entry[],
): readonly Entry[] {
  const known = new Set<string>();
  return [...received, own].flatMap((list) =>
    list.filter(({ id }) => !known.has(id) && known.add(id)),
  );
}

/**
 * What this device wrote, after its store was read again. An entry that the store does not have was either written after the
 * store was read, and stays last, or is with the server already, and stays first.
 */
export function ownEntries(
  before: readonly Entry[],
  kept: readonly { readonly id: string; readonly entry: Entry; readonly counts: boolean }[],
): readonly Entry[] {
  const present = new Set(kept.map((each) => each.id));
  const lastKept = before.findLastIndex(({ id }) => present.has(id));
  const isGone = ({ id }: Entry) => !present.has(id);
  return [
    ...before.slice(0, lastKept + 1).filter(isGone),
    ...kept.filter((each) => each.counts).map((each) => each.entry),
    ...before.slice(lastKept + 1),
  ];
}

/**
 * The time of a new entry: now, and never before the newest that this device knows. A clock that was wrong and has been set
 * right must not put what is done now before what was done already. What says no time is told by the order of receipt.
 */
export function stampAfter(entries: readonly Pick<Entry, 'at'>[], now: number): number {
  return entries.reduce((latest, { at }) => {
    const time = Date.parse(at);
    return time >= latest && time < now + mostAheadMilliseconds ? time + 1 : latest;
  }, now);
}
