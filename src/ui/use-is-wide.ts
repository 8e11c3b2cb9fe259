'use client';

import { useSyncExternalStore } from 'react';

const query = '(min-width: 1024px)';

function onChange(tell: () => void): () => void {
  const list = window.matchMedia(query);
  list.addEventListener('change', tell);
  return () => list.removeEventListener('change', tell);
}

/**
 * Whether the screen has room for what stands beside the check at a desk. A server draws for both; a phone then spares itself
 * what it does not show.
 */
export const useIsWide = (): boolean =>
  useSyncExternalStore(
    onChange,
    () => window.matchMedia(query).matches,
    () => true,
  );
