import {
  planNext,
  setProbabilities,
  updateBelief,
  type Candidate,
  type Evidence,
} from '../diagnosis';
import { effectiveEntries, type Entry } from '../job-file';
import {
  causeOf,
  compiledNoise,
  noiseErrorRate,
  noiseLookIds,
  noiseObservable,
  type Fuel,
  type NoiseCause,
  type NoiseObservable,
} from './noise-model';
import tables from './noise.json' with { type: 'json' };

export interface RankedCause extends NoiseCause {
  readonly probability: number;
  /** Nothing is done about it: it is told why. */
  readonly isHarmless: boolean;
}

export interface LocatedNoise {
  /** The likeliest first. */
  readonly causes: readonly RankedCause[];
  /** What tells most for its minutes, of what has not been answered. */
  readonly next?: { readonly check: string; readonly cause?: string };
  /** Somebody has said something about the noise. */
  readonly isBegun: boolean;
}

const asked = ['noise-sound', 'noise-where', 'noise-when'] as const;

/** What a wrong verdict on a noise costs, in minutes: another visit, mostly for nothing. Common practice. */
const wrongMinutes = 45;

/**
 * Causes of a noise, ranked by the engine from what the logbook says of sound, place and time, and from looks that speak for
 * one or another. Missing answers drop out.
 */
export function locateNoise(entries: readonly Entry[], fuel: Fuel): LocatedNoise {
  const family = compiledNoise(fuel);
  const evidence = evidenceOf(effectiveEntries(entries), fuel);
  const belief = updateBelief(family, evidence);
  const chances = setProbabilities(family, belief);
  const causes = family.repairSets
    .map((ids, k) => ranked(ids[0]!, chances[k]!))
    .sort((one, other) => other.probability - one.probability || one.id.localeCompare(other.id));
  const answered = new Set(evidence.map(({ observable }) => observable.key));
  const candidates = [
    ...asked.map((check) => noiseObservable(check)),
    ...causes
      .slice(0, 2)
      .map(({ id, check }) =>
        noiseLookIds.includes(check)
          ? noiseObservable(check)
          : noiseObservable('noise-confirm', id),
      ),
  ].filter(
    (each, k, all) => !answered.has(each.key) && all.findIndex((one) => one.key === each.key) === k,
  );
  const checks = candidates.map(candidateOf);
  const plan =
    checks.length === 0
      ? undefined
      : planNext(
          family,
          belief,
          { candidates: checks, facts: [], access: 0 },
          { depth: 'one-step', wrongVerdictMinutes: () => wrongMinutes },
        );
  const best = plan?.appraisals[0]?.candidate.observableIn(0);
  return {
    causes,
    next: best && { check: best.check, cause: best.cause },
    isBegun: evidence.length > 0,
  };
}

function ranked(id: string, probability: number): RankedCause {
  const cause = causeOf(id);
  return { ...cause, probability, isHarmless: cause.repair === 'none-in-unit' };
}

const minutes: Readonly<Record<string, number>> = {
  ...tables.minutes,
  'noise-confirm': tables.confirm.minutes,
  ...Object.fromEntries(Object.entries(tables.looks).map(([id, look]) => [id, look.minutes])),
};

const candidateOf = (observable: NoiseObservable): Candidate<NoiseObservable> => ({
  checkId: observable.key,
  minutes: minutes[observable.check] ?? 3,
  accessMinutes: 0,
  hazardMinutes: 0,
  errorRate: noiseErrorRate,
  need: { sets: 0, clears: 0 },
  changes: 0,
  observableIn: () => observable,
});

/** Each answer as evidence. The confirming look was that of the cause that led when it was taken. */
function evidenceOf(entries: readonly Entry[], fuel: Fuel): Evidence<NoiseObservable>[] {
  const evidence: Evidence<NoiseObservable>[] = [];
  for (const entry of entries) {
    if (entry.kind !== 'observation') continue;
    const isAsked = (asked as readonly string[]).includes(entry.check);
    const isLook = noiseLookIds.includes(entry.check);
    if (!isAsked && !isLook && entry.check !== 'noise-confirm') continue;
    const cause = entry.check === 'noise-confirm' ? leaderOf(evidence, fuel) : undefined;
    const observable = noiseObservable(entry.check, cause);
    if (!isKnown(observable, entry.value, fuel)) continue;
    evidence.push({
      entryId: entry.id,
      checkId: observable.key,
      observable,
      result: { kind: 'outcome', outcome: entry.value },
      repairsBefore: [],
      errorRate: noiseErrorRate,
    });
  }
  return evidence;
}

function leaderOf(evidence: readonly Evidence<NoiseObservable>[], fuel: Fuel): string {
  const family = compiledNoise(fuel);
  const chances = setProbabilities(family, updateBelief(family, evidence));
  const best = chances.reduce((found, each, k) => (each > chances[found]! ? k : found), 0);
  return family.repairSets[best]![0]!;
}

/** A family's own look may have values that the tables do not know: they tell nothing here. */
function isKnown(observable: NoiseObservable, value: string, fuel: Fuel): boolean {
  const { model } = compiledNoise(fuel);
  const prediction = model.predictor(observable)(model.healthyIndex);
  return prediction.kind === 'outcomes' && Object.hasOwn(prediction.probabilities, value);
}

/** Words for what is done about a cause, where the unit's family has no repair of that name. */
export const noiseRepairWords: Readonly<Record<string, string>> = tables.repairs;
