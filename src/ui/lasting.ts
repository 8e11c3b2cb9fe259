'use client';

import { useEffect, useState } from 'react';

/** True once something has been so without a break for a while, until it ends: what is over sooner is not told of. */
export function useLasting(isSo: boolean, milliseconds: number): boolean {
  const [hasLasted, setLasted] = useState(false);
  useEffect(() => {
    if (!isSo) return;
    const timer = setTimeout(() => setLasted(true), milliseconds);
    return () => {
      clearTimeout(timer);
      setLasted(false);
    };
  }, [isSo, milliseconds]);
  return isSo && hasLasted;
}
