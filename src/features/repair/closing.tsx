'use client';

import Link from 'next/link';
import { useState } from 'react';
import { familyOfJob } from '@/core/appliances';
import { proofOf } from '@/core/job-diagnosis';
import type { JobFile, JobState } from '@/core/job-file';
import { heatUp } from '@/core/thermal/heating-time';
import type { JobRecord } from '@/features/record/use-job-record';
import { useDraft } from '@/features/record/use-draft';
import { Tick } from '@/ui/marks';

/** The proof that is still to come, with the times that this plate and tank need from cold. */
function nextProof(job: JobFile): string {
  const family = familyOfJob(job);
  const { volumeLitre, elementWatt } = family.plateOf(job);
  const watts = family.elements.map(({ id }) => elementWatt[id]!);
  const { changeoverMinutes, shutOffMinutes } = heatUp({ volumeLitre, watts }, 15, 50);
  const hours = Math.round(shutOffMinutes / 15) / 4;
  const changeover =
    changeoverMinutes === undefined
      ? ''
      : `change over, about ${Math.round(changeoverMinutes / 5) * 5} min from cold, and `;
  return `See it ${changeover}shut off, about ${hours} h from cold: leave a logger, or call back.`;
}

/** Closed as repaired takes a proving reading that is right, or a stated reason why there is none. */
export function Closing({ record, state }: { record: JobRecord; state: JobState }) {
  const { job, append } = record;
  const [reason, setReason] = useDraft(`${job.job.id} closing reason`);
  const [problem, setProblem] = useState<string>();
  const isClosed = state.status?.status.startsWith('closed') ?? false;
  const isRepaired = state.repairsDone.length > 0;
  const isProved = isRepaired && proofOf(job).some((each) => each.good);

  const close = (status: 'closed-repaired' | 'closed-not-repaired' | 'waiting-for-part') => {
    const needsReason = status !== 'closed-repaired' || !isProved;
    if (state.lifted.length > 0 && status !== 'waiting-for-part') {
      setProblem(
        `${state.lifted.length} wires are still lifted. Put them back, or note why, before closing.`,
      );
      return;
    }
    if (needsReason && reason.trim() === '') {
      setProblem(
        status === 'closed-repaired'
          ? 'No proving reading is right yet. Take one, or say here why the job is closed without it.'
          : 'Say why, in a few words: the next one to come reads it.',
      );
      return;
    }
    setProblem(undefined);
    void append({
      kind: 'status',
      status,
      ...(reason.trim() ? { reason: reason.trim() } : {}),
      ...(status === 'closed-repaired' ? { next: nextProof(job) } : {}),
    });
    setReason('');
  };

  if (isClosed) {
    return (
      <div className="mt-5 border-t-2 border-rule pt-3">
        <p className="flex items-center gap-2 text-lead font-semibold">
          <Tick />{' '}
          {state.status?.status === 'closed-repaired' ? 'Closed, repaired' : 'Closed, not repaired'}
        </p>
        {state.status?.reason && <p>{state.status.reason}</p>}
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
            onClick={() => close('closed-repaired')}
          >
            {isProved ? 'Close: repaired and proved' : 'Close as repaired'}
          </button>
        )}
        <div className="grid grid-cols-2 gap-2">
          <button type="button" className="button" onClick={() => close('waiting-for-part')}>
            Waiting for a part
          </button>
          <button type="button" className="button" onClick={() => close('closed-not-repaired')}>
            Close, not repaired
          </button>
        </div>
      </div>
    </div>
  );
}
