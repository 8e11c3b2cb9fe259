'use client';

import { useState } from 'react';
import { isWorkedDead, type Repair } from '@/core/appliances';
import type { JobState } from '@/core/job-file';
import type { JobRecord } from '@/features/record/use-job-record';
import { useDraft } from '@/features/record/use-draft';
import { useFamily, useWords } from '@/features/record/family-context';
import { terminalName } from '@/features/record/words';
import { Tick } from '@/ui/marks';
import { CautionSign } from '@/ui/signs';
import type { StageProps } from './stage-props';

/** The repair with its cautions, parts, wires and steps. */
export function RepairSteps({ record, answer, repair }: StageProps & { repair: string }) {
  const { append } = record;
  const { state } = answer;
  const family = useFamily();
  const details = family.repairs[repair]!;
  const words = useWords();
  // Done is what has been done for this verdict: the same part may be needed again.
  const isDone = state.verdict === undefined && state.repairsDone.includes(repair);
  const stillLifted = state.lifted;
  // A wire that a reading left off goes back here too, whatever the repair itself needs.
  const hasWires = details.wires.length > 0 || stillLifted.length > 0;
  // Millivolt leads are lifted with nothing to prove.
  const isUnproved = isWorkedDead(family) && !state.provedDeadAt;
  const isBlocked = details.wires.length > 0 && isUnproved && !isDone;
  const [problem, setProblem] = useState<string>();

  const finish = () => {
    if (stillLifted.length > 0) {
      setProblem(
        `Still lifted: ${stillLifted.map((each) => words.wire(each.wire)).join(', ')}. Put every wire back first.`,
      );
      return;
    }
    setProblem(undefined);
    void append({ kind: 'action', action: 'replace', repair });
  };

  return (
    <>
      <p className="text-lead font-semibold">{details.order}</p>
      <ul className="my-2 space-y-1.5">
        {details.cautions.map((each) => (
          <li key={each.words} className="flex items-center gap-2.5 text-small">
            <CautionSign sign={each.sign} />
            {each.words}
          </li>
        ))}
      </ul>
      {details.parts.length > 0 && (
        <>
          <h3 className="mt-3 font-semibold">Parts</h3>
          <ul>
            {details.parts.map((part) => (
              <li key={part} className="border-b border-hair py-1.5">
                <span className="block">{part}</span>
                <span className="flex flex-wrap gap-2 pt-1">
                  {(['needed', 'ordered', 'fitted'] as const).map((action) => (
                    <button
                      key={action}
                      type="button"
                      aria-pressed={state.parts.get(part) === action}
                      aria-label={`${part}: ${action}`}
                      className="button aria-pressed:border-2 aria-pressed:border-act aria-pressed:font-semibold aria-pressed:text-act"
                      onClick={() => void append({ kind: 'part', part, action, repair })}
                    >
                      {action}
                    </button>
                  ))}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {hasWires && (
        <WireList record={record} state={state} repair={details} isBlocked={isUnproved} />
      )}
      <h3 className="mt-3 font-semibold">Steps</h3>
      <ol className="list-decimal space-y-1 pl-5">
        {details.steps.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ol>
      {isUnproved && (isBlocked || stillLifted.length > 0) && (
        <p className="mt-3 font-medium">Wires wait until power is off and proved dead.</p>
      )}
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      {isDone ? (
        <p className="mt-4 flex items-center gap-2 font-semibold">
          <Tick /> Done
        </p>
      ) : (
        <button
          type="button"
          className="button button-act mt-4 min-h-14 w-full text-lead"
          disabled={isBlocked}
          onClick={finish}
        >
          {repair === 'none-in-unit' ? 'Nothing to repair: go on' : 'Repair is done'}
        </button>
      )}
    </>
  );
}

/** Wires are noted before they are lifted, and ticked when they are back where they were. */
function WireList({
  record,
  state,
  repair,
  isBlocked,
}: {
  record: JobRecord;
  state: JobState;
  repair: Repair;
  isBlocked: boolean;
}) {
  const listed = [
    ...repair.wires,
    ...state.lifted.filter(
      (each) => !repair.wires.some((wire) => wire.wire === each.wire && wire.end === each.end),
    ),
  ];
  return (
    <>
      <h3 className="mt-3 font-semibold">Wires: note, lift, put back</h3>
      <ul>
        {listed.map((each) => (
          <WireRow
            key={`${each.wire} ${each.end}`}
            record={record}
            state={state}
            lifted={each}
            isBlocked={isBlocked}
          />
        ))}
      </ul>
    </>
  );
}

function WireRow({
  record,
  state,
  lifted,
  isBlocked,
}: {
  record: JobRecord;
  state: JobState;
  lifted: { readonly wire: string; readonly end: string };
  isBlocked: boolean;
}) {
  const words = useWords();
  const noted = record.job.entries.findLast(
    (each) => each.kind === 'wire' && each.wire === lifted.wire,
  );
  const [colour, setColour] = useDraft(`${record.job.job.id} wire ${lifted.wire} ${lifted.end}`);
  const isLifted = state.lifted.some(
    (each) => each.wire === lifted.wire && each.end === lifted.end,
  );
  const shownColour = noted?.kind === 'wire' ? noted.colour : undefined;
  const lift = () => {
    void record.append(
      {
        kind: 'wire',
        wire: lifted.wire,
        from: lifted.end,
        ...(colour.trim() ? { colour: colour.trim() } : {}),
      },
      { kind: 'action', action: 'lift-wire', ...lifted },
    );
    setColour('');
  };
  return (
    <li className="flex flex-wrap items-center gap-2 border-b border-hair py-1.5">
      <span className="min-w-0 flex-1 leading-tight">
        {terminalName(lifted.end)}
        <span className="block text-small text-ink-2">
          {words.wire(lifted.wire)}
          {shownColour && `, ${shownColour}`}
        </span>
      </span>
      {!isLifted && !shownColour && (
        <input
          className="field w-28"
          placeholder="colour"
          aria-label={`Colour of the ${words.wire(lifted.wire)}`}
          value={colour}
          maxLength={60}
          onChange={(event) => setColour(event.target.value)}
        />
      )}
      <button
        type="button"
        className="button"
        disabled={isBlocked}
        aria-label={`${words.wire(lifted.wire)} at ${terminalName(lifted.end)}: ${isLifted ? 'put back' : 'lift'}`}
        onClick={() =>
          isLifted
            ? void record.append({ kind: 'action', action: 'refit-wire', ...lifted })
            : lift()
        }
      >
        {isLifted ? 'Put back' : 'Lift'}
      </button>
    </li>
  );
}
