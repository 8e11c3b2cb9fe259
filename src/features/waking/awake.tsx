'use client';

import { useLayoutEffect, useRef } from 'react';

/** A part that never comes leaves an error page in its place, which is to be tapped too: looked for so often. */
const lookMilliseconds = 250;
/** A part whose code is here is waited for no longer: it has buttons that answer already. */
const longestMilliseconds = 1000;

/**
 * Stands in each part of a page whose code comes by itself, and says when that part answers: what was tapped before is
 * done once all of them do.
 * @param isReady False where the part is there, but would not do yet what is tapped.
 */
export function Awake({ isReady = true }: { isReady?: boolean }) {
  const mark = useRef<HTMLSpanElement>(null);
  // Before it is painted: what is seen for the first time answers at once.
  useLayoutEffect(() => {
    let looking: ReturnType<typeof setInterval> | undefined;
    const wake = () => {
      window.ohmmeterAwake?.();
      if (!window.ohmmeterAwake) clearInterval(looking);
    };
    const answer = () => {
      delete mark.current?.dataset.sleeps;
      looking = setInterval(wake, lookMilliseconds);
      wake();
    };
    const longest = isReady ? undefined : setTimeout(answer, longestMilliseconds);
    if (isReady) answer();
    return () => {
      clearTimeout(longest);
      clearInterval(looking);
    };
  }, [isReady]);
  return <span ref={mark} hidden data-sleeps="" />;
}
