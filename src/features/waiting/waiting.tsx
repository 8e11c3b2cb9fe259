'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { UnitSystem } from '@/core/quantities';
import { clockWords } from '@/features/device/clock-words';
import { KeptNote } from '@/features/device/kept-note';
import { sendWhatWaits } from '@/features/device/outbox';
import { useOutbox } from '@/features/device/use-outbox';
import { watchStore, type StoreTrouble } from '@/features/device/store';
import { complaintWords } from '@/features/record/words';
import { PageBar } from '@/ui/page-bar';
import {
  readKeptList,
  reopenCall,
  sendCallAgain,
  strikeCall,
  type KeptOfOneJob,
} from './kept-list';
import { KeptEntryRow } from './kept-entry-row';

/** What is kept on this device and has not reached the server: to look at, mend, send again or strike. */
export function Waiting({ system }: { system: UnitSystem }) {
  const { isReachable, serverSays, waiting, clockAheadMilliseconds } = useOutbox();
  const clock = clockWords(clockAheadMilliseconds);
  const [jobs, setJobs] = useState<readonly KeptOfOneJob[]>();
  const [trouble, setTrouble] = useState<StoreTrouble>();
  useEffect(() => watchStore(readKeptList, setJobs, setTrouble), []);
  return (
    <div className="min-h-dvh bg-sheet">
      <PageBar note={<KeptNote />} />
      <main className="mx-auto max-w-[860px] px-5 py-4">
        <h1 className="text-title-l leading-tight font-semibold">Kept on this device</h1>
        <p className="mt-1 mb-4">
          {waiting > 0 && !isReachable
            ? (serverSays ??
              'The server does not answer. Everything below goes by itself when it does, from any page.')
            : 'What the server has not got yet. It goes by itself, from any page.'}
        </p>
        {clock && (
          <p role="alert" className="mb-4 border-l-4 border-rule pl-3 font-medium">
            {clock}: this device’s clock and the server’s do not agree. Set right the one that is
            wrong. What is entered here is dated by this device, and where two work on one unit it
            may seem newer or older than it is. Prove dead anew once the clock is right.
          </p>
        )}
        {trouble && (trouble === 'refused' || !jobs) && (
          <p role="alert" className="border-l-4 border-rule pl-3 font-medium">
            {trouble === 'refused'
              ? 'This device’s own store cannot be read.'
              : 'This device’s own store does not answer.'}{' '}
            Entries go straight to the server; what was kept before shows again when the store does.
          </p>
        )}
        {jobs?.length === 0 && (
          <p role="status" className="text-lead">
            Nothing waits: the server has everything.
          </p>
        )}
        {waiting > 0 && (
          <button type="button" className="button mb-4" onClick={() => void sendWhatWaits()}>
            Send now
          </button>
        )}
        {jobs?.map((each) => (
          <OneJob key={each.jobId} kept={each} system={system} />
        ))}
      </main>
    </div>
  );
}

function OneJob({ kept, system }: { kept: KeptOfOneJob; system: UnitSystem }) {
  const { jobId, job, call, entries } = kept;
  return (
    <section className="mb-6" aria-label={`Job ${job?.job.number ?? jobId}`}>
      <h2 className="flex flex-wrap items-center gap-x-3 border-b-[1.5px] border-rule pb-1 text-lead font-semibold">
        <a href={`/jobs/${jobId}`} className="link flex min-h-11 items-center">
          {job
            ? `${job.job.number} ${job.site?.customer ?? ''}`
            : 'A job that this device has not kept'}
        </a>
        {job && <span className="text-small font-normal">{job.site?.address}</span>}
      </h2>
      {call && <CallRow call={call} />}
      <ol>
        {entries.map((each) => (
          <KeptEntryRow key={each.id} kept={each} job={job} system={system} />
        ))}
      </ol>
    </section>
  );
}

function CallRow({ call }: { call: NonNullable<KeptOfOneJob['call']> }) {
  const words = complaintWords[call.job.complaint?.kind ?? 'other'];
  const router = useRouter();
  const openForm = () => void reopenCall(call).then(() => router.push('/call'));
  return (
    <div className="border-b border-hair py-2">
      <p className="font-medium">
        The call: {words}
        {call.state === 'struck' && ' (struck, will not be sent, nor will its entries)'}
      </p>
      {call.problem && (
        <p role="alert" className="text-small font-medium">
          Not taken by the server: {call.problem}
        </p>
      )}
      {call.state !== 'waiting' && (
        <p className="mt-1 flex flex-wrap gap-2">
          <button type="button" className="button" onClick={openForm}>
            Mend in the call form
          </button>
          <button type="button" className="button" onClick={() => void sendCallAgain(call)}>
            Send again
          </button>
          {call.state === 'refused' && (
            <button type="button" className="button" onClick={() => void strikeCall(call)}>
              Strike the call
            </button>
          )}
        </p>
      )}
    </div>
  );
}
