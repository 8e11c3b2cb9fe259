'use client';

import { useEffect, useState } from 'react';
import type { Entry, JobFile } from '@/core/job-file';
import type { Organisation } from '@/database/technicians';
import { keptJob } from '@/features/device/kept-jobs';
import { Present, type PresentTechnician } from '@/features/record/technician-context';
import { KeptJobPage } from './kept-job-page';
import type { JobPage } from './place';

/** A job whose logbook is too long to come with its page: what this device has of it, and the rest part by part. */
export function LongJob({
  job,
  page,
  organisation,
  technician,
}: {
  job: JobFile;
  page: JobPage;
  organisation: Organisation;
  technician: PresentTechnician;
}) {
  const { entries, failure, again } = useEntries(job.job.id);
  if (failure) {
    return (
      <main className="mx-auto max-w-xl p-6">
        <h1 className="text-title-l font-semibold">The logbook could not be read</h1>
        <p className="mt-3 text-lead">{failure} Nothing of it is lost.</p>
        <button type="button" className="button button-act mt-5" onClick={again}>
          Try again
        </button>
      </main>
    );
  }
  if (!entries) {
    return (
      <p className="p-6 text-lead" role="status">
        Reading a long logbook
      </p>
    );
  }
  return (
    <Present technician={technician}>
      <KeptJobPage job={{ ...job, entries }} page={page} organisation={organisation} />
    </Present>
  );
}

function useEntries(jobId: string) {
  const [entries, setEntries] = useState<Entry[]>();
  const [failure, setFailure] = useState<string>();
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let isGone = false;
    readEntries(jobId)
      .then((all) => {
        if (!isGone) setEntries(all);
      })
      .catch((error: unknown) => {
        if (!isGone) setFailure(error instanceof Error ? error.message : String(error));
      });
    return () => {
      isGone = true;
    };
  }, [jobId, tries]);
  const again = () => {
    setFailure(undefined);
    setTries(tries + 1);
  };
  return { entries, failure, again };
}

/** What the device kept of the logbook came in the server's order, so that only what came after it is asked for. */
async function readEntries(jobId: string): Promise<Entry[]> {
  const kept = await keptJob(jobId).catch(() => undefined);
  const entries = [...(kept?.entries ?? [])];
  for (;;) {
    const response = await fetch(`/api/jobs/${jobId}/entries?after=${entries.length}`, {
      cache: 'no-store',
    });
    if (!response.ok) throw new Error(`The server answered ${response.status}.`);
    const part = (await response.json()) as { entries: Entry[]; more: boolean };
    entries.push(...part.entries);
    if (!part.more) return entries;
  }
}
