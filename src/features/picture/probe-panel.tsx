'use client';

import { useRef, useState } from 'react';
import { isWorkedDead } from '@/core/appliances';
import type { PictureSetting, ProbeAnswer } from '@/core/job-diagnosis';
import {
  gasWorkAllowed,
  liveWorkAllowed,
  type JobFile,
  type JobState,
  type Value,
} from '@/core/job-file';
import { keyOfQuantity, parseReading, type UnitSystem } from '@/core/quantities';
import { BandTable } from '@/features/bench/why-this';
import { bandOf, goodWords } from '@/features/bench/reading-display';
import { notEntered } from '@/features/record/not-entered';
import { useFamily } from '@/features/record/family-context';
import type { NewEntry } from '@/features/record/use-job-record';
import { useMeter } from '@/features/record/use-meter';
import { freeEndOf } from '@/ui/unit-picture';
import { touchedTarget } from './use-picture';
import { ReadingRuler } from '@/ui/reading-ruler';
import { rulerScale } from '@/ui/ruler-scale';

/** What would be read where the picture was touched, and where to enter what is read. */
export function ProbePanel({
  job,
  state,
  probes,
  setting,
  answer,
  ranking,
  system,
  onEnter,
}: {
  job: JobFile;
  state: JobState | undefined;
  probes: readonly string[];
  setting: PictureSetting;
  answer: ProbeAnswer | undefined;
  ranking: readonly string[];
  system: UnitSystem;
  /** Gives false where it could not be entered. */
  onEnter(entry: NewEntry): Promise<boolean>;
}) {
  const family = useFamily();
  const { meter } = useMeter();
  /** Ohms that were typed are no volts once the power is on. */
  const [typed, setTyped] = useState<{ readonly text: string; readonly as?: string }>({ text: '' });
  const [problem, setProblem] = useState<string>();
  const isBusy = useRef(false);
  const [a, b] = probes;
  const { drawing } = family;
  const nameOf = (id: string) => {
    const end = freeEndOf(id);
    const name = (drawing.terminals[end?.end ?? id] ?? drawing.points?.[id])?.name;
    return end ? `free end off ${name}` : name;
  };
  const target = touchedTarget(family, probes);
  if (a === undefined || !target || !answer) {
    return (
      <div>
        <h3 className="text-lead font-semibold">
          {drawing.points ? 'Touch a point, or two terminals' : 'Touch any two terminals'}
        </h3>
        <p>
          {a === undefined
            ? 'Choose on the picture. What a good unit and every suspect would show stands here.'
            : target
              ? `${nameOf(a)}: nothing to read there as the unit stands.`
              : `A on ${nameOf(a)}. Now the second.`}
        </p>
      </div>
    );
  }
  const { quantity, good, bands } = answer;
  const text = typed.as === quantity ? typed.text : '';
  const isMains = isWorkedDead(family);

  const enter = async () => {
    if (isBusy.current) return;
    const parsed = parseReading(text, { quantity, system, loneOneIsDoubtful: true });
    if (parsed.kind === 'problem') return setProblem(parsed.message);
    if (parsed.kind === 'ask') return setProblem(`${parsed.question} ${parsed.instead}`);
    const refusal =
      'point' in target && family.catalogue.gasPoints.has(target.point) && !gasWorkAllowed(job)
        ? 'This is read with gas on or something lit, and gas work is not allowed on this job. Have it read by who may.'
        : isMains
          ? refusalOf(job, state, quantity)
          : undefined;
    if (refusal) return setProblem(refusal);
    const value: Value =
      parsed.kind === 'over-range'
        ? { overRange: true }
        : { [keyOfQuantity(quantity)]: parsed.value };
    isBusy.current = true;
    const isKept = await onEnter({
      kind: 'reading',
      ...('between' in target ? { between: [...target.between] } : target),
      quantity,
      value,
      ...(quantity === 'resistance' && meter.leadOhm !== undefined
        ? { leads: { ohm: meter.leadOhm } }
        : {}),
      state: family.statedOf(setting, answer.state),
    });
    isBusy.current = false;
    if (!isKept) {
      return setProblem(notEntered);
    }
    setTyped({ text: '' });
    setProblem(undefined);
  };

  return (
    <div>
      <h3 className="text-lead leading-tight font-semibold">
        {nameOf(a)}
        {b !== undefined && ` to ${nameOf(b)}`}
      </h3>
      <p className="text-small text-ink-2">{probedWords[quantity] ?? ''}</p>
      <p className="mt-2">{goodWords(good, quantity, system)}</p>
      <ReadingRuler
        scale={rulerScale(quantity, good.kind === 'range' ? good.nominal : undefined, system)}
        good={bandOf(good)}
        goodLabel="good"
        label="Where a good unit reads"
        size="phone"
      />
      <h4 className="mt-2 font-semibold">Under each suspect</h4>
      <BandTable
        bands={bands}
        check={undefined}
        quantity={quantity}
        ranking={ranking}
        system={system}
      />
      <form
        className="mt-3 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void enter();
        }}
      >
        <label className="min-w-0 flex-1 text-small font-medium">
          {b === undefined ? 'It reads' : 'The meter shows'}
          <input
            className="field mt-1 text-title font-semibold text-act"
            inputMode="decimal"
            value={text}
            maxLength={20}
            aria-invalid={problem !== undefined}
            onChange={(event) => {
              setTyped({ text: event.target.value, as: quantity });
              setProblem(undefined);
            }}
          />
        </label>
        <button type="submit" className="button button-act self-end">
          Enter
        </button>
      </form>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
    </div>
  );
}

/** What is read, and how the unit stands for it. */
const probedWords: Readonly<Partial<Record<ProbeAnswer['quantity'], string>>> = {
  resistance: 'Ohms, power off',
  'voltage-ac': 'Volts, power on: live work',
  'voltage-dc': 'Millivolts, as the pilot stands',
  'pressure-difference': 'Pressure, by a manometer on the port',
  'volume-flow': 'Gas rate, by the meter and a watch',
  ppm: 'Carbon monoxide, air-free',
  temperature: 'Temperature, as it runs',
  pressure: 'Pressure, with nothing running',
};

/** Why a reading may not be entered, in words; undefined where it may. */
function refusalOf(
  job: JobFile,
  state: JobState | undefined,
  quantity: ProbeAnswer['quantity'],
): string | undefined {
  if (quantity === 'voltage-ac') {
    return liveWorkAllowed(job)
      ? undefined
      : 'Volts are a live reading, and live work is not allowed on this job. Set the breaker off for ohms.';
  }
  return state?.provedDeadAt === undefined
    ? 'Ohms on a live circuit mean nothing and can destroy the meter. Power off and prove dead first.'
    : undefined;
}
