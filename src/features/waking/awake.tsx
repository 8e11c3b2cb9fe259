'use client';

import { useLayoutEffect, useRef } from 'react';

/** A part that never comes leaves an error page in its place, which is to be tapped too: looked for so often. */
const lookMilliseconds = 250;

/**
 * Stands in each part of a page whose code comes by itself, and says when that part answers: what was tapped before is
 * done once all of them do.
 */
export function Awake() {
  const mark = useRef<HTMLSpanElement>(null);
  // Before it is painted: what is seen for the first time answers at once.
  useLayoutEffect(() => {
    delete mark.current?.dataset.sleeps;
    const wake = () => {
      window.ohmmeterAwake?.();
      if (!window.ohmmeterAwake) clearInterval(timer);
    };
    const timer = setInterval(wake, lookMilliseconds);
    wake();
    return () => clearInterval(timer);
  }, []);
  return <span ref={mark} hidden data-sleeps="" />;
}
