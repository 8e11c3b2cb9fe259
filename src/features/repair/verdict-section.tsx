'use client';

import { Link } from '@/ui/link';
import { useState } from 'react';
import { engineVersion } from '@/core/job-diagnosis';
import { useFamily, useWords } from '@/features/record/family-context';
import { percent } from '@/features/record/words';
import { VerdictReasons } from '@/features/bench/verdict-reasons';
import { Tick } from '@/ui/marks';
import type { StageProps } from './stage-props';

/** The verdict with its reasons, and the decision to act on it: stored with what it was worked out by. */
export function VerdictSection({ record, answer, isSettled, system }: StageProps) {
  const { parameterHash } = useFamily();
  const words = useWords();
  const { suspects, decided, afterRepair, stop } = answer.answer;
  const { verdict, rounds } = answer.state;
  const [other, setOther] = useState<string>();
  const stored = verdict?.suspects;
  const shown = (stored ?? suspects).filter((each, index) => index < 3 && each.probability > 0.003);
  /** As on the bench: nothing is proposed, and whoever puts the danger right says what they do. */
  const isStopped = stop !== undefined && !verdict;
  const hasHeld = !verdict && !stop && (afterRepair?.heldProbability ?? 0) > 0.5;
  const first = shown[0];
  const chosen = other ?? first?.repair;

  const act = () => {
    if (!chosen) return;
    setOther(undefined);
    void record.append({
      kind: 'verdict',
      engine: engineVersion,
      parameters: parameterHash,
      repair: chosen,
      decided,
      suspects: suspects.slice(0, 6).map((each) => ({
        repair: each.repair,
        repairs: [...each.repairs],
        probability: each.probability,
        faults: each.faults.slice(0, 12).map((fault) => ({ ...fault })),
        why: each.why.map((reason) => ({ ...reason })),
      })),
    });
  };

  if (!first) return null;
  return (
    <>
      <DoneRounds rounds={rounds} />
      {hasHeld && (
        <p className="mb-3">
          After the repair the unit is good with{' '}
          <strong className="font-semibold">{percent(afterRepair!.heldProbability)} %</strong>:
          prove it. If it is not, act on what stands below.
        </p>
      )}
      <p className="text-small text-ink-2" role="status">
        {verdict
          ? 'Acted on'
          : isStopped
            ? 'Make it safe first'
            : hasHeld
              ? 'As it stands now'
              : rounds.length > 0
                ? 'What may still be wrong'
                : !isSettled
                  ? 'Working out whether it is enough'
                  : decided
                    ? 'Enough to repair on'
                    : 'Not yet enough to repair on'}
      </p>
      {!isStopped && (
        <>
          <p className="flex items-end justify-between gap-3">
            <span className="text-title leading-tight font-semibold">
              {words.order(verdict?.repair ?? first.repair)}
            </span>
            <span className="leading-none whitespace-nowrap">
              <span className="text-[52px] font-semibold">{percent(first.probability)}</span>
              <span className="text-title font-semibold"> %</span>
            </span>
          </p>
          {first.faults?.[0] && (
            <p>
              {words.suspect(first.repair)}, {words.fault(first.faults[0].id)}.
            </p>
          )}
          <div className="mt-3">
            <VerdictReasons
              job={record.job}
              answer={verdict ? {} : answer.answer}
              why={first.why ?? []}
              system={system}
            />
          </div>
          {shown.length > 1 && (
            <>
              <h3 className="mt-3 font-semibold">What else it could be</h3>
              <ul>
                {shown.slice(1).map((each) => (
                  <li key={each.repair} className="flex justify-between border-b border-hair py-1">
                    {words.suspect(each.repair)}{' '}
                    <span className="font-semibold">{percent(each.probability)} %</span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </>
      )}
      {!verdict && (
        <div className="mt-4 space-y-3">
          <label className="block text-small font-medium">
            Repair to do
            <select
              className="field mt-1"
              value={chosen}
              onChange={(event) => setOther(event.target.value)}
            >
              {suspects.map((each) => (
                <option key={each.repair} value={each.repair}>
                  {words.order(each.repair)} ({percent(each.probability)} %)
                </option>
              ))}
            </select>
          </label>
          <button
            type="button"
            className={
              hasHeld || isStopped ? 'button w-full' : 'button button-act min-h-14 w-full text-lead'
            }
            disabled={!isSettled}
            onClick={act}
          >
            {isStopped ? 'Repair this, once it is safe' : 'Act on this verdict'}
          </button>
          {!decided && isSettled && (
            <Link href={`/jobs/${record.job.job.id}`} className="button w-full">
              Back to the checks: it is not sure yet
            </Link>
          )}
        </div>
      )}
    </>
  );
}

/** Repairs that are done, in their order: what is shown below is what may be wrong after them. */
function DoneRounds({ rounds }: { rounds: StageProps['answer']['state']['rounds'] }) {
  const words = useWords();
  if (rounds.length === 0) return null;
  return (
    <ol className="mb-3 border-b border-hair pb-2" aria-label="Repairs done">
      {rounds.map((each, index) => (
        <li key={index} className="flex items-center gap-2">
          <Tick /> {words.order(each.repair)}: done
        </li>
      ))}
    </ol>
  );
}
