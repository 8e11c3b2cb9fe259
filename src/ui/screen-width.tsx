'use client';

import { createContext, useContext, useSyncExternalStore, type ReactNode } from 'react';

const query = '(min-width: 1024px)';

function onChange(tell: () => void): () => void {
  const list = window.matchMedia(query);
  list.addEventListener('change', tell);
  return () => list.removeEventListener('change', tell);
}

const DrawnWide = createContext(true);

/** A page that a server draws, for a screen that has room for a desk's columns or has not. */
export function DrawnFor({ isWide, children }: { isWide: boolean; children: ReactNode }) {
  return <DrawnWide value={isWide}>{children}</DrawnWide>;
}

/**
 * Whether the screen has room for what stands beside the check at a desk: what a phone does not show, it spares itself. Until
 * the page's code is there it is what the server took the screen for.
 */
export function useIsWide(): boolean {
  const drawnWide = useContext(DrawnWide);
  return useSyncExternalStore(
    onChange,
    () => window.matchMedia(query).matches,
    () => drawnWide,
  );
}
