'use client';

import {
  checkNames,
  checkWords,
  type CheckId,
} from '@/core/appliances/electric-storage-two-element';
import { capital } from '@/features/record/words';

/** What was seen or heard, one tap each. */
export function ObservationAnswers({
  check,
  onAnswer,
  disabledReason,
}: {
  check: CheckId;
  onAnswer(value: string): void;
  disabledReason?: string;
}) {
  const { answers = {} } = checkWords[check];
  return (
    <div className="grid gap-3 p-4" role="group" aria-label="What you found">
      {(checkNames[check].values ?? []).map((value) => (
        <button
          key={value}
          type="button"
          className="button min-h-16 border-2 border-act text-[20px] font-semibold text-act aria-disabled:border-edge aria-disabled:text-ink-2"
          aria-disabled={disabledReason !== undefined}
          onClick={() => onAnswer(value)}
        >
          {capital(answers[value] ?? value)}
        </button>
      ))}
    </div>
  );
}
