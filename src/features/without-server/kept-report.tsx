'use client';

import { useMemo } from 'react';
import type { JobFile } from '@/core/job-file';
import type { Organisation } from '@/database/technicians';
import { KeptNote } from '@/features/device/kept-note';
import { useJobRecord } from '@/features/record/use-job-record';
import { Report } from '@/features/report/report';
import { ReportNav } from '@/features/report/report-bar';
import { PageBar } from '@/ui/page-bar';

/** The report from what this device keeps, with what it has not sent yet. */
export function KeptReport({
  initial,
  organisation,
}: {
  initial: JobFile;
  organisation: Organisation;
}) {
  const { job, isReady, trouble } = useJobRecord(initial);
  const { id, number } = job.job;
  const file = useMemo(
    () => `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(job))}`,
    [job],
  );
  return (
    <div className="min-h-dvh bg-paper print:bg-sheet">
      <PageBar note={<KeptNote jobId={id} />}>
        <span className="text-title font-semibold">{number}</span>
        <ReportNav jobId={id} number={number} file={file} />
      </PageBar>
      <main>
        {trouble && (
          <p role="alert" className="bg-heat-wash px-5 py-2 text-small font-medium">
            {trouble}
          </p>
        )}
        {isReady ? (
          <Report job={job} organisation={organisation} depth="one-step" />
        ) : (
          <p className="p-6 text-lead">Reading the logbook</p>
        )}
      </main>
    </div>
  );
}
