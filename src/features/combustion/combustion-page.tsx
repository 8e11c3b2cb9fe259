'use client';

import { useMemo, useState } from 'react';
import { flueSheet } from '@/core/flue-sheet';
import type { JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { JobFrame } from '@/features/bench/job-frame';
import { useJobState } from '@/features/bench/use-job-state';
import { JobFamily, useFamily } from '@/features/record/family-context';
import { readOnce } from '@/features/record/read-once';
import { useJobRecord } from '@/features/record/use-job-record';
import { clockTime } from '@/features/record/words';
import { AnalysisFigures } from './analysis-figures';
import { BurnerSheet } from './burner-sheet';
import { burnerWords } from './combustion-words';
import { PatternNote } from './pattern-note';
import { PrintoutDialog } from './printout-dialog';

/** Flue gas of a job: every analysis with its figures, high and low fire, before and after; and a printout brought in. */
export function CombustionPage(props: { initial: JobFile; system: UnitSystem }) {
  return (
    <JobFamily job={props.initial}>
      <Combustion {...props} />
    </JobFamily>
  );
}

function Combustion({ initial, system }: { initial: JobFile; system: UnitSystem }) {
  const record = useJobRecord(initial);
  const { job } = record;
  const family = useFamily();
  const [isImporting, setImporting] = useState(false);
  const state = useJobState(job, family);
  const sheet = useMemo(
    () => flueSheet(family, job, readOnce(job.entries, family).walked),
    [family, job],
  );
  return (
    <JobFrame
      record={record}
      state={state}
      title="Combustion"
      near={{ '': 'Bench', '/settings': 'Settings' }}
    >
      {!sheet || !family.flue ? (
        <p className="text-lead">Nothing burns in this family that is analysed here.</p>
      ) : (
        <>
          <p className="max-w-prose">
            Limits of a {burnerWords[family.flue.burner]} on{' '}
            {family.flue.fuelOf(job.unit.plate).words}. Plate and manual come first; analysing and
            adjusting is for whoever is licensed.
          </p>
          <button type="button" className="button mt-3" onClick={() => setImporting(true)}>
            Bring in a printout
          </button>
          {sheet.pattern && <PatternNote pattern={sheet.pattern} />}
          {sheet.readings.length === 0 && (
            <p className="mt-4 text-lead">
              No analysis yet. Five minutes of steady flame, zero taken outside; then enter what
              stands on the printout, on the bench or from its file.
            </p>
          )}
          <div className="mt-4 grid content-start gap-6 lg:grid-cols-2">
            {sheet.readings.map((reading) => (
              <section
                key={reading.entryId}
                aria-label={`${reading.fire} fire at ${clockTime(reading.at, job.job.timeZone)}`}
                className="min-w-0 border-t-2 border-rule pt-2"
              >
                <h3 className="text-lead font-semibold">
                  {reading.fire === 'high' ? 'High fire' : 'Low fire'},{' '}
                  {clockTime(reading.at, job.job.timeZone)},{' '}
                  {reading.isAfterRepair ? 'after the repair' : 'as found'}
                </h3>
                <AnalysisFigures judged={reading} system={system} />
              </section>
            ))}
          </div>
          <BurnerSheet record={record} state={state} check={family.flue.burnerCheck} />
          <PrintoutDialog
            flue={family.flue}
            fuel={family.flue.fuelOf(job.unit.plate)}
            isOpen={isImporting}
            onClose={() => setImporting(false)}
            system={system}
            onTake={(entry) => record.append(entry)}
          />
        </>
      )}
    </JobFrame>
  );
}
