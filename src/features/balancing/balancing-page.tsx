'use client';

import type { BalancingWay } from '@/core/balancing';
import type { JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { schools, wayOf } from '@/core/schools';
import { JobFrame } from '@/features/bench/job-frame';
import { useJobState } from '@/features/bench/use-job-state';
import { useClock } from '@/features/procedures/use-clock';
import { findingWords } from '@/features/record/balancing-words';
import { JobFamily, useFamily } from '@/features/record/family-context';
import { kelvinWords } from '@/features/record/kelvin-words';
import { SchoolChoice } from '@/features/record/school-choice';
import { useJobRecord } from '@/features/record/use-job-record';
import { CircuitPicture } from './circuit-picture';
import { NextStep } from './next-step';
import { RadiatorForm } from './radiator-form';
import { RadiatorRow } from './radiator-row';
import { stageOf } from './stage';
import { useBalancing } from './use-balancing';

/** Radiators balanced by their surfaces, walking the house with a phone. */
export function BalancingPage(props: { initial: JobFile; system: UnitSystem }) {
  return (
    <JobFamily job={props.initial}>
      <Balancing {...props} />
    </JobFamily>
  );
}

const school = schools.find(({ id }) => id === 'balancing')!;

function Balancing({ initial, system }: { initial: JobFile; system: UnitSystem }) {
  const record = useJobRecord(initial);
  const { job } = record;
  const family = useFamily();
  const state = useJobState(job, family);
  const chosen = job.constraints?.schools;
  const way = wayOf(school, chosen).id as BalancingWay;
  const bandKelvin = family.radiators?.bandKelvin ?? 5;
  const { session, advice, isWorking, hasFailed } = useBalancing(job.entries, bandKelvin, way);
  const { radiators, rounds } = session;
  const isTimed = session.warmingSince !== undefined && !session.ended;
  const { now } = useClock(isTimed, job.entries.at(-1)?.at, 1000);
  const stage = stageOf(session, advice, isWorking, now);
  const last = rounds.at(-1);
  const left = new Set(stage.kind === 'set' ? stage.left : []);
  const setTo = new Map(
    advice?.moves.flatMap(({ radiator, toTurns }) =>
      left.has(radiator) ? [[radiator, toTurns] as const] : [],
    ),
  );
  const toRead = new Set(stage.kind === 'read' ? stage.left : []);
  const kelvin = (value: number) => kelvinWords(value, system);
  return (
    <JobFrame
      record={record}
      state={state}
      title="Radiators"
      near={{ '': 'Bench', '/settings': 'Settings' }}
    >
      {!family.radiators ? (
        <p className="text-lead">No radiators hang on this family that are balanced here.</p>
      ) : (
        <div className="grid content-start gap-6 lg:grid-cols-2">
          <div className="min-w-0">
            <NextStep
              record={record}
              session={session}
              advice={advice}
              stage={stage}
              now={now}
              bandKelvin={bandKelvin}
              system={system}
            />
            {hasFailed && (
              <p role="alert" className="mt-2 border-l-4 border-heat bg-heat-wash px-3 py-2">
                What comes next could not be worked out on this device. What was read is kept: load
                the page again, or go on by feel from the hottest.
              </p>
            )}
            {session.unlisted.length > 0 && (
              <p role="alert" className="mt-2 border-l-4 border-heat bg-heat-wash px-3 py-2">
                Readings of {session.unlisted.length === 1 ? 'a radiator' : 'radiators'} that nobody
                listed count for nothing.
              </p>
            )}
            <ul className="mt-3" aria-label="Radiators in the order of the walk">
              {radiators.map((radiator, k) => (
                <RadiatorRow
                  key={radiator.id}
                  record={record}
                  radiators={radiators}
                  radiator={radiator}
                  read={{ top: last?.topCelsius[k], bottom: last?.bottomCelsius[k] }}
                  isToRead={toRead.has(k)}
                  setTo={setTo.get(k)}
                  predicted={way === 'by-feel' ? undefined : advice?.predicted[k]}
                  system={system}
                />
              ))}
            </ul>
            {rounds.length === 0 ? (
              <RadiatorForm record={record} radiators={radiators} system={system} />
            ) : (
              <details className="mt-2">
                <summary className="min-h-11 content-center text-small underline underline-offset-4">
                  One radiator more
                </summary>
                <RadiatorForm record={record} radiators={radiators} system={system} />
              </details>
            )}
          </div>
          <div className="min-w-0">
            {advice && (
              <>
                <p className="text-lead">
                  {way === 'by-drop' ? 'Their drops lie' : 'Apart'}{' '}
                  <strong>{kelvin(advice.apartKelvin)}</strong>
                  {way === 'by-drop' && ' apart'}
                  {rounds.length > 1 && `, ${kelvin(advice.apartAtFirstKelvin)} at first`}
                  {advice.moves.length > 0 &&
                    way !== 'by-feel' &&
                    `; about ${kelvin(advice.apartAfterKelvin)} once the list is set`}
                  .
                </p>
                {rounds.length === 1 && advice.moves.length > 0 && way !== 'by-feel' && (
                  <p className="text-small text-ink-2">
                    The first round is a guess by the readings alone; the second knows how the house
                    answers.
                  </p>
                )}
                {advice.findings.length > 0 && (
                  <ul className="mt-2 space-y-2" aria-label="What stands out">
                    {advice.findings.map((finding, k) => (
                      <li key={k} className="border-l-4 border-rule pl-3">
                        {findingWords(finding, radiators, kelvin)}
                      </li>
                    ))}
                  </ul>
                )}
                <CircuitPicture
                  radiators={radiators}
                  advice={advice}
                  bandKelvin={bandKelvin}
                  system={system}
                />
              </>
            )}
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
