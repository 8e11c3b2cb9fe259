import {
  familyOfJob,
  valueQuantity,
  type AccessStep,
  type ApplianceFamily,
  type UnitState,
} from '../appliances';
import {
  diagnoseJob,
  leadingFault,
  leadingSet,
  type Diagnosis,
  type DiagnosisOptions,
} from '../job-diagnosis';
import { foldEntries, type Entry, type JobFile, type JobState, type ProbedDead } from '../job-file';
import { keyOfQuantity } from '../quantities';
import type { SimulatedAnswer, SimulatedUnit } from '../simulation';

/** Where the entries of a practised job get their ids and their times: passed in, so that a run can be made again. */
export interface Clock {
  newId(): string;
  /** The time now, after the given minutes of work have passed. */
  after(minutes: number): string;
}

export interface PractisedJob {
  readonly job: JobFile;
  readonly answer: Diagnosis;
  /** The verdict it ended with: the likeliest set of repairs, and the one of them that is done first. */
  readonly verdict: {
    readonly repairs: readonly string[];
    readonly probability: number;
    readonly first: string;
  };
  readonly checksTaken: number;
  readonly minutes: number;
}

/**
 * Does what Ohmmeter proposes on a simulated unit, check after check, until it is decided or nothing is left to try.
 * The entries are those that a technician's hands would make.
 */
export function practiseJob(
  start: JobFile,
  unit: SimulatedUnit,
  clock: Clock,
  options: DiagnosisOptions = {},
  mostChecks = 40,
): PractisedJob {
  const family = familyOfJob(start);
  let job = start;
  let minutes = 0;
  for (let checksTaken = 0; ; checksTaken++) {
    const open = diagnoseJob(job, options);
    const { answer, state } = open;
    if (!answer.next || checksTaken >= mostChecks) {
      const verdict = { ...leadingSet(open), first: leadingFault(open).repair };
      return { job, answer, verdict, checksTaken, minutes };
    }
    const { check } = answer.next;
    minutes += family.minutesOf(check, state, options.parameters);
    job = doCheck(family, job, unit, check, clock);
  }
}

/** Makes the access that a check still needs, and takes it. */
export function doCheck(
  family: ApplianceFamily,
  job: JobFile,
  unit: SimulatedUnit,
  check: string,
  clock: Clock,
): JobFile {
  const state = foldEntries(job.entries, family.catalogue);
  const needed = family.accessSteps(check, state);
  const first = needed.find((each) => each.kind === 'take-check');
  if (first?.kind === 'take-check') {
    // It may say no: then the way stays closed, and the check is not taken.
    const tried = doCheck(family, job, unit, first.check, clock);
    const after = family.accessSteps(check, foldEntries(tried.entries, family.catalogue));
    const isStill = after.some((each) => each.kind === 'take-check' && each.check === first.check);
    return isStill ? tried : doCheck(family, tried, unit, check, clock);
  }
  const steps = needed.flatMap((step) =>
    entriesOfStep(step, clock, () => proveDead(family, unit, state)),
  );
  const ready = { ...job, entries: [...job.entries, ...steps] };
  return { ...ready, entries: [...ready.entries, takeCheck(family, ready, unit, check, clock)] };
}

/** Takes one check on the simulated unit, in the state that the entries so far have made. */
export function takeCheck(
  family: ApplianceFamily,
  job: JobFile,
  unit: SimulatedUnit,
  check: string,
  clock: Clock,
): Entry {
  const present = family.readingState(foldEntries(job.entries, family.catalogue));
  const answer = unit.answer(check, family.impliedState(check, present));
  return entryOfAnswer(family, check, answer, { id: clock.newId(), at: clock.after(1) });
}

export function entryOfAnswer(
  family: ApplianceFamily,
  check: string,
  answer: SimulatedAnswer,
  { id, at }: { id: string; at: string },
): Entry {
  if (answer.kind === 'outcome') {
    return { id, at, kind: 'observation', check, value: answer.outcome };
  }
  if (answer.kind === 'values') {
    const named = family.check(check);
    const values = Object.fromEntries(
      Object.entries(answer.values).map(([key, value]) => [
        key,
        Number.isFinite(value)
          ? { [keyOfQuantity(valueQuantity(named, key)!)]: value }
          : { overRange: true as const },
      ]),
    );
    return { id, at, kind: 'reading', check, values };
  }
  const value =
    answer.kind === 'over-range'
      ? { overRange: true as const }
      : { [keyOfQuantity(family.check(check).quantity!)]: answer.value };
  return { id, at, kind: 'reading', check, value };
}

/** What a prover shows at every point that the family names, on a unit that was switched off. */
export function proveDead(
  family: ApplianceFamily,
  unit: Pick<SimulatedUnit, 'volts'>,
  state: JobState,
): ProbedDead[] {
  const present = family.readingState(state);
  const off: UnitState = { ...present, controls: { ...present.controls, power: 'off' } };
  return family.deadPoints.map(({ between }) => ({
    between: [...between],
    value: { volt: unit.volts(between, off) },
  }));
}

/** The entries that an access step leaves in the logbook. */
export function entriesOfStep(
  step: AccessStep,
  clock: Clock,
  prove: () => readonly ProbedDead[],
): Entry[] {
  const action = (
    minutes: number,
    rest: Omit<Extract<Entry, { kind: 'action' }>, 'id' | 'at' | 'kind'>,
  ): Entry => ({
    id: clock.newId(),
    at: clock.after(minutes),
    kind: 'action',
    ...rest,
  });
  switch (step.kind) {
    case 'power-off-and-prove':
      return [
        action(1, { action: 'power-off' }),
        action(2, {
          action: 'proved-dead',
          proverTried: 'before-and-after',
          points: [...prove()],
        }),
      ];
    case 'power-on':
      return [action(1.5, { action: 'power-on' })];
    case 'open-cover':
      return [action(2, { action: 'open', target: step.cover })];
    case 'lift-wire':
      return [action(1, { action: 'lift-wire', ...step.lifted })];
    case 'refit-wire':
      return [action(1, { action: 'refit-wire', ...step.lifted })];
    case 'make-so':
    case 'end-so':
      return [action(1, { action: step.kind, fact: step.fact })];
    case 'take-check':
      throw new RangeError(`${step.check} is taken before this, and may say no`);
  }
}
