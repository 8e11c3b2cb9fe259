import type { Belief } from './belief';
import type { CompiledFamily } from './compile';
import type { ObservableTable } from './observable-table';
import type { Candidate, Observable, PlanStart } from './model';
import { binOutcomes } from './outcome-bins';

/**
 * What planning works on: hypotheses that no candidate tells apart are one group, and of every candidate only the
 * probability of its outcome bins under each group is kept. Shared unknowns stand at their likeliest here: a plan does not
 * need the tie between readings, the belief that follows each reading does.
 */
export interface PlanProblem {
  readonly groupCount: number;
  /** Probability of each group; its verdict as an index into `family.repairSets`, never falling. */
  readonly mass: Float64Array;
  readonly verdict: Uint16Array;
  readonly checks: readonly PlanCheck[];
  /** What each danger costs under each group, in minutes. */
  readonly dangers: readonly Float64Array[];
  /** The unit once the flags of a world are set. */
  world(flags: number): PlanWorld;
}

export interface PlanCheck {
  readonly checkId: string;
  /** Minutes of work and danger, without access. */
  readonly costMinutes: number;
  readonly minutes: number;
  readonly sets: number;
  readonly clears: number;
  readonly changes: number;
  /** Access that it needs from where the technician stands now. */
  readonly accessMinutesNow: number;
  /** Dangers that it runs into, as places in `dangers`. */
  readonly dangers: readonly number[];
}

/** What each check would show in it; worked out when first asked for, since most plans never ask for most. */
export type PlanWorld = (check: number) => CheckBins;

/** Outcome bins of a check, chance of a wrong reading included: `shares[group * bins + bin]`. */
export interface CheckBins {
  readonly bins: number;
  readonly shares: Float64Array;
}

/** Hypotheses lighter than this are left out of the plan. */
const leastMass = 1e-4;
/** Beyond this number, groups with the same verdict are thrown together, the lightest first. */
const mostGroups = 50;
/** Outcome chances closer than this share of 1 are one to a plan. */
const levels = 12;

export function planProblem<O extends Observable>(
  family: CompiledFamily<O>,
  belief: Belief,
  start: PlanStart<O>,
): PlanProblem {
  const hypotheses = belief.active.filter((h) => belief.byHypothesis[h]! > leastMass);
  const { candidates } = start;
  const rows = likeliestRows(family, belief, hypotheses);
  const outcomesOf = new Map<ObservableTable, CheckOutcomes>();
  const outcomesIn = (flags: number, { observableIn }: Candidate<O>) => {
    const table = family.table(observableIn(flags));
    const found = outcomesOf.get(table) ?? checkOutcomes(belief, table, hypotheses, rows);
    outcomesOf.set(table, found);
    return found;
  };
  const outcomes = candidates.map((each) => outcomesIn(0, each));
  const verdictOf = ({ members }: Group) => family.setOfHypothesis[hypotheses[members[0]!]!]!;
  // By verdict, so that a rollout meets the groups of one verdict in a row.
  const groups = mergeAlike(family, belief, hypotheses, outcomes).sort(
    (one, other) => verdictOf(one) - verdictOf(other),
  );
  const membership = membershipOf(belief, hypotheses, groups);
  const dangerNames = [...new Set(candidates.flatMap((each) => each.dangers ?? []))];
  const kept = groups.reduce((sum, each) => sum + each.mass, 0);
  const worlds = new Map<number, PlanWorld>();
  const world = (flags: number): PlanWorld => {
    let found = worlds.get(flags);
    if (!found) {
      const known: CheckBins[] = [];
      found = (check) =>
        (known[check] ??= groupShares(
          membership,
          outcomesIn(flags, candidates[check]!),
          candidates[check]!.errorRate,
        ));
      worlds.set(flags, found);
    }
    return found;
  };
  return {
    groupCount: groups.length,
    mass: Float64Array.from(groups, (each) => each.mass / kept),
    verdict: Uint16Array.from(groups, verdictOf),
    checks: candidates.map((each) => ({
      checkId: each.checkId,
      minutes: each.minutes,
      costMinutes: each.minutes + each.hazardMinutes,
      sets: each.need.sets,
      clears: each.need.clears,
      changes: each.changes,
      accessMinutesNow: each.accessMinutes,
      dangers: (each.dangers ?? []).map((name) => dangerNames.indexOf(name)),
    })),
    dangers: dangerNames.map((name) =>
      groupDangers(membership, family.model.dangers![name]!, hypotheses),
    ),
    world,
  };
}

interface CheckOutcomes {
  readonly bins: number;
  /** Class by class, bin by bin. */
  readonly ofClass: Float64Array;
  /** For each class, a number equal where all its bins are alike. */
  readonly signatures: Int32Array;
  /** Class of each hypothesis, in their order. */
  readonly classOf: Uint16Array;
}

/** For each hypothesis, its row at the likeliest values of the shared unknowns. */
function likeliestRows(
  { rowStart }: CompiledFamily<never>,
  { shareOfRow }: Belief,
  hypotheses: readonly number[],
): Uint32Array {
  return Uint32Array.from(hypotheses, (h) => {
    let best = rowStart[h]!;
    for (let row = best + 1; row < rowStart[h + 1]!; row++) {
      if (shareOfRow[row]! > shareOfRow[best]!) best = row;
    }
    return best;
  });
}

