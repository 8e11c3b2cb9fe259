import type { CorrectionEntry, Entry } from './generated/job-types';

/** The logbook as it counts: in order, with corrections applied. */

/** By time, then id. */
export function inOrder(entries: readonly Entry[]): Entry[] {
  return [...entries].sort((one, other) =>
    one.at === other.at ? compare(one.id, other.id) : Date.parse(one.at) - Date.parse(other.at),
  );
}

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
