'use client';

import { useId, useState } from 'react';
import type { ApplianceFamily } from '@/core/appliances';
import type { JobFile } from '@/core/job-file';
import { shownUnit, type UnitSystem } from '@/core/quantities';
import { sendWhatWaits } from '@/features/device/outbox';
import type { KeptEntry } from '@/features/device/store';
import { useFamilyNamed } from '@/features/record/family-context';
import { wordsOf } from '@/features/record/family-words';
import { clockTime } from '@/features/record/words';
import { mend, sendAgain, strike } from './kept-list';
import { mendableOf, mended, quantityRead, type Mendable } from './mended';

const states = { waiting: 'waits', refused: 'not taken', struck: 'struck', sent: 'sent' } as const;

/** One entry that is kept: what it says, since when, why it was not taken, and what can be done. */
export function KeptEntryRow({
  kept,
  job,
  system,
}: {
  kept: KeptEntry;
  job: JobFile | undefined;
  system: UnitSystem;
}) {
  const [isMending, setMending] = useState(false);
  const { entry, state, problem } = kept;
  const { family } = useFamilyNamed(job?.unit.family ?? '');
  const words = family && wordsOf(family);
  const mendable = family ? mendableOf(entry) : undefined;
  const again = () => void sendAgain(kept).then(() => sendWhatWaits());
  return (
    <li className="border-b border-hair py-2" data-state={state}>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className={`font-medium ${state === 'struck' ? 'line-through' : ''}`}>
          {words?.title(entry) ?? entry.kind}
        </span>
        <span className={state === 'struck' ? 'line-through' : ''}>
          {words?.result(entry, system)}
        </span>
        <span className="ml-auto text-small">
          {/* By the clock of this device, as on the rest of the page: it is what this device keeps. */}
          {clockTime(entry.at, undefined)}, {states[state]}
        </span>
      </p>
      {problem && (
        <p role="alert" className="text-small font-medium">
          {state === 'waiting' ? 'Tried, and will be tried again: ' : 'Not taken by the server: '}
          {problem}
        </p>
      )}
      {state !== 'waiting' && (
        <p className="mt-1 flex flex-wrap gap-2">
          {mendable && (
            <button type="button" className="button" onClick={() => setMending(!isMending)}>
              Mend
            </button>
          )}
          <button type="button" className="button" onClick={again}>
            Send again
          </button>
          {state === 'refused' && (
            <button type="button" className="button" onClick={() => void strike(kept)}>
              Strike
            </button>
          )}
        </p>
      )}
      {isMending && family && mendable && (
        <MendForm
          kept={kept}
          mendable={mendable}
          unit={unitOf(kept.entry, family, system)}
          onMend={(typed) => {
            const next = mended(entry, typed, family, system);
            if (typeof next === 'string') return next;
            setMending(false);
            void mend(kept, next).then(() => sendWhatWaits());
            return undefined;
          }}
        />
      )}
    </li>
  );
}

const unitOf = (entry: KeptEntry['entry'], family: ApplianceFamily, system: UnitSystem) => {
  const quantity = quantityRead(entry, family);
  return quantity && shownUnit(quantity, system).symbol;
};

const labels: Readonly<Record<NonNullable<Mendable>, string>> = {
  value: 'What the meter showed',
  reason: 'Reason',
};

function MendForm({
  kept,
  mendable,
  unit,
  onMend,
}: {
  kept: KeptEntry;
  mendable: NonNullable<Mendable>;
  /** What a bare number is taken in. */
  unit: string | undefined;
  /** Gives what is wrong with what was typed. */
  onMend(typed: string): string | undefined;
}) {
  const id = useId();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        setProblem(onMend(text));
      }}
    >
      <div>
        <label htmlFor={id} className="text-small font-medium">
          {labels[mendable]}
          {unit && `, ${unit}`}
        </label>
        <input
          id={id}
          className="field"
          value={text}
          maxLength={mendable === 'value' ? 40 : 400}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      <button
        type="submit"
        className="button button-act"
        aria-label={`Send mended ${kept.entry.kind}`}
      >
        Send it so
      </button>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="w-full text-small font-medium">
          {problem}
        </p>
      )}
    </form>
  );
}
