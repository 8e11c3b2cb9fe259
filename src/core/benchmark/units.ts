import type { ApplianceFamily, FamilyParameters } from '../appliances';
import type { JobFile } from '../job-file';
import {
  seededRandom,
  simulateUnit,
  type SimulatedFamily,
  type SimulatedUnit,
  type SimulationOptions,
} from '../simulation';
import type { Clock } from '../practice/run-job';

/** A family with what the benchmark needs beside it: its simulated units, the plate they have, and parameters. */
export interface Benched {
  readonly family: ApplianceFamily;
  readonly simulated: SimulatedFamily;
  readonly unit: JobFile['unit'];
  readonly site: JobFile['site'];
  readonly parameters: FamilyParameters;
}

export interface BenchmarkUnit {
  readonly unit: SimulatedUnit;
  /** The job as the technician opens it: the call, and nothing yet. */
  readonly job: JobFile;
  readonly clock: Clock;
}

/** Unit `index` of a seed: the same for every strategy that is compared. */
export function benchmarkUnit(
  { family, simulated, unit: described, site }: Benched,
  seed: number,
  index: number,
  options: SimulationOptions,
  schools?: Readonly<Record<string, string>>,
): BenchmarkUnit {
  const random = seededRandom(seed * 1_000_003 + index);
  const job: JobFile = {
    format: 'ohmmeter-job',
    version: 1,
    job: { id: `bench-${seed}-${index}`, openedAt: timeAt(0) },
    unit: described,
    site,
    ...(schools ? { constraints: { schools } } : {}),
    entries: [],
  };
  const unit = simulateUnit(simulated, family.plateOf(job), random, options);
  return {
    unit,
    job: {
      ...job,
      complaint: unit.complaint as JobFile['complaint'],
    },
    clock: benchmarkClock(),
  };
}

const timeAt = (second: number) => new Date(Date.UTC(2026, 0, 5, 8) + second * 1000).toISOString();

function benchmarkClock(): Clock {
  let second = 0;
  let ids = 0;
  return {
    newId: () => `e${++ids}`,
    after(minutes) {
      second += Math.round(minutes * 60);
      return timeAt(second);
    },
  };
}
