'use client';

import { useEffect, useState } from 'react';
import type { BenchAnswer } from '@/core/job-diagnosis';
import type { Entry, JobFile } from '@/core/job-file';
import type { Organisation } from '@/database/technicians';
import { readLogbook, type LogbookSize } from '@/features/device/read-logbook';
import { Present, type PresentTechnician } from '@/features/record/technician-context';
import { fetchAhead, KeptJobPage } from './kept-job-page';
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
  const { read, failure, again } = useLogbook(job, page, logbook, first);
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
      <p
        className="p-6 text-lead"
        role="status"
        data-long-logbook={job.job.id}
        data-count={logbook.count}
        data-at-once={logbook.atOnce}
      >
        Reading a long logbook
      </p>
    );
  }
  return (
    <Present technician={technician}>
      <KeptJobPage
        job={{ ...job, entries: read.entries }}
        first={read.first}
        coming={read.coming}
        page={page}
        organisation={organisation}
      />
    </Present>
  );
}

/** What takes time is begun while the page still comes to life; not where a server draws it. */
const isOnDevice = typeof window !== 'undefined';

function readAhead(jobId: string, size: LogbookSize, page: JobPage, family: string) {
  fetchAhead(page, family);
  const reading = readLogbook(jobId, size);
  // What goes wrong whoever shows the job hears; a page that is left before asks for nothing.
  reading.catch(() => undefined);
  return { jobId, count: size.count, reading };
}

interface ReadLogbook {
  readonly entries: Entry[];
  /** The answer where it was there before the logbook: all is drawn at once then. */
  readonly first?: BenchAnswer;
  readonly coming?: Promise<BenchAnswer | undefined>;
}

function useLogbook(
  { job: { id: jobId }, unit: { family } }: JobFile,
  page: JobPage,
  { count, atOnce }: LogbookSize,
  first: Promise<BenchAnswer | undefined> | undefined,
) {
  const [read, setRead] = useState<ReadLogbook>();
  const [failure, setFailure] = useState<string>();
  const [tries, setTries] = useState(0);
  const [ahead] = useState(() =>
    isOnDevice ? readAhead(jobId, { count, atOnce }, page, family) : undefined,
  );
  useEffect(() => {
    let isGone = false;
    const answer = Promise.resolve(first).catch(() => undefined);
    const isAhead = tries === 0 && ahead?.jobId === jobId && ahead.count === count;
    (isAhead ? ahead.reading : readLogbook(jobId, { count, atOnce }))
      .then(async (entries) => {
        // What came meanwhile the server's answer does not know.
        const isOf = entries.length === count;
        const there = isOf ? await Promise.race([answer, Promise.resolve()]) : undefined;
        if (isGone) return;
        setRead(there ? { entries, first: there } : { entries, coming: isOf ? answer : undefined });
      })
      .catch((error: unknown) => {
        if (!isGone) setFailure(error instanceof Error ? error.message : String(error));
      });
    return () => {
      isGone = true;
    };
  }, [jobId, count, atOnce, first, tries, ahead]);
  const again = () => {
    setFailure(undefined);
    setTries(tries + 1);
  };
  return { read, failure, again };
}
