'use client';

import { provedDeadNeed, type Missing as MissingNeed } from '@/core/procedures';
import { ObservationAnswers } from '@/features/bench/observation-answers';
import { useFamily, useWords } from '@/features/record/family-context';
import { useOneAtATime } from '@/features/record/use-one-at-a-time';
import { capital } from '@/features/record/words';
import type { NewEntry } from '@/features/record/use-job-record';
import { beginning, newRun } from './use-run';
import type { RunnerProps } from './run-props';

/** What has to hold for a step and does not, each with the way to it. */
export function Missing({
  missing,
  record,
  run,
  procedure,
  onProveDead,
  onOpen,
}: RunnerProps & { readonly missing: readonly MissingNeed[] }) {
  const family = useFamily();
  const words = useWords();
  const oneAtATime = useOneAtATime();
  /** An answer that nobody works on with leads to the procedure that makes it safe: gas smelled. */
  const answer = (check: string, value: string) => {
    const leaving = family.procedures.find(
      ({ makesSafe, steps: [first] }) =>
        makesSafe &&
        first!.checks?.includes(check) &&
        first!.branch?.some(({ is, goto }) => is === value && goto === 'end:leave'),
    );
    const own = leaving && newRun(leaving.id, { within: run.run });
    const first = own ? [beginning(own, leaving.steps[0]!.id)] : [];
    oneAtATime(
      `${check} ${value}`,
      async () =>
        (await record.append({ kind: 'observation', check, value }, ...first)) &&
        own &&
        onOpen(own.run),
    );
  };
  if (missing.length === 0) return null;
  const name = (need: string) =>
    need === provedDeadNeed ? 'Power off and proved dead' : capital(words.cover(need));
  return (
    <div role="alert" className="mt-3 border-2 border-rule p-3">
      {missing.map(({ need, hasLapsed }) => {
        const shownBy = family.catalogue.facts.get(need)?.shownBy;
        const making = family.procedures.find(
          (each) =>
            each.id !== procedure.id &&
            each.steps.some(({ records = [] }) =>
              records.some(
                (one) => one.entry === 'action' && one.action === 'make-so' && one.fact === need,
              ),
            ),
        );
        return (
          <div key={need} className="mb-2 last:mb-0">
            <p className="font-semibold">
              {name(need)}: {hasLapsed ? 'held, and does not any more' : 'not yet'}
            </p>
            {hasLapsed && (
              <p className="text-small">
                Another person, another visit or hours have gone by: it is made so again before the
                work goes on.
              </p>
            )}
            {need === provedDeadNeed ? (
              <button type="button" className="button mt-1" onClick={onProveDead}>
                Prove dead
              </button>
            ) : shownBy ? (
              <>
                <p className="mt-1">{family.checks[shownBy]!.doThis}</p>
                <ObservationAnswers check={shownBy} onAnswer={(value) => answer(shownBy, value)} />
              </>
            ) : making ? (
              <button
                type="button"
                className="button mt-1"
                onClick={() => {
                  const own = newRun(making.id, { repair: run.repair, within: run.run });
                  const first = beginning(own, making.steps[0]!.id);
                  oneAtATime(
                    making.id,
                    async () => (await record.append(first)) && onOpen(own.run),
                  );
                }}
              >
                {making.title}
              </button>
            ) : (
              <button
                type="button"
                className="button mt-1"
                onClick={() =>
                  void record.append({
                    kind: 'action',
                    action: 'make-so',
                    fact: need,
                  } as NewEntry)
                }
              >
                It is so
              </button>
            )}
          </div>
        );
      })}
    </div>
  );
}
