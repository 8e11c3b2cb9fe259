'use client';

import { Link } from '@/ui/link';
import type { Diagnosis } from '@/core/job-diagnosis';
import type { JobFile, JobState } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { useWords } from '@/features/record/family-context';
import { percent } from '@/features/record/words';
import { minutesText } from './step-words';
import { VerdictReasons } from './verdict-reasons';

/** What stands in place of the next check once there is nothing left that is worth its minutes. */
export function VerdictPanel({
  job,
  answer,
  state,
  system,
  onOther,
  onChoose,
}: {
  job: JobFile;
  answer: Diagnosis;
  state: JobState;
  system: UnitSystem;
  onOther(): void;
  onChoose(check: string): void;
}) {
  const words = useWords();
  const [leading, second] = answer.suspects;
  const href = `/jobs/${job.job.id}/repair`;
  // Once repaired it is proved; unless what was read since says that something else is wrong.
  const isRepaired =
    !answer.stop &&
    state.repairsDone.length > 0 &&
    (answer.afterRepair?.heldProbability ?? 0) > 0.5;
  const heading = isRepaired
    ? 'Repaired: prove it'
    : answer.stop
      ? 'Make it safe first'
      : answer.decided
        ? 'Enough to repair on'
        : 'Nothing left to try that would tell more';
  return (
    <section className="flex flex-col gap-3 p-4" aria-label="Verdict">
      <p className="text-small text-ink-2">{heading}</p>
      {leading && !isRepaired && !answer.stop && (
        <>
          <h2 className="text-title-l leading-tight font-semibold text-balance">
            {words.order(leading.repair)}
          </h2>
          <p>
            {words.suspect(leading.repair)}
            {leading.faults[0] && `, ${words.fault(leading.faults[0].id)}`}:{' '}
            <strong className="font-semibold">{percent(leading.probability)} %</strong>.
            {second && second.probability > 0.005 && (
              <>
                {' '}
                What else it could be: {words.suspect(second.repair).toLowerCase()},{' '}
                {percent(second.probability)} %.
              </>
            )}
          </p>
          <VerdictReasons
            job={job}
            answer={answer}
            why={leading.why}
            system={system}
            onChoose={onChoose}
          />
          {answer.unread && (
            <p className="border-l-4 border-act pl-3">
              Found by what other parts read: nothing was read on this one itself.{' '}
              <button
                type="button"
                className="link py-3"
                onClick={() => onChoose(answer.unread!.check)}
              >
                {words.check(answer.unread.check)}
              </button>{' '}
              would show it, about {minutesText(answer.unread.minutes)}.
            </p>
          )}
          {!answer.decided && (
            <p>
              This is less sure than a repair should be. Take a doubtful reading again, or say why
              you go on.
            </p>
          )}
        </>
      )}
      <Link href={href} className="button button-act min-h-14 text-lead">
        {isRepaired ? 'To the proof' : 'To the repair'}
      </Link>
      <button type="button" className="button" onClick={onOther}>
        Another check first
      </button>
    </section>
  );
}
