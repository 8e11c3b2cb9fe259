'use client';

import { useEffect, useState } from 'react';
import { deviceStore, watchStore, type KeptCall } from '@/features/device/store';
import { complaintWords } from '@/features/record/words';

/** Calls that were taken on this device and have not reached the server: jobs without a number. */
export function KeptCalls() {
  const [calls, setCalls] = useState<readonly KeptCall[]>([]);
  useEffect(
    () =>
      watchStore(
        () => deviceStore().calls.where('state').anyOf('waiting', 'refused').toArray(),
        setCalls,
      ),
    [],
  );
  if (calls.length === 0) return null;
  return (
    <section aria-labelledby="kept-calls" className="mb-4 px-5">
      <h2 id="kept-calls" className="border-b-[1.5px] border-rule pb-1 font-semibold">
        Taken on this device, not sent yet
      </h2>
      <ul>
        {calls.map(({ id, job, state, problem }) => (
          <li key={id} className="border-b border-hair">
            <a href={`/jobs/${id}`} className="block py-2.5 hover:bg-act-wash">
              <span className="block font-semibold">
                {job.site?.customer}, {job.site?.address}
              </span>
              <span className="text-small">
                {complaintWords[job.complaint?.kind ?? 'other']}
                {state === 'refused' && `. Not taken by the server: ${problem ?? ''}`}
              </span>
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}
