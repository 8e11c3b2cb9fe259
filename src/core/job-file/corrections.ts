import type { CorrectionEntry, Entry } from './generated/job-types';

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
    const now = standing(each);
    if (now === each) return [each];
    // The corrected entry stands at the moment of the first one: that is when the unit was in that state.
    return now === null ? [] : [{ ...now, id: each.id, at: each.at }];
  });
}

/** What stands in an entry's place: itself, what it was corrected to last, or null where it was struck out. */
export function currentEntry(entries: readonly Entry[], entry: Entry): Entry | null {
  return correctionsOf(inOrder(entries))(entry);
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
