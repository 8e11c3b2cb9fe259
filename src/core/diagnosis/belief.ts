import type { CompiledFamily } from './compile';
import type { Contribution } from './contribution';
import { rightDensity, wrongDensity } from './meter';
import { chanceOf, unlistedLikelihood } from './unlisted';
import type { Evidence, Observable } from './model';

/** The state of knowledge after some evidence, and what each entry contributed. */
export interface Belief {
  /** Probability of each hypothesis, whatever the shared unknowns are. */
  readonly byHypothesis: Float64Array;
  /** Share of each row in its hypothesis: what is known of the shared unknowns if that hypothesis is true. */
  readonly shareOfRow: Float64Array;
  /** Hypotheses that still matter; each of the others weighs less than one in ten million. */
  readonly active: readonly number[];
  readonly contributions: readonly Contribution[];
  /** Chance that what is wrong is in no hypothesis; `byHypothesis` is what holds if it is in one. */
  readonly unlisted: number;
  /** The same as the logarithm of its odds. */
  readonly unlistedLogOdds: number;
  /** Natural logarithm of how likely the evidence is if what is wrong is in a hypothesis. */
  readonly listedLogLikelihood: number;
}

/** Below this, a hypothesis that cannot explain an outcome still keeps a foot in the door. */
const leastLikelihood = 1e-9;

/**
 * Weighs all evidence. The order of entries does not matter.
 * @param failed Places of repairs that are taken not to have held, in the order in which they were done.
 */
export function updateBelief<O extends Observable>(
  family: CompiledFamily<O>,
  evidence: readonly Evidence<O>[],
  failed: readonly number[] = [],
): Belief {
  const groups = groupRepeats(family, evidence);
  const started = continued(family, groups, failed);
  const contributions = [...started.belief.contributions];
  const byHypothesis = started.belief.byHypothesis.slice();
  let { shareOfRow, unlistedLogOdds, listedLogLikelihood } = started.belief;
  for (const group of groups.slice(started.groupCount)) {
    const contribution = weigh(family, group, failed);
    // A look tells nothing of the shared unknowns: their shares are copied only where something does.
    const isShared = shareOfRow === started.belief.shareOfRow;
    if (isShared && contribution.isFlat.includes(0)) shareOfRow = shareOfRow.slice();
    const listed = multiplyIn(family.rowStart, byHypothesis, shareOfRow, contribution);
    listedLogLikelihood += Math.log(listed);
    if (family.model.unlisted) {
      const weight = Math.log(unlistedLikelihood(family, contribution) / listed);
      unlistedLogOdds += weight;
      contributions.push({ ...contribution, unlistedDecibans: (10 * weight) / Math.LN10 });
    } else contributions.push(contribution);
  }
  const belief = {
    byHypothesis,
    shareOfRow,
    active: activeOf(byHypothesis),
    contributions,
    unlisted: family.model.unlisted ? chanceOf(unlistedLogOdds) : 0,
    unlistedLogOdds,
    listedLogLikelihood,
  };
  const last = lastBeliefs.get(family) ?? new Map<string, WeighedBefore>();
  if (last.size >= mostKept) last.clear();
  lastBeliefs.set(family, last.set(failed.join(' '), { groups, belief }));
  return belief;
}

/**
 * Repairs that hold, of those that were done: one that did not takes with it what had been done before to the same part.
 * @param failed Places in `done`.
 */
export function heldRepairs(done: readonly string[], failed: readonly number[]): readonly string[] {
  if (failed.length === 0) return done;
  return done.filter((repair, k) => !failed.some((each) => each >= k && done[each] === repair));
}

interface WeighedBefore {
  readonly groups: readonly RepeatGroup[];
  readonly belief: Belief;
}

/**
 * The last belief of each family, by the repairs that were taken not to have held: a logbook grows at its end, and what was
 * weighed need not be weighed again.
 */
const lastBeliefs = new WeakMap<object, Map<string, WeighedBefore>>();
const mostKept = 32;

