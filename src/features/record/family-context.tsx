'use client';

import { createContext, use, useContext, useEffect, useState, type ReactNode } from 'react';
import { familyOf, loadFamily, type ApplianceFamily } from '@/core/appliances';
import type { JobFile } from '@/core/job-file';
import { Awake } from '@/features/waking/awake';
import { wordsOf, type FamilyWords } from './family-words';

const FamilyContext = createContext<ApplianceFamily | undefined>(undefined);

/**
 * Tells everything inside which family the job's unit is of, once its code is here. No boundary stands round it in a page of
 * the server: the page would come with that boundary's "loading" first, and with what is in it 0.3 s after.
 */
export function JobFamily({ job, children }: { job: Pick<JobFile, 'unit'>; children: ReactNode }) {
  const { family: id } = job.unit;
  const family = familyOf(id) ?? use(loadFamily(id));
  if (!family) throw new RangeError(`no family is named "${id}"`);
  return (
    <FamilyContext.Provider value={family}>
      {children}
      <Awake />
    </FamilyContext.Provider>
  );
}

/** Waits for the families of several units, so that what is said of each is here. */
export function Families({ ids, children }: { ids: readonly string[]; children: ReactNode }) {
  for (const id of new Set(ids)) if (!familyOf(id)) use(loadFamily(id));
  return (
    <>
      {children}
      <Awake />
    </>
  );
}

/**
 * A family by its id, asked for where it is not here yet: a form goes on with the one before until it comes.
 * @returns undefined until then.
 */
export function useFamilyNamed(id: string): {
  readonly family: ApplianceFamily | undefined;
  readonly isMissing: boolean;
} {
  const [settled, setSettled] = useState<string>();
  const family = familyOf(id);
  useEffect(() => {
    if (familyOf(id)) return;
    let isGone = false;
    const settle = () => {
      if (!isGone) setSettled(id);
    };
    loadFamily(id).then(settle, settle);
    return () => {
      isGone = true;
    };
  }, [id]);
  return { family, isMissing: !family && settled === id };
}

export function useFamily(): ApplianceFamily {
  const family = useContext(FamilyContext);
  if (!family) throw new Error('this part of the page stands inside no JobFamily');
  return family;
}

export const useWords = (): FamilyWords => wordsOf(useFamily());
