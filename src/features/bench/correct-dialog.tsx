'use client';

import { useRef, useState } from 'react';
import { v7 as newId } from 'uuid';
import type { ApplianceFamily } from '@/core/appliances';
import { problemOfAnalysis } from '@/core/flue-sheet';
import { quantityOf, type Entry, type JobFile, type Value } from '@/core/job-file';
import {
  keyOfQuantity,
  parseReading,
  shownUnit,
  type Quantity,
  type UnitSystem,
} from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';
import type { FamilyWords } from '@/features/record/family-words';
import { capital, clockTime, valueWords } from '@/features/record/words';
import type { NewEntry } from '@/features/record/use-job-record';
import { Dialog } from '@/ui/dialog';
import { quantityOfValue, valueName } from './value-names';

const reasons = [
  'probe slipped',
  'misread',
  'wrong range',
  'typed wrongly',
  'wrong terminal',
] as const;

/** Corrects or strikes out an entry. The old one stays in the logbook, struck. */
export function CorrectDialog({
  entry,
  plate,
  system,
  timeZone,
  onClose,
  onCorrect,
}: {
  entry: Entry;
  plate: JobFile['unit']['plate'];
  system: UnitSystem;
  timeZone: string | undefined;
  onClose(): void;
  /** Gives false where it could not be entered. */
  onCorrect(correction: NewEntry): Promise<boolean>;
}) {
  const family = useFamily();
  const words = useWords();
  const [text, setText] = useState('');
  const [reason, setReason] = useState<string>(reasons[0]);
  const [problem, setProblem] = useState<string>();
  const isBusy = useRef(false);
  /** What it may have been seen as: a check of the diagnosis, or what is only looked at in work. */
  const sights =
    entry.kind === 'observation' ? (family.catalogue.check(entry.check)?.values ?? []) : [];
  const quantity = entry.kind === 'reading' ? quantityOf(entry, family.catalogue) : undefined;
  /** Of a reading of several values each is told by its name, in the unit that it is read in. */
  const several = entry.kind === 'reading' ? severalOf(entry, family, words, quantity) : [];
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});

  const correct = async (replacement: Entry | null) => {
    if (reason.trim() === '') {
      setProblem('A correction needs its reason.');
      return;
    }
    if (isBusy.current) return;
    isBusy.current = true;
    const isKept = await onCorrect({
      kind: 'correction',
      replaces: entry.id,
      entry: replacement,
      reason: reason.trim(),
    });
    isBusy.current = false;
    if (isKept) onClose();
    else setProblem('Not corrected: neither this device nor the server has it. Try again.');
  };
  const correctReading = () => {
    if (entry.kind !== 'reading' || !quantity) return;
    if (several.length > 0) {
      const values = { ...entry.values };
      for (const { key, name, quantity: own } of several) {
        if ((texts[key] ?? '').trim() === '') continue;
        const value = valueIn(texts[key]!, own, system);
        if (typeof value === 'string') return setProblem(`${name}: ${value}`);
        values[key] = value;
      }
      if (several.every(({ key }) => (texts[key] ?? '').trim() === '')) {
        return setProblem('Type what it should be, at each that was wrong.');
      }
      const wrong = problemOfAnalysis(family, plate, { check: entry.check, values });
      if (wrong !== undefined) return setProblem(wrong);
      const { value: _, ...rest } = entry;
      return void correct({ ...rest, id: newId(), values });
    }
    const value = valueIn(text, quantity, system);
    if (typeof value === 'string') return setProblem(value);
    // What the old one was worked out from says nothing of the new one.
    const { byClock: _clock, spread: _spread, ...rest } = entry;
    void correct({ ...rest, id: newId(), value });
  };
  const correctLook = (looked: Extract<Entry, { kind: 'observation' }>, value: string) => {
    // Nor do the rows of a sheet, that came to what is corrected.
    const { burners: _burners, ...rest } = looked;
    void correct({ ...rest, id: newId(), value });
  };

  return (
    <Dialog title="Correct an entry" isOpen onClose={onClose}>
      <p className="mb-3">
        {clockTime(entry.at, timeZone)}{' '}
        <strong className="font-semibold">{words.title(entry)}</strong>{' '}
        <span className="font-semibold text-act">{words.result(entry, system)}</span>
      </p>
      {several.length > 0 && (
        <fieldset className="mb-3">
          <legend className="font-medium">It should be</legend>
          <div className="mt-1 grid grid-cols-2 items-end gap-x-3 gap-y-2">
            {several.map(({ key, name, quantity: own, value }) => (
              <label key={key} className="text-small">
                {capital(name)}
                <span className="sr-only">, in {shownUnit(own, system).symbol}</span>
                <input
                  className="field text-lead font-semibold text-act placeholder:text-ink"
                  inputMode="decimal"
                  maxLength={20}
                  placeholder={valueWords(value, system, own)}
                  value={texts[key] ?? ''}
                  onChange={(event) =>
                    setTexts((before) => ({ ...before, [key]: event.target.value }))
                  }
                />
              </label>
            ))}
          </div>
        </fieldset>
      )}
      {quantity && several.length === 0 && (
        <label className="mb-3 block font-medium">
          It should be
          <input
            className="field mt-1 text-title font-semibold text-act"
            inputMode="decimal"
            autoFocus
            value={text}
            aria-invalid={problem !== undefined}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && correctReading()}
          />
        </label>
      )}
      {entry.kind === 'observation' && sights.length > 0 && (
        <div className="mb-3">
          <p className="font-medium">It should be</p>
          <div className="mt-1 flex flex-wrap gap-2">
            {sights
              .filter((value) => value !== entry.value)
              .map((value) => (
                <button
                  key={value}
                  type="button"
                  className="button"
                  onClick={() => correctLook(entry, value)}
                >
                  {words.outcome(entry.check, value)}
                </button>
              ))}
          </div>
        </div>
      )}
      <fieldset className="mb-3">
        <legend className="font-medium">Because</legend>
        <div className="mt-1 flex flex-wrap gap-2">
          {reasons.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={reason === each}
              className="button aria-pressed:border-2 aria-pressed:border-ink aria-pressed:font-semibold"
              onClick={() => setReason(each)}
            >
              {each}
            </button>
          ))}
        </div>
        <label className="mt-2 block text-small">
          or in your words
          <input
            className="field mt-1"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        </label>
      </fieldset>
      {problem && (
        <p role="alert" className="mb-3 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      <div className="flex gap-3">
        {quantity && (
          <button type="button" className="button button-act flex-1" onClick={correctReading}>
            Correct it
          </button>
        )}
        <button type="button" className="button flex-1" onClick={() => void correct(null)}>
          Strike it out
        </button>
      </div>
    </Dialog>
  );
}

interface SeveralOf {
  readonly key: string;
  readonly name: string;
  readonly quantity: Quantity;
  readonly value: Value;
}

function severalOf(
  { check, values }: Extract<Entry, { kind: 'reading' }>,
  family: ApplianceFamily,
  words: FamilyWords,
  quantity: Quantity | undefined,
): readonly SeveralOf[] {
  if (!values || quantity === undefined || !family.isCheckId(check)) return [];
  const named = family.check(check);
  return Object.entries(values).map(([key, value]) => ({
    key,
    name: valueName(named, words, key),
    quantity: quantityOfValue(named, key, quantity),
    value,
  }));
}

/** What was typed as a value of the logbook, or what is wrong with it. */
function valueIn(text: string, quantity: Quantity, system: UnitSystem): Value | string {
  const parsed = parseReading(text, { quantity, system, loneOneIsDoubtful: true });
  if (parsed.kind === 'problem') return parsed.message;
  if (parsed.kind === 'ask') return `${parsed.question} ${parsed.instead}`;
  return parsed.kind === 'over-range'
    ? { overRange: true }
    : { [keyOfQuantity(quantity)]: parsed.value };
}
