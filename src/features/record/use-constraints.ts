'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Constraints, JobFile } from '@/core/job-file';
import { keepConstraints, keptConstraints } from '@/features/device/send-constraints';

/** What was set on this device counts at once, and is kept until the server has taken it. */
export function useConstraints(initial: JobFile): {
  readonly constraints: Constraints | undefined;
  /** Gives the server's reason where it refused, in words. */
  set(constraints: Constraints): Promise<string | undefined>;
} {
  const jobId = initial.job.id;
  const [own, setOwn] = useState<Constraints>();
  useEffect(() => {
    let isGone = false;
    void keptConstraints(jobId).then((kept) => {
      if (kept && !isGone) setOwn((latest) => latest ?? kept);
    });
    return () => {
      isGone = true;
    };
  }, [jobId]);
  const set = useCallback(
    async (constraints: Constraints) => {
      setOwn(constraints);
      const refusal = await keepConstraints(jobId, constraints);
      if (refusal !== undefined) setOwn((latest) => (latest === constraints ? undefined : latest));
      return refusal;
    },
    [jobId],
  );
  return { constraints: own ?? initial.constraints, set };
}
