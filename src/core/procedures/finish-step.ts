import type { Entry, JobState, ProcedureRun, StepEntry } from '../job-file';
import type { Procedure, ProcedureStep } from './generated/procedure-types';
import { timesDone, timesLed } from './position';

/** An entry before it has its id and time. */
export type UnstampedEntry = Entry extends infer Each
  ? Each extends Entry
    ? Omit<Each, 'id' | 'at'>
    : never
  : never;

/** What came of a step. */
export interface StepOutcome {
  /** The value of what was looked at, or which of its results it ended with. */
  readonly result?: string;
  /** Why it was ended before its least time. */
  readonly reason?: string;
  /** Once more from where a repeat begins. */
  readonly isAgain?: boolean;
  readonly seconds?: number;
}

/** What a step's way on may depend on beside its result. */
export interface StepFacts {
  /** The last reading of a check, in kept units. */
  readingOf(check: string): number | undefined;
  /** What the plate says, as a word. */
  plateValue(field: string): string | undefined;
}

/** Where a step leads: another step of the procedure, the end, or another procedure. */
export type WayOn =
  | { readonly kind: 'step'; readonly step: string; readonly isBelow: boolean }
  | { readonly kind: 'end'; readonly how: string }
  | { readonly kind: 'procedure'; readonly procedure: string; readonly step: string };

/** How a run ends that went to its last step. */
export const wentThrough = 'done';

/** Where a step leads with what came of it: the first branch that matches, else the step below. */
export function wayOn(
  procedure: Procedure,
  run: ProcedureRun,
  step: ProcedureStep,
  outcome: StepOutcome,
  facts: StepFacts,
): WayOn {
  const { repeat } = step;
  if (repeat && mustRepeat(run, step, outcome)) return below(procedure, repeat.from);
  for (const each of step.branch ?? []) {
    if (!matches(each, step, outcome, facts)) continue;
    if (each.tries !== undefined && timesLed(run, step.id, each.goto) >= each.tries) continue;
    if (each.goto.startsWith('end:')) return { kind: 'end', how: each.goto.slice('end:'.length) };
    const [other, at] = each.goto.split('/') as [string, string?];
    return at === undefined
      ? below(procedure, other)
      : { kind: 'procedure', procedure: other, step: at };
  }
  const next = procedure.steps[procedure.steps.indexOf(step) + 1];
  return next ? { kind: 'step', step: next.id, isBelow: true } : { kind: 'end', how: wentThrough };
}

const below = (procedure: Procedure, step: string): WayOn => ({
  kind: 'step',
  step,
  isBelow: false,
});

function mustRepeat(run: ProcedureRun, step: ProcedureStep, { isAgain }: StepOutcome): boolean {
  const [least, most] = step.repeat!.times as [number, number];
  const done = timesDone(run, step.id, step.repeat!.from) + 1;
  return done < least || (done < most && isAgain === true);
}

/** Whether it may be done once more, and whether it must be. */
export function repeatsLeft(
  run: ProcedureRun,
  step: ProcedureStep,
): { readonly done: number; readonly must: boolean; readonly may: boolean } | undefined {
  if (!step.repeat) return undefined;
  const [least, most] = step.repeat.times as [number, number];
  const done = timesDone(run, step.id, step.repeat.from) + 1;
  return { done, must: done < least, may: done < most };
}

function matches(
  branch: NonNullable<ProcedureStep['branch']>[number],
  step: ProcedureStep,
  { result, seconds = 0 }: StepOutcome,
  { readingOf, plateValue }: StepFacts,
): boolean {
  const { is, after, above, check } = branch;
  if (is !== undefined && is !== result) return false;
  if (after !== undefined && seconds < after) return false;
  if (above === undefined) return is !== undefined || after !== undefined;
  const limit = above.by ? above.by.values[plateValue(above.by.field) ?? ''] : above.value;
  const reading = (check === undefined ? (step.checks ?? []) : [check])
    .map(readingOf)
    .find((each) => each !== undefined);
  return limit !== undefined && reading !== undefined && reading > limit;
}

/** What a step writes beside itself. Nothing was served where the key step of the procedure was left out. */
export function recordsOf(
  { keyStep }: Procedure,
  { marks }: ProcedureRun,
  step: ProcedureStep,
  state: JobState,
  covers: ReadonlySet<string>,
): UnstampedEntry[] {
  const isServed =
    keyStep === undefined ||
    keyStep === step.id ||
    marks.some((each) => each.phase === 'done' && each.step === keyStep);
  return (step.records ?? []).flatMap((each): UnstampedEntry[] => {
    switch (each.entry) {
      case 'action': {
        const { entry: _kind, ...action } = each;
        return [{ kind: 'action', ...action }];
      }
      case 'service':
        return isServed ? [{ kind: 'service', service: each.service }] : [];
      case 'covers-closed':
        return Object.keys(state.facts)
          .filter((id) => covers.has(id))
          .map((target) => ({ kind: 'action', action: 'close', target }));
    }
  });
}

const isOfRun = ({ run, procedure, repair, within }: ProcedureRun) => ({
  kind: 'step' as const,
  run,
  procedure,
  ...(repair === undefined ? {} : { repair }),
  ...(within === undefined ? {} : { within }),
});

/** The entry of a step that is done, with where it leads. */
export function doneEntry(
  run: ProcedureRun,
  step: ProcedureStep,
  { result, reason, seconds }: StepOutcome,
  way: WayOn,
): Omit<StepEntry, 'id' | 'at'> {
  return {
    ...isOfRun(run),
    step: step.id,
    phase: 'done',
    ...(result === undefined ? {} : { result }),
    ...(reason === undefined ? {} : { reason }),
    ...(seconds === undefined ? {} : { duration: { second: Math.round(seconds) } }),
    ...(way.kind === 'step' && !way.isBelow ? { to: way.step } : {}),
    ...(way.kind === 'end' ? { ends: way.how } : {}),
    ...(way.kind === 'procedure' ? { ends: way.procedure } : {}),
  };
}

/** The entry of a step that is left out. */
export function skippedEntry(
  procedure: Procedure,
  run: ProcedureRun,
  step: ProcedureStep,
  reason: string,
): Omit<StepEntry, 'id' | 'at'> {
  const isLast = procedure.steps.at(-1) === step;
  return {
    ...isOfRun(run),
    step: step.id,
    phase: 'skipped',
    reason,
    ...(isLast ? { ends: wentThrough } : {}),
  };
}

/** The entry that begins a step: the first of a run, one gone back to, or a timer that is tapped. */
export function startedEntry(
  run: ProcedureRun,
  step: string,
  result?: string,
): Omit<StepEntry, 'id' | 'at'> {
  return { ...isOfRun(run), step, phase: 'started', ...(result === undefined ? {} : { result }) };
}

/** The entry that ends a run where it stands, for safety or for another reason. */
export function stoppedEntry(
  run: ProcedureRun,
  step: string,
  reason: string,
): Omit<StepEntry, 'id' | 'at'> {
  return { ...isOfRun(run), step, phase: 'stopped', reason, ends: 'stopped' };
}
