import { useMemo } from 'react';
import type { ApplianceFamily } from '@/core/appliances';
import { foldEntries, stateFor, type JobFile, type JobState } from '@/core/job-file';
import { usePresentTechnician } from '@/features/record/technician-context';
import { useProofEnd } from './use-proof-end';

/**
 * How the unit of a job stands now, for who has this device: another person's proof is none of theirs. A proof that runs out
 * while the page stands open is seen too.
 */
export function useJobState({ entries }: JobFile, { catalogue }: ApplianceFamily): JobState {
  const until = useMemo(
    () => foldEntries(entries, catalogue).provedDeadUntil,
    [entries, catalogue],
  );
  const proofEnds = useProofEnd(until);
  const { id } = usePresentTechnician();
  return useMemo(
    () => stateFor(foldEntries(entries, catalogue, new Date().toISOString()), catalogue, id),
    // The end of a proof is no entry.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [entries, catalogue, id, proofEnds],
  );
}
