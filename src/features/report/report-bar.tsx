'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { sendWaiting } from '@/features/record/send';
import { keptEntries } from '@/features/record/store';
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
    <PageBar>
      <span className="text-title font-semibold">{number}</span>
      {missing > 0 && (
        <span role="status" className="text-small font-medium">
          {missing} kept on this device, not in this report yet
        </span>
      )}
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

const retryMilliseconds = 4000;

/** How many entries of this device the report does not know yet; they are sent, then the report is read again. */
function useMissing(jobId: string, known: readonly string[]): number {
  const router = useRouter();
  const [missing, setMissing] = useState(0);
  useEffect(() => {
    let isGone = false;
    const look = async () => {
      const inReport = new Set(known);
      const kept = (await keptEntries(jobId)).filter(
        (each) => each.state !== 'refused' && !inReport.has(each.id),
      );
      if (isGone) return;
      setMissing(kept.length);
      if (kept.length === 0) return;
      const outcome = await sendWaiting(jobId);
      if (!isGone && outcome.kind !== 'waiting') router.refresh();
    };
    void look();
    const timer = setInterval(() => void look(), retryMilliseconds);
    return () => {
      isGone = true;
      clearInterval(timer);
    };
  }, [jobId, known, router]);
  return missing;
}
