'use client';

import { createContext, useContext, type ReactNode } from 'react';
import type { JobFile } from '@/core/job-file';

/** Who works on this device now. */
export interface PresentTechnician {
  readonly id: string;
  readonly name: string;
  readonly liveWork: boolean;
  readonly gasWork: boolean;
  /** Their own meters, whoever's job it is. */
  readonly instruments: NonNullable<JobFile['instruments']>;
}

const TechnicianContext = createContext<PresentTechnician | undefined>(undefined);

export function Present({
  technician,
  children,
}: {
  technician: PresentTechnician;
  children: ReactNode;
}) {
  return <TechnicianContext.Provider value={technician}>{children}</TechnicianContext.Provider>;
}

export function usePresentTechnician(): PresentTechnician {
  const technician = useContext(TechnicianContext);
  if (!technician) throw new Error('this part of the page stands inside no Present');
  return technician;
}
