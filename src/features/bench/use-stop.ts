import { useMemo } from 'react';
import type { Stop } from '@/core/appliances';
import type { BenchAnswer } from '@/core/job-diagnosis';
import { stopAmong, stopNow } from '@/core/job-diagnosis/stop';
import type { Entry, JobFile } from '@/core/job-file';
import { useFamily } from '@/features/record/family-context';
import { readOnce } from '@/features/record/read-once';

/** What has stopped a job, such as smelled gas: on every page of it, whoever comes to it by whatever way. */
export function useStop({ complaint, unit, entries }: JobFile): Stop | undefined {
  const family = useFamily();
  return useMemo(
    () => stopNow(family, { complaint, unit, entries }, readOnce(entries, family).walked),
    [family, complaint, unit, entries],
  );
}

/** The same from an answer, told of a danger before the answer to it is worked out. @param newer what the answer does not know of. */
export function useStopOfAnswer(
  { unit }: JobFile,
  answer: BenchAnswer | undefined,
  newer: readonly Entry[],
): Stop | undefined {
  const family = useFamily();
  const told = useMemo(() => stopAmong(family, { unit }, newer), [family, unit, newer]);
  return told ?? answer?.answer.stop;
}
