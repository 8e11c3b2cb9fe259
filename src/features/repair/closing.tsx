'use client';

import { Link } from '@/ui/link';
import { useState } from 'react';
import { familyOfJob } from '@/core/appliances';
import { closingProblem, type BenchAnswer } from '@/core/job-diagnosis';
import { isClosed, type JobFile } from '@/core/job-file';
import type { JobRecord } from '@/features/record/use-job-record';
import { useDraft } from '@/features/record/use-draft';
import { longDate } from '@/features/record/words';
import { Tick } from '@/ui/marks';
import { NotPutBack } from './not-put-back';

/** The proof that is still to come, with the times that this plate needs. */
function nextProof(job: JobFile): string {
  const family = familyOfJob(job);
  return family.nextProof(family.plateOf(job));
}

type Closed = 'closed-repaired' | 'closed-not-repaired' | 'waiting-for-part';

/**
 * Closed as repaired takes a proving reading that is right and none that is wrong, or a stated reason. What ends the trouble
 * and may leave its cause is closed with the day on which somebody looks again.
 */
export function Closing({ record, answer }: { record: JobRecord; answer: BenchAnswer }) {
  const { job, append } = record;
  const { state, proof, recheck } = answer;
  const [reason, setReason] = useDraft(`${job.job.id} closing reason`);
  const [problem, setProblem] = useState<string>();
  const [askedOn] = useState(() => Date.now());
  const isOver = isClosed(state.status);
  const isRepaired = state.repairsDone.length > 0;
  const daysFrom = (at: number) =>
    recheck && new Date(at + recheck.days * 86_400_000).toISOString();
  const recheckBy = daysFrom(askedOn);

  const close = async (status: Closed) => {
    const given = reason.trim();
    const problem = closingProblem(
      { state, proof, stop: answer.answer.stop },
      { status, ...(given ? { reason: given } : {}) },
    );
    if (problem) return setProblem(problem);
    setProblem(undefined);
    const isKept = await append({
      kind: 'status',
      status,
      ...(given ? { reason: given } : {}),
      ...(status === 'closed-repaired' ? { next: nextProof(job) } : {}),
      // From now: the page may have been opened the day before.
      ...(status !== 'waiting-for-part' && recheck ? { recheckBy: daysFrom(Date.now()) } : {}),
    });
    if (isKept) setReason('');
    else setProblem('Not closed: neither this device nor the server has it. See above.');
  };

  if (isOver) {
    return (
      <div className="mt-5 border-t-2 border-rule pt-3">
        <p className="flex items-center gap-2 text-lead font-semibold">
          <Tick />{' '}
          {state.status?.status === 'closed-repaired' ? 'Closed, repaired' : 'Closed, not repaired'}
        </p>
        {state.status?.reason && <p>{state.status.reason}</p>}
        {state.status?.recheckBy && (
          <p className="font-medium">
            Look again by {longDate(state.status.recheckBy, job.job.timeZone)}.
          </p>
        )}
        <Link
          href={`/jobs/${job.job.id}/report`}
          className="button button-act mt-3 min-h-14 w-full text-lead"
        >
          To the report
        </Link>
      </div>
    );
  }
  return (
    <div className="mt-5 border-t-2 border-rule pt-3">
      <label className="block text-small font-medium">
        Reason, where there is no proof or no repair
        <input
          className="field mt-1"
          value={reason}
          maxLength={1000}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      {recheck && recheckBy && (
        <p className="mt-3 border-l-4 border-rule pl-3">
          {recheck.why} It is closed with a look again by{' '}
          <strong className="font-semibold">{longDate(recheckBy, job.job.timeZone)}</strong>.
        </p>
      )}
      <NotPutBack record={record} state={state} isStopped={answer.answer.stop !== undefined} />
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      <div className="mt-3 grid gap-2">
        {isRepaired && (
          <button
            type="button"
            className="button button-act min-h-14 text-lead"
            onClick={() => void close('closed-repaired')}
          >
            {proof.verdict === 'proved' ? 'Close: repaired and proved' : 'Close as repaired'}
          </button>
        )}
        <div className="grid grid-cols-2 gap-2">
          <button type="button" className="button" onClick={() => void close('waiting-for-part')}>
            Waiting for a part
          </button>
          <button
            type="button"
            className="button"
            onClick={() => void close('closed-not-repaired')}
          >
            Close, not repaired
          </button>
        </div>
      </div>
    </div>
  );
}
