'use client';

import type { ReactNode } from 'react';
import { useFamily, useWords } from '@/features/record/family-context';
import { capital } from '@/features/record/words';

const mostInOneColumn = 5;

/** What was seen or heard, one tap each. */
export function ObservationAnswers({
  check,
  onAnswer,
  disabledReason,
  howTaken,
}: {
  check: string;
  onAnswer(value: string): void;
  disabledReason?: string;
  /** What belongs to the answer beside itself. */
  howTaken?: ReactNode;
}) {
  const family = useFamily();
  const words = useWords();
  const values = family.catalogue.check(check)?.values ?? [];
  // Many stand side by side and scroll: what is to be done must stay in sight above them.
  const isMany = values.length > mostInOneColumn;
  return (
    <div
      className={`grid p-4 ${isMany ? 'max-h-[55dvh] grid-cols-2 gap-2 overflow-y-auto low:max-h-none short:max-h-none lg:max-h-[48dvh]' : 'gap-3 lg:gap-2 lg:py-3'}`}
      role="group"
      aria-label="What you found"
    >
      {values.map((value) => (
        <button
          key={value}
          type="button"
          className={`button border-2 border-act font-semibold text-act ${isMany ? 'min-h-14 px-2' : 'min-h-16 text-[20px] lg:min-h-14'} aria-disabled:border-edge aria-disabled:text-ink-2`}
          aria-disabled={disabledReason !== undefined}
          onClick={() => onAnswer(value)}
        >
          {capital(words.outcome(check, value))}
        </button>
      ))}
      {howTaken && <div>{howTaken}</div>}
    </div>
  );
}
