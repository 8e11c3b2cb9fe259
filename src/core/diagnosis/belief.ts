import type { CompiledFamily } from './compile';
import { rightDensity, wrongDensity } from './meter';
import type { Evidence, Observable } from './model';

/** The state of knowledge after some evidence: a probability for every row, and what each entry contributed. */
export interface Belief {
  readonly probabilities: Float64Array;
  /** Probability of each hypothesis, summed over the shared unknowns. */
  readonly byHypothesis: Float64Array;
  /** Hypotheses that still matter; each of the others weighs less than one in ten million. */
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
  /** How many repairs had been done when it was taken. */
  readonly repairsBefore: number;
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
  const groups = groupRepeats(family, evidence);
  const started = continued(family, groups);
  const contributions = [...started.belief.contributions];
  const probabilities = started.belief.probabilities.slice();
  const byHypothesis = started.belief.byHypothesis.slice();
  let scale = 1;
  for (const group of groups.slice(started.groupCount)) {
    const contribution = weigh(family, group);
    scale = multiplyIn(family.rowStart, probabilities, byHypothesis, contribution, scale);
    contributions.push(contribution);
  }
  const belief = settled(family.rowStart, probabilities, byHypothesis, contributions, scale);
  lastBeliefs.set(family, { groups, belief });
  return belief;
}

interface WeighedBefore {
  readonly groups: readonly RepeatGroup[];
  readonly belief: Belief;
}

/** The last belief of each family: a logbook grows at its end, and what was weighed need not be weighed again. */
const lastBeliefs = new WeakMap<object, WeighedBefore>();

function continued<O extends Observable>(
  family: CompiledFamily<O>,
  groups: readonly RepeatGroup<O>[],
): { readonly belief: Belief; readonly groupCount: number } {
  const last = lastBeliefs.get(family);
  const isPrefix =
    last !== undefined &&
    last.groups.length <= groups.length &&
    last.groups.every((group, k) => sameGroup(group, groups[k]!));
  if (isPrefix) return { belief: last.belief, groupCount: last.groups.length };
  const none: Belief = {
    probabilities: family.prior,
    byHypothesis: sumsOf(family.rowStart, family.prior),
    active: [],
    contributions: [],
  };
  return { belief: none, groupCount: 0 };
}

function sameGroup(one: RepeatGroup, other: RepeatGroup): boolean {
  return (
    one.repairKey === other.repairKey &&
    one.rivals === other.rivals &&
    one.members.length === other.members.length &&
    one.members.every((each, k) => {
      const twin = other.members[k]!;
      return (
        each.entryId === twin.entryId &&
        each.errorRate === twin.errorRate &&
        each.observable.key === twin.observable.key &&
        sameResult(each.result, twin.result)
      );
    })
  );
}

function sameResult(one: Evidence['result'], other: Evidence['result']): boolean {
  if (one.kind === 'number') return other.kind === 'number' && one.value === other.value;
  if (one.kind === 'outcome') return other.kind === 'outcome' && one.outcome === other.outcome;
  return other.kind === 'over-range' && one.above === other.above;
}

/**
 * Multiplies by the likelihoods and keeps the sum of each hypothesis; `scale` brings the sum before back to 1, so that
 * nothing runs down to zero. What has died out is not touched any more. Gives the scale for the next time.
 */
function multiplyIn(
  rowStart: Uint32Array,
  probabilities: Float64Array,
  byHypothesis: Float64Array,
  { likelihoodOfClass, classOfRow }: Contribution,
  scale: number,
): number {
  const scaled = likelihoodOfClass.map((each) => each * scale);
  let total = 0;
  for (let h = 0; h < byHypothesis.length; h++) {
    if (byHypothesis[h]! < diedOut) continue;
    let sum = 0;
    for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) {
      const probability = probabilities[row]! * scaled[classOfRow[row]!]!;
      probabilities[row] = probability;
      sum += probability;
    }
    byHypothesis[h] = sum;
    total += sum;
  }
  return 1 / total;
}

/** A hypothesis that weighs less is left as it is: all of them together change no probability by a billionth. */
const diedOut = 1e-13;

