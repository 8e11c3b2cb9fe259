'use client';

import { useState } from 'react';
import type { JobState, ProcedureRun } from '@/core/job-file';
import { mismatches, type PartRequirement, type PartSays } from '@/core/parts';
import type { StepOutcome, UnstampedEntry } from '@/core/procedures';
import {
  keyOfQuantity,
  parseReading,
  shownUnit,
  valueText,
  type UnitSystem,
} from '@/core/quantities';
import { useFamily } from '@/features/record/family-context';
import { useDraft } from '@/features/record/use-draft';
import type { JobRecord } from '@/features/record/use-job-record';
import { Tick } from '@/ui/marks';

/** A new part, held against the unit before it goes in: what differs is refused with its reason, or taken with a note. */
export function PartFitting({
  record,
  state,
  run,
  system,
  part,
  onFinish,
}: {
  record: Pick<JobRecord, 'job'>;
  state: JobState;
  run: Pick<ProcedureRun, 'repair'>;
  system: UnitSystem;
  /** Its kind. */
  part: string;
  onFinish(outcome: StepOutcome, ...results: UnstampedEntry[]): Promise<boolean>;
}) {
  const family = useFamily();
  const { job } = record;
  const plate = family.plateOf(job);
  const required = family.partRequirements(part, plate, run.repair);
  // Listed under the words that the repair has for it, where it has any.
  const repair = run.repair === undefined ? undefined : family.repairs[run.repair];
  const name = repair?.fits === part ? (repair.parts[0] ?? part) : part.replaceAll('-', ' ');
  const [draft, setDraft] = useDraft(`${job.job.id} part ${part} ${run.repair ?? ''}`);
  const typed = typedOf(draft);
  const [tried, setTried] = useState<readonly string[]>();
  const [problem, setProblem] = useState<string>();
  const type = (key: string, text: string) =>
    setDraft((before) => JSON.stringify({ ...typedOf(before), [key]: text }));
  const set = (key: string, text: string) => {
    setTried(undefined);
    setProblem(undefined);
    type(key, text);
  };

  const enter = async () => {
    const { says, wrong } = saidOf(required, typed, system);
    if (wrong) return setProblem(wrong);
    const missed = mismatches(required, says);
    const note = (typed[noteKey] ?? '').trim();
    if (missed.length > 0 && (tried === undefined || note === '')) {
      setTried(missed.map(({ label, why }) => `${label}: ${why}`));
      setProblem(tried === undefined ? undefined : 'It differs: say why it is taken all the same.');
      return;
    }
    const isEntered = await onFinish(
      { result: missed.length === 0 ? 'matches' : 'taken-with-note' },
      {
        kind: 'part',
        part: name,
        action: 'fitted',
        ...(run.repair === undefined ? {} : { repair: run.repair }),
        ...(Object.keys(says).length > 0 ? { says } : {}),
        // Why something that differs is taken: of one that matches it says nothing.
        ...(missed.length === 0 || note === '' ? {} : { note }),
      },
    );
    if (isEntered) setDraft('');
  };

  return (
    <div className="mt-3">
      <h3 className="font-semibold">New part: {name}</h3>
      {state.parts.get(name) === 'fitted' && (
        <p className="mt-1 flex items-center gap-2 text-small">
          <Tick /> Entered as fitted before.
        </p>
      )}
      {required.map((each) => (
        <Required
          key={each.says}
          {...{ each, system }}
          text={typed[each.says] ?? ''}
          onChange={(text) => set(each.says, text)}
        />
      ))}
      {tried && (
        <div role="alert" className="mt-3 border-2 border-heat p-3">
          <p className="font-semibold text-heat">Not this part</p>
          <ul className="list-disc pl-5">
            {tried.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
          <label className="mt-2 block font-medium">
            Taken all the same, because
            <input
              className="field mt-1"
              value={typed[noteKey] ?? ''}
              maxLength={400}
              onChange={(event) => type(noteKey, event.target.value)}
            />
          </label>
        </div>
      )}
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      <button
        type="button"
        className="button button-act mt-3 min-h-16 w-full text-[22px]"
        onClick={() => void enter()}
      >
        {tried ? 'Take it, with the note' : 'It is in'}
      </button>
    </div>
  );
}

const noteKey = '_note';

function Required({
  each,
  system,
  text,
  onChange,
}: {
  each: PartRequirement;
  system: UnitSystem;
  text: string;
  onChange(text: string): void;
}) {
  if (each.kind === 'number') {
    const { symbol } = shownUnit(each.quantity, system);
    return (
      <label className="mt-2 block">
        <span className="font-medium">{each.label}</span>
        {each.wanted !== undefined && (
          <span className="text-ink-2">
            {' '}
            ({each.rule === 'at-least' ? 'at least ' : each.rule === 'at-most' ? 'at most ' : ''}
            {valueText(each.wanted, each.quantity, system)})
          </span>
        )}
        <span className="mt-1 flex items-center gap-2">
          <input
            className="field"
            inputMode="decimal"
            value={text}
            onChange={(event) => onChange(event.target.value)}
          />
          {symbol}
        </span>
      </label>
    );
  }
  const choices: Readonly<Record<string, string>> =
    each.kind === 'choice' ? each.choices : { same: 'Yes', other: 'No' };
  return (
    <fieldset className="mt-2">
      <legend className="font-medium">{each.label}</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {Object.entries(choices).map(([id, label]) => (
          <button
            key={id}
            type="button"
            className="button min-w-20 aria-pressed:border-2 aria-pressed:border-act aria-pressed:font-semibold aria-pressed:text-act"
            aria-pressed={text === id}
            aria-label={`${each.label}: ${label}`}
            onClick={() => onChange(id)}
          >
            {label}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

function saidOf(
  required: readonly PartRequirement[],
  typed: Readonly<Record<string, string>>,
  system: UnitSystem,
): { readonly says: PartSays; readonly wrong?: string } {
  const says: Record<string, PartSays[string]> = {};
  for (const each of required) {
    const text = (typed[each.says] ?? '').trim();
    if (text === '') continue;
    if (each.kind !== 'number') {
      says[each.says] = text;
      continue;
    }
    const parsed = parseReading(text, { quantity: each.quantity, system });
    if (parsed.kind !== 'value') {
      return {
        says,
        wrong: `${each.label}: ${parsed.kind === 'problem' ? parsed.message : 'type one number.'}`,
      };
    }
    says[each.says] = { [keyOfQuantity(each.quantity)]: parsed.value };
  }
  return { says };
}

/** What was typed before a reload; what cannot be read any more counts as nothing typed. */
function typedOf(draft: string): Readonly<Record<string, string>> {
  if (draft === '') return {};
  try {
    return JSON.parse(draft) as Record<string, string>;
  } catch {
    return {};
  }
}
