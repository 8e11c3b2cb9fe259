'use client';

import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { KeptNote } from '@/features/device/kept-note';
import { keptEntries, watchStore } from '@/features/device/store';
import { PageBar } from '@/ui/page-bar';

/** What can be done with a report: print it, take its job file, go back. */
export function ReportBar({
  jobId,
  number,
  known,
}: {
  jobId: string;
  number: string | undefined;
  /** Ids of the entries that the report was made from. */
  known: readonly string[];
}) {
  const missing = useMissing(jobId, known);
  return (
    <PageBar note={<KeptNote jobId={jobId} />}>
      <span className="text-title font-semibold">{number}</span>
      {missing !== undefined && missing > 0 && (
        <span role="status" className="text-small font-medium">
          {missing} not in this report yet: kept on this device
        </span>
      )}
      {missing === undefined && (
        <span role="status" className="text-small font-medium">
          What this device has not sent may be missing: its own store does not answer
        </span>
      )}
      <ReportNav jobId={jobId} number={number} file={`/api/jobs/${jobId}/file`} />
    </PageBar>
  );
}

/** The ways from a report; its job file comes from the server, or from what the device keeps. */
export function ReportNav({
  jobId,
  number,
  file,
}: {
  jobId: string;
  number: string | undefined;
  file: string;
}) {
  return (
    <nav className="ml-auto flex flex-wrap gap-2" aria-label="Report">
      <Link href={`/jobs/${jobId}`} className="button">
        Bench
      </Link>
      <Link href={`/jobs/${jobId}/repair`} className="button">
        Repair
      </Link>
      <a href={file} className="button" download={`job-${number ?? ''}.json`}>
        Job file
      </a>
      <button type="button" className="button button-act" onClick={() => window.print()}>
        Print
      </button>
    </nav>
  );
}

/**
 * How many entries of this device the report does not know yet, undefined where it does not say; once they are sent the report is
 * read again.
 */
function useMissing(jobId: string, known: readonly string[]): number | undefined {
  const router = useRouter();
  const [missing, setMissing] = useState<number | undefined>(0);
  useEffect(() => {
    const inReport = new Set(known);
    return watchStore(
      () => keptEntries(jobId),
      (kept) => {
        const notThere = kept.filter((each) => !inReport.has(each.id));
        setMissing(notThere.filter((each) => each.state === 'waiting').length);
        if (notThere.some((each) => each.state === 'sent')) router.refresh();
      },
      () => setMissing(undefined),
    );
  }, [jobId, known, router]);
  return missing;
}
