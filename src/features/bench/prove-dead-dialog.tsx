'use client';

import { useEffect, useMemo, useState } from 'react';
import { judgeDeadProof, type JobFile } from '@/core/job-file';
import { parseReading } from '@/core/quantities';
import { useFamily } from '@/features/record/family-context';
import { usePresentTechnician } from '@/features/record/technician-context';
import { useDraft } from '@/features/record/use-draft';
import type { NewEntry } from '@/features/record/use-job-record';
import { Choice } from '@/ui/choice';
import { Dialog } from '@/ui/dialog';
import { ElectricitySign } from '@/ui/signs';
import { terminalName } from '../record/words';
import {
  isStale,
  keptProof,
  proofDraft,
  timesOnIn,
  type ProofDraft,
  type ProverTried,
} from './proof-draft';

const tried: readonly (readonly [ProverTried, string])[] = [
  ['before-and-after', 'before and after'],
  ['before', 'only before'],
  ['not-tried', 'not tried'],
];

/**
 * Power off and proved dead: every point that the family names is read by itself, with a prover tried on a live point before
 * and after. What was read goes into the logbook as it was read, proof or not.
 */
export function ProveDeadDialog({
  job,
  isOpen,
  onClose,
  onTried,
}: {
  job: JobFile;
  isOpen: boolean;
  onClose(): void;
  /** Gives false where nobody has kept them: then what was typed stays. */
  onTried(entries: NewEntry[]): Promise<boolean>;
}) {
  const { catalogue, deadPoints } = useFamily();
  const [kept, keep] = useDraft(`${job.job.id} prove dead`);
  const { id: by } = usePresentTechnician();
  const count = deadPoints.length;
  const timesOn = useMemo(() => timesOnIn(job.entries), [job.entries]);
  const draft = proofDraft(kept, by, count);
  const { texts: typed, prover } = draft;
  const [problem, setProblem] = useState<string>();
  const change = (to: (before: ProofDraft) => Partial<ProofDraft>) => {
    setProblem(undefined);
    keep((before) => {
      const found = proofDraft(before, by, count);
      // What was read before somebody switched it on is not gone on with either.
      const isOfBefore = isStale(found, Date.now(), timesOn);
      const { prover, texts } = isOfBefore ? proofDraft('', by, count) : found;
      return keptProof({ prover, texts, ...to({ prover, texts }) }, by, Date.now(), timesOn);
    });
  };
  // Told while it is typed, not only when it is to be entered.
  const isSwitchedOn = draft.at !== undefined && draft.timesOn !== timesOn;
  const told =
    problem ??
    (isSwitchedOn ? 'It was switched on since the first point: read every point anew.' : undefined);
  const type = (index: number, text: string) =>
    change(({ texts }) => ({ texts: texts.map((each, k) => (k === index ? text : each)) }));
  useEffect(() => {
    if (!isOpen) return;
    keep((before) => {
      const found = proofDraft(before, by, count);
      // That it was switched on since is told when it is to be entered.
      return isStale(found, Date.now(), found.timesOn) ? '' : before;
    });
  }, [isOpen, keep, by, count]);

  const enter = async () => {
    if (isStale(draft, Date.now(), timesOn)) {
      keep('');
      return setProblem(
        'It was switched on since, or this was read a while ago: read every point anew.',
      );
    }
    const parsed = typed.map((each) =>
      each.trim() === ''
        ? undefined
        : parseReading(each, { quantity: 'voltage-ac', system: 'metric' }),
    );
    const wrong = parsed.findIndex((each) => each !== undefined && each.kind !== 'value');
    const found = parsed[wrong];
    if (found && found.kind !== 'value') {
      const words = found.kind === 'problem' ? found.message : 'Type the volts as one number.';
      return setProblem(`${deadPoints[wrong]!.label}: ${words}`);
    }
    const points = deadPoints.flatMap(({ between }, k) => {
      const read = parsed[k];
      return read?.kind === 'value' ? [{ between: [...between], value: { volt: read.value } }] : [];
    });
    const proof = judgeDeadProof({ points, proverTried: prover }, catalogue);
    // Volts that were found are entered at once; for a proof nothing may be left out.
    if (proof.kind !== 'live') {
      const blank = deadPoints.find((_, k) => parsed[k] === undefined);
      if (blank) return setProblem(`${blank.label} is not read yet. Each point by itself.`);
      if (prover === undefined) {
        return setProblem('Was the prover tried on a known live point, before and after?');
      }
    }
    const isKept = await onTried([
      { kind: 'action', action: 'power-off' },
      {
        kind: 'action',
        action: 'proved-dead',
        points,
        ...(prover === undefined ? {} : { proverTried: prover }),
      },
    ]);
    if (isKept) keep('');
    setProblem(
      proof.kind === 'live'
        ? `${proof.volt} V at ${proof.between.map(terminalName).join(' to ')}: NOT dead. Hands off. Find the right breaker, or a second circuit, then prove again. A few volts that wander are phantoms: a two-pole prover that loads the leg shows 0.`
        : isKept && proof.kind === 'incomplete'
          ? 'Entered, and it proves nothing: a prover that was not tried before and after may be dead itself.'
          : isKept
            ? undefined
            : 'Not entered: neither this device nor the server has kept it. Until it is entered, the unit counts as not proved dead.',
    );
    if (isKept && proof.kind === 'proved') onClose();
  };
  // What is put away without being entered is begun anew: it may have been switched on before it is opened again.
  const putAway = () => {
    keep('');
    setProblem(undefined);
    onClose();
  };

  return (
    <Dialog title="Make safe" isOpen={isOpen} onClose={putAway}>
      <p className="mb-2 flex items-center gap-3">
        <ElectricitySign />
        <span>
          Breaker off and held off, every circuit that feeds the unit. What covers the points comes
          off with the breaker off: touch nothing behind it until every point has read dead. Local
          codes and your licence decide who may do this.
        </span>
      </p>
      <Choice
        label="Prover tried on a known live point"
        why="0 V from a prover that does not work proves nothing."
        options={tried.map(([each, label]) => ({
          label,
          isChosen: prover === each,
          onChoose: () => change(() => ({ prover: each })),
        }))}
      />
      <ul className="my-2 border-t border-hair">
        {deadPoints.map(({ label }, index) => (
          <li
            key={label}
            className="flex items-center justify-between gap-2 border-b border-hair py-1.5"
          >
            <label htmlFor={`dead-point-${index}`} className="min-w-0 flex-1">
              {label}
            </label>
            <button
              type="button"
              className="button px-3"
              aria-label={`${label}: 0 V`}
              aria-pressed={typed[index] === '0'}
              onClick={() => type(index, '0')}
            >
              0 V
            </button>
            <input
              id={`dead-point-${index}`}
              className="field w-20 text-right text-lead font-semibold"
              inputMode="decimal"
              value={typed[index]}
              maxLength={12}
              onChange={(event) => type(index, event.target.value)}
            />
            <span aria-hidden="true">V</span>
          </li>
        ))}
      </ul>
      {told && (
        <p role="alert" className="my-2 border-l-4 border-rule pl-3 font-medium">
          {told}
        </p>
      )}
      <button
        type="button"
        className="button button-act mt-1 min-h-14 w-full"
        onClick={() => void enter()}
      >
        Enter what was read
      </button>
    </Dialog>
  );
}
