'use client';

import { useRef, useState } from 'react';
import { v7 as newId } from 'uuid';
import { quantityOf, type Entry, type Value } from '@/core/job-file';
import { keyOfQuantity, parseReading, type UnitSystem } from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';
import { clockTime } from '@/features/record/words';
import type { NewEntry } from '@/features/record/use-job-record';
import { Dialog } from '@/ui/dialog';

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
  system,
  timeZone,
  onClose,
  onCorrect,
}: {
  entry: Entry;
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
  const check = 'check' in entry && family.isCheckId(entry.check) ? entry.check : undefined;
  const quantity = entry.kind === 'reading' ? quantityOf(entry, family.catalogue) : undefined;

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
    const parsed = parseReading(text, { quantity, system });
    if (parsed.kind === 'problem' || parsed.kind === 'ask') {
      setProblem(
        parsed.kind === 'problem'
          ? parsed.message
          : `${parsed.question} Type it without the comma.`,
      );
      return;
    }
    const value: Value =
      parsed.kind === 'over-range'
        ? { overRange: true }
        : { [keyOfQuantity(quantity)]: parsed.value };
    void correct({ ...entry, id: newId(), value });
  };

  return (
    <Dialog title="Correct an entry" isOpen onClose={onClose}>
      <p className="mb-3">
        {clockTime(entry.at, timeZone)}{' '}
        <strong className="font-semibold">{words.title(entry)}</strong>{' '}
        <span className="font-semibold text-act">{words.result(entry, system)}</span>
      </p>
      {quantity && (
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
      {entry.kind === 'observation' && check && (
        <div className="mb-3">
          <p className="font-medium">It should be</p>
          <div className="mt-1 flex flex-wrap gap-2">
            {(family.check(check).values ?? [])
              .filter((value) => value !== entry.value)
              .map((value) => (
                <button
                  key={value}
                  type="button"
                  className="button"
                  onClick={() => void correct({ ...entry, id: newId(), value })}
                >
                  {words.outcome(check, value)}
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
