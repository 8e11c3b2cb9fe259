'use client';

import { useEffect } from 'react';

/** Keeps the screen on while a clock is watched, where the device lets a page do so; it ends with the page out of sight. */
export function useWakeLock(isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let isGone = false;
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (given) => {
          if (isGone) void given.release();
          else lock = given;
        },
        () => {
          // Low battery, or not allowed: the screen goes off, and the time is kept all the same.
        },
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, [isWanted]);
}
