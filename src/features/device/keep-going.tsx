'use client';

import { useEffect, useState, type ComponentType } from 'react';
import { whenAwake } from '@/features/waking/when-awake';
import { watchDoubleTaps } from '@/ui/double-tap';
import { Told } from './told';

/**
 * On every page: sends what waits, keeps on this device what its pages need without the server, and says when there is a
 * newer version, or when somebody else works here. Its code comes once the page answers.
 */
export function KeepGoing() {
  const [isNewer, setNewer] = useState(false);
  const [Heard, setHeard] = useState<ComponentType>();
  useEffect(watchDoubleTaps, []);
  useEffect(() => {
    let end: (() => void) | undefined;
    let isGone = false;
    let callOff: (() => void) | undefined;
    const start = () => {
      callOff = whenAwake(() => {
        void import('./start').then(({ startKeeping, TechnicianHeard }) => {
          if (isGone) return;
          end = startKeeping(() => setNewer(true));
          setHeard(() => TechnicianHeard);
        });
      });
    };
    if (document.readyState === 'complete') start();
    else window.addEventListener('load', start, { once: true });
    return () => {
      isGone = true;
      window.removeEventListener('load', start);
      callOff?.();
      end?.();
    };
  }, []);
  return (
    <>
      {Heard && <Heard />}
      {isNewer && (
        <Told>
          A newer version of Ohmmeter is here. What you typed stays.
          <button type="button" className="button" onClick={() => window.location.reload()}>
            Use it now
          </button>
          <button type="button" className="link min-h-11" onClick={() => setNewer(false)}>
            Later
          </button>
        </Told>
      )}
    </>
  );
}
