import type { CorrectionEntry, Entry } from './generated/job-types';
import { isRestored } from './restored';

/** The logbook as it counts: in order, with corrections applied. */

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

/** Entries that count: corrections applied, the rest in order. A correction to nothing removes. */
export function effectiveEntries(entries: readonly Entry[]): Entry[] {
  const ordered = inOrder(entries);
  const standing = correctionsOf(ordered);
  return ordered.flatMap((each) => {
    if (each.kind === 'correction') return [];
    // Nobody's word makes the server know again what it lost.
    if (isRestored(each)) return [each];
    const now = standing(each);
    if (now === each) return [each];
    // The corrected entry stands at the moment of the first one: that is when the unit was in that state.
    return now === null ? [] : [{ ...now, id: each.id, at: each.at }];
  });
}

/** An entry as it was written, and what stands in its place now: itself, what it was corrected to, or null if struck out. */
export interface FoundEntry {
  readonly written: Entry;
  readonly now: Entry | null;
}

/** Finds entries of a logbook by their ids. Of one and the same list it is made ready once: a long one is asked hundreds of times. */
export function entryFinder(entries: readonly Entry[]): (id: string) => FoundEntry | undefined {
  const found = finders.get(entries) ?? makeFinder(entries);
  finders.set(entries, found);
  return found;
}

const finders = new WeakMap<readonly Entry[], ReturnType<typeof entryFinder>>();

function makeFinder(entries: readonly Entry[]): ReturnType<typeof entryFinder> {
  const byId = new Map<string, Entry>();
  for (const each of entries) if (!byId.has(each.id)) byId.set(each.id, each);
  const standing = correctionsOf(inOrder(entries));
  return (id) => {
    const written = byId.get(id);
    return written && { written, now: standing(written) };
  };
}

/**
 * The latest correction wins. A correction may itself be corrected: put for another, it says what the first entry should
 * be; struck out, it has never been.
 */
function correctionsOf(ordered: readonly Entry[]): (entry: Entry) => Entry | null {
  const byTarget = new Map<string, CorrectionEntry[]>();
  for (const each of ordered) {
    if (each.kind !== 'correction') continue;
    const known = byTarget.get(each.replaces);
    if (known) known.push(each);
    else byTarget.set(each.replaces, [each]);
  }
  const standing = (entry: Entry, within: readonly string[]): Entry | null => {
    const corrections = byTarget.get(entry.id) ?? [];
    for (let k = corrections.length - 1; k >= 0; k--) {
      const correction = corrections[k]!;
      // Two corrections that name each other say nothing of either.
      if (within.includes(correction.id)) continue;
      const now = standing(correction, [...within, entry.id]);
      if (now === null) continue;
      return now.kind === 'correction' ? now.entry : now;
    }
    return entry;
  };
  return (entry) => standing(entry, []);
}
