'use client';

import { useState } from 'react';
import { resultQuantity } from '@/core/appliances';
import type { GoodReading } from '@/core/diagnosis';
import { problemOfAnalysis } from '@/core/flue-sheet';
import type { JobFile, Value } from '@/core/job-file';
import {
  keyOfQuantity,
  parseReading,
  shownUnit,
  type Quantity,
  type UnitSystem,
} from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';
import { TypedEarlier } from '@/features/record/typed-earlier';
import type { TypedReading } from '@/features/record/use-reading-draft';
import { capital } from '@/features/record/words';
import { goodWords } from './reading-display';
import { quantityOfValue, valueName } from './value-names';
import { ValuesTold } from './values-told';

/** A check that gives several values, each at its own point: a field for each, entered together or not at all. */
export function ValuesEntry({
  jobId,
  check,
  plate,
  quantity,
  system,
  good,
  isReady,
  disabledReason,
  draft: [draft, setDraft, typedAt],
  isBelowSteps = false,
  onEnter,
}: {
  jobId: string;
  check: string;
  plate: JobFile['unit']['plate'];
  quantity: Quantity;
  system: UnitSystem;
  /** What the one number that they come to is on a good unit. */
  good: GoodReading | undefined;
  /** The answer that stands here is the one to the logbook as it is. */
  isReady: boolean;
  disabledReason?: string;
  /** What is typed so far, cleared by whoever enters it. */
  draft: TypedReading;
  /** Many values scroll by themselves there: the steps above them stay in reach. */
  isBelowSteps?: boolean;
  onEnter(values: Record<string, Value>): void;
}) {
  const family = useFamily();
  const words = useWords();
  const points = Object.entries(family.check(check).valuesAt ?? {});
  const isMany = points.length > 2;
  const typed = typedOf(draft);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const named = family.check(check);
  const mayBeEmpty = (key: string) => named.optional?.includes(key) ?? false;
  const isAsked = (key: string) => family.flue?.asked.includes(key) ?? false;
  const quantityOf = (key: string) => quantityOfValue(named, key, quantity);
  const symbolOf = (key: string) => shownUnit(quantityOf(key), system).symbol;

  const read = () => {
    const found: Record<string, Value> = {};
    const wrong: Record<string, string> = {};
    for (const [key] of points) {
      if ((typed[key] ?? '').trim() === '' && mayBeEmpty(key)) continue;
      const parsed = parseReading(typed[key] ?? '', {
        quantity: quantityOf(key),
        system,
        loneOneIsDoubtful: true,
      });
      if (parsed.kind === 'problem') wrong[key] = parsed.message;
      else if (parsed.kind === 'ask') wrong[key] = `${parsed.question} ${parsed.instead}`;
      else if (parsed.kind === 'over-range') found[key] = { overRange: true };
      else found[key] = { [keyOfQuantity(quantityOf(key))]: parsed.value };
    }
    return { found, wrong };
  };
  const enter = () => {
    if (disabledReason !== undefined) return setProblems({ '': disabledReason });
    const { found, wrong } = read();
    setProblems(wrong);
    if (Object.keys(wrong).length > 0) return;
    const problem = problemOfAnalysis(family, plate, { check, values: found });
    if (problem !== undefined) return setProblems({ '': problem });
    onEnter(found);
  };

  return (
    <form
      className={`p-4 ${isMany ? 'grid grid-cols-2 items-end gap-x-3 gap-y-2' : 'space-y-3'} ${isMany && isBelowSteps ? 'max-h-[46vh] overflow-y-auto low:max-h-none short:max-h-none' : ''}`}
      onSubmit={(event) => {
        event.preventDefault();
        enter();
      }}
    >
      {good && good.kind !== 'outcome' && (
        <p className="col-span-2">
          Together: {goodWords(good, resultQuantity(family.check(check)) ?? quantity, system)}
        </p>
      )}
      {points.map(([key]) => (
        <label key={key} className={`block font-medium ${isMany ? 'text-small' : ''}`}>
          {capital(valueName(named, words, key))}
          <span className="sr-only">, in {symbolOf(key)}</span>
          {mayBeEmpty(key) && !isAsked(key) && (
            <span className="font-normal text-ink-2"> if read</span>
          )}
          <span className="mt-1 flex items-center gap-2">
            <input
              className="field text-title font-semibold text-act"
              inputMode="decimal"
              value={typed[key] ?? ''}
              maxLength={20}
              aria-invalid={problems[key] !== undefined}
              onChange={(event) => {
                const { value } = event.target;
                setDraft((before) => JSON.stringify({ ...typedOf(before), [key]: value }));
                setProblems({});
              }}
            />
            <span aria-hidden="true" className="w-14">
              {symbolOf(key)}
            </span>
          </span>
          {problems[key] && (
            <span role="alert" className="mt-1 block border-l-4 border-rule pl-3">
              {problems[key]}
            </span>
          )}
        </label>
      ))}
      <div className="col-span-2 empty:hidden">
        <TypedEarlier at={typedAt} />
      </div>
      <ValuesTold {...{ jobId, check, plate, system }} values={read().found} />
      {problems[''] && (
        <p role="alert" className="col-span-2 border-l-4 border-rule pl-3 font-medium">
          {problems['']}
        </p>
      )}
      <button
        type="submit"
        className={`button button-act col-span-2 w-full text-lead ${isMany ? 'min-h-11' : 'min-h-14'}`}
        disabled={!isReady}
      >
        {points.length === 2 ? 'Enter both' : 'Enter all'}
      </button>
    </form>
  );
}

function typedOf(draft: string): Record<string, string> {
  try {
    return draft === '' ? {} : (JSON.parse(draft) as Record<string, string>);
  } catch {
    return {}; // a draft of another version
  }
}
