'use client';

import { useMemo } from 'react';
import type { JobFile } from '@/core/job-file';
import type { Organisation } from '@/database/technicians';
import { KeptNote } from '@/features/device/kept-note';
import { useJobRecord } from '@/features/record/use-job-record';
import { Report } from '@/features/report/report';
import { PageBar } from '@/ui/page-bar';

/** The report from what this device keeps, with what it has not sent yet. */
export function KeptReport({
  initial,
  organisation,
}: {
  initial: JobFile;
  organisation: Organisation;
}) {
  const { job, isReady } = useJobRecord(initial);
  const { id, number } = job.job;
  const file = useMemo(
    () => `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(job))}`,
    [job],
  );
  return (
    <div className="min-h-dvh bg-paper print:bg-sheet">
      <PageBar note={<KeptNote jobId={id} />}>
        <span className="text-title font-semibold">{number}</span>
        <nav className="ml-auto flex flex-wrap gap-2" aria-label="Report">
          <a href={`/jobs/${id}`} className="button">
            Bench
          </a>
          <a href={`/jobs/${id}/repair`} className="button">
            Repair
          </a>
          <a href={file} className="button" download={`job-${number ?? ''}.json`}>
            Job file
          </a>
          <button type="button" className="button button-act" onClick={() => window.print()}>
            Print
          </button>
        </nav>
      </PageBar>
      <main>
        {isReady ? (
          <Report job={job} organisation={organisation} depth="one-step" />
        ) : (
          <p className="p-6 text-lead">Reading the logbook</p>
        )}
      </main>
    </div>
  );
}
