'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { foldEntries, type JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { settingsSheet } from '@/core/settings';
import { ProveDeadDialog } from '@/features/bench/prove-dead-dialog';
import { StateBar } from '@/features/bench/state-bar';
import { JobFamily, useFamily } from '@/features/record/family-context';
import { useJobRecord } from '@/features/record/use-job-record';
import { Findings } from './findings';
import { SheetTable } from './sheet-table';

const ScaldChart = dynamic(() => import('./scald-chart').then((each) => each.ScaldChart), {
  ssr: false,
  loading: () => <div className="h-[300px]" role="status" aria-label="Drawing the chart" />,
});

/** The settings of a unit: as found, as left and why, with the rules between them checked at once. */
export function SettingsPage(props: { initial: JobFile; system: UnitSystem }) {
  return (
    <JobFamily job={props.initial}>
      <Settings {...props} />
    </JobFamily>
  );
}

function Settings({ initial, system }: { initial: JobFile; system: UnitSystem }) {
  const record = useJobRecord(initial);
  const { job, append } = record;
  const family = useFamily();
  const [isProving, setProving] = useState(false);
  const state = useMemo(
    () => foldEntries(job.entries, family.catalogue, new Date().toISOString()),
    [job.entries, family],
  );
  const sheet = useMemo(
    () => settingsSheet(family, family.plateOf(job), state, job.constraints?.schools),
    [family, job, state],
  );
  return (
    <div className="flex min-h-dvh flex-col bg-sheet">
      <StateBar
        job={job}
        state={state}
        isHearing={record.isHearing}
        trouble={record.trouble}
        onMakeSafe={() => setProving(true)}
      />
      <main className="mx-auto w-full max-w-[1240px] flex-1 p-4 lg:p-5">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h2 className="text-title-l leading-tight font-semibold">Settings</h2>
          <nav aria-label="Near here" className="flex gap-2">
            <Link href={`/jobs/${job.job.id}`} className="button">
              Bench
            </Link>
            <Link href={`/jobs/${job.job.id}/temperatures`} className="button">
              Temperatures
            </Link>
          </nav>
        </div>
        {sheet ? (
          <div className="mt-3 grid content-start gap-6 lg:grid-cols-[minmax(0,1fr)_440px]">
            <SheetTable record={record} sheet={sheet} system={system} />
            <div className="min-w-0 space-y-6">
              <Findings findings={sheet.findings} system={system} />
              <ScaldChart sheet={sheet} system={system} />
            </div>
          </div>
        ) : (
          <p className="mt-3 text-lead">This family has no sheet of settings yet.</p>
        )}
      </main>
      <ProveDeadDialog
        isOpen={isProving}
        jobId={job.job.id}
        onClose={() => setProving(false)}
        onTried={(entries) => append(...entries)}
      />
    </div>
  );
}
