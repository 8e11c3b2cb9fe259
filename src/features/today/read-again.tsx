'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { serverPatienceMilliseconds } from '@/features/device/server-patience';

/** While somebody looks at the list, it is read again this often. */
const oftenMilliseconds = 60_000;

/** Those lists that stood here: one that is gone back to was made before what was done since. */
const stood = new WeakSet<Date>();

/**
 * Reads the list again where it may be old: gone back to, come to the front again, or looked at for long.
 * @param made the list's own, not a date that is equal to it.
 */
export function ReadAgain({ made }: { made: Date }) {
  const router = useRouter();
  useEffect(() => {
    const again = async () => {
      if (document.visibilityState === 'hidden') return;
      // Without the server the list stays as it is: to ask for another in vain would take it away.
      if (await isThere()) router.refresh();
    };
    if (stood.has(made)) void again();
    stood.add(made);
    const timer = setInterval(() => void again(), oftenMilliseconds);
    const turn = () => void again();
    document.addEventListener('visibilitychange', turn);
    window.addEventListener('online', turn);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', turn);
      window.removeEventListener('online', turn);
    };
  }, [made, router]);
  return null;
}

const isThere = (): Promise<boolean> =>
  fetch('/api/health', {
    cache: 'no-store',
    signal: AbortSignal.timeout(serverPatienceMilliseconds),
  }).then(
    ({ ok }) => ok,
    () => false,
  );
