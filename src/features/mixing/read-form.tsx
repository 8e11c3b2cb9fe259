'use client';

import { useState } from 'react';
import {
  mixingAdvice,
  mixingReadingProblem,
  type MixingAdvice,
  type MixingReading,
  type MixingSession,
} from '@/core/mixing-valve';
import type { UnitSystem } from '@/core/quantities';
import { notEntered } from '@/features/record/not-entered';
import { useFamily } from '@/features/record/family-context';
import { eighthsWords } from '@/features/record/mixing-words';
import { NumberField, typedNumber } from '@/features/record/number-field';
import { useDraft } from '@/features/record/use-draft';
import { useReadingDraft } from '@/features/record/use-reading-draft';
import type { JobRecord } from '@/features/record/use-job-record';
import { evidenceOfStep } from './evidence-of-step';

const places = [
  ['hot', 'hot port', [0, 95]],
  ['mixed', 'mixed port', [0, 95]],
  ['cold', 'cold feed', [0, 40]],
  ['tap', 'tap', [0, 95]],
] as const;
const mostEighths = 40;

/** Four readings at an open tap, with where the valve stands. Hot and cold stay as they were read last where they are left empty. */
export function ReadForm({
  record,
  session,
  tankLitre,
  turned,
  system,
  onRead,
}: {
  record: JobRecord;
  session: MixingSession;
  tankLitre: number;
  /** Eighths since the last reading. */
  turned: number;
  system: UnitSystem;
  onRead(): void;
}) {
  const jobId = record.job.job.id;
  const family = useFamily();
  const { begun, steps } = session;
  const last = steps.at(-1);
  const drafts = {
    hot: useReadingDraft(`${jobId} mixing hot`),
    mixed: useReadingDraft(`${jobId} mixing mixed`),
    cold: useReadingDraft(`${jobId} mixing cold`),
    tap: useReadingDraft(`${jobId} mixing tap`),
  };
  const reason = useDraft(`${jobId} mixing reason`);
  const [moved, setMoved] = useState<number>();
  const [problem, setProblem] = useState<string>();
  const eighths = (last?.eighths ?? 0) + (moved ?? turned);
  const lastOf = {
    hot: last?.hotCelsius,
    mixed: undefined,
    cold: last?.coldCelsius,
    tap: undefined,
  };
  const step = (by: number) =>
    setMoved(Math.max(-mostEighths, Math.min(mostEighths, (moved ?? turned) + by)));
  const typed = readingOf(
    places.map(([key, , range]) => {
      const value = typedNumber(drafts[key][0], 'temperature', system, range);
      return value.kind === 'number'
        ? value.value
        : value.kind === 'none'
          ? lastOf[key]
          : undefined;
    }),
    eighths,
  );
  /** It stands past its limit with this reading, now or with the tank at its hottest, and was opened to it. */
  const isPast =
    begun !== undefined &&
    typed !== undefined &&
    eighths > (last?.eighths ?? 0) &&
    isOverLimit(
      mixingAdvice({
        tankLitre,
        wantedCelsius: begun.wantedCelsius,
        limitCelsius: begun.limit.celsius,
        readings: [...steps, typed],
      }),
    );
  const enter = async () => {
    const values: Partial<Record<(typeof places)[number][0], number>> = {};
    for (const [key, label, range] of places) {
      const typed = typedNumber(drafts[key][0], 'temperature', system, range);
      const value =
        typed.kind === 'number' ? typed.value : typed.kind === 'none' ? lastOf[key] : undefined;
      if (value === undefined) {
        return setProblem(
          typed.kind === 'none' ? `The ${label} is not read yet.` : `The ${label} cannot be that.`,
        );
      }
      values[key] = value;
    }
    const { hot, mixed, cold, tap: atTap } = values as Record<(typeof places)[number][0], number>;
    const reading = readingOf([hot, mixed, cold, atTap], eighths)!;
    const cannotBe = mixingReadingProblem(reading);
    if (cannotBe) return setProblem(cannotBe.message);
    if (isPast && reason[0].trim() === '') {
      return setProblem(
        'It stands past the limit, now or with the tank at its hottest: why? Or turn it back, and read it again.',
      );
    }
    setProblem(undefined);
    const isKept = await record.append(
      {
        kind: 'mixing',
        phase: 'read',
        eighths,
        hot: { celsius: hot },
        mixed: { celsius: mixed },
        cold: { celsius: cold },
        tap: { celsius: atTap },
        ...(isPast ? { reason: reason[0].trim() } : {}),
      },
      ...evidenceOfStep(family, record.job.entries, steps, reading),
    );
    if (!isKept) {
      return setProblem(notEntered);
    }
    for (const [, setText] of [...Object.values(drafts), reason]) setText('');
    setMoved(undefined);
    onRead();
  };
  return (
    <form
      className="mt-3"
      aria-label="Readings at the open tap"
      onSubmit={(event) => {
        event.preventDefault();
        void enter();
      }}
    >
      <div className="flex flex-wrap items-center gap-2">
        <span>
          Valve stands <strong>{eighthsWords(eighths)}</strong>
        </span>
        <button
          type="button"
          className="button"
          aria-label="An eighth further shut"
          onClick={() => step(-1)}
        >
          − ⅛
        </button>
        <button
          type="button"
          className="button"
          aria-label="An eighth further open"
          onClick={() => step(1)}
        >
          + ⅛
        </button>
      </div>
      <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
        {places.map(([key, label, range]) => (
          <NumberField
            key={key}
            label={label}
            name={`Now: ${label}`}
            draft={drafts[key]}
            quantity="temperature"
            system={system}
            range={range}
            last={lastOf[key]}
            onLeave={() => undefined}
          />
        ))}
      </div>
      {isPast && (
        <label className="mt-2 block">
          why past its limit
          <input
            className="field"
            maxLength={400}
            aria-label="Why past its limit"
            value={reason[0]}
            onChange={(event) => reason[1](event.target.value)}
          />
        </label>
      )}
      {problem && (
        <p role="alert" className="mt-1 font-medium">
          {problem}
        </p>
      )}
      <button type="submit" className="button mt-2">
        Enter these four
      </button>
    </form>
  );
}

function readingOf(
  [hotCelsius, mixedCelsius, coldCelsius, tapCelsius]: readonly (number | undefined)[],
  eighths: number,
): MixingReading | undefined {
  return hotCelsius === undefined ||
    mixedCelsius === undefined ||
    coldCelsius === undefined ||
    tapCelsius === undefined
    ? undefined
    : { eighths, hotCelsius, mixedCelsius, coldCelsius, tapCelsius };
}

const isOverLimit = (advice: MixingAdvice | undefined): boolean =>
  advice?.end === 'over-limit' || advice?.end === 'over-at-hottest';
