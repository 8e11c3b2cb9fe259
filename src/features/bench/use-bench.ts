'use client';

import { useEffect, useRef, useState } from 'react';
import type { CheckId } from '@/core/appliances/electric-storage-two-element';
import type { Entry, JobFile } from '@/core/job-file';
import { diagnosisService, type BenchAnswer, type Preview } from '@/workers/diagnosis-client';

/** The worker's answer for the job as it stands, and the one before while the next is worked out. */
export function useBenchAnswer(
  job: JobFile,
  isReady: boolean,
  chosen: CheckId | undefined,
): { answer: BenchAnswer | undefined; isFresh: boolean; failure: string | undefined } {
  const [state, setState] = useState<{ job: JobFile; chosen?: CheckId; answer: BenchAnswer }>();
  const [failure, setFailure] = useState<string>();
  useEffect(() => {
    if (!isReady) return;
    let isGone = false;
    diagnosisService()
      .diagnose(job, chosen)
      .then((answer) => {
        if (!isGone) setState({ job, chosen, answer });
      })
      .catch((error: unknown) => {
        if (!isGone) setFailure(error instanceof Error ? error.message : String(error));
      });
    return () => {
      isGone = true;
    };
  }, [job, isReady, chosen]);
  const isFresh = state !== undefined && state.job === job && state.chosen === chosen;
  return { answer: state?.answer, isFresh, failure };
}

const previewDelayMilliseconds = 60;

/** What the suspects would be if the entry were made; asked a moment after the last key. */
export function usePreview(job: JobFile, entry: Entry | undefined): Preview | undefined {
  const [state, setState] = useState<{ key: string; preview: Preview }>();
  const key =
    entry === undefined
      ? ''
      : JSON.stringify([
          entry.kind,
          'value' in entry && entry.value,
          'check' in entry && entry.check,
          job.entries.length,
        ]);
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
