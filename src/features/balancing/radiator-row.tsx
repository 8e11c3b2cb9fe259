'use client';

import { useState } from 'react';
import { keySteps, type BalancedRadiator, type PredictedChange } from '@/core/balancing';
import { valueText, type UnitSystem } from '@/core/quantities';
import { asideWords, radiatorKindWords, turnsWords } from '@/features/record/balancing-words';
import { clearedOf } from '@/features/record/draft-keeper';
import { isOfBefore } from '@/features/record/reading-draft';
import { kelvinWords } from '@/features/record/kelvin-words';
import { notEntered } from '@/features/record/not-entered';
import type { JobRecord } from '@/features/record/use-job-record';
import { useReadingDraft } from '@/features/record/use-reading-draft';
import { NumberField, typedNumber } from '@/features/record/number-field';
import { RadiatorForm } from './radiator-form';

const celsiusRange = [0, 110] as const;

/** One radiator: how its lockshield stands, its two readings, what to set and what it will do. */
export function RadiatorRow({
  record,
  radiators,
  radiator,
  read,
  isToRead,
  setTo,
  predicted,
  system,
}: {
  record: JobRecord;
  radiators: readonly BalancedRadiator[];
  radiator: BalancedRadiator;
  /** Of the present round, or of the one before while nothing is read. */
  read: { readonly top?: number; readonly bottom?: number };
  isToRead: boolean;
  /** Turns that the list asks for. */
  setTo?: number;
  predicted?: PredictedChange;
  system: UnitSystem;
}) {
  const { id, room, kind, widthMetre, heightMetre, ratedWatt, turns, aside } = radiator;
  const jobId = record.job.job.id;
  const top = useReadingDraft(`${jobId} ${id} top`);
  const bottom = useReadingDraft(`${jobId} ${id} bottom`);
  const [problem, setProblem] = useState<string>();
  const [isDescribing, setDescribing] = useState(false);
  const length = (metre: number) => valueText(metre * 1000, 'length', system);
  const enterRead = async () => {
    const [above, below] = [top, bottom].map(([text]) =>
      typedNumber(text, 'temperature', system, celsiusRange),
    );
    if (above?.kind !== 'number' || below?.kind !== 'number') return;
    // Entered as soon as both are there, they have to be of one look at it.
    if ([top, bottom].some(([, , at]) => at !== undefined && isOfBefore(at, Date.now()))) {
      return setProblem('One of them was typed a while ago: read it anew.');
    }
    const isKept = await record.append({
      kind: 'balancing',
      phase: 'surface',
      radiator: id,
      top: { celsius: above.value },
      bottom: { celsius: below.value },
    });
    setProblem(isKept ? undefined : notEntered);
    if (!isKept) return;
    top[1](clearedOf(top[0]));
    bottom[1](clearedOf(bottom[0]));
  };
  const set = (turnsFromShut: number) =>
    void record.append({
      kind: 'balancing',
      phase: 'valve',
      radiator: id,
      turnsFromShut,
      as: 'left',
    });
  return (
    <li className="border-b border-hair py-2" aria-label={room} data-radiator={room}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <p className="min-w-0">
          <span className="text-lead font-semibold">{room}</span>{' '}
          <span className="text-small text-ink-2">
            {radiatorKindWords[kind]}, {length(widthMetre)} by {length(heightMetre)},{' '}
            {valueText(ratedWatt, 'power', system)}
          </span>
        </p>
        <p className="text-small font-medium">{turnsWords(turns)}</p>
      </div>
      {aside ? (
        <p className="flex flex-wrap items-center gap-3">
          <span className="font-medium">Left out: {asideWords[aside]}.</span>
          <button
            type="button"
            className="button"
            onClick={() =>
              void record.append({ kind: 'balancing', phase: 'taken-in', radiator: id })
            }
          >
            Back in
          </button>
        </p>
      ) : (
        <>
          {setTo !== undefined && (
            <div className="mt-1 flex flex-wrap items-center gap-3 border-l-4 border-act bg-act-wash py-1 pl-3">
              <p className="min-w-0 flex-1">
                Shut gently, then <strong>{turnsWords(setTo)}</strong>
                {predicted && (
                  <span className="text-small">
                    : about {valueText(predicted.toCelsius, 'temperature', system)} then (
                    {signed(predicted.toCelsius - predicted.fromCelsius, system)}, give or take{' '}
                    {kelvinWords(predicted.spread, system)})
                  </span>
                )}
              </p>
              <button
                type="button"
                className="button button-act"
                aria-label={`${room}: set to ${turnsWords(setTo)}`}
                onClick={() => set(setTo)}
              >
                Set
              </button>
            </div>
          )}
          <div className={`mt-1 flex gap-2 ${isToRead ? 'border-l-4 border-act pl-3' : ''}`}>
            <NumberField
              label="top centre"
              name={`${room}: top centre`}
              draft={top}
              quantity="temperature"
              system={system}
              range={celsiusRange}
              last={read.top}
              onLeave={() => void enterRead()}
            />
            <NumberField
              label={widthMetre > 1.6 ? 'bottom centre, colder by nature here' : 'bottom centre'}
              name={`${room}: bottom centre`}
              draft={bottom}
              quantity="temperature"
              system={system}
              range={celsiusRange}
              last={read.bottom}
              onLeave={() => void enterRead()}
            />
          </div>
          {problem && (
            <p role="alert" className="font-medium">
              {problem}
            </p>
          )}
        </>
      )}
      <details className="mt-1">
        <summary className="min-h-11 content-center text-small underline underline-offset-4">
          Turned otherwise, left out, described anew
        </summary>
        <div className="flex flex-wrap items-end gap-2">
          <label className="text-small">
            turned to
            <select
              className="field"
              aria-label={`${room}: turned to`}
              value=""
              onChange={(event) => event.target.value !== '' && set(Number(event.target.value))}
            >
              <option value="">{turnsWords(turns)}</option>
              {[0, ...keySteps]
                .filter((each) => each !== turns)
                .map((each) => (
                  <option key={each} value={each}>
                    {each === 0 ? 'shut' : turnsWords(each)}
                  </option>
                ))}
            </select>
          </label>
          <label className="text-small">
            leave it out
            <select
              className="field"
              aria-label={`${room}: leave it out`}
              value=""
              onChange={(event) =>
                event.target.value !== '' &&
                void record.append({
                  kind: 'balancing',
                  phase: 'set-aside',
                  radiator: id,
                  aside: event.target.value as NonNullable<typeof aside>,
                })
              }
            >
              <option value="">in the balance</option>
              {Object.entries(asideWords).map(([reason, words]) => (
                <option key={reason} value={reason}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          <button
            type="button"
            className="button"
            aria-expanded={isDescribing}
            onClick={() => setDescribing(!isDescribing)}
          >
            Describe anew
          </button>
        </div>
        {isDescribing && (
          <RadiatorForm
            record={record}
            radiators={radiators}
            changed={radiator}
            system={system}
            onDone={() => setDescribing(false)}
          />
        )}
      </details>
    </li>
  );
}

const signed = (kelvin: number, system: UnitSystem) =>
  `${kelvin < 0 ? '−' : '+'}${kelvinWords(Math.abs(kelvin), system)}`;
