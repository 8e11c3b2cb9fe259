import type { Belief } from './belief';

/** An entry that speaks for a suspect, or against it, and how much, in decibans. */
export interface Reason {
  readonly entry: string;
  readonly decibans: number;
}

/** Nobody reads more reasons than these; an answer with all of a long logbook, for every suspect, is half of the page. */
export const mostReasons = 40;

/**
 * The entries that speak for a suspect and against it, in the order of the logbook: all of them, or of a long logbook
 * those that speak most.
 * @param weightOf The weight of a contribution for the suspect, in decibans, by its place.
 */
export function reasonsOf(
  contributions: Belief['contributions'],
  weightOf: (index: number) => number,
): Reason[] {
  const weights = Float64Array.from(contributions, ({ entryIds }, index) =>
    entryIds.length === 0 ? 0 : weightOf(index) / entryIds.length,
  );
  return told(contributions, weights).flatMap(({ place, entryIds }) =>
    entryIds.map((entry) => ({ entry, decibans: weights[place]! })),
  );
}

interface Told {
  readonly place: number;
  readonly entryIds: readonly string[];
}

/** The contributions whose entries speak most, up to so many entries, in their order; of what speaks the same, the newest. */
function told(contributions: Belief['contributions'], weights: Float64Array): Told[] {
  const all = contributions.map(({ entryIds }, place): Told => ({ place, entryIds }));
  if (all.reduce((sum, { entryIds }) => sum + entryIds.length, 0) <= mostReasons) return all;
  const weight = ({ place }: Told) => Math.abs(weights[place]!);
  let room = mostReasons;
  const most: Told[] = [];
  for (const { place, entryIds } of all
    .toReversed()
    .toSorted((one, other) => weight(other) - weight(one))) {
    if (room === 0) break;
    most.push({ place, entryIds: entryIds.slice(-room) });
    room -= Math.min(room, entryIds.length);
  }
  return most.sort((one, other) => one.place - other.place);
}