function continued<O extends Observable>(
  family: CompiledFamily<O>,
  groups: readonly RepeatGroup<O>[],
  failed: readonly number[],
): { readonly belief: Belief; readonly groupCount: number } {
  const last = lastBeliefs.get(family)?.get(failed.join(' '));
  const isPrefix =
    last !== undefined &&
    last.groups.length <= groups.length &&
    last.groups.every((group, k) => sameGroup(group, groups[k]!));
  if (isPrefix) return { belief: last.belief, groupCount: last.groups.length };
  const share = family.model.unlisted?.share ?? 0;
  const none: Belief = {
    byHypothesis: family.prior,
    shareOfRow: family.priorShare,
    active: [],
    contributions: [],
    unlisted: share,
    unlistedLogOdds: Math.log(share / (1 - share)),
    listedLogLikelihood: 0,
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
 * Multiplies by the likelihoods, and brings the sum back to 1. Where the class does not depend on the shared unknowns it
 * says nothing of them, and one product serves the whole hypothesis. What has died out is not touched any more.
 * Gives the likelihood under all that is listed together.
 */
function multiplyIn(
  rowStart: Uint32Array,
  byHypothesis: Float64Array,
  shareOfRow: Float64Array,
  { likelihoodOfClass, classOfRow, isFlat }: Contribution,
): number {
  const isAlive = new Uint8Array(byHypothesis.length);
  let total = 0;
  for (let h = 0; h < byHypothesis.length; h++) {
    const before = byHypothesis[h]!;
    if (before < diedOut) continue;
    isAlive[h] = 1;
    const start = rowStart[h]!;
    let likelihood = 0;
    if (isFlat[h] === 1) likelihood = likelihoodOfClass[classOfRow[start]!]!;
    else {
      const end = rowStart[h + 1]!;
      for (let row = start; row < end; row++) {
        const share = shareOfRow[row]! * likelihoodOfClass[classOfRow[row]!]!;
        shareOfRow[row] = share;
        likelihood += share;
      }
      const toOne = 1 / likelihood;
      for (let row = start; row < end; row++) shareOfRow[row]! *= toOne;
    }
    const after = before * likelihood;
    byHypothesis[h] = after;
    total += after;
  }
  const toOne = 1 / total;
  for (let h = 0; h < byHypothesis.length; h++) if (isAlive[h] === 1) byHypothesis[h]! *= toOne;
  return total;
}

/** A hypothesis that weighs less is left as it is: all of them together change no probability by a billionth. */
const diedOut = 1e-13;

function activeOf(byHypothesis: Float64Array): number[] {
  const active: number[] = [];
  for (let h = 0; h < byHypothesis.length; h++) if (byHypothesis[h]! > leastActive) active.push(h);
  return active;
}

/** A hypothesis that weighs less is no longer looked at when readings are explained and checks planned. */
const leastActive = 1e-7;

/** The same reading taken twice is one reading, better vouched for: its values are averaged and its weight is capped. */
interface RepeatGroup<O extends Observable = Observable> {
  readonly members: readonly Evidence<O>[];
  readonly repairKey: string;
  /** How many other results the same observable has been given. */
  readonly rivals: number;
}

/** Results of the same observable that agree belong together, in whatever order they were taken. */
function groupRepeats<O extends Observable>(
  family: CompiledFamily<O>,
  evidence: readonly Evidence<O>[],
): RepeatGroup<O>[] {
  const byObservable = new Map<string, Evidence<O>[]>();
  for (const each of evidence) {
    const key = `${each.observable.key} after ${each.repairsBefore.join(' ')}`;
    const same = byObservable.get(key);
    if (same) same.push(each);
    else byObservable.set(key, [each]);
  }
  return [...byObservable.values()].flatMap((all) => {
    const repairKey = all[0]!.repairsBefore.join(' ');
    if (all.length === 1) return [{ members: all, repairKey, rivals: 0 }];
    const agreeing = byAgreement(family, all);
    return agreeing.map((members) => ({ members, repairKey, rivals: agreeing.length - 1 }));
  });
}

/** Numbers are gone through from the least: which was read first is of no account. */
function byAgreement<O extends Observable>(
  family: CompiledFamily<O>,
  all: readonly Evidence<O>[],
): Evidence<O>[][] {
  const groups: Evidence<O>[][] = [];
  const sorted = [...all].sort((one, other) => numberOf(one) - numberOf(other));
  for (const each of sorted) {
    const found = groups.find(([first]) => agree(family, first!, each));
    if (found) found.push(each);
    else groups.push([each]);
  }
  const places = new Map(all.map((each, place) => [each, place]));
  const placeOf = (each: Evidence<O>) => places.get(each)!;
  for (const group of groups) group.sort((one, other) => placeOf(one) - placeOf(other));
  return groups.sort(([one], [other]) => placeOf(one!) - placeOf(other!));
}

const numberOf = ({ result }: Evidence) => (result.kind === 'number' ? result.value : 0);

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
  failed: readonly number[],
): Contribution {
  const first = members[0]!;
  const held = heldRepairs(first.repairsBefore, failed);
  const { classOfRow, isFlat, members: inStates } = family.classesAfter(first.observable, held);
  const { classes } = family.table(first.observable);
  // A slip that repeats is rarer than a slip, but not independent of it: meters and habits stay the same.
  const errorRate = first.errorRate * (members.length > 1 ? 0.1 : 1);
  const results = distinctResults(members);
  const anything = wrongDensity(results[0]!, classes[0]!);
  const wrongPart = errorRate * anything;
  const likelihoodOfOne = new Float64Array(classes.length);
  for (let c = 0; c < classes.length; c++) {
    // Over range on several ranges is as likely as on the widest of them.
    let density = rightDensity(results[0]!, classes[c]!);
    for (let k = 1; k < results.length; k++)
      density = Math.min(density, rightDensity(results[k]!, classes[c]!));
    const right = (1 - errorRate) * density;
    likelihoodOfOne[c] = Math.max(leastLikelihood, right + wrongPart);
  }
  return {
    entryIds: members.map((each) => each.entryId),
    checkId: first.checkId,
    observableKey: first.observable.key,
    likelihoodOfClass: inStates
      ? Float64Array.from(inStates, (states) =>
          states.reduce((sum, { share, of }) => sum + share * likelihoodOfOne[of]!, 0),
        )
      : likelihoodOfOne,
    classOfRow,
    isFlat,
    wrongDensity: anything,
    wrongPart,
    unlistedDecibans: 0,
    repairsBefore: first.repairsBefore.length,
    rivals,
    taken: members.length,
  };
}

/** What the members of a group say: one number, one outcome, or over range on each range that was stated. */
function distinctResults(members: readonly Evidence[]): Evidence['result'][] {
  const [first] = members;
  if (first!.result.kind === 'number') {
    const sum = members.reduce((total, each) => total + numberOf(each), 0);
    return [{ kind: 'number', value: sum / members.length }];
  }
  const results: Evidence['result'][] = [];
  for (const { result } of members) {
    if (!results.some((each) => sameResult(each, result))) results.push(result);
  }
  return results;
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
  if (repairs.length === 0) return belief;
  const { rowStart } = family;
  const states = family.rowsAfter(repairs);
  const byHypothesis = new Float64Array(belief.byHypothesis.length);
  const shareOfRow = new Float64Array(belief.shareOfRow.length);
  for (let h = 0; h < byHypothesis.length; h++) {
    for (const { share, rows } of states) {
      const own = share * belief.byHypothesis[h]!;
      for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) {
        shareOfRow[rows[row]!]! += own * belief.shareOfRow[row]!;
      }
    }
  }
  for (let h = 0; h < byHypothesis.length; h++) {
    const [start, end] = [rowStart[h]!, rowStart[h + 1]!];
    let sum = 0;
    for (let row = start; row < end; row++) sum += shareOfRow[row]!;
    byHypothesis[h] = sum;
    if (sum > 0) for (let row = start; row < end; row++) shareOfRow[row]! /= sum;
  }
  return { ...belief, byHypothesis, shareOfRow, active: activeOf(byHypothesis) };
}

/** Several beliefs about the same unit as one: each counts with its share, and the shares sum to 1. */
export function mixed(
  family: CompiledFamily<never>,
  parts: readonly { readonly share: number; readonly belief: Belief }[],
): Belief {
  const { rowStart } = family;
  const byHypothesis = new Float64Array(rowStart.length - 1);
  const shareOfRow = new Float64Array(family.priorShare.length);
  for (const { share, belief } of parts) {
    for (let h = 0; h < byHypothesis.length; h++) {
      const own = share * belief.byHypothesis[h]!;
      byHypothesis[h]! += own;
      for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++)
        shareOfRow[row]! += own * belief.shareOfRow[row]!;
    }
  }
  for (let h = 0; h < byHypothesis.length; h++) {
    const own = byHypothesis[h]!;
    if (own === 0) continue;
    for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) shareOfRow[row]! /= own;
  }
  return { ...parts[0]!.belief, byHypothesis, shareOfRow, active: activeOf(byHypothesis) };
}
