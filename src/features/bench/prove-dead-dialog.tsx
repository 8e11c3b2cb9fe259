'use client';

import { useState } from 'react';
import { parseReading } from '@/core/quantities';
import { useFamily } from '@/features/record/family-context';
import type { NewEntry } from '@/features/record/use-job-record';
import { Dialog } from '@/ui/dialog';
import { ElectricitySign } from '@/ui/signs';
import { deadBelowVolt } from '@/core/job-file';

/** Power off and proved dead: on every leg, with a prover tried on a live point before and after. */
export function ProveDeadDialog({
  isOpen,
  onClose,
  onProved,
}: {
  isOpen: boolean;
  onClose(): void;
  onProved(entries: NewEntry[]): void;
}) {
  const { deadPoints: points } = useFamily();
  const [typed, setTyped] = useState<readonly string[]>(['', '', '']);
  const [proverTried, setProverTried] = useState(false);
  const [problem, setProblem] = useState<string>();

  const prove = (texts: readonly string[]) => {
    const parsed = texts.map((each) =>
      parseReading(each, { quantity: 'voltage-ac', system: 'us' }),
    );
    const volts = parsed.map((each) => (each.kind === 'value' ? each.value : undefined));
    if (volts.some((each) => each === undefined)) {
      setProblem('All three readings are needed: across, and each leg.');
      return;
    }
    if (volts.some((each) => each! >= deadBelowVolt)) {
      setProblem(
        'Not dead. Leave it: find the right breaker, or a second circuit, then prove again.',
      );
      return;
    }
    if (!proverTried) {
      setProblem('Try the prover on a known live point before and after, else 0 V proves nothing.');
      return;
    }
    onProved([
      { kind: 'action', action: 'power-off' },
      {
        kind: 'action',
        action: 'proved-dead',
        proverTried: 'before-and-after',
        points: points.map(({ between }, index) => ({
          between: [...between],
          value: { volt: volts[index]! },
        })),
      },
    ]);
    setTyped(['', '', '']);
    setProverTried(false);
    setProblem(undefined);
  };

  return (
    <Dialog title="Make safe" isOpen={isOpen} onClose={onClose}>
      <p className="mb-3 flex items-center gap-3">
        <ElectricitySign />
        <span>
          Breaker off and held off, then volts on every leg. Every circuit that feeds the unit.
          Local codes and your licence decide who may do this.
        </span>
      </p>
      <label className="flex min-h-11 items-center gap-3 font-medium">
        <input
          type="checkbox"
          className="size-5 accent-(--act)"
          checked={proverTried}
          onChange={(event) => setProverTried(event.target.checked)}
        />
        Prover tried on a live point before and after
      </label>
      <div className="my-2 border-t border-hair">
        {points.map(({ label }, index) => (
          <label
            key={label}
            className="flex items-center justify-between gap-3 border-b border-hair py-1.5"
          >
            {label}
            <span className="flex items-center gap-2">
              <input
                className="field w-24 text-right text-lead font-semibold"
                inputMode="decimal"
                value={typed[index]}
                onChange={(event) =>
                  setTyped(typed.map((each, k) => (k === index ? event.target.value : each)))
                }
              />
              V
            </span>
          </label>
        ))}
      </div>
      {problem && (
        <p role="alert" className="my-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <button
          type="button"
          className="button button-act flex-1"
          onClick={() => prove(typed.map((each) => each || '0'))}
        >
          {typed.every((each) => each === '') ? '0 V on all three: proved dead' : 'Proved dead'}
        </button>
      </div>
    </Dialog>
  );
}
