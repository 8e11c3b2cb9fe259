'use client';

import Link from 'next/link';
import { PageBar } from '@/ui/page-bar';

/** What can be done with a report: print it, take its job file, go back. */
export function ReportBar({ jobId, number }: { jobId: string; number: string | undefined }) {
  return (
    <PageBar>
      <span className="text-title font-semibold">{number}</span>
      <nav className="ml-auto flex flex-wrap gap-2" aria-label="Report">
        <Link href={`/jobs/${jobId}`} className="button">
          Bench
        </Link>
        <Link href={`/jobs/${jobId}/repair`} className="button">
          Repair
        </Link>
        <a
          href={`/api/jobs/${jobId}/file`}
          className="button"
          download={`job-${number ?? ''}.json`}
        >
          Job file
        </a>
        <button type="button" className="button button-act" onClick={() => window.print()}>
          Print
        </button>
      </nav>
    </PageBar>
  );
}
