'use client';

import { useState } from 'react';
import type { JobState, ProcedureRun } from '@/core/job-file';
import { useFamily } from '@/features/record/family-context';
import { capital } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { safeNow } from './safe-now';

const reasons = {
  cannot: 'Cannot reach it',
  'not-needed': 'Not needed',
  'not-fitted': 'Not fitted',
};

/** Why a step is left out. */
export function SkipDialog({
  isOpen,
  only,
  onClose,
  onSkip,
}: {
  isOpen: boolean;
  /** The one reason that is allowed. */
  only: string | undefined;
  onClose(): void;
  onSkip(reason: string): void;
}) {
  const [words, setWords] = useState('');
  return (
    <Dialog title="Leave this step out" isOpen={isOpen} onClose={onClose}>
      <p className="mb-2">The report says which steps were left out, and why.</p>
      <div className="grid gap-2">
        {only !== undefined ? (
          <button type="button" className="button min-h-14" onClick={() => onSkip(only)}>
            {capital(only.replaceAll('-', ' '))}
          </button>
        ) : (
          <>
            {Object.entries(reasons).map(([id, label]) => (
              <button key={id} type="button" className="button min-h-14" onClick={() => onSkip(id)}>
                {label}
              </button>
            ))}
            <form
              className="flex items-end gap-2"
              onSubmit={(event) => {
                event.preventDefault();
                if (words.trim()) onSkip(words.trim());
                setWords('');
              }}
            >
              <label className="flex-1 font-medium">
                Another reason
                <input
                  className="field mt-1"
                  value={words}
                  maxLength={300}
                  onChange={(event) => setWords(event.target.value)}
                />
              </label>
              <button type="submit" className="button" disabled={words.trim() === ''}>
                Leave out
              </button>
            </form>
          </>
        )}
      </div>
    </Dialog>
  );
}

/** Stopping is always allowed: what is safe then, and why it was stopped. */
export function StopDialog({
  isOpen,
  state,
  run,
  onClose,
  onStop,
}: {
  isOpen: boolean;
  state: JobState;
  run: ProcedureRun;
  onClose(): void;
  onStop(reason: string): void;
}) {
  const family = useFamily();
  const [why, setWhy] = useState('');
  return (
    <Dialog title="Stop, and make safe" isOpen={isOpen} onClose={onClose}>
      <ol className="mb-3 list-decimal space-y-1.5 pl-5 text-lead">
        {safeNow(family, state).map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ol>
      <label className="block font-medium">
        Why, in a few words
        <input
          className="field mt-1"
          value={why}
          maxLength={300}
          placeholder="not needed to stop"
          onChange={(event) => setWhy(event.target.value)}
        />
      </label>
      <button
        type="button"
        className="button button-act mt-3 min-h-14 w-full text-lead"
        onClick={() => onStop(why.trim() || `stopped at ${run.marks.at(-1)?.step ?? 'the start'}`)}
      >
        Stop here
      </button>
    </Dialog>
  );
}
