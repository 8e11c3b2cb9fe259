'use client';

import { useMemo, useState } from 'react';
import type { JobFile } from '@/core/job-file';
import { mixingAdvice, mixingSession } from '@/core/mixing-valve';
import { valueText, type UnitSystem } from '@/core/quantities';
import { schools, wayOf } from '@/core/schools';
import { JobFrame } from '@/features/bench/job-frame';
import { useJobState } from '@/features/bench/use-job-state';
import { JobFamily, useFamily } from '@/features/record/family-context';
import { mixingEndWords, mixingFindingWords, outletWords } from '@/features/record/mixing-words';
import { SchoolChoice } from '@/features/record/school-choice';
import { useJobRecord } from '@/features/record/use-job-record';
import { BeginForm } from './begin-form';
import { EndForm } from './end-form';
import { ReadForm } from './read-form';
import { StepsTable } from './steps-table';
import { NextTurnPanel } from './next-turn';

/** A mixing valve, set an eighth of a turn at a time: what the next turn will do stands there before it is made. */
export function MixingPage(props: { initial: JobFile; system: UnitSystem }) {
  return (
    <JobFamily job={props.initial}>
      <Mixing {...props} />
    </JobFamily>
  );
}

const school = schools.find(({ id }) => id === 'mixing-limit')!;

function Mixing({ initial, system }: { initial: JobFile; system: UnitSystem }) {
  const record = useJobRecord(initial);
  const { job } = record;
  const family = useFamily();
  const state = useJobState(job, family);
  const session = useMemo(() => mixingSession(job.entries), [job.entries]);
  const [isAnew, setAnew] = useState(false);
  const [turned, setTurned] = useState(0);
  const tankLitre = family.mixing?.litre(family.plateOf(job));
  const chosen = job.constraints?.schools;
  const { begun, steps, ended } = session;
  const advice = useMemo(
    () =>
      begun && tankLitre !== undefined
        ? mixingAdvice({
            tankLitre,
            wantedCelsius: begun.wantedCelsius,
            limitCelsius: begun.limit.celsius,
            readings: steps,
          })
        : undefined,
    [begun, steps, tankLitre],
  );
  const celsius = (value: number) => valueText(value, 'temperature', system);
  return (
    <JobFrame
      record={record}
      state={state}
      title="Mixing valve"
      near={{ '': 'Bench', '/settings': 'Settings' }}
    >
      {session.unbegun > 0 && (
        <p role="alert" className="mb-3 border-l-4 border-heat bg-heat-wash px-3 py-2">
          Readings from before anybody said what is wanted count for nothing.
        </p>
      )}
      {tankLitre === undefined ? (
        <p className="text-lead">
          By its plate no mixing valve sits on the hot water of this unit.
        </p>
      ) : !begun || isAnew ? (
        <BeginForm
          record={record}
          system={system}
          before={begun}
          onDone={() => {
            setAnew(false);
            setTurned(0);
          }}
        />
      ) : (
        <div className="grid content-start gap-6 lg:grid-cols-2">
          <div className="min-w-0">
            <p>
              <strong className="text-lead">
                {celsius(begun.wantedCelsius)} wanted, {celsius(begun.limit.celsius)} at most
              </strong>{' '}
              at the {outletWords[begun.outlet]} ({begun.limit.source}).
              {begun.isFrail && ' Somebody small, old or frail lives here: never past it.'}{' '}
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => setAnew(true)}
              >
                Begin anew
              </button>
            </p>
            {ended ? (
              <div className="mt-2 border-l-4 border-rule pl-3">
                <p className="text-lead font-semibold">Left {mixingEndWords[ended.why]}.</p>
                <p>
                  {ended.isLocked ? 'Cap on and locked.' : 'NOT locked yet.'}{' '}
                  {ended.isTold ? 'The household was told.' : 'The household was NOT told.'} A
                  reading takes it up again.
                </p>
              </div>
            ) : (
              <NextTurnPanel
                advice={advice}
                begun={begun}
                mayStop={wayOf(school, chosen).id === 'to-stop'}
                system={system}
                onTurned={setTurned}
              />
            )}
            {advice?.finding && (
              <p role="status" className="mt-2 border-l-4 border-heat bg-heat-wash px-3 py-2">
                {mixingFindingWords[advice.finding]}
              </p>
            )}
            <ReadForm
              record={record}
              session={session}
              tankLitre={tankLitre}
              turned={turned}
              system={system}
              onRead={() => setTurned(0)}
            />
            {steps.length > 0 && !ended && (
              <EndForm record={record} why={advice?.end ?? 'stopped'} system={system} />
            )}
          </div>
          <div className="min-w-0">
            <StepsTable session={session} tankLitre={tankLitre} system={system} />
            <div className="mt-4">
              <SchoolChoice
                school={school}
                chosen={chosen}
                onChoose={(to) =>
                  void record.constrain({
                    ...job.constraints,
                    schools: { ...chosen, [school.id]: to },
                  })
                }
              />
            </div>
          </div>
        </div>
      )}
    </JobFrame>
  );
}
