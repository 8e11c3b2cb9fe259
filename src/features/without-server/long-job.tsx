'use client';

import { useEffect, useState } from 'react';
import type { BenchAnswer } from '@/core/job-diagnosis';
import type { Entry, JobFile } from '@/core/job-file';
import type { Organisation } from '@/database/technicians';
import { keptJob } from '@/features/device/kept-jobs';
import { inTime } from '@/features/device/store';
import { Present, type PresentTechnician } from '@/features/record/technician-context';
import { KeptJobPage } from './kept-job-page';
import type { JobPage } from './place';

/** A job whose logbook is too long to come with its page: what this device has of it, and the rest part by part. */
export function LongJob({
  job,
  page,
  organisation,
  technician,
  logbook,
  first,
}: {
  job: JobFile;
  page: JobPage;
  logbook: LogbookSize;
  /** The answer that the server works out meanwhile for the logbook of that size. */
  first?: Promise<BenchAnswer | undefined>;
  organisation: Organisation;
  technician: PresentTechnician;
}) {
  const { read, failure, again } = useLogbook(job.job.id, logbook, first);
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
  if (!read) {
    return (
      <p className="p-6 text-lead" role="status">
        Reading a long logbook
      </p>
    );
  }
  return (
    <Present technician={technician}>
      <KeptJobPage
        job={{ ...job, entries: read.entries }}
        coming={read.coming}
        page={page}
        organisation={organisation}
      />
    </Present>
  );
}

interface LogbookSize {
  readonly count: number;
  readonly atOnce: number;
}

interface ReadLogbook {
  readonly entries: Entry[];
  readonly coming: Promise<BenchAnswer | undefined>;
}

function useLogbook(
  jobId: string,
  { count, atOnce }: LogbookSize,
  first: Promise<BenchAnswer | undefined> | undefined,
) {
  const [read, setRead] = useState<ReadLogbook>();
  const [failure, setFailure] = useState<string>();
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let isGone = false;
    const answer = Promise.resolve(first).catch(() => undefined);
    readEntries(jobId, { count, atOnce })
      .then((entries) => {
        // What came meanwhile the server's answer does not know.
        const coming = entries.length === count ? answer : Promise.resolve(undefined);
        if (!isGone) setRead({ entries, coming });
      })
      .catch((error: unknown) => {
        if (!isGone) setFailure(error instanceof Error ? error.message : String(error));
      });
    return () => {
      isGone = true;
    };
  }, [jobId, count, atOnce, first, tries]);
  const again = () => {
    setFailure(undefined);
    setTries(tries + 1);
  };
  return { read, failure, again };
}

/** What the device kept of the logbook came in the server's order, so that only what came after it is asked for. */
async function readEntries(jobId: string, { count, atOnce }: LogbookSize): Promise<Entry[]> {
  const kept = await inTime(keptJob(jobId)).catch(() => undefined);
  const entries = [...(kept?.entries ?? [])];
  const asked: Promise<Part>[] = [];
  for (let after = entries.length; after < count; after += atOnce) {
    asked.push(readPart(jobId, after));
  }
  for (const part of await Promise.all(asked)) entries.push(...part.entries);
  // What has come since the page was made.
  for (;;) {
    const part = await readPart(jobId, entries.length);
    entries.push(...part.entries);
    if (!part.more) return entries;
  }
}

interface Part {
  readonly entries: readonly Entry[];
  readonly more: boolean;
}

async function readPart(jobId: string, after: number): Promise<Part> {
  const response = await fetch(`/api/jobs/${jobId}/entries?after=${after}`, { cache: 'no-store' });
  if (!response.ok) throw new Error(`The server answered ${response.status}.`);
  return (await response.json()) as Part;
}
