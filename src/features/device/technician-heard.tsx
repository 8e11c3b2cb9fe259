'use client';

import { useRouter } from 'next/navigation';
import { startTransition, useEffect, useState } from 'react';
import { hearTechnician } from '@/features/record/technician-chosen';
import { Told } from './told';

/** Somebody else was chosen in another tab: this page is theirs from then on, and says so once it is. */
export function TechnicianHeard() {
  const [worksHere, setWorksHere] = useState<string>();
  const router = useRouter();
  useEffect(
    () =>
      hearTechnician((name) =>
        startTransition(() => {
          router.refresh();
          setWorksHere(name);
        }),
      ),
    [router],
  );
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
