import { useMemo } from 'react';
import type { ApplianceFamily } from '@/core/appliances';
import { stateAfter, stateFor, type JobFile, type JobState } from '@/core/job-file';
import { readOnce } from '@/features/record/read-once';
import { usePresentTechnician } from '@/features/record/technician-context';
import { useProofEnd } from './use-proof-end';

/**
 * How the unit of a job stands now, for who has this device: another person's proof is none of theirs. A proof that runs out
 * while the page stands open is seen too.
 */
export function useJobState({ entries }: JobFile, family: ApplianceFamily): JobState {
  const { catalogue } = family;
  const read = readOnce(entries, family);
  const opened = useMemo(
    () => stateAfter(read, catalogue, new Date().toISOString()),
    [read, catalogue],
  );
  const proofEnds = useProofEnd(opened.provedDeadUntil);
  const { id } = usePresentTechnician();
  return useMemo(() => {
    // The end of a proof is no entry.
    const state = proofEnds === 0 ? opened : stateAfter(read, catalogue, new Date().toISOString());
    return stateFor(state, catalogue, id);
  }, [opened, read, catalogue, id, proofEnds]);
}
