import { useEffect, useState } from 'react';

/** A timer cannot be set for longer than this, in milliseconds. */
const longestTimer = 2 ** 31 - 1;

/**
 * Counts the ends of proofs of dead that came while the page stood open: a proof that nobody has stayed with does not hold
 * any more, though no entry says so. A phone that slept through it is told when it wakes.
 * @param until ISO time; undefined where nothing is proved.
 */
export function useProofEnd(until: string | undefined): number {
  const [ends, setEnds] = useState(0);
  useEffect(() => {
    if (until === undefined) return;
    let isTold = false;
    let timer: ReturnType<typeof setTimeout>;
    const look = () => {
      clearTimeout(timer);
      const left = Date.parse(until) - Date.now();
      // Just past it: at the very moment it still holds.
      if (left >= 0) timer = setTimeout(look, Math.min(left + 1, longestTimer));
      else if (!isTold) {
        isTold = true;
        setEnds((count) => count + 1);
      }
    };
    timer = setTimeout(look);
    document.addEventListener('visibilitychange', look);
    window.addEventListener('focus', look);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('focus', look);
    };
  }, [until]);
  return ends;
}
