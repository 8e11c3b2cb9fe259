import { diagnoseJob, leadingSet } from '../job-diagnosis';
import { foldEntries, type JobFile } from '../job-file';
import { doCheck } from '../practice/run-job';
import type { Run } from './runs';
import { engineStrategy } from './strategies';
import type { Benched, BenchmarkUnit } from './units';

/** What became of a job that was repaired on its verdict and proved. */
export interface FollowUp {
  /** Parts fitted that the unit did not need. */
  readonly unneeded: number;
  /** True where a fault was left behind. */
  readonly isCallBack: boolean;
  readonly minutes: number;
}

/** A repair is followed by a proof, of this many minutes. */
const proofMinutes = 8;
const mostRounds = 4;
const mostChecks = 40;

/** Repairs what the verdict says, proves it, and goes on with the diagnosis until the engine finds nothing wrong. */
export function followUp(
  benched: Benched,
  { unit, clock }: BenchmarkUnit,
  { job: start, repairs: first, minutes: before }: Run,
): FollowUp {
  const { family, parameters } = benched;
  const strategy = engineStrategy(benched);
  let job = start;
  let minutes = before;
  let repairs = first;
  const done: string[] = [];
  for (let round = 0; round < mostRounds; round++) {
    const real = repairs.filter((each) => each !== 'none-in-unit' && !done.includes(each));
    if (real.length === 0) break;
    job = repair(benched, job, real, clock);
    unit.repair(real);
    done.push(...real);
    minutes += proofMinutes;
    // The proof sees both ends of the path: the part that was mended, and five minutes of hot water.
    const proofs = new Set(real.flatMap((each) => family.proofChecksFor(each).slice(0, 1)));
    for (const check of [...proofs, 'outlet-after-5-min']) {
      if (parameters.checkMinutes[check] !== undefined)
        job = doCheck(family, job, unit, check, clock);
    }
    for (let checks = 0; ; checks++) {
      const decision = strategy(job);
      if ('repairs' in decision || checks === mostChecks) {
        repairs = leadingSet(
          diagnoseJob(job, { parameters, depth: 'one-step', brief: true }),
        ).repairs;
        break;
      }
      minutes += family.minutesOf(
        decision.check,
        foldEntries(job.entries, family.catalogue),
        parameters,
      );
      job = doCheck(family, job, unit, decision.check, clock);
    }
  }
  const needed = unit.repairs.filter((each) => each !== 'none-in-unit');
  return {
    unneeded: done.filter((each) => !needed.includes(each) && isPart(benched, each)).length,
    isCallBack: needed.some((each) => !done.includes(each)),
    minutes,
  };
}

const isPart = ({ family }: Benched, repair: string): boolean =>
  (family.repairs[repair]?.parts.length ?? 0) > 0;

function repair(
  { family }: Benched,
  job: JobFile,
  repairs: readonly string[],
  clock: BenchmarkUnit['clock'],
): JobFile {
  const { lifted } = foldEntries(job.entries, family.catalogue);
  const stamp = () => ({ id: clock.newId(), at: clock.after(1) });
  return {
    ...job,
    entries: [
      ...job.entries,
      ...lifted.map((each) => ({
        ...stamp(),
        kind: 'action' as const,
        action: 'refit-wire' as const,
        ...each,
      })),
      ...repairs.map((each) => ({
        ...stamp(),
        kind: 'action' as const,
        action: 'replace' as const,
        repair: each,
      })),
    ],
  };
}
