'use client';

import { useState } from 'react';
import { Link } from '@/ui/link';
import { isWorkedDead } from '@/core/appliances';
import { belongsOn, misplacedWires } from '@/core/job-file';
import { endsOf, WireEnd } from '@/features/procedures/wire-map';
import { useFamily, useWords } from '@/features/record/family-context';
import { capital, terminalName } from '@/features/record/words';
import { Tick } from '@/ui/marks';
import { CautionSign } from '@/ui/signs';
import { PartList } from './part-list';
import { ReplaceFigures } from './replace-figures';
import type { StageProps } from './stage-props';

/** The repair with its cautions, parts, wires and steps. */
export function RepairSteps({
  record,
  answer,
  repair,
  system,
  firm,
}: StageProps & { repair: string }) {
  const { append } = record;
  const { state } = answer;
  const family = useFamily();
  const details = family.repairs[repair]!;
  const words = useWords();
  // Done is what has been done for this verdict: the same part may be needed again.
  const isDone = state.verdict === undefined && state.repairsDone.includes(repair);
  const stillLifted = state.lifted;
  // A wire that a reading left off goes back here too, whatever the repair itself needs.
  const ends = endsOf(details.wires, state);
  const hasWires = ends.length > 0;
  const procedures = family.procedures.filter((each) => each.repairs?.includes(repair));
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
    const wrong = misplacedWires(state)[0];
    if (wrong) {
      setProblem(
        `${capital(words.wire(wrong.wire))} sits on ${terminalName(wrong.backOn!)} and belongs on ${terminalName(belongsOn(wrong))}. Put it right first.`,
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
        <PartList
          {...{ record, state, repair, system }}
          parts={details.parts}
          fits={details.fits}
        />
      )}
      {hasWires && (
        <>
          <h3 className="mt-3 font-semibold">Wires: note, lift, put back</h3>
          {isUnproved && (isBlocked || stillLifted.length > 0) && (
            <p className="font-medium">Wires wait until power is off and proved dead.</p>
          )}
          <ul>
            {ends.map((each) => (
              <WireEnd
                key={`${each.wire} ${each.end}`}
                {...{ record, state, isUnproved }}
                does="both"
                end={each}
                noted={state.wires[`${each.wire} ${each.end}`]}
              />
            ))}
          </ul>
        </>
      )}
      {procedures.length > 0 && (
        <p className="mt-3 flex flex-wrap gap-2">
          {procedures.map((each) => (
            <Link
              key={each.id}
              href={`/jobs/${record.job.job.id}/procedures`}
              className="button border-act font-semibold text-act"
            >
              Step by step: {each.title}
            </Link>
          ))}
        </p>
      )}
      {repair !== 'none-in-unit' && (
        <ReplaceFigures
          {...{ record, repair }}
          prices={firm.prices ?? {}}
          intervals={firm.intervals ?? {}}
        />
      )}
      <h3 className="mt-3 font-semibold">Steps</h3>
      <ol className="list-decimal space-y-1 pl-5">
        {details.steps.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ol>
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
