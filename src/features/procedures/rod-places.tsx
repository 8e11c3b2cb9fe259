'use client';

import { useFamily, useWords } from '@/features/record/family-context';
import { capital } from '@/features/record/words';

interface RodPlace {
  readonly id: string;
  /** On a tank of 300 by 340. */
  readonly at: readonly [x: number, y: number];
  readonly only?: 'gas' | 'mains';
}

const places: readonly RodPlace[] = [
  { id: 'flue', at: [150, 34], only: 'gas' },
  { id: 'tank-top', at: [112, 84] },
  { id: 'relief-pipe', at: [226, 118] },
  { id: 'pipes-or-wall', at: [44, 48] },
  { id: 'element-cover', at: [112, 196], only: 'mains' },
  { id: 'tank-bottom', at: [150, 268] },
  { id: 'valve-or-regulator', at: [226, 250], only: 'gas' },
  { id: 'burner-door', at: [112, 312], only: 'gas' },
];

/** Where a listening rod is put, on a picture of the unit: one touch is the answer. */
export function RodPlaces({ onAnswer }: { onAnswer(place: string): void }) {
  const { burnsGas } = useFamily();
  const words = useWords();
  const shown = places.filter(({ only }) => only === undefined || (only === 'gas') === burnsGas);
  return (
    <div className="mt-3" role="group" aria-label="Where it is loudest">
      <div className="relative mx-auto h-[344px] w-[300px]">
        <svg viewBox="0 0 300 344" className="absolute inset-0" aria-hidden="true">
          <g fill="none" stroke="var(--ink)" strokeWidth="2">
            <path d="M80 96q70-34 140 0v214h-140z" fill="var(--paper)" />
            {burnsGas && <path d="M136 78V8M164 78V8" />}
            <path d="M104 82V20H10M196 82V20H290" />
            <path d="M220 118h28v190" />
            {burnsGas ? (
              <>
                <path d="M80 284h140M92 300h40v10h-40z" />
                <path d="M220 250h26v28h-26zM246 264h44" />
              </>
            ) : (
              <path d="M94 178h36v36h-36zM94 252h36v36h-36z" />
            )}
          </g>
        </svg>
        {shown.map(({ id, at: [x, y] }, k) => (
          <button
            key={id}
            type="button"
            aria-label={capital(words.outcome('noise-where', id))}
            className="absolute flex h-11 w-11 -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 border-act bg-sheet font-semibold text-act"
            style={{ left: x, top: y }}
            onClick={() => onAnswer(id)}
          >
            {k + 1}
          </button>
        ))}
      </div>
      <ol className="mt-2 grid grid-cols-2 gap-x-4">
        {shown.map(({ id }, k) => (
          <li key={id}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-2 text-left"
              onClick={() => onAnswer(id)}
            >
              <span className="font-semibold text-act">{k + 1}</span>{' '}
              {capital(words.outcome('noise-where', id))}
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}
