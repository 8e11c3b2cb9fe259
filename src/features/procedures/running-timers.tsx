'use client';

import { Link } from '@/ui/link';
import type { JobFile, JobState, ProcedureRun } from '@/core/job-file';
import {
  clockWords,
  elapsedSeconds,
  positionOf,
  timerOf,
  timerPhase,
  type StepTimer,
} from '@/core/procedures';
import { familyOfJob } from '@/core/appliances';
import { useFamily } from '@/features/record/family-context';
import { useClock } from './use-clock';

/** The clock of a run, where the step that it stands at has one. */
export function RunClock({ run }: { run: ProcedureRun }) {
  const procedure = useFamily().procedures.find((each) => each.id === run.procedure);
  const position = procedure && positionOf(procedure, run);
  const timer = procedure && position && timerOf(procedure, run, position);
  const { now } = useClock(timer?.startedAt !== undefined, run.marks.at(-1)?.at, 1000);
  return timer ? <Standing timer={timer} now={now} /> : null;
}

function Standing({ timer, now }: { timer: StepTimer; now: number }) {
  const phase = timerPhase(timer, now);
  if (phase === 'waits') return null;
  return (
    <span
      className={`shrink-0 text-right leading-tight ${phase === 'overdue' ? 'text-heat' : phase === 'ready' ? 'text-act' : ''}`}
    >
      <span className="block text-lead font-semibold">
        {clockWords(elapsedSeconds(timer, now))}
      </span>
      <span className="block text-micro">
        {phase === 'running'
          ? `of ${clockWords(timer.leastSeconds)}`
          : phase === 'ready'
            ? 'now'
            : 'over'}
      </span>
    </span>
  );
}

/** A bar has room for so many; how the power stands is read before any of them. */
const mostShown = 2;
const byUrgency = ['overdue', 'ready', 'running', 'waits'];

/** In the bar of every page of a job: what runs meanwhile, and when it is due: what is over or due stands before what still runs, and that before
 * what runs for longer. */
export function RunningTimers({
  job,
  state,
  except,
}: {
  job: JobFile;
  state: JobState | undefined;
  except: string | undefined;
}) {
  const { procedures } = familyOfJob(job);
  const going = Object.values(state?.runs ?? {}).filter(
    (each) => each.ends === undefined && each.run !== except,
  );
  const { now } = useClock(going.length > 0, lastOf(going), 1000);
  const clocks = going.flatMap((run) => {
    const procedure = procedures.find((each) => each.id === run.procedure);
    const position = procedure && positionOf(procedure, run);
    const timer = procedure && position && timerOf(procedure, run, position);
    const phase = timer && timerPhase(timer, now);
    return procedure ? [{ run, procedure, timer, phase }] : [];
  });
  const left = ({ timer }: (typeof clocks)[number]) =>
    timer ? timer.leastSeconds - elapsedSeconds(timer, now) : Number.MAX_SAFE_INTEGER;
  const first = [...clocks].sort(
    (one, other) => urgency(one.phase) - urgency(other.phase) || left(one) - left(other),
  );
  const shown = first.slice(0, mostShown).map(({ run, procedure, timer, phase }) => {
    return (
      <Link
        key={run.run}
        href={`/jobs/${job.job.id}/procedures?run=${run.run}`}
        className={`flex min-h-11 flex-col justify-center border-l border-hair px-3 text-small leading-tight ${phase === 'overdue' ? 'bg-heat-wash font-semibold text-heat' : phase === 'ready' ? 'bg-act-wash font-semibold text-act' : ''}`}
      >
        <span className="max-w-36 truncate font-semibold">{procedure.title}</span>
        <span>
          {timer && phase !== 'waits'
            ? `${clockWords(elapsedSeconds(timer, now))} of ${clockWords(timer.leastSeconds)}`
            : 'goes on'}
        </span>
      </Link>
    );
  });
  const more = clocks.length - shown.length;
  return (
    <>
      {shown}
      {more > 0 && (
        <Link
          href={`/jobs/${job.job.id}/procedures`}
          className="flex min-h-11 items-center border-l border-hair px-3 text-small font-semibold"
          aria-label={`${more} more that go on`}
        >
          +{more}
        </Link>
      )}
    </>
  );
}

const urgency = (phase: ReturnType<typeof timerPhase> = 'waits') => byUrgency.indexOf(phase);

/** The last that was written of any of them. */
const lastOf = (runs: readonly ProcedureRun[]): string | undefined =>
  runs
    .map(({ marks }) => marks.at(-1)!.at)
    .sort()
    .at(-1);
