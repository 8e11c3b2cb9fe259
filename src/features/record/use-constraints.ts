'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Constraints, JobFile } from '@/core/job-file';
import { keepConstraints, keptConstraints } from '@/features/device/send-constraints';

/** What was set last in this tab, by job. */
const setLast = new Map<string, Constraints>();
/** The pages of jobs that stood here: one that is gone back to may have been made before that was set. */
const stood = new WeakSet<JobFile>();

/** What was set on this device counts at once, and is kept until the server has taken it. */
export function useConstraints(initial: JobFile): {
  readonly constraints: Constraints | undefined;
  /** Gives the server's reason where it refused, in words. */
  set(constraints: Constraints): Promise<string | undefined>;
} {
  const jobId = initial.job.id;
  const [own, setOwn] = useState(() => (stood.has(initial) ? setLast.get(jobId) : undefined));
  /** What was set last and not refused: what counts again after one that is. */
  const taken = useRef(own);
  useEffect(() => {
    stood.add(initial);
  }, [initial]);
  useEffect(() => {
    let isGone = false;
    void keptConstraints(jobId).then((kept) => {
      if (!kept || isGone) return;
      taken.current ??= kept;
      setOwn((latest) => latest ?? kept);
    });
    return () => {
      isGone = true;
    };
  }, [jobId]);
  const set = useCallback(
    async (constraints: Constraints) => {
      setOwn(constraints);
      const refusal = await keepConstraints(jobId, constraints);
      if (refusal === undefined) {
        taken.current = constraints;
        setLast.set(jobId, constraints);
      } else setOwn((latest) => (latest === constraints ? taken.current : latest));
      return refusal;
    },
    [jobId],
  );
  return { constraints: own ?? initial.constraints, set };
}
