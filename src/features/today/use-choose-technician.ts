'use client';

import { useRouter } from 'next/navigation';
import { startTransition, useState } from 'react';
import { chooseTechnician, type Named } from './choose-technician';

const unknown = 'Not changed: the server does not know this person any more. Load the page again.';
const notYet = 'Written down. The server does not answer: this page is theirs once it does.';

/** Chooses who works on this device, and shows the page as theirs; gives in words what stands against it. */
export function useChooseTechnician(): {
  readonly problem: string | undefined;
  choose(technician: Named, before: Named): Promise<void>;
} {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();
  return {
    problem,
    async choose(technician, before) {
      const end = await chooseTechnician(technician, before);
      // Without the server the page comes from the device, which knows who is here now.
      const isByDevice = end === 'written-here' && Boolean(navigator.serviceWorker?.controller);
      if (end === 'told') startTransition(() => router.refresh());
      else if (isByDevice) window.location.reload();
      setProblem(end === 'refused' ? unknown : end === 'told' || isByDevice ? undefined : notYet);
    },
  };
}
