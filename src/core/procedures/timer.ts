import type { ProcedureRun } from '../job-file';
import type { Procedure, ProcedureStep } from './generated/procedure-types';
import type { Position } from './position';

/** The clock of a step: when it was started, and between which times it is right. */
export interface StepTimer {
  /** Undefined while it waits for a tap. */
  readonly startedAt?: string;
  readonly leastSeconds: number;
  readonly mostSeconds: number;
  readonly endsBy: 'time' | 'tap';
  /** Other work goes on meanwhile. */
  readonly isBackground: boolean;
  /** What is due once the most has passed. */
  readonly overdue?: string;
}

export type TimerPhase = 'waits' | 'running' | 'ready' | 'overdue';

/** The clock of the step that a run stands at; undefined for one without seconds. */
export function timerOf(
  procedure: Procedure,
  run: ProcedureRun,
  { step, since, tappedAt }: Position,
): StepTimer | undefined {
  const { seconds, timer = {} } = step;
  if (!seconds) return undefined;
  return {
    startedAt: startOf(procedure, run, step) ?? (timer.start === 'tap' ? tappedAt : since),
    leastSeconds: seconds.least,
    mostSeconds: seconds.most,
    endsBy: timer.end ?? 'tap',
    isBackground: timer.background ?? false,
    overdue: timer.overdue,
  };
}

/** A clock that an earlier step started: the knob pressed there, let go here. */
function startOf(procedure: Procedure, run: ProcedureRun, step: ProcedureStep): string | undefined {
  const id = step.timer?.id;
  if (id === undefined) return undefined;
  const starter = procedure.steps.find(({ timer }) => timer?.start === 'done' && timer.id === id);
  return run.marks.findLast((each) => each.phase === 'done' && each.step === starter?.id)?.at;
}

/** Seconds on the clock; never less than none, wherever the clock of the device has gone. */
export const elapsedSeconds = ({ startedAt }: StepTimer, now: number): number =>
  startedAt === undefined ? 0 : Math.max(0, (now - Date.parse(startedAt)) / 1000);

/** How the clock stands. */
export function timerPhase(timer: StepTimer, now: number): TimerPhase {
  if (timer.startedAt === undefined) return 'waits';
  const seconds = elapsedSeconds(timer, now);
  if (seconds < timer.leastSeconds) return 'running';
  return seconds <= timer.mostSeconds ? 'ready' : 'overdue';
}

/** When the least has passed, and when the most has; undefined while nobody has started it. */
export function dueTimes({
  startedAt,
  leastSeconds,
  mostSeconds,
}: StepTimer): { readonly due: Date; readonly late: Date } | undefined {
  if (startedAt === undefined) return undefined;
  const start = Date.parse(startedAt);
  return {
    due: new Date(start + leastSeconds * 1000),
    late: new Date(start + mostSeconds * 1000),
  };
}

/** Seconds as a clock: 4:05, 1:02:03. */
export function clockWords(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  const [hours, minutes, rest] = [
    Math.floor(whole / 3600),
    Math.floor((whole % 3600) / 60),
    whole % 60,
  ];
  const two = (n: number) => String(n).padStart(2, '0');
  return hours > 0 ? `${hours}:${two(minutes)}:${two(rest)}` : `${minutes}:${two(rest)}`;
}
