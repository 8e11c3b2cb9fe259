'use client';

import { useEffect, useState } from 'react';
import type { JobFile } from '@/core/job-file';
import type { TemperatureAnswer } from '@/core/temperatures';
import type { ShowerWish } from '@/core/thermal';
import { diagnosisService, toThread } from '@/workers/diagnosis-client';

/** What the job's temperatures tell, worked out in the engine's thread; the answer before stands until the next is there. */
export function useTemperatures(
  job: JobFile,
  isReady: boolean,
  wish: ShowerWish | undefined,
): { readonly answer: TemperatureAnswer | undefined; readonly isFresh: boolean } {
  const [state, setState] = useState<{ job: JobFile; answer: TemperatureAnswer | undefined }>();
  useEffect(() => {
    if (!isReady) return;
    let isGone = false;
    diagnosisService()
      .temperatures(toThread(job), wish)
      .then((answer) => {
        if (!isGone) setState({ job, answer });
      })
      .catch(() => undefined);
    return () => {
      isGone = true;
    };
  }, [job, isReady, wish]);
  return { answer: state?.answer, isFresh: state?.job === job };
}
