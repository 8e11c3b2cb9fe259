import { repairProbabilities, type Belief } from './belief';
import type { CompiledFamily, ObservableTable } from './compile';
import { normalBelow, overRangeChance, type OutcomeClass } from './meter';
import type { Candidate, Observable } from './model';

/** What a check is worth from the present belief. */
export interface Appraisal<O extends Observable = Observable> {
  readonly candidate: Candidate<O>;
  /** Expected information about the repair, in nats. */
  readonly information: number;
  /** Minutes of access and work, with the danger priced in. */
  readonly costMinutes: number;
  /** Expected probability of the leading repair after the check. */
  readonly expectedLead: number;
}

export interface Plan<O extends Observable = Observable> {
  /** Best first. */
  readonly appraisals: readonly Appraisal<O>[];
  readonly lead: number;
  /** True where another check costs more than it can save. */
  readonly enough: boolean;
}

export interface PlanPrices {
  /** What acting on a wrong verdict costs, in minutes. */
  readonly wrongVerdictMinutes: number;
}

/** Below this a check says nothing worth walking to the unit for, in nats. */
const leastInformation = 0.01;
/** With nothing left to learn, a verdict needs at least this. */
const leastLead = 0.8;

/**
 * Ranks the candidates by expected information about the repair per minute, and says whether to stop.
 * Ties are broken by check id, so that worker, server and command line agree.
 */
export function planNext<O extends Observable>(
  family: CompiledFamily<O>,
  belief: Belief,
  candidates: readonly Candidate<O>[],
  prices: PlanPrices,
): Plan<O> {
  const present = repairProbabilities(family, belief);
  const lead = Math.max(...present);
  const openRepairs = [...present.keys()].filter((repair) => present[repair]! > 1e-6);
  const appraisals = candidates
    .map((candidate) => appraise(family, belief, candidate, present, openRepairs))
    .sort(
      (one, other) =>
        other.information / other.costMinutes - one.information / one.costMinutes ||
        one.candidate.checkId.localeCompare(other.candidate.checkId),
    );
  const useful = appraisals.filter((each) => each.information >= leastInformation);
  const lossNow = (1 - lead) * prices.wrongVerdictMinutes;
  const best = useful[0];
  return {
    appraisals: useful,
    lead,
    enough: best ? lossNow <= best.costMinutes : lead >= leastLead,
  };
}

function appraise<O extends Observable>(
  family: CompiledFamily<O>,
  belief: Belief,
  candidate: Candidate<O>,
  present: Float64Array,
  openRepairs: readonly number[],
): Appraisal<O> {
  const table = family.table(candidate.observable);
  const repairCount = family.repairs.length;
  const massOf = classMasses(family, belief, table);
  const outcomes = outcomeShares(table.classes, massOf.total);
  const joint = new Float64Array(outcomes.binCount * repairCount);
  for (let c = 0; c < table.classes.length; c++) {
    if (massOf.total[c]! < 1e-7) continue;
    for (let bin = 0; bin < outcomes.binCount; bin++) {
      const share = outcomes.shares[c * outcomes.binCount + bin]!;
      if (share < 1e-7) continue;
      for (const repair of openRepairs) {
        joint[bin * repairCount + repair]! += share * massOf.byRepair[c * repairCount + repair]!;
      }
    }
  }
  const { errorRate } = candidate;
  let entropyAfter = 0;
  let expectedLead = 0;
  for (let bin = 0; bin < outcomes.binCount; bin++) {
    // A wrong reading may fall into any bin, and says nothing of the repair.
    const column = openRepairs.map(
      (repair) =>
        (1 - errorRate) * joint[bin * repairCount + repair]! +
        (errorRate / outcomes.binCount) * present[repair]!,
    );
    let total = 0;
    let most = 0;
    for (const each of column) {
      total += each;
      if (each > most) most = each;
    }
    if (total <= 0) continue;
    expectedLead += most;
    entropyAfter += total * entropy(column.map((each) => each / total));
  }
  return {
    candidate,
    information: Math.max(0, entropy(present) - entropyAfter),
    costMinutes: candidate.accessMinutes + candidate.minutes + candidate.hazardMinutes,
    expectedLead,
  };
}

/** Probability mass of each outcome class, in all and by repair. */
export function classMasses(
  family: CompiledFamily<never>,
  belief: Belief,
  { classes, classOfRow, isFlat }: ObservableTable,
) {
  const repairCount = family.repairs.length;
  const total = new Float64Array(classes.length);
  const byRepair = new Float64Array(classes.length * repairCount);
  const { pointCount } = family;
  for (const h of belief.active) {
    const repair = family.repairOfHypothesis[h]!;
    const start = h * pointCount;
    if (isFlat[h] === 1) {
      const mass = belief.byHypothesis[h]!;
      total[classOfRow[start]!]! += mass;
      byRepair[classOfRow[start]! * repairCount + repair]! += mass;
      continue;
    }
    for (let row = start; row < start + pointCount; row++) {
      const mass = belief.probabilities[row]!;
      const index = classOfRow[row]!;
      total[index]! += mass;
      byRepair[index * repairCount + repair]! += mass;
    }
  }
  return { total, byRepair };
}

/**
 * Cuts the outcomes of a check into a few bins, at the gaps between what the classes predict, and gives the
 * probability of each bin under each class, for readings that were taken rightly.
 */
function outcomeShares(
  classes: readonly OutcomeClass[],
  masses: Float64Array,
): { binCount: number; shares: Float64Array } {
  const first = classes[0]!;
  if (first.kind === 'outcomes') {
    const values = Object.keys(first.probabilities);
    const shares = new Float64Array(classes.length * values.length);
    classes.forEach((each, c) =>
      values.forEach((value, bin) => {
        if (each.kind !== 'outcomes') return;
        shares[c * values.length + bin] = each.probabilities[value] ?? 0;
      }),
    );
    return { binCount: values.length, shares };
  }
  const cuts = cutPoints(classes, masses);
  const binCount = cuts.length + 2;
  const shares = new Float64Array(classes.length * binCount);
  classes.forEach((each, c) => {
    if (each.kind !== 'quantity' || masses[c]! < 1e-7) return;
    const over =
      each.meter.overRangeAbove === undefined
        ? 0
        : overRangeChance(each, each.meter.overRangeAbove);
    let below = 0;
    for (let bin = 0; bin < binCount - 1; bin++) {
      const upTo = bin < cuts.length ? normalBelow((cuts[bin]! - each.centre) / each.spread) : 1;
      shares[c * binCount + bin] = (1 - over) * (upTo - below);
      below = upTo;
    }
    shares[c * binCount + binCount - 1] = over;
  });
  return { binCount, shares };
}

/** Midway between neighbouring predictions that lie further apart than their spreads. */
function cutPoints(classes: readonly OutcomeClass[], masses: Float64Array): number[] {
  const present = classes
    .flatMap((each, c) => (each.kind === 'quantity' && masses[c]! > 1e-6 ? [each] : []))
    .sort((one, other) => one.centre - other.centre);
  const cuts: number[] = [];
  for (let k = 1; k < present.length; k++) {
    const [lower, upper] = [present[k - 1]!, present[k]!];
    if (upper.centre - lower.centre > 1.5 * Math.min(lower.spread, upper.spread)) {
      cuts.push(
        (lower.centre * upper.spread + upper.centre * lower.spread) / (lower.spread + upper.spread),
      );
    }
  }
  return cuts;
}

function entropy(shares: Iterable<number>): number {
  let sum = 0;
  for (const each of shares) if (each > 0) sum -= each * Math.log(each);
  return sum;
}
