import type { CorrectionEntry, Entry } from './generated/job-types';
import { inOrder } from './in-order';
import { isGap } from './gaps';

/** The logbook as it counts: in order, with corrections applied. */

/** Entries that count: corrections applied, the rest in order. A correction to nothing removes. */
export function effectiveEntries(entries: readonly Entry[]): Entry[] {
  const ordered = inOrder(entries);
  const standing = correctionsOf(ordered);
  return ordered.flatMap((each) => {
    if (each.kind === 'correction') return [];
    const { now } = standing(each);
    if (now === each) return [each];
    // The corrected entry stands at the moment of the first one: that is when the unit was in that state.
    return now === null ? [] : [{ ...now, id: each.id, at: each.at }];
  });
}

/** What stands in the place of an entry now. */
interface Standing {
  /** Itself, what it was corrected to, or null if struck out. */
  readonly now: Entry | null;
  /** The correction that holds; undefined where the entry stands as it was written. */
  readonly by?: CorrectionEntry;
}

/** An entry as it was written, and what stands in its place now. */
export interface FoundEntry extends Standing {
  readonly written: Entry;
}

/** Whether an entry can be corrected: nobody's word makes a logbook know what it lacks. */
export const isCorrectable = (entry: Entry): boolean => !isGap(entry);

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
    return written && { written, ...standing(written) };
  };
}

/**
 * The latest correction wins. A correction may itself be corrected: put for another, it says what the first entry should
 * be; struck out, it has never been.
 */
function correctionsOf(ordered: readonly Entry[]): (entry: Entry) => Standing {
  const byTarget = new Map<string, CorrectionEntry[]>();
  for (const each of ordered) {
    if (each.kind !== 'correction') continue;
    const known = byTarget.get(each.replaces);
    if (known) known.push(each);
    else byTarget.set(each.replaces, [each]);
  }
  const standing = (entry: Entry, within: readonly string[]): Standing => {
    const corrections = isCorrectable(entry) ? (byTarget.get(entry.id) ?? []) : [];
    for (let k = corrections.length - 1; k >= 0; k--) {
      const by = corrections[k]!;
      // Two corrections that name each other say nothing of either.
      if (within.includes(by.id)) continue;
      const { now } = standing(by, [...within, entry.id]);
      if (now === null) continue;
      return now.kind === 'correction' ? { now: now.entry, by: now } : { now, by };
    }
    return { now: entry };
  };
  return (entry) => standing(entry, []);
}
