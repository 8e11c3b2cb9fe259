'use client';

import { useRouter } from 'next/navigation';
import { startTransition, useEffect, useState, type ReactNode } from 'react';
import { hearTechnician } from '@/features/record/technician-chosen';

/** The page comes first: whether all of it answers is looked for so often. */
const lookMilliseconds = 200;

/**
 * On every page: sends what waits, keeps on this device what its pages need without the server, and says when there is a
 * newer version, or when somebody else works here. Its code comes once the page answers.
 */
export function KeepGoing() {
  const [isNewer, setNewer] = useState(false);
  const [worksHere, setWorksHere] = useState<string>();
  const router = useRouter();
  useEffect(
    () =>
      hearTechnician((name) =>
        // Told once it is so.
        startTransition(() => {
          router.refresh();
          setWorksHere(name);
        }),
      ),
    [router],
  );
  useEffect(() => {
    let end: (() => void) | undefined;
    let isGone = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const start = () => {
      if (window.ohmmeterAwake) {
        timer = setTimeout(start, lookMilliseconds);
        return;
      }
      void import('./start').then(({ startKeeping }) => {
        if (!isGone) end = startKeeping(() => setNewer(true));
      });
    };
    if (document.readyState === 'complete') start();
    else window.addEventListener('load', start, { once: true });
    return () => {
      isGone = true;
      window.removeEventListener('load', start);
      clearTimeout(timer);
      end?.();
    };
  }, []);
  if (isNewer) {
    return (
      <Told>
        A newer version of Ohmmeter is here. What you typed stays.
        <button type="button" className="button" onClick={() => window.location.reload()}>
          Use it now
        </button>
        <button type="button" className="link min-h-11" onClick={() => setNewer(false)}>
          Later
        </button>
      </Told>
    );
  }
  if (worksHere === undefined) return null;
  return (
    <Told>
      {worksHere} works on this device now, as chosen in another tab.
      <button type="button" className="button" onClick={() => setWorksHere(undefined)}>
        Close
      </button>
    </Told>
  );
}

const Told = ({ children }: { children: ReactNode }) => (
  <p
    role="status"
    className="no-print fixed right-3 bottom-3 z-30 flex items-center gap-3 border-2 border-rule bg-sheet px-3 py-2 text-small"
  >
    {children}
  </p>
);
