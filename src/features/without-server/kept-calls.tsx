'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Standing } from '@/core/job-diagnosis/standing';
import { deviceStore, watchStore, type KeptCall } from '@/features/device/store';
import { complaintWords, wiresLifted } from '@/features/record/words';
import { stageText } from '@/features/today/today';
import { WarningSign } from '@/ui/signs';
import { useStandingsHere } from './standings-here';

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
  const listed = useMemo(() => calls.map(({ id }) => ({ id, standing: justCalled })), [calls]);
  const here = useStandingsHere(listed);
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
              <StandsHere standing={here[id]} />
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Nothing is in its logbook yet. */
const justCalled: Standing = {
  stage: 'call',
  entryCount: 0,
  suspects: [],
  decided: false,
  liftedWires: 0,
};

function StandsHere({ standing }: { standing: Standing | undefined }) {
  if (!standing) return null;
  const { stop, liftedWires } = standing;
  return (
    <>
      <span className="block text-small">{stageText(standing)}</span>
      {stop && (
        <span className="flex items-center gap-1.5 text-small font-semibold">
          <WarningSign size={18} /> {stop}
        </span>
      )}
      {liftedWires > 0 && (
        <span className="block text-small font-medium">{wiresLifted(liftedWires)}</span>
      )}
    </>
  );
}
