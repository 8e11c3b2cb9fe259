'use client';

import { useState } from 'react';
import type { JobState } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { PartFitting } from '@/features/procedures/part-fitting';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { Dialog } from '@/ui/dialog';

const actions = ['needed', 'ordered', 'fitted', 'returned'] as const;

/** Parts of a repair: needed, ordered, fitted, returned. One that must match the unit is held against it when it goes in. */
export function PartList({
  record,
  state,
  repair,
  system,
  parts,
  fits,
}: {
  record: JobRecord;
  state: JobState;
  repair: string;
  system: UnitSystem;
  parts: readonly string[];
  /** Kind of the first part. */
  fits: string | undefined;
}) {
  const [isFitting, setFitting] = useState(false);
  return (
    <>
      <h3 className="mt-3 font-semibold">Parts</h3>
      <ul>
        {parts.map((part, k) => (
          <li key={part} className="border-b border-hair py-1.5">
            <span className="block">{part}</span>
            <span className="flex flex-wrap gap-2 pt-1">
              {actions.map((action) => (
                <button
                  key={action}
                  type="button"
                  aria-pressed={state.parts.get(part) === action}
                  aria-label={`${part}: ${action}`}
                  className="button px-2.5 aria-pressed:border-2 aria-pressed:border-act aria-pressed:font-semibold aria-pressed:text-act"
                  onClick={() => {
                    if (action === 'fitted' && k === 0 && fits !== undefined) setFitting(true);
                    else void record.append({ kind: 'part', part, action, repair });
                  }}
                >
                  {action}
                </button>
              ))}
            </span>
          </li>
        ))}
      </ul>
      {fits !== undefined && (
        <Dialog title="Does it match?" isOpen={isFitting} onClose={() => setFitting(false)}>
          <PartFitting
            {...{ record, state, system }}
            run={{ repair }}
            part={fits}
            onFinish={async (_, ...results) => {
              const isKept = await record.append(...(results as NewEntry[]));
              if (isKept) setFitting(false);
              return isKept;
            }}
          />
        </Dialog>
      )}
    </>
  );
}
