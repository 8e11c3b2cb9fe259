import type { AccessFact, AccessNeed } from './model';

/** The way from where the technician stands to a check, and where it leads. */
export interface AccessWay {
  readonly minutes: number;
  /** Facts that are so once the check has been done. */
  readonly access: number;
}

/**
 * What it takes to make some facts so and others not. A fact that may only be changed while another is so brings that other
 * about on the way, and pays for it; if the check needs it undone, that is paid as well.
 */
export function wayTo(
  facts: readonly AccessFact[],
  from: number,
  { sets, clears }: AccessNeed,
): AccessWay {
  let set = sets & ~from;
  const changed = set | (clears & from);
  facts.forEach(({ changedWith = 0 }, k) => {
    if (changed & (1 << k)) set |= changedWith & ~from;
  });
  const cleared = clears & (from | set);
  const minutes = facts.reduce((sum, { setMinutes, clearMinutes }, k) => {
    const bit = 1 << k;
    return sum + (set & bit ? setMinutes : 0) + (cleared & bit ? clearMinutes : 0);
  }, 0);
  return { minutes, access: (from | set) & ~clears };
}
