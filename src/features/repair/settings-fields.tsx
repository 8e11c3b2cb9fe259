'use client';

import { useState } from 'react';
import type { JobState } from '@/core/job-file';
import { parseReading, showValue, valueText, type UnitSystem } from '@/core/quantities';
import type { JobRecord } from '@/features/record/use-job-record';
import { useFamily } from '@/features/record/family-context';
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
  const { thermostats } = useFamily();
  return (
    <>
      <h3 className="mt-4 font-semibold">Settings, as found and as left</h3>
      <p className="text-small text-ink-2">
        {thermostats.length > 1 ? 'Both equal, about' : 'About'}{' '}
        {valueText(49, 'temperature', system)} to {valueText(52, 'temperature', system)}. Hotter
        scalds sooner; stored cooler than {valueText(60, 'temperature', system)}, bacteria can grow.
      </p>
      {thermostats.map(({ setting: id, label }) => (
        <div
          key={id}
          className="grid grid-cols-[1fr_1fr_1fr] items-end gap-2 border-b border-hair py-1.5"
        >
          <span className="self-center">{label}</span>
          {(['found', 'left'] as const).map((as) => (
            <SettingField
              key={as}
              record={record}
              setting={id}
              as={as}
              label={label}
              value={state.settings.get(id)?.[as]}
              system={system}
            />
          ))}
        </div>
      ))}
    </>
  );
}

function SettingField({
  record,
  setting,
  as,
  label,
  value,
  system,
}: {
  record: JobRecord;
  setting: string;
  as: 'found' | 'left';
  label: string;
  value: unknown;
  system: UnitSystem;
}) {
  const [text, setText] = useDraft(`${record.job.job.id} ${setting} ${as}`);
  const [problem, setProblem] = useState<string>();
  const stored = (value as { celsius?: number } | undefined)?.celsius;
  const keep = () => {
    if (text.trim() === '') return;
    const parsed = parseReading(text, { quantity: 'temperature', system });
    if (parsed.kind !== 'value') {
      setProblem(parsed.kind === 'problem' ? parsed.message : 'Type one temperature.');
      return;
    }
    if (parsed.value < 10 || parsed.value > 95) {
      setProblem('A dial stands between 10 and 95 °C.');
      return;
    }
    setProblem(undefined);
    void record.append({ kind: 'setting', setting, as, value: { celsius: parsed.value } });
    setText('');
  };
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
            ? showValue(50, 'temperature', system).symbol
            : valueText(stored, 'temperature', system)
        }
        value={text}
        onChange={(event) => {
          setProblem(undefined);
          setText(event.target.value);
        }}
        onBlur={keep}
        onKeyDown={(event) => event.key === 'Enter' && keep()}
      />
      {problem && (
        <span role="alert" className="block font-medium">
          {problem}
        </span>
      )}
    </label>
  );
}
