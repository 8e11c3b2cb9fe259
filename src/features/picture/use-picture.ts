'use client';

import { useEffect, useState } from 'react';
import type { PictureSetting } from '@/core/job-diagnosis';
import type { JobFile, ProbePoint } from '@/core/job-file';
import { freeEndOf } from '@/ui/wiring-picture';
import { diagnosisService, toThread, type PictureAnswer } from '@/workers/diagnosis-client';

/** A touched place as the job file names it: a terminal, or a lifted wire's free end. */
export const probePoint = (id: string): ProbePoint => freeEndOf(id) ?? id;

/** The picture as it is set, and what the touched terminals would show; the one before while the next is worked out. */
export function usePicture(
  job: JobFile,
  setting: PictureSetting,
  probes: readonly string[],
): PictureAnswer | undefined {
  const [answer, setAnswer] = useState<PictureAnswer>();
  useEffect(() => {
    let isGone = false;
    const [a, b] = probes;
    void diagnosisService()
      .picture(
        toThread(job),
        setting,
        a !== undefined && b !== undefined ? [probePoint(a), probePoint(b)] : undefined,
      )
      .then((found) => {
        if (!isGone) setAnswer(found);
      });
    return () => {
      isGone = true;
    };
  }, [job, setting, probes]);
  return answer;
}
