'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Constraints, JobFile } from '@/core/job-file';
import { readDraft, writeDraft } from './store';

const keyOf = (jobId: string) => `constraints ${jobId}`;

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
    void readDraft(keyOf(jobId)).then((kept) => {
      if (kept === '' || isGone) return;
      const constraints = JSON.parse(kept) as Constraints;
      setOwn(constraints);
      void send(jobId, constraints);
    });
    return () => {
      isGone = true;
    };
  }, [jobId]);
  const set = useCallback(
    async (constraints: Constraints) => {
      setOwn(constraints);
      await writeDraft(keyOf(jobId), JSON.stringify(constraints));
      const refusal = await send(jobId, constraints);
      if (refusal !== undefined) setOwn(undefined);
      return refusal;
    },
    [jobId],
  );
  return { constraints: own ?? initial.constraints, set };
}

async function send(jobId: string, constraints: Constraints): Promise<string | undefined> {
  try {
    const response = await fetch(`/api/jobs/${jobId}/constraints`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(constraints),
    });
    if (response.status >= 500) return undefined;
    await writeDraft(keyOf(jobId), '');
    if (response.ok) return undefined;
    const { problems, message } = (await response.json()) as {
      message?: string;
      problems?: readonly { readonly message: string }[];
    };
    return problems?.map((each) => each.message).join(' ') ?? message ?? 'Not taken.';
  } catch {
    // No connection: it stays kept here and goes with the next opening of the job.
    return undefined;
  }
}
