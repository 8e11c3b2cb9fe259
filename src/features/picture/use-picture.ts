'use client';

import { useEffect, useState } from 'react';
import type { PictureSetting } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import { diagnosisService, type PictureAnswer } from '@/workers/diagnosis-client';

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
      .picture(job, setting, a !== undefined && b !== undefined ? [a, b] : undefined)
      .then((found) => {
        if (!isGone) setAnswer(found);
      });
    return () => {
      isGone = true;
    };
  }, [job, setting, probes]);
  return answer;
}