/** Outcome bins of a check, and the chance of each under every hypothesis, for readings that were taken rightly. */
function checkOutcomes(
  { byHypothesis }: Belief,
  table: ObservableTable,
  hypotheses: readonly number[],
  rows: Uint32Array,
): CheckOutcomes {
  table.ensureThese(hypotheses);
  const { classes, classOfRow } = table;
  const masses = new Float64Array(classes.length);
  const classOf = new Uint16Array(hypotheses.length);
  for (let k = 0; k < hypotheses.length; k++) {
    const found = classOfRow[rows[k]!]!;
    classOf[k] = found;
    masses[found]! += byHypothesis[hypotheses[k]!]!;
  }
  const { count: bins, shares: ofClass } = binOutcomes(classes, masses);
  const signatures = new Int32Array(classes.length);
  for (let c = 0; c < classes.length; c++) {
    if (masses[c]! > 0) signatures[c] = signature(ofClass, c * bins, bins);
  }
  return { bins, ofClass, signatures, classOf };
}

function signature(chances: Float64Array, from: number, bins: number): number {
  let hash = 0x811c9dc5;
  for (let bin = 0; bin < bins - 1; bin++) {
    hash = Math.imul(hash ^ Math.round(chances[from + bin]! * levels), 0x01000193);
  }
  return hash | 0;
}

interface Group {
  /** Places in the list of hypotheses. */
  readonly members: number[];
  mass: number;
}

/** Hypotheses with the same verdict that no check tells apart by more than a hair; the heaviest groups first. */
function mergeAlike(
  { setOfHypothesis }: CompiledFamily<never>,
  { byHypothesis }: Belief,
  hypotheses: readonly number[],
  outcomes: readonly CheckOutcomes[],
): Group[] {
  const groups = new Map<number, Group>();
  for (let k = 0; k < hypotheses.length; k++) {
    const h = hypotheses[k]!;
    let one = setOfHypothesis[h]!;
    let two = 0x1b873593 ^ one;
    for (let c = 0; c < outcomes.length; c++) {
      const { classOf, signatures } = outcomes[c]!;
      const own = signatures[classOf[k]!]!;
      one = Math.imul(one ^ own, 0x85ebca6b);
      one ^= one >>> 15;
      two = (Math.imul(two, 31) + own) | 0;
    }
    const key = (one >>> 0) * 2097152 + (two & 0x1fffff);
    const group = groups.get(key);
    if (group) {
      group.members.push(k);
      group.mass += byHypothesis[h]!;
    } else groups.set(key, { members: [k], mass: byHypothesis[h]! });
  }
  const sorted = [...groups.values()].sort(
    (one, other) => other.mass - one.mass || one.members[0]! - other.members[0]!,
  );
  return [
    ...sorted.slice(0, mostGroups),
    ...byVerdict(setOfHypothesis, hypotheses, sorted.slice(mostGroups)),
  ];
}

/** The light groups thrown together by their verdict: what each may show is blurred, that it may be so is not forgotten. */
function byVerdict(
  setOfHypothesis: Uint16Array,
  hypotheses: readonly number[],
  light: readonly Group[],
): Group[] {
  const joined = new Map<number, Group>();
  for (const { members, mass } of light) {
    const verdict = setOfHypothesis[hypotheses[members[0]!]!]!;
    const group = joined.get(verdict) ?? { members: [], mass: 0 };
    group.members.push(...members);
    group.mass += mass;
    joined.set(verdict, group);
  }
  return [...joined.values()];
}

/** To which group each hypothesis belongs, and which share of the group it is. */
interface Membership {
  readonly groupCount: number;
  readonly groupOf: Uint16Array;
  readonly partOf: Float64Array;
}

function membershipOf(
  { byHypothesis }: Belief,
  hypotheses: readonly number[],
  groups: readonly Group[],
): Membership {
  const groupOf = new Uint16Array(hypotheses.length);
  const partOf = new Float64Array(hypotheses.length);
  groups.forEach(({ members, mass }, g) => {
    for (const k of members) {
      groupOf[k] = g;
      partOf[k] = byHypothesis[hypotheses[k]!]! / mass;
    }
  });
  return { groupCount: groups.length, groupOf, partOf };
}

/** Chance of each bin under each group, the chance of a wrong reading included. */
function groupShares(
  { groupCount, groupOf, partOf }: Membership,
  { bins, ofClass, classOf }: CheckOutcomes,
  errorRate: number,
): CheckBins {
  // A wrong reading may fall into any bin, and says nothing of the unit.
  const shares = new Float64Array(groupCount * bins).fill(errorRate / bins);
  for (let k = 0; k < groupOf.length; k++) {
    const from = classOf[k]! * bins;
    const to = groupOf[k]! * bins;
    const part = partOf[k]! * (1 - errorRate);
    for (let bin = 0; bin < bins; bin++) shares[to + bin]! += part * ofClass[from + bin]!;
  }
  return { bins, shares };
}

/** What a danger costs under each group: its members' own, by their weight in it. */
function groupDangers(
  { groupCount, groupOf, partOf }: Membership,
  minutesOf: Float64Array,
  hypotheses: readonly number[],
): Float64Array {
  const minutes = new Float64Array(groupCount);
  for (let k = 0; k < groupOf.length; k++) {
    minutes[groupOf[k]!]! += partOf[k]! * minutesOf[hypotheses[k]!]!;
  }
  return minutes;
}
