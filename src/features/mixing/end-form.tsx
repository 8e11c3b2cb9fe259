'use client';

import { useState } from 'react';
import type { MixingEnd } from '@/core/mixing-valve';
import type { UnitSystem } from '@/core/quantities';
import { notEntered } from '@/features/record/not-entered';
import { NumberField, typedNumber } from '@/features/record/number-field';
import { useReadingDraft } from '@/features/record/use-reading-draft';
import type { JobRecord } from '@/features/record/use-job-record';

const tapRange = [0, 95] as const;

/** Cap on and locked, the farthest tap, what the household is told: then it is left. */
export function EndForm({
  record,
  why,
  system,
}: {
  record: JobRecord;
  why: MixingEnd | 'stopped';
  system: UnitSystem;
}) {
  const [isLocked, setLocked] = useState(false);
  const [isTold, setTold] = useState(false);
  const farthest = useReadingDraft(`${record.job.job.id} mixing farthest`);
  const [problem, setProblem] = useState<string>();
  const leave = async () => {
    const typed = typedNumber(farthest[0], 'temperature', system, tapRange);
    if (typed.kind === 'problem') return setProblem('The farthest tap cannot be that.');
    setProblem(undefined);
    const isKept = await record.append({
      kind: 'mixing',
      phase: 'ended',
      ended: why,
      isLocked,
      isTold,
      ...(typed.kind === 'number' ? { farthest: { celsius: typed.value } } : {}),
    });
    if (isKept) farthest[1]('');
    else setProblem(notEntered);
  };
  const boxes = [
    { words: 'Cap on and locked', is: isLocked, set: setLocked },
    {
      words: 'Told: hotter at every tap, and the cylinder is used up sooner',
      is: isTold,
      set: setTold,
    },
  ];
  return (
    <details className="mt-3" open={why !== 'stopped'}>
      <summary className="min-h-11 content-center underline underline-offset-4">
        Leave it here
      </summary>
      {boxes.map(({ words, is, set }) => (
        <label key={words} className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-6 shrink-0"
            checked={is}
            onChange={(event) => set(event.target.checked)}
          />
          <span>{words}</span>
        </label>
      ))}
      <div className="flex max-w-[240px]">
        <NumberField
          label="farthest tap, after a minute"
          name="Farthest tap"
          draft={farthest}
          quantity="temperature"
          system={system}
          range={tapRange}
          onLeave={() => undefined}
        />
      </div>
      {problem && (
        <p role="alert" className="font-medium">
          {problem}
        </p>
      )}
      <button type="button" className="button mt-2" onClick={() => void leave()}>
        Left so
      </button>
    </details>
  );
}
