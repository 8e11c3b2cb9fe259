'use client';

import { useEffect, useState } from 'react';
import type { ApplianceFamily, Target } from '@/core/appliances';
import type { PictureSetting } from '@/core/job-diagnosis';
import type { JobFile, ProbePoint } from '@/core/job-file';
import { freeEndOf } from '@/ui/unit-picture';
import { diagnosisService, toThread, type PictureAnswer } from '@/workers/diagnosis-client';

/** A touched place as the job file names it: a terminal, or a lifted wire's free end. */
export const probePoint = (id: string): ProbePoint => freeEndOf(id) ?? id;

/** What was touched as a whole: one named point, or two terminals; undefined while the second is missing. */
export function touchedTarget(
  { drawing }: Pick<ApplianceFamily, 'drawing'>,
  [a, b]: readonly string[],
): Exclude<Target, { around: string }> | undefined {
  if (a === undefined) return undefined;
  if (drawing.points?.[a]) return { point: a };
  return b === undefined ? undefined : { between: [probePoint(a), probePoint(b)] };
}

/** The picture as it is set, and what would be read where it was touched; the one before while the next is worked out. */
export function usePicture(
  job: JobFile,
  setting: PictureSetting,
  target: Target | undefined,
): PictureAnswer | undefined {
  const [answer, setAnswer] = useState<PictureAnswer>();
  useEffect(() => {
    let isGone = false;
    void diagnosisService()
      .picture(toThread(job), setting, target)
      .then((found) => {
        if (!isGone) setAnswer(found);
      });
    return () => {
      isGone = true;
    };
  }, [job, setting, target]);
  return answer;
}
