import { useMemo } from 'react';
import type { Stop } from '@/core/appliances';
import { stopNow } from '@/core/job-diagnosis/stop';
import { walkEntries, type JobFile } from '@/core/job-file';
import { useFamily } from '@/features/record/family-context';

/** What has stopped a job, such as smelled gas: on every page of it, whoever comes to it by whatever way. */
export function useStop({ complaint, unit, entries }: JobFile): Stop | undefined {
  const family = useFamily();
  return useMemo(
    () => stopNow(family, { complaint, unit, entries }, walkEntries(entries, family.catalogue)),
    [family, complaint, unit, entries],
  );
}
