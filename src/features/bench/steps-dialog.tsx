'use client';

import type { AccessStep } from '@/core/appliances';
import { useWords } from '@/features/record/family-context';
import { Dialog } from '@/ui/dialog';
import { stepWords } from './step-words';

/** Asked when a result is entered before its steps were ticked: the state belongs to the reading. */
export function StepsDialog({
  steps,
  isLive,
  onClose,
  onDone,
  onAsItIs,
  onMakeSafe,
}: {
  steps: readonly AccessStep[];
  /** The power is on for the result. */
  isLive: boolean;
  onClose(): void;
  onDone(): void;
  onAsItIs(): void;
  onMakeSafe(): void;
}) {
  const words = useWords();
  const needsProof = steps.some((each) => each.kind === 'power-off-and-prove');
  const canStayAsItIs = !isLive || needsProof;
  const hasWires = steps.some(({ kind }) => kind === 'lift-wire' || kind === 'refit-wire');
  return (
    <Dialog title="Was this done?" isOpen onClose={onClose}>
      <ul className="mb-4 list-disc pl-5">
        {steps.map((each) => (
          <li key={stepWords(words, each)}>{stepWords(words, each)}</li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3">
        {needsProof ? (
          <button type="button" className="button button-act flex-1" onClick={onMakeSafe}>
            Not yet: make safe first
          </button>
        ) : (
          <button type="button" className="button button-act flex-1" onClick={onDone}>
            Done: enter it
          </button>
        )}
        {canStayAsItIs && (
          <button type="button" className="button flex-1" onClick={onAsItIs}>
            {isLive
              ? 'It stood open already: enter it as read'
              : `No: enter it as read${hasWires ? ', wires as they are' : ''}`}
          </button>
        )}
      </div>
    </Dialog>
  );
}
