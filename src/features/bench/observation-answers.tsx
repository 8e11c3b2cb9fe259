'use client';

import type { ReactNode } from 'react';
import { useFamily, useWords } from '@/features/record/family-context';
import { capital } from '@/features/record/words';

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
  return (
    <div className="grid gap-3 p-4" role="group" aria-label="What you found">
      {(family.check(check).values ?? []).map((value) => (
        <button
          key={value}
          type="button"
          className="button min-h-16 border-2 border-act text-[20px] font-semibold text-act aria-disabled:border-edge aria-disabled:text-ink-2"
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
