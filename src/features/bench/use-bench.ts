'use client';

import { useEffect, useRef, useState } from 'react';
import type { BenchAnswer } from '@/core/job-diagnosis';
import type { Entry, JobFile } from '@/core/job-file';
import { diagnosisService, type Preview } from '@/workers/diagnosis-client';

export interface Answered {
  readonly answer: BenchAnswer | undefined;
  /** True once the answer is for the job as it stands. */
  readonly isFresh: boolean;
  readonly failure: string | undefined;
}

/**
 * The worker's answer for the job as it stands, and the one before while the next is worked out. The first one comes
 * with the page; where the device knows more than the server, a look one step ahead stands in until the tables are filled.
 */
export function useBenchAnswer(
  job: JobFile,
  isReady: boolean,
  chosen: string | undefined,
  first?: BenchAnswer,
): Answered {
  const [state, setState] = useState<{ job: JobFile; chosen?: string; answer: BenchAnswer }>();
  const [failure, setFailure] = useState<string>();
  const hasAnswered = useRef(false);
  const hasFirst = first !== undefined;
  useEffect(() => {
    if (!isReady) return;
    let isGone = false;
    const service = diagnosisService();
    const take = (answer: BenchAnswer) => {
      if (isGone) return;
      hasAnswered.current = true;
      setState({ job, chosen, answer });
    };
    const work = async () => {
      if (!hasFirst && !hasAnswered.current) take(await service.diagnoseQuickly(job, chosen));
      take(await service.diagnose(job, chosen));
    };
    work().catch((error: unknown) => {
      if (!isGone) setFailure(error instanceof Error ? error.message : String(error));
    });
    return () => {
      isGone = true;
    };
  }, [job, isReady, chosen, hasFirst]);
  const isFresh = state !== undefined && state.job === job && state.chosen === chosen;
  return { answer: state?.answer ?? first, isFresh, failure };
}

const previewDelayMilliseconds = 20;

/** What the suspects would be if the entry were made; asked a moment after the last key. */
export function usePreview(job: JobFile, entry: Entry | undefined): Preview | undefined {
  const [state, setState] = useState<{ key: string; preview: Preview }>();
  const key = entry === undefined ? '' : JSON.stringify([entry, job.entries.length]);
  const latest = useRef({ job, entry });
  useEffect(() => {
    latest.current = { job, entry };
  });
  useEffect(() => {
    if (key === '') return;
    const timer = setTimeout(() => {
      const { job: present, entry: asked } = latest.current;
      if (!asked) return;
      void diagnosisService()
        .preview(present, asked)
        .then((preview) => setState({ key, preview }));
    }, previewDelayMilliseconds);
    return () => clearTimeout(timer);
  }, [key]);
  return state?.key === key && key !== '' ? state.preview : undefined;
}
