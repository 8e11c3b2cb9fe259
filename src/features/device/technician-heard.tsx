'use client';

import { useRouter } from 'next/navigation';
import { startTransition, useEffect, useState } from 'react';
import { hearTechnician } from '@/features/record/technician-chosen';
import { watchTechnicianHere } from '@/features/record/technician-here';
import { Told } from './told';

/**
 * Somebody else was chosen in another tab, or while this page lay in the browser's memory: it is theirs from then on, and says
 * so once it is.
 */
export function TechnicianHeard() {
  const [worksHere, setWorksHere] = useState<string>();
  const router = useRouter();
  useEffect(() => {
    const take = (name: string) =>
      startTransition(() => {
        router.refresh();
        setWorksHere(name);
      });
    const isAnother = watchTechnicianHere();
    const endHearing = hearTechnician((name) => {
      isAnother();
      take(name);
    });
    // A page that is gone back to, or was put to sleep, heard nothing meanwhile.
    const onShow = () => {
      if (document.visibilityState === 'visible' && isAnother()) take('Somebody else');
    };
    window.addEventListener('pageshow', onShow);
    document.addEventListener('visibilitychange', onShow);
    return () => {
      endHearing();
      window.removeEventListener('pageshow', onShow);
      document.removeEventListener('visibilitychange', onShow);
    };
  }, [router]);
  if (worksHere === undefined) return null;
  return (
    <Told>
      {worksHere} works on this device now, as chosen on another page.
      <button type="button" className="button" onClick={() => setWorksHere(undefined)}>
        Close
      </button>
    </Told>
  );
}
