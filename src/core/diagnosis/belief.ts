import type { CompiledFamily } from './compile';
import { rightDensity, wrongDensity, type OutcomeClass } from './meter';
import type { Evidence, Observable } from './model';

/** The state of knowledge after some evidence: a probability for every row, and what each entry contributed. */
export interface Belief {
  readonly probabilities: Float64Array;
  /** Probability of each hypothesis, summed over the shared unknowns. */
  readonly byHypothesis: Float64Array;
  /** Hypotheses that still matter; each of the others weighs less than one in a thousand million. */
  readonly active: readonly number[];
  readonly contributions: readonly Contribution[];
}

/** One or more entries that say the same thing about the same observable, weighed once. */
export interface Contribution {
  readonly entryIds: readonly string[];
  readonly checkId: string;
  readonly observableKey: string;
  /** Likelihood of the result in every outcome class, with the chance of a wrong reading in it. */
  readonly likelihoodOfClass: Float64Array;
  readonly classOfRow: Uint16Array;
  /** The part of the likelihood that comes from the reading being wrong. */
  readonly wrongPart: number;
  /** How many different results this observable has been given. */
  readonly rivals: number;
  readonly taken: number;
}

/** Below this, a hypothesis that cannot explain an outcome still keeps a foot in the door. */
const leastLikelihood = 1e-9;

/** Weighs all evidence. The order of entries does not matter. */
export function updateBelief<O extends Observable>(
  family: CompiledFamily<O>,
  evidence: readonly Evidence<O>[],
): Belief {
  const contributions = groupRepeats(family, evidence).map((group) => weigh(family, group));
  const logWeights = Float64Array.from(family.logPrior);
  for (const { likelihoodOfClass, classOfRow } of contributions) {
    const logLikelihood = likelihoodOfClass.map(Math.log);
    for (let row = 0; row < family.rowCount; row++) {
      logWeights[row]! += logLikelihood[classOfRow[row]!]!;
    }
  }
  const probabilities = normalised(logWeights);
  const byHypothesis = sumOverPoints(family, probabilities);
  const active = [...byHypothesis.keys()].filter((h) => byHypothesis[h]! > 1e-9);
  return { probabilities, byHypothesis, active, contributions };
}

function sumOverPoints(
  { model, pointCount }: CompiledFamily<never>,
  probabilities: Float64Array,
): Float64Array {
  return Float64Array.from(model.hypotheses, (_, h) => {
    let sum = 0;
    for (let row = h * pointCount; row < (h + 1) * pointCount; row++) sum += probabilities[row]!;
    return sum;
  });
}

function normalised(logWeights: Float64Array): Float64Array {
  let most = -Infinity;
  for (const each of logWeights) if (each > most) most = each;
  let sum = 0;
  const probabilities = new Float64Array(logWeights.length);
  for (let row = 0; row < logWeights.length; row++) {
    const weight = Math.exp(logWeights[row]! - most);
    probabilities[row] = weight;
    sum += weight;
  }
  for (let row = 0; row < probabilities.length; row++) probabilities[row]! /= sum;
  return probabilities;
}

/** The same reading taken twice is one reading, better vouched for: its values are averaged and its weight is capped. */
interface RepeatGroup<O extends Observable> {
  readonly members: Evidence<O>[];
  readonly repairKey: string;
  rivals: number;
}

function groupRepeats<O extends Observable>(
  family: CompiledFamily<O>,
  evidence: readonly Evidence<O>[],
): RepeatGroup<O>[] {
  const groups: RepeatGroup<O>[] = [];
  for (const each of evidence) {
    const repairKey = each.repairsBefore.join(' ');
    const same = groups.filter(
      (group) =>
        group.members[0]!.observable.key === each.observable.key && group.repairKey === repairKey,
    );
    const agreeing = same.find((group) => agree(family, group.members[0]!, each));
    if (agreeing) agreeing.members.push(each);
    else {
      groups.push({ members: [each], repairKey, rivals: 0 });
      for (const group of [...same, groups.at(-1)!]) group.rivals = same.length;
    }
  }
  return groups;
}

function agree<O extends Observable>(
  family: CompiledFamily<O>,
  one: Evidence<O>,
  other: Evidence<O>,
): boolean {
  if (one.result.kind !== other.result.kind) return false;
  if (one.result.kind === 'outcome' || other.result.kind === 'outcome') {
    return (
      one.result.kind === 'outcome' &&
      other.result.kind === 'outcome' &&
      one.result.outcome === other.result.outcome
    );
  }
  if (one.result.kind === 'over-range' || other.result.kind === 'over-range') return true;
  const outcome = family.table(one.observable).classes[0]!;
  if (outcome.kind !== 'quantity') return false;
  const { relativeError, floor } = outcome.meter;
  const difference = Math.abs(one.result.value - other.result.value);
  return difference < 4 * Math.hypot(relativeError * one.result.value, floor);
}

function weigh<O extends Observable>(
  family: CompiledFamily<O>,
  { members, rivals }: RepeatGroup<O>,
): Contribution {
  const first = members[0]!;
  const { classes, classOfRow } = family.table(first.observable);
  // A slip that repeats is rarer than a slip, but not independent of it: meters and habits stay the same.
  const errorRate = first.errorRate * (members.length > 1 ? 0.2 : 1);
  const result =
    first.result.kind === 'number'
      ? { kind: 'number' as const, value: mean(members) }
      : first.result;
  const wrongPart = errorRate * wrongDensity(result, classes[0]!);
  const likelihoodOfClass = Float64Array.from(classes, (each: OutcomeClass) =>
    Math.max(leastLikelihood, (1 - errorRate) * rightDensity(result, each) + wrongPart),
  );
  const rowsAfter = family.rowsAfter(first.repairsBefore);
  return {
    entryIds: members.map((each) => each.entryId),
    checkId: first.checkId,
    observableKey: first.observable.key,
    likelihoodOfClass,
    classOfRow: rowsAfter ? Uint16Array.from(rowsAfter, (after) => classOfRow[after]!) : classOfRow,
    wrongPart,
    rivals,
    taken: members.length,
  };
}

function mean(members: readonly Evidence[]): number {
  let sum = 0;
  for (const { result } of members) if (result.kind === 'number') sum += result.value;
  return sum / members.length;
}

/** Probability of each first repair, in the order of `family.repairs`. */
export function repairProbabilities(family: CompiledFamily<never>, belief: Belief): Float64Array {
  const sums = new Float64Array(family.repairs.length);
  for (const h of belief.active) {
    sums[family.repairOfHypothesis[h]!]! += belief.byHypothesis[h]!;
  }
  return sums;
}
