'use client';

import { startTransition, useEffect, useState, type ReactNode } from 'react';
import { useIsAlive } from '@/ui/until-alive';
import { whenAwake } from './when-awake';

/** What was tapped before the page answered is done first. */
const restMilliseconds = 400;

/**
 * A drawing that does nothing by itself: what the server drew stays as it is until the page answers, or until it shows something
 * else. Bringing a picture of a hundred lines to life takes a slow phone a tenth of a second, in which it answers nobody.
 * @param of What it shows: another object is another drawing.
 */
export function Still({ of, children }: { readonly of: object; readonly children: ReactNode }) {
  // A server draws it, and so does a page that is there already; one that takes over what a server drew waits.
  const isDrawnHere = useIsAlive() || typeof window === 'undefined';
  const [first] = useState(of);
  const [isAlive, setAlive] = useState(isDrawnHere);
  useEffect(() => {
    if (isAlive) return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const callOff = whenAwake(() => {
      timer = setTimeout(() => startTransition(() => setAlive(true)), restMilliseconds);
    });
    return () => {
      callOff();
      clearTimeout(timer);
    };
  }, [isAlive]);
  return isAlive || of !== first ? (
    <span key="alive" className="contents">
      {children}
    </span>
  ) : (
    // React takes over the span, and leaves alone what the server put into it.
    <span
      key="still"
      className="contents"
      suppressHydrationWarning
      dangerouslySetInnerHTML={{ __html: '' }}
    />
  );
}
