'use client';

import { Link } from '@/ui/link';
import { useEffect, useRef, useState, type RefObject } from 'react';
import type { SettingField as SettingFieldOf } from '@/core/appliances';
import type { JobState, Measured } from '@/core/job-file';
import {
  keyOfQuantity,
  numberOf,
  parseReading,
  showValue,
  valueText,
  type UnitSystem,
} from '@/core/quantities';
import { notEntered } from '@/features/record/not-entered';
import type { JobRecord } from '@/features/record/use-job-record';
import { useFamily } from '@/features/record/family-context';
import { clearedOf } from '@/features/record/draft-keeper';
import { useDraft } from '@/features/record/use-draft';

/** Every dial, as found and as left. */
export function SettingsFields({
  record,
  state,
  system,
}: {
  record: JobRecord;
  state: JobState;
  system: UnitSystem;
}) {
  const { settings } = useFamily();
  return (
    <>
      <h3 className="mt-4 font-semibold">Settings, as found and as left</h3>
      <p className="text-small text-ink-2">
        {settings.length > 1 ? 'Both equal, about' : 'About'} {valueText(49, 'temperature', system)}{' '}
        to {valueText(52, 'temperature', system)}. Hotter scalds sooner; stored cooler than{' '}
        {valueText(60, 'temperature', system)}, bacteria can grow.
      </p>
      {settings.map((field) => (
        <SettingRow key={field.id} {...{ record, state, system, field }} />
      ))}
      <Link href={`/jobs/${record.job.job.id}/settings`} className="button mt-2">
        The whole sheet, with its rules
      </Link>
    </>
  );
}

function SettingRow({
  record,
  state,
  system,
  field,
}: {
  record: JobRecord;
  state: JobState;
  system: UnitSystem;
  field: SettingFieldOf;
}) {
  return (
    <div className="grid grid-cols-[1fr_1fr_1fr] items-end gap-2 border-b border-hair py-1.5">
      <span className="self-center">{field.label}</span>
      {(['found', 'left'] as const).map((as) => (
        <SettingInput
          key={as}
          record={record}
          field={field}
          as={as}
          value={state.settings.get(field.id)?.[as]}
          system={system}
        />
      ))}
    </div>
  );
}

/** One dial, as found or as left. */
export function SettingInput({
  record,
  field: { id: setting, label, quantity, range, usual },
  as,
  value,
  system,
  typed,
}: {
  record: JobRecord;
  field: SettingFieldOf;
  as: 'found' | 'left';
  value: Measured | string | boolean | undefined;
  system: UnitSystem;
  /** Of who waits for what is typed here: enters it, and gives false where it could not be. */
  typed?: RefObject<Map<string, () => Promise<boolean>>>;
}) {
  const [text, setText] = useDraft(`${record.job.job.id} ${setting} ${as}`);
  const [problem, setProblem] = useState<string>();
  const busy = useRef<Promise<boolean>>(undefined);
  const stored = typeof value === 'object' ? numberOf(value, quantity) : undefined;
  const refuse = (words: string) => {
    setProblem(words);
    return Promise.resolve(false);
  };
  const keep = (): Promise<boolean> => {
    if (busy.current) return busy.current;
    if (text.trim() === '') return Promise.resolve(true);
    const parsed = parseReading(text, { quantity, system });
    if (parsed.kind !== 'value') {
      return refuse(parsed.kind === 'problem' ? parsed.message : 'Type one number.');
    }
    const [least, most] = range;
    if (parsed.value < least || parsed.value > most) {
      return refuse(
        `It stands between ${valueText(least, quantity, system)} and ${valueText(most, quantity, system)}.`,
      );
    }
    setProblem(undefined);
    busy.current = record
      .append({
        kind: 'setting',
        setting,
        as,
        value: { [keyOfQuantity(quantity)]: parsed.value },
      })
      .then((isKept) => {
        busy.current = undefined;
        if (isKept) setText(clearedOf(text));
        else setProblem(notEntered);
        return isKept;
      });
    return busy.current;
  };
  useEffect(() => {
    const fields = typed?.current;
    fields?.set(setting, keep);
    return () => void fields?.delete(setting);
  });
  return (
    <label className="text-small">
      as {as}
      <input
        className="field text-lead font-semibold text-act placeholder:text-ink"
        inputMode="decimal"
        aria-label={`${label} as ${as}`}
        aria-invalid={problem !== undefined}
        placeholder={
          stored === undefined
            ? showValue(usual, quantity, system).symbol
            : valueText(stored, quantity, system)
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
