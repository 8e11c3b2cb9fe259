'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { familyOfJob, type ApplianceFamily } from '@/core/appliances';
import type { JobFile } from '@/core/job-file';
import { wordsOf, type FamilyWords } from './family-words';

const FamilyContext = createContext<ApplianceFamily | undefined>(undefined);

/** Tells everything inside which family the job's unit is of. */
export function JobFamily({ job, children }: { job: Pick<JobFile, 'unit'>; children: ReactNode }) {
  return <FamilyContext.Provider value={familyOfJob(job)}>{children}</FamilyContext.Provider>;
}

export function useFamily(): ApplianceFamily {
  const family = useContext(FamilyContext);
  if (!family) throw new Error('this part of the page stands inside no JobFamily');
  return family;
}

export const useWords = (): FamilyWords => wordsOf(useFamily());
