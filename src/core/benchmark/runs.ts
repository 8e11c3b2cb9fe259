import type { JobFile } from '../job-file';
import { foldEntries } from '../job-file';
import { doCheck } from '../practice/run-job';
import type { Benched, BenchmarkUnit } from './units';

/** The likeliest verdict so far. */
export interface Leading {
  readonly repairs: readonly string[];
  readonly probability: number;
}

/** How a technician would go on from a record: another check, or a verdict. */
export type Decision =
  | { readonly check: string; readonly leading?: Leading }
  | { readonly repairs: readonly string[]; readonly probability?: number };

export type Strategy = (job: JobFile) => Decision;

export interface Run {
  readonly job: JobFile;
  /** The verdict it ended with, sorted. */
  readonly repairs: readonly string[];
  readonly probability?: number;
  /** Minutes of access and work until the verdict, without danger. */
  readonly minutes: number;
  readonly checks: number;
  /** The likeliest verdict at each decision, where the strategy says. */
  readonly leadings: readonly Leading[];
  /** Milliseconds that each decision took. */
  readonly milliseconds: readonly number[];
}

const mostChecks = 90;

/** Lets a strategy work on a unit until its verdict. */
export function runStrategy(
  { family, parameters }: Benched,
  { unit, job: start, clock }: BenchmarkUnit,
  strategy: Strategy,
  now: () => number,
): Run {
  let job = start;
  let minutes = 0;
  const milliseconds: number[] = [];
  const leadings: Leading[] = [];
  for (let checks = 0; ; checks++) {
    const from = now();
    const decision = strategy(job);
    milliseconds.push(now() - from);
    if ('repairs' in decision) {
      const repairs = [...decision.repairs].sort();
      const { probability } = decision;
      if (probability !== undefined) leadings.push({ repairs, probability });
      return { job, repairs, probability, minutes, checks, leadings, milliseconds };
    }
    if (checks === mostChecks) throw new Error(`a strategy went on past ${mostChecks} checks`);
    if (decision.leading) leadings.push(decision.leading);
    minutes += family.minutesOf(
      decision.check,
      foldEntries(job.entries, family.catalogue),
      parameters,
    );
    job = doCheck(family, job, unit, decision.check, clock);
  }
}
