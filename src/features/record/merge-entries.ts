import type { Entry } from '@/core/job-file';

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

/** A wrong clock is followed no further ahead than this: what is stamped later still is told by the order of receipt. */
const mostAheadMilliseconds = 24 * 3_600_000;

/**
 * The time of a new entry: now, and never before the newest that this device knows. A clock that was wrong and has been set
 * right must not put what is done now before what was done already.
 */
export function stampAfter(entries: readonly Pick<Entry, 'at'>[], now: number): number {
  return entries.reduce((latest, { at }) => {
    const time = Date.parse(at);
    return time >= latest && time < now + mostAheadMilliseconds ? time + 1 : latest;
  }, now);
}
