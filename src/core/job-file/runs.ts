import type { StepEntry } from './generated/job-types';

/** One time that a procedure was gone through, or is being gone through. */
export interface ProcedureRun {
  readonly run: string;
  readonly procedure: string;
  /** The repair that it is done for, and the run that it is a part of. */
  readonly repair?: string;
  readonly within?: string;
  readonly startedAt: string;
  readonly marks: readonly StepMark[];
  /** How it ended: `done`, `stopped`, or where its last step led. Undefined while it goes on. */
  readonly ends?: string;
  readonly endedAt?: string;
}

/** What happened at a step. */
export type StepMark = Pick<StepEntry, 'step' | 'phase' | 'at' | 'by' | 'reason' | 'result' | 'to'>;

/** A run of more marks than this is no work of hands: the oldest are forgotten. */
const mostMarks = 400;

/** The runs with one entry more. */
export function withStep(
  runs: Readonly<Record<string, ProcedureRun>>,
  entry: StepEntry,
): Readonly<Record<string, ProcedureRun>> {
  const { run, procedure, step, phase, at, by, reason, result, to, ends } = entry;
  const known = Object.hasOwn(runs, run) ? runs[run] : undefined;
  const { repair, within } = entry;
  const before: ProcedureRun = known ?? {
    run,
    procedure,
    repair,
    within,
    startedAt: at,
    marks: [],
  };
  const mark: StepMark = { step, phase, at, by, reason, result, to };
  const isOver = phase === 'stopped' || ends !== undefined;
  return {
    ...runs,
    [run]: {
      ...before,
      marks: [...before.marks.slice(-mostMarks), mark],
      // Whoever goes on with a run that had ended takes it up again.
      ends: isOver ? (ends ?? 'stopped') : undefined,
      endedAt: isOver ? at : undefined,
    },
  };
}
