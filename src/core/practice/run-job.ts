import {
  accessSteps,
  catalogue,
  checkNames,
  impliedState,
  readingState,
  type AccessStep,
  type CheckId,
} from '../appliances/electric-storage-two-element';
import { diagnoseJob, type Diagnosis } from '../job-diagnosis';
import { foldEntries, type Entry, type JobFile } from '../job-file';
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
  mostChecks = 40,
): PractisedJob {
  let job = start;
  let minutes = 0;
  for (let checksTaken = 0; ; checksTaken++) {
    const { answer, state } = diagnoseJob(job);
    if (!answer.next || checksTaken >= mostChecks) return { job, answer, checksTaken, minutes };
    const { check } = answer.next;
    minutes += answer.next.minutes;
    const steps = accessSteps(check, state).flatMap((step) => entriesOfStep(step, clock));
    job = { ...job, entries: [...job.entries, ...steps] };
    job = { ...job, entries: [...job.entries, takeCheck(job, unit, check, clock)] };
  }
}

/** Takes one check on the simulated unit, in the state that the entries so far have made. */
export function takeCheck(job: JobFile, unit: SimulatedUnit, check: CheckId, clock: Clock): Entry {
  const present = readingState(foldEntries(job.entries, catalogue));
  const implied = impliedState(check, present);
  const answer = unit.answer(check, implied);
  return entryOfAnswer(check, answer, { id: clock.newId(), at: clock.after(1) });
}

export function entryOfAnswer(
  check: CheckId,
  answer: SimulatedAnswer,
  { id, at }: { id: string; at: string },
): Entry {
  if (answer.kind === 'outcome') {
    return { id, at, kind: 'observation', check, value: answer.outcome };
  }
  const unitKey = valueKey[checkNames[check].quantity!];
  const value =
    answer.kind === 'over-range' ? { overRange: true as const } : { [unitKey]: answer.value };
  return { id, at, kind: 'reading', check, value };
}

const valueKey = {
  resistance: 'ohm',
  'voltage-ac': 'volt',
  'current-ac': 'ampere',
  temperature: 'celsius',
} as const;

/** The entries that an access step leaves in the logbook. */
export function entriesOfStep(step: AccessStep, clock: Clock): Entry[] {
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
          points: [
            { between: ['limit.1', 'limit.3'], value: { volt: 0 } },
            { between: ['limit.1', 'tank'], value: { volt: 0 } },
            { between: ['limit.3', 'tank'], value: { volt: 0 } },
          ],
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
  }
}
