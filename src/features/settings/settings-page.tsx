'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import type { JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { settingsSheet } from '@/core/settings';
import { JobFrame } from '@/features/bench/job-frame';
import { useJobState } from '@/features/bench/use-job-state';
import { JobFamily, useFamily } from '@/features/record/family-context';
import { useJobRecord } from '@/features/record/use-job-record';
import { Findings } from './findings';
import { HeatingCurveEditor } from './heating-curve/heating-curve';
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
  const { job } = record;
  const family = useFamily();
  const state = useJobState(job, family);
  const sheet = useMemo(
    () => settingsSheet(family, family.plateOf(job), state, job.constraints?.schools),
    [family, job, state],
  );
  const heating = family.system?.context(family.plateOf(job));
  return (
    <JobFrame
      record={record}
      state={state}
      title="Settings"
      near={{
        '': 'Bench',
        ...(family.radiators ? { '/balancing': 'Radiators' } : {}),
        ...(family.mixing ? { '/mixing': 'Mixing valve' } : {}),
        ...(family.flue ? { '/combustion': 'Combustion' } : { '/temperatures': 'Temperatures' }),
      }}
    >
      {sheet ? (
        <div className="grid content-start gap-6 lg:grid-cols-[minmax(0,1fr)_440px]">
          <SheetTable record={record} sheet={sheet} system={system} />
          <div className="min-w-0 space-y-6">
            <Findings findings={sheet.findings} system={system} />
            {heating && (
              <HeatingCurveEditor
                record={record}
                sheet={sheet}
                emitter={heating.emitter}
                unitLimit={heating.limitCelsius}
                system={system}
              />
            )}
            <ScaldChart
              sheet={sheet}
              stores={family.storage !== undefined || family.sheet !== undefined}
              system={system}
            />
          </div>
        </div>
      ) : (
        <p className="mt-3 text-lead">This family has no sheet of settings yet.</p>
      )}
    </JobFrame>
  );
}
