'use client';

import { useEffect, useMemo, useState } from 'react';
import type { ReportAnswer } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import type { Organisation } from '@/database/technicians';
import { KeptNote } from '@/features/device/kept-note';
import { useJobRecord } from '@/features/record/use-job-record';
import { Report } from '@/features/report/report';
import { ReportNav } from '@/features/report/report-bar';
import { PageBar } from '@/ui/page-bar';
import { diagnosisService, toThread } from '@/workers/diagnosis-client';

/** The report from what this device keeps, with what it has not sent yet. */
export function KeptReport({
  initial,
  organisation,
}: {
  initial: JobFile;
  organisation: Organisation;
}) {
  const { job, isReady, trouble } = useJobRecord(initial);
  const { answered, failure } = useReportAnswer(job, isReady);
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
        {failure ? (
          <p role="alert" className="p-6 text-lead">
            The report could not be worked out: {failure} Nothing of the job is lost; the logbook
            has it all.
          </p>
        ) : answered ? (
          <Report job={answered.job} answer={answered.answer} organisation={organisation} />
        ) : (
          <p className="p-6 text-lead" role="status">
            Reading the logbook
          </p>
        )}
      </main>
    </div>
  );
}

/** What the report says, worked out in the engine's thread, with the job that it is of; the one before until it is there. */
function useReportAnswer(job: JobFile, isReady: boolean) {
  const [answered, setAnswered] = useState<{ job: JobFile; answer: ReportAnswer }>();
  const [failure, setFailure] = useState<string>();
  useEffect(() => {
    if (!isReady) return;
    let isGone = false;
    diagnosisService()
      .report(toThread(job))
      .then((answer) => {
        if (isGone) return;
        setFailure(undefined);
        setAnswered({ job, answer });
      })
      .catch((error: unknown) => {
        if (!isGone) setFailure(error instanceof Error ? error.message : String(error));
      });
    return () => {
      isGone = true;
    };
  }, [job, isReady]);
  return { answered, failure };
}
