'use client';

import type { AccessStep } from '@/core/appliances';
import { useWords } from '@/features/record/family-context';
import { Dialog } from '@/ui/dialog';
import { stepWords } from './step-words';

/** Asked when a result is entered before its steps were ticked: the state belongs to the reading. */
export function StepsDialog({
  steps,
  canStayAsItIs,
  onClose,
  onDone,
  onAsItIs,
}: {
  steps: readonly AccessStep[];
  canStayAsItIs: boolean;
  onClose(): void;
  onDone(): void;
  onAsItIs(): void;
}) {
  const words = useWords();
  return (
    <Dialog title="Was this done?" isOpen onClose={onClose}>
      <ul className="mb-4 list-disc pl-5">
        {steps.map((each) => (
          <li key={stepWords(words, each)}>{stepWords(words, each)}</li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3">
        <button type="button" className="button button-act flex-1" onClick={onDone}>
          Done: enter it
        </button>
        {canStayAsItIs && (
          <button type="button" className="button flex-1" onClick={onAsItIs}>
            No: enter it as read, wires as they are
          </button>
        )}
      </div>
    </Dialog>
  );
}
