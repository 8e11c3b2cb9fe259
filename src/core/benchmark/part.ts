import { suspectChances } from '../diagnosis';
import { diagnoseJob } from '../job-diagnosis';
import type { JobFile } from '../job-file';
import type { SimulationOptions } from '../simulation';
import { followUp, type FollowUp } from './follow-up';
import { runStrategy, type Strategy } from './runs';
import { benchmarkUnit, type Benched } from './units';

/** How units are drawn where a part says nothing: one in ten has two faults, 3 % of readings are wrong. */
export const usual: SimulationOptions = { twoFaults: 0.1, wrongReadings: 0.03 };

export interface Part {
  readonly name: string;
  readonly title: string;
  /** Units of each seed. */
  readonly unitsPerSeed: number;
  readonly run: (seed: number, index: number, now: () => number) => UnitOutcome;
}

/** What one unit came to: small enough to be sent between threads by the thousand. */
export interface UnitOutcome {
  /** Which unit of which seed: the same one for every strategy. */
  readonly unit: string;
  /** The verdict was that something is wrong that is in no list. */
  readonly isNamedUnlisted: boolean;
  readonly isRight: boolean;
  /** Its likeliest repair is one that the unit needs. */
  readonly isLikeliestNeeded: boolean;
  /** All that the verdict asks for is needed, be it everything or not. */
  readonly isAllNeeded: boolean;
  readonly isSingle: boolean;
  readonly probability?: number;
  readonly minutes: number;
  readonly checks: number;
  /** Chance of the likeliest verdict at each decision, and whether it was right. */
  readonly predictions: readonly (readonly [number, boolean])[];
  readonly milliseconds: readonly number[];
  readonly followUp?: FollowUp;
}

interface PartChoices {
  readonly options?: SimulationOptions;
  readonly followsUp?: boolean;
  readonly schools?: Readonly<Record<string, string>>;
  /** A verdict is right where it is all that the unit needs; or already where its likeliest repair is one that it needs. */
  readonly right?: 'all' | 'likeliest';
}

export function part(
  name: string,
  title: string,
  unitsPerSeed: number,
  benchedFor: (seed: number, index: number) => Benched,
  strategyFor: (benched: Benched) => Strategy,
  { options = usual, followsUp = false, schools, right = 'all' }: PartChoices = {},
): Part {
  return {
    name,
    title,
    unitsPerSeed,
    run(seed, index, now) {
      const benched = benchedFor(seed, index);
      const subject = benchmarkUnit(benched, seed, index, options, schools);
      const run = runStrategy(benched, subject, strategyFor(benched), now);
      const { repairs: needed } = subject.unit;
      const isLikeliestNeeded = needed.includes(likeliestRepair(benched, run.job));
      const isAll = (found: readonly string[]) => [...found].sort().join() === needed.join();
      return {
        unit: `${seed}-${index}`,
        isNamedUnlisted: run.repairs.includes('look-further'),
        isRight: right === 'all' ? isAll(run.repairs) : isLikeliestNeeded,
        isLikeliestNeeded,
        isAllNeeded: run.repairs.every((each) => needed.includes(each)),
        isSingle: subject.unit.faults.length === 1,
        probability: run.probability,
        minutes: run.minutes,
        checks: run.checks,
        predictions: run.leadings.map((each) => [each.probability, isAll(each.repairs)]),
        milliseconds: run.milliseconds,
        followUp: followsUp ? followUp(benched, subject, run) : undefined,
      };
    },
  };
}

/** The repair that is likeliest to be needed at the end of a job. */
function likeliestRepair({ parameters }: Benched, job: JobFile): string {
  const { tables, standing } = diagnoseJob(job, { parameters, depth: 'one-step', brief: true });
  const chances = Object.entries(suspectChances(tables, standing));
  return chances.reduce((best, each) => (each[1] > best[1] ? each : best))[0];
}