function sumsOf(rowStart: Uint32Array, probabilities: Float64Array): Float64Array {
  const sums = new Float64Array(rowStart.length - 1);
  for (let h = 0; h < sums.length; h++) {
    let sum = 0;
    for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) sum += probabilities[row]!;
    sums[h] = sum;
  }
  return sums;
}

function settled(
  rowStart: Uint32Array,
  probabilities: Float64Array,
  byHypothesis: Float64Array,
  contributions: readonly Contribution[],
  scale: number,
): Belief {
  const active: number[] = [];
  for (let h = 0; h < byHypothesis.length; h++) {
    if (byHypothesis[h]! < diedOut) continue;
    if (scale !== 1) {
      for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) probabilities[row]! *= scale;
      byHypothesis[h]! *= scale;
    }
    if (byHypothesis[h]! > leastActive) active.push(h);
  }
  return { probabilities, byHypothesis, active, contributions };
}

/** A hypothesis that weighs less is no longer looked at when readings are explained and checks planned. */
const leastActive = 1e-7;

/** The same reading taken twice is one reading, better vouched for: its values are averaged and its weight is capped. */
interface RepeatGroup<O extends Observable = Observable> {
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
  const table = family.table(one.observable);
  table.ensureAll();
  const outcome = table.classes[0]!;
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
  const table = family.table(first.observable);
  table.ensureAll();
  const { classes, classOfRow } = table;
  // A slip that repeats is rarer than a slip, but not independent of it: meters and habits stay the same.
  const errorRate = first.errorRate * (members.length > 1 ? 0.2 : 1);
  const result =
    first.result.kind === 'number'
      ? { kind: 'number' as const, value: mean(members) }
      : first.result;
  const wrongPart = errorRate * wrongDensity(result, classes[0]!);
  const likelihoodOfClass = new Float64Array(classes.length);
  for (let c = 0; c < classes.length; c++) {
    const right = (1 - errorRate) * rightDensity(result, classes[c]!);
    likelihoodOfClass[c] = Math.max(leastLikelihood, right + wrongPart);
  }
  const rowsAfter = family.rowsAfter(first.repairsBefore);
  return {
    entryIds: members.map((each) => each.entryId),
    checkId: first.checkId,
    observableKey: first.observable.key,
    likelihoodOfClass,
    classOfRow: rowsAfter ? Uint16Array.from(rowsAfter, (after) => classOfRow[after]!) : classOfRow,
    wrongPart,
    repairsBefore: first.repairsBefore.length,
    rivals,
    taken: members.length,
  };
}

function mean(members: readonly Evidence[]): number {
  let sum = 0;
  for (const { result } of members) if (result.kind === 'number') sum += result.value;
  return sum / members.length;
}

/** Probability of each set of repairs, in the order of `family.repairSets`. */
export function setProbabilities(family: CompiledFamily<never>, belief: Belief): Float64Array {
  const sums = new Float64Array(family.repairSets.length);
  for (const h of belief.active) {
    sums[family.setOfHypothesis[h]!]! += belief.byHypothesis[h]!;
  }
  return sums;
}

/** Probability that each repair is needed, alone or with another, in the order of `family.repairs`. */
export function repairProbabilities(family: CompiledFamily<never>, belief: Belief): Float64Array {
  const sums = new Float64Array(family.repairs.length);
  const indexes = family.repairSets.map((set) => set.map((each) => family.repairs.indexOf(each)));
  setProbabilities(family, belief).forEach((each, set) => {
    for (const repair of indexes[set]!) sums[repair]! += each;
  });
  return sums;
}

/** The belief about what still stands: the weight of every hypothesis goes to what the repairs leave of it. */
export function beliefAfterRepairs(
  family: CompiledFamily<never>,
  belief: Belief,
  repairs: readonly string[],
): Belief {
  const rowsAfter = family.rowsAfter(repairs);
  if (!rowsAfter) return belief;
  const probabilities = new Float64Array(belief.probabilities.length);
  for (let row = 0; row < probabilities.length; row++) {
    probabilities[rowsAfter[row]!]! += belief.probabilities[row]!;
  }
  return settled(
    family.rowStart,
    probabilities,
    sumsOf(family.rowStart, probabilities),
    belief.contributions,
    1,
  );
}
