'use client';

import { useRef, useState } from 'react';
import {
  keyOfQuantity,
  parseReading,
  shownUnit,
  valueText,
  type Quantity,
  type UnitSystem,
} from '@/core/quantities';
import type { SettingEntry } from '@/core/job-file';
import type { SettingsSheet, SheetLine, SheetParameter } from '@/core/settings';
import { notEntered } from '@/features/record/not-entered';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { clearedOf } from '@/features/record/draft-keeper';
import { useDraft } from '@/features/record/use-draft';
import { ReasonOptions, type Reason } from './reasons';

/** Hours are what a time switch is read in, minutes a delay; seconds are what is kept. */
const times = {
  hours: { seconds: 3600, symbol: 'h' },
  minutes: { seconds: 60, symbol: 'min' },
} as const;

/** The sheet: what was found first, then what was left, then why. */
export function SheetTable({
  record,
  sheet,
  system,
}: {
  record: JobRecord;
  sheet: SettingsSheet;
  system: UnitSystem;
}) {
  return (
    <section aria-label="Sheet" className="min-w-0">
      <p className="text-small text-ink-2">
        As found first. Left alone, it stays as found. What a test turned is asked for before the
        job is closed.
      </p>
      {sheet.testLeft.length > 0 && (
        <p role="alert" className="mt-2 border-l-4 border-heat bg-heat-wash px-3 py-2 font-medium">
          Still as a test left it: set it back, and write it down as left.
        </p>
      )}
      <ul className="mt-2">
        {sheet.lines.map((line) => (
          <Line
            key={line.parameter.id}
            record={record}
            line={line}
            system={system}
            isTest={sheet.testLeft.includes(line.parameter.id)}
          />
        ))}
      </ul>
    </section>
  );
}

function Line({
  record,
  line,
  system,
  isTest,
}: {
  record: JobRecord;
  line: SheetLine;
  system: UnitSystem;
  isTest: boolean;
}) {
  const { parameter, found, left, why, isUnusual } = line;
  const enter = (as: 'found' | 'left', value: SettingEntry['value'], reason?: Reason) =>
    record.append({
      kind: 'setting',
      setting: parameter.id,
      as,
      value,
      ...(reason === undefined ? {} : { why: reason }),
    } as NewEntry);
  return (
    <li className="border-b border-hair py-2">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-semibold">{parameter.words}</span>
        {isUnusual && <span className="text-small text-heat">outside what is usual</span>}
        {isTest && <span className="text-small font-semibold text-heat">set it back</span>}
        {parameter.where && <span className="text-small text-ink-2">{parameter.where}</span>}
      </p>
      <div className="mt-1 grid grid-cols-2 items-end gap-2 sm:grid-cols-[1fr_1fr_1.3fr]">
        {(['found', 'left'] as const).map((as) =>
          parameter.kind === 'choice' ? (
            <label key={as} className="text-small">
              as {as}
              <select
                className="field text-lead"
                aria-label={`${parameter.words} as ${as}`}
                value={String((as === 'found' ? found : left) ?? '')}
                onChange={(event) => {
                  if (event.target.value !== '') void enter(as, event.target.value);
                }}
              >
                <option value="">{as === 'found' ? 'not looked' : 'as found'}</option>
                {Object.entries(parameter.values ?? {}).map(([id, words]) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </select>
            </label>
          ) : (
            <NumberField
              key={as}
              jobId={record.job.job.id}
              parameter={parameter}
              as={as}
              value={as === 'found' ? found : left}
              system={system}
              onEnter={(value) => enter(as, value)}
            />
          ),
        )}
        <label className="col-span-2 text-small sm:col-span-1">
          why
          <select
            className="field"
            aria-label={`Why ${parameter.words} was left so`}
            disabled={left === undefined && found === undefined}
            value={why ?? ''}
            onChange={(event) => {
              const value = left ?? found;
              if (event.target.value === '' || value === undefined) return;
              void enter(
                'left',
                typeof value === 'number' ? { [keyOfQuantity(parameter.quantity!)]: value } : value,
                event.target.value as Reason,
              );
            }}
          >
            <option value="">{left === undefined ? 'left alone' : 'no word'}</option>
            <ReasonOptions />
          </select>
        </label>
      </div>
    </li>
  );
}

function NumberField({
  jobId,
  parameter: { id, words, quantity, range = [-Infinity, Infinity], inMinutes = false },
  as,
  value,
  system,
  onEnter,
}: {
  jobId: string;
  parameter: SheetParameter;
  as: 'found' | 'left';
  value: number | string | undefined;
  system: UnitSystem;
  /** Gives false where it could not be entered. */
  onEnter(value: Record<string, number>): Promise<boolean>;
}) {
  const [text, setText] = useDraft(`${jobId} sheet ${id} ${as}`);
  const [problem, setProblem] = useState<string>();
  const isBusy = useRef(false);
  const time = quantity !== 'time' ? undefined : inMinutes ? times.minutes : times.hours;
  const shown = (kept: number) =>
    time
      ? `${Math.round((kept / time.seconds) * 100) / 100} ${time.symbol}`
      : valueText(kept, quantity!, system);
  const keep = async () => {
    if (text.trim() === '' || isBusy.current) return;
    const parsed = read(text, quantity!, system, time);
    if (typeof parsed === 'string') return setProblem(parsed);
    if (parsed < range[0] || parsed > range[1]) {
      return setProblem(`It stands between ${shown(range[0])} and ${shown(range[1])}.`);
    }
    setProblem(undefined);
    isBusy.current = true;
    const isKept = await onEnter({ [keyOfQuantity(quantity!)]: parsed });
    isBusy.current = false;
    if (isKept) setText(clearedOf(text));
    else setProblem(notEntered);
  };
  return (
    <label className="text-small">
      as {as}
      <input
        className="field text-lead font-semibold text-act placeholder:text-ink"
        inputMode="decimal"
        maxLength={12}
        aria-label={`${words} as ${as}`}
        aria-invalid={problem !== undefined}
        placeholder={
          typeof value === 'number'
            ? shown(value)
            : time
              ? time.symbol
              : shownUnit(quantity!, system).symbol
        }
        value={text}
        onChange={(event) => {
          setProblem(undefined);
          setText(event.target.value);
        }}
        onBlur={() => void keep()}
        onKeyDown={(event) => event.key === 'Enter' && void keep()}
      />
      {problem && (
        <span role="alert" className="block font-medium">
          {problem}
        </span>
      )}
    </label>
  );
}

/** A kept value, or what is wrong with what was typed. A bare number of a time is in the unit that it is read in. */
function read(
  text: string,
  quantity: Quantity,
  system: UnitSystem,
  time: (typeof times)[keyof typeof times] | undefined,
): number | string {
  const bare =
    time && new RegExp(`^\\s*(\\d+(?:[.,]\\d+)?)\\s*(?:${time.symbol})?\\s*$`, 'i').exec(text);
  if (bare) return Number(bare[1]!.replace(',', '.')) * time.seconds;
  const parsed = parseReading(text, { quantity, system });
  if (parsed.kind === 'value') return parsed.value;
  return parsed.kind === 'problem' ? parsed.message : 'Type one number.';
}
