import { useLayoutEffect, useMemo, useRef } from 'react';

/** What was tapped, for which check, and by whom. */
export interface Tapped<Tap> {
  readonly check: string;
  readonly by: string;
  readonly tap: Tap;
}

/** It as it is given back. */
export interface HeldTap<Tap> extends Tapped<Tap> {
  /** Too long ago to be done now. */
  readonly isLate: boolean;
}

/** An answer that comes later than this, after a failure perhaps, is to another moment than that of the tap. */
const longestMilliseconds = 10_000;

/**
 * What is tapped for a check while its answer is worked out anew, because something came from elsewhere, is held and done
 * once the answer is there: who tapped has seen a button go down. The last one counts. While it is the answer to an entry
 * of this page's own that is on its way, a tap is the second half of a double one, and is let go.
 */
export function useHeldTap<Tap>() {
  const held = useRef<Tapped<Tap> & { readonly at: number }>(undefined);
  const isSettling = useRef(false);
  return useMemo(
    () => ({
      hold(tapped: Tapped<Tap>) {
        if (!isSettling.current) held.current = { ...tapped, at: performance.now() };
      },
      /** What is typed or chosen after it takes its place. */
      drop() {
        held.current = undefined;
      },
      /** An entry of this page's own is on its way. */
      settle() {
        held.current = undefined;
        isSettling.current = true;
      },
      /** Its answer is there, or it was not entered; gives what was held until then. */
      settled(): HeldTap<Tap> | undefined {
        isSettling.current = false;
        const found = held.current;
        held.current = undefined;
        return found && { ...found, isLate: performance.now() - found.at > longestMilliseconds };
      },
    }),
    [],
  );
}

/** @param take Takes what was held once a tap can be done at once again. */
export function useTakenOnceFresh<Tap>(
  held: ReturnType<typeof useHeldTap<Tap>>,
  isFresh: boolean,
  take: (held: HeldTap<Tap>) => void,
): void {
  // Not put off until after the next tap, which it would then take for one made before it.
  useLayoutEffect(() => {
    const found = isFresh ? held.settled() : undefined;
    if (found) take(found);
  });
}
