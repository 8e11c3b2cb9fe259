'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { answerFor, type BenchAnswer, type Expectation } from '@/core/job-diagnosis';
import type { Entry, EntryState, JobFile } from '@/core/job-file';
import { usePresentTechnician } from '@/features/record/technician-context';
import { diagnosisService, toThread, type Preview } from '@/workers/diagnosis-client';
import { useProofEnd } from './use-proof-end';

export interface Answered {
  readonly answer: BenchAnswer | undefined;
  /** True once the answer is for the job as it stands: it can be acted on. */
  readonly isFresh: boolean;
  /** True while it is a look one step ahead, and a closer one is on its way. */
  readonly isQuick: boolean;
  /** What has come since, and it does not know of. */
  readonly newer: readonly Entry[];
  readonly failure: string | undefined;
}

/** An answer with the job, and the check asked for, that it was worked out for. */
export interface AnsweredJob {
  readonly job: JobFile;
  readonly chosen?: string;
  /** Whom it was worked out for; nobody in particular on the server. */
  readonly by?: string;
  /** How many proofs of dead had run out by then, on this page. */
  readonly proofEnds?: number;
  readonly answer: BenchAnswer;
  /** True for a look one step ahead, which another answer follows. */
  readonly isQuick?: boolean;
}

/**
 * The answer for the job as it stands, and the one before while the next is worked out. The first one comes with the
 * page, or is still on its way from the server, and the worker makes ready behind it; where the device knows more than the
 * server, a look one step ahead stands in until the tables are filled.
 */
export function useBenchAnswer(
  job: JobFile,
  isReady: boolean,
  chosen: string | undefined,
  first?: AnsweredJob,
  coming?: Promise<AnsweredJob | undefined>,
): Answered {
  const [own, setOwn] = useState<AnsweredJob>();
  const [failure, setFailure] = useState<string>();
  const isPrepared = useRef(false);
  const standing = own ?? first;
  const proofEnds = useProofEnd(standing?.answer.state.provedDeadUntil);
  const { id: by } = usePresentTechnician();
  const answer = useMemo(() => ownAnswer(standing, by), [standing, by]);
  const latest = useRef(standing);
  useEffect(() => {
    latest.current = standing;
  });
  useEffect(() => {
    if (!isReady) return;
    let isGone = false;
    const service = diagnosisService();
    const take = (answer: BenchAnswer, isQuick: boolean) => {
      if (isGone) return;
      setFailure(undefined);
      setOwn({ job, chosen, by, proofEnds, answer, isQuick });
    };
    const work = async () => {
      const before = latest.current ?? (await coming);
      if (isGone) return;
      if (before && !latest.current) setOwn(before);
      const wasPrepared = isPrepared.current;
      isPrepared.current = true;
      if (isFor(before, job, chosen, by, proofEnds) && !before?.isQuick) {
        if (!wasPrepared) await service.prepare(toThread(job));
        return;
      }
      const now = () => new Date().toISOString();
      if (!before) take(await service.diagnoseQuickly(toThread(job), chosen, now(), by), true);
      take(await service.diagnose(toThread(job), chosen, now(), by), false);
    };
    work().catch((error: unknown) => {
      if (!isGone) setFailure(error instanceof Error ? error.message : String(error));
    });
    return () => {
      isGone = true;
    };
  }, [job, isReady, chosen, by, proofEnds, coming]);
  const newer = useMemo(() => entriesSince(standing?.job, job), [standing, job]);
  return {
    answer,
    isFresh: isReady && isFor(standing, job, chosen, by, proofEnds),
    isQuick: standing?.isQuick ?? false,
    newer,
    failure,
  };
}

/** The answer as it holds for who has this device. */
const ownAnswer = (answered: AnsweredJob | undefined, by: string): BenchAnswer | undefined =>
  answered && answered.by !== by ? answerFor(answered.answer, answered.job, by) : answered?.answer;

/**
 * What the server worked out for nobody in particular can be acted on by one person too: state and steps are made theirs, and
 * what is best next is as it was until they write something. To wait for an answer of this device's own took a slow phone a
 * second more.
 */
const isOf = ({ by: whose }: AnsweredJob, by: string): boolean =>
  whose === undefined || whose === by;

function isFor(
  answered: AnsweredJob | undefined,
  job: JobFile,
  chosen: string | undefined,
  by: string,
  proofEnds: number,
): boolean {
  return (
    answered !== undefined &&
    answered.chosen === chosen &&
    isOf(answered, by) &&
    (answered.proofEnds ?? 0) === proofEnds &&
    isSameRecord(answered.job, job)
  );
}

const none: readonly Entry[] = [];

function entriesSince(before: JobFile | undefined, { entries }: JobFile): readonly Entry[] {
  if (!before || before.entries === entries) return none;
  const known = new Set(before.entries.map(({ id }) => id));
  return entries.filter(({ id }) => !known.has(id));
}

/** Entries are never changed, only added: with the same ones, and the same limits, the answer is the same. */
function isSameRecord(one: JobFile, other: JobFile): boolean {
  return (
    one === other ||
    (one.entries.length === other.entries.length &&
      one.entries.every((each, k) => each.id === other.entries[k]!.id) &&
      JSON.stringify(one.constraints) === JSON.stringify(other.constraints))
  );
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
        .preview(toThread(present), asked)
        .then((preview) => setState({ key, preview }));
    }, previewDelayMilliseconds);
    return () => clearTimeout(timer);
  }, [key]);
  return state?.key === key && key !== '' ? state.preview : undefined;
}

/** What the check would read if it is taken with this load; undefined as long as the plain expectation holds. */
export function useLoadedExpectation(
  job: JobFile,
  check: string | undefined,
  load: EntryState['load'],
): Expectation | undefined {
  const [state, setState] = useState<{ job: JobFile; check: string; expectation: Expectation }>();
  useEffect(() => {
    if (check === undefined || load !== 'open-circuit') return;
    let isGone = false;
    void diagnosisService()
      .expect(toThread(job), check, load)
      .then((expectation) => {
        if (!isGone) setState({ job, check, expectation });
      });
    return () => {
      isGone = true;
    };
  }, [job, check, load]);
  const isFresh = load === 'open-circuit' && state?.job === job && state.check === check;
  return isFresh ? state.expectation : undefined;
}
