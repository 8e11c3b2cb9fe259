import { compileFamily, updateBelief } from '../diagnosis';
import { evidenceOf } from '../job-diagnosis';
import { walkEntries } from '../job-file';
import { emptyState } from '../job-file/state';
import { runStrategy } from './runs';
import type { Speed } from './report';
import { engineStrategy } from './strategies';
import { benchmarkUnit, type Benched } from './units';

const warmUpUnits = 25;
const usual = { twoFaults: 0.1, wrongReadings: 0.03 };

/** How long the engine takes, on this one thread. */
export function measureSpeed(
  benched: Benched,
  seed: number,
  units: number,
  now: () => number,
): Speed {
  const { family, parameters } = benched;
  const recommendations: number[] = [];
  const fullAnswers: number[] = [];
  const updates: number[] = [];
  const compiles = [0, 1].map(() => compileAll(benched, now));
  const model = family.model(family.plateOf(benched), parameters);
  const tables = compileFamily(model);
  const observables = arrivalObservables(benched);
  const packed = JSON.stringify(tables.pack(observables));
  const device = compileFamily(model);
  const adoptedFrom = now();
  device.adopt(JSON.parse(packed) as ReturnType<typeof tables.pack>);
  // What came packed is taken apart when it is asked for.
  for (const each of observables) device.table(each);
  const adoptMilliseconds = now() - adoptedFrom;
  for (let index = 0; index < units; index++) {
    const subject = benchmarkUnit(benched, seed, index, usual);
    const run = runStrategy(benched, subject, engineStrategy(benched), now);
    const again = benchmarkUnit(benched, seed, index, usual);
    const full = runStrategy(benched, again, engineStrategy(benched, 'rollout', false), now);
    if (index < warmUpUnits) continue;
    recommendations.push(...run.milliseconds);
    fullAnswers.push(...full.milliseconds);
    // One more entry on top of those before, as it happens on the bench.
    const evidence = evidenceOf(
      family,
      run.job,
      walkEntries(run.job.entries, family.catalogue),
      parameters,
    );
    for (let count = 1; count <= evidence.length; count++) {
      for (const each of evidence.slice(0, count)) tables.table(each.observable).ensureAll();
      updateBelief(tables, evidence.slice(0, count - 1));
      const from = now();
      updateBelief(tables, evidence.slice(0, count));
      updates.push(now() - from);
    }
  }
  return {
    recommendations,
    fullAnswers,
    updates,
    compileColdMilliseconds: compiles[0]!,
    compileWarmMilliseconds: compiles[1]!,
    adoptMilliseconds,
    packedBytes: packed.length,
  };
}

/** Every table that a check may ask for as the unit stands on arrival. */
function compileAll(benched: Benched, now: () => number): number {
  const { family, unit, site, parameters } = benched;
  const from = now();
  const tables = compileFamily(family.model(family.plateOf({ unit, site }), parameters));
  for (const each of arrivalObservables(benched)) tables.table(each).ensureAll();
  return now() - from;
}

const arrivalObservables = ({ family, parameters }: Benched) =>
  family
    .planStart(emptyState, { liveWork: true }, parameters)
    .candidates.map(({ observableIn }) => observableIn(0));
