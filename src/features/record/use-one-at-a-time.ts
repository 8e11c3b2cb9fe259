'use client';

import { useCallback, useRef } from 'react';

/**
 * Lets a tap through only once what the one before began is over: for what makes something new each time it is tapped, a run or
 * a log, so that the record cannot see that two taps meant one.
 */
export function useOneAtATime(): (work: () => Promise<unknown>) => void {
  const isBusy = useRef(false);
  return useCallback((work) => {
    if (isBusy.current) return;
    isBusy.current = true;
    void work().finally(() => (isBusy.current = false));
  }, []);
}
