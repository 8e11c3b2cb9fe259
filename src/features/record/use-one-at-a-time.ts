'use client';

import { useCallback, useRef } from 'react';

/**
 * Lets a tap through only once what the same one before began is over: for what makes something new each time it is tapped, a
 * run or a log, so that the record cannot see that two taps meant one. Another thing that is tapped meanwhile is never held up:
 * it may be what makes a unit safe.
 */
export function useOneAtATime(): (what: string, work: () => Promise<unknown>) => void {
  const going = useRef(new Set<string>());
  return useCallback((what, work) => {
    if (going.current.has(what)) return;
    going.current.add(what);
    void work().finally(() => going.current.delete(what));
  }, []);
}
