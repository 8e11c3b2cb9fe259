import type { ProcedureRun, StepMark } from '../job-file';
import type { Procedure, ProcedureStep } from './generated/procedure-types';

/** Where a run stands: the step that is next, and since when. */
export interface Position {
  readonly step: ProcedureStep;
  readonly index: number;
  /** When it was reached. */
  readonly since: string;
  /** When its timer was started by hand, where that is how it starts. */
  readonly tappedAt?: string;
}

/** The result of a `started` mark that starts a timer by hand. */
export const tapped = 'tapped';

/**
 * Where a run stands by its marks alone, on whatever device: the last step that was reached and not ended.
 * @returns undefined where the run has ended, or its step is none of this procedure any more.
 */
export function positionOf(procedure: Procedure, run: ProcedureRun): Position | undefined {
  if (run.ends !== undefined) return undefined;
  const { steps } = procedure;
  // The oldest marks of a very long run are forgotten: it is read from the first that is left.
  const first = Math.max(
    0,
    steps.findIndex((each) => each.id === run.marks[0]?.step),
  );
  let position: Position = { step: steps[first]!, index: first, since: run.startedAt };
  const goTo = (id: string | undefined, mark: StepMark) => {
    const index = steps.findIndex((each) => each.id === id);
    if (index >= 0) position = { step: steps[index]!, index, since: mark.at };
  };
  for (const mark of run.marks) {
    switch (mark.phase) {
      case 'started':
        if (mark.result === tapped) {
          if (mark.step === position.step.id) position = { ...position, tappedAt: mark.at };
        } else goTo(mark.step, mark);
        break;
      case 'done':
      case 'skipped': {
        // Two devices may end the same step, one of them late: the run has gone on by then.
        if (mark.step !== position.step.id) break;
        const below = steps[steps.findIndex((each) => each.id === mark.step) + 1];
        goTo(mark.to ?? below?.id, mark);
        break;
      }
    }
  }
  return position;
}

/** How often a step of a run was ended so that it led to another. */
export const timesLed = (run: ProcedureRun, step: string, to: string): number =>
  run.marks.filter((each) => each.phase === 'done' && each.step === step && each.to === to).length;

/** How often in a row a step was done for a repeat, since its run last came from above it. */
export function timesDone({ marks }: ProcedureRun, step: string, from: string): number {
  let times = 0;
  for (const mark of marks.toReversed()) {
    if (mark.phase !== 'done') continue;
    if (mark.step === step) {
      if (mark.to !== from && times > 0) break;
      times++;
    } else if (mark.step !== from && mark.to === undefined) break;
  }
  return times;
}
