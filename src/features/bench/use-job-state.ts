import { useMemo } from 'react';
import type { ApplianceFamily } from '@/core/appliances';
import { foldEntries, type JobFile, type JobState } from '@/core/job-file';
import { useProofEnd } from './use-proof-end';

/** How the unit of a job stands now: a proof that runs out while the page stands open is seen too. */
export function useJobState({ entries }: JobFile, { catalogue }: ApplianceFamily): JobState {
  const until = useMemo(
    () => foldEntries(entries, catalogue).provedDeadUntil,
    [entries, catalogue],
  );
  const proofEnds = useProofEnd(until);
  return useMemo(
    () => foldEntries(entries, catalogue, new Date().toISOString()),
    // The end of a proof is no entry.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [entries, catalogue, proofEnds],
  );
}
