'use client';

import { Link } from '@/ui/link';
import { useState, type ReactNode } from 'react';
import type { JobState } from '@/core/job-file';
import type { JobRecord } from '@/features/record/use-job-record';
import { UntilAlive } from '@/ui/until-alive';
import { ProveDeadDialog } from './prove-dead-dialog';
import { StateBar } from './state-bar';
import { useStop } from './use-stop';

/** A page of a job that is one sheet under the bar: its heading, and the pages that lie near it. */
export function JobFrame({
  record,
  state,
  title,
  near,
  children,
}: {
  record: JobRecord;
  state: JobState;
  title: string;
  /** Pages of the same job, by their address in it. */
  near: Readonly<Record<string, string>>;
  children: ReactNode;
}) {
  const { job, append } = record;
  const stop = useStop(job);
  const [isProving, setProving] = useState(false);
  return (
    <div className="flex min-h-dvh flex-col bg-sheet">
      <StateBar
        job={job}
        state={state}
        stop={stop}
        isHearing={record.isHearing}
        trouble={record.trouble}
        onMakeSafe={() => setProving(true)}
        append={append}
      />
      <main className="mx-auto w-full max-w-[1240px] flex-1 p-4 lg:p-5">
        <div className="mb-4 flex flex-wrap items-center justify-between gap-3">
          <h2 className="text-title-l leading-tight font-semibold">{title}</h2>
          <nav aria-label="Near here" className="flex flex-wrap gap-2">
            {Object.entries(near).map(([address, label]) => (
              <Link key={address} href={`/jobs/${job.job.id}${address}`} className="button">
                {label}
              </Link>
            ))}
          </nav>
        </div>
        <UntilAlive>{children}</UntilAlive>
      </main>
      <ProveDeadDialog
        isOpen={isProving}
        job={job}
        onClose={() => setProving(false)}
        onTried={(entries) => append(...entries)}
      />
    </div>
  );
}
