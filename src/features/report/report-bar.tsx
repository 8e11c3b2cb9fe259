'use client';

import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { keptBeside } from '@/features/device/kept-jobs';
import { KeptNote } from '@/features/device/kept-note';
import { counts, watchStore } from '@/features/device/store';
import { useReceived } from '@/features/record/use-received';
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
          {missing} not in this report yet
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
 * How many entries this device knows of that the report does not have, undefined where its store does not say. Whenever the server
 * gives any, the report is read again.
 */
function useMissing(jobId: string, known: readonly string[]): number | undefined {
  const router = useRouter();
  const { entries: received } = useReceived(jobId, known.length);
  const [kept, setKept] = useState<readonly string[]>([]);
  const [isSilent, setSilent] = useState(false);
  useEffect(
    () =>
      watchStore(
        () => keptIds(jobId, known.length),
        (ids) => {
          setKept(ids);
          setSilent(false);
        },
        () => setSilent(true),
      ),
    [jobId, known],
  );
  useEffect(() => {
    if (received.length > 0) router.refresh();
  }, [received, router]);
  const inReport = useMemo(() => new Set(known), [known]);
  if (isSilent) return undefined;
  const ids = [...kept, ...received.map(({ id }) => id)];
  return new Set(ids.filter((id) => !inReport.has(id))).size;
}

/** What counts of this device's own, and what the server had told it after it made the page. */
async function keptIds(jobId: string, pageCount: number): Promise<readonly string[]> {
  const { own, since } = await keptBeside(jobId, pageCount);
  return [...own.filter(counts), ...since].map(({ id }) => id);
}
