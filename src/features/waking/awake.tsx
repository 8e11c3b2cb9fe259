'use client';

import { useEffect, useRef } from 'react';

/**
 * Stands in each part of a page whose code comes by itself, and says when that part answers: what was tapped before is
 * done once all of them do.
 */
export function Awake() {
  const mark = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    delete mark.current?.dataset.sleeps;
    window.ohmmeterAwake?.();
  }, []);
  return <span ref={mark} hidden data-sleeps="" />;
}
