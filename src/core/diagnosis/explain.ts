import { repairProbabilities, type Belief } from './belief';
import type { Contribution } from './contribution';
import type { CompiledFamily } from './compile';
import type { ObservableTable } from './observable-table';
import { fromScale, type OutcomeClass } from './meter';
import type { Observable } from './model';

export interface Suspect {
  /** The repair to do first. */
  readonly repair: string;
  /** All repairs of the likeliest set that begins with it. */
  readonly repairs: readonly string[];
  /** Probability that this repair is the one to do first. */
  readonly probability: number;
  /** Sets of repairs that begin with it, where more than the one; the likeliest first. */
  readonly sets: readonly { readonly repairs: readonly string[]; readonly probability: number }[];
  readonly faults: readonly { readonly id: string; readonly probability: number }[];
  readonly why: readonly { readonly entry: string; readonly decibans: number }[];
}

/** Every repair with its probability, its faults and the entries that speak for and against it; most likely first. */
export function listSuspects(family: CompiledFamily<never>, belief: Belief): Suspect[] {
  const { model, repairSets, setOfHypothesis } = family;
  const firstOfSet = firstRepairs(family, belief);
  const weights = belief.contributions.map((each) =>
    weightsByRepair(family, belief, each, firstOfSet),
  );
  const tallies = family.repairs.map((): Tally => ({
    probability: 0,
    faults: new Map(),
    sets: new Map(),
  }));
  for (let h = 0; h < setOfHypothesis.length; h++) {
    const set = setOfHypothesis[h]!;
    const tally = tallies[firstOfSet[set]!]!;
    const share = belief.byHypothesis[h]!;
    tally.probability += share;
    if (share < leastTold) continue;
    const named = model.hypotheses[h]!.faults;
    for (const fault of named.length > 0 ? named : ['no-fault']) addTo(tally.faults, fault, share);
    addTo(tally.sets, set, share);
  }
  const suspects = family.repairs.map((repair, index) => {
    const { probability, faults, sets } = tallies[index]!;
    const likely = [...sets]
      .map(([set, share]) => ({
        repairs: [repair, ...repairSets[set]!.filter((each) => each !== repair)],
        probability: share,
      }))
      .sort((one, other) => other.probability - one.probability);
    return {
      repair,
      repairs: likely[0]?.repairs ?? [repair],
      probability,
      sets: likely.filter((each) => each.probability > 0.005).slice(0, 6),
      faults: [...faults]
        .map(([id, each]) => ({ id, probability: each }))
        .filter((each) => each.probability > 1e-4)
        .sort((one, other) => other.probability - one.probability),
      why: belief.contributions.flatMap(({ entryIds }, c) => {
        const decibans = weights[c]![index]!;
        return entryIds.map((entry) => ({ entry, decibans: decibans / entryIds.length }));
      }),
    };
  });
  return withUnlisted(
    family,
    belief,
    suspects.map((each) => scaled(each, 1 - belief.unlisted)),
  ).sort(
    (one, other) => other.probability - one.probability || one.repair.localeCompare(other.repair),
  );
}

/** What holds if it is in the list at all, by the chance that it is. */
function scaled(suspect: Suspect, share: number): Suspect {
  if (share === 1) return suspect;
  const byShare = <Each extends { readonly probability: number }>(each: Each): Each => ({
    ...each,
    probability: each.probability * share,
  });
  return {
    ...byShare(suspect),
    sets: suspect.sets.map(byShare),
    faults: suspect.faults.map(byShare),
  };
}

/** What is in no list is one suspect, wherever it sits: on the circuit, where a hypothesis has it, or anywhere else. */
function withUnlisted(
  { model }: CompiledFamily<never>,
  { unlisted, contributions }: Belief,
  suspects: readonly Suspect[],
): Suspect[] {
  if (!model.unlisted) return [...suspects];
  const { repair } = model.unlisted;
  const found = suspects.find((each) => each.repair === repair);
  const probability = unlisted + (found?.probability ?? 0);
  const why = contributions.flatMap(({ entryIds, unlistedDecibans }) =>
    entryIds.map((entry) => ({ entry, decibans: unlistedDecibans / entryIds.length })),
  );
  return [
    ...suspects.filter((each) => each !== found),
    {
      repair,
      repairs: [repair],
      probability,
      sets: [{ repairs: [repair], probability }],
      faults: found?.faults ?? [],
      why: found && found.probability > unlisted ? found.why : why,
    },
  ];
}

interface Tally {
  probability: number;
  /** By fault, and by set of repairs as an index into `family.repairSets`. */
  readonly faults: Map<string, number>;
  readonly sets: Map<number, number>;
}

/** A hypothesis that weighs less is not told apart from others with the same repair. */
const leastTold = 1e-9;

function addTo<Key>(sums: Map<Key, number>, key: Key, share: number): void {
  sums.set(key, (sums.get(key) ?? 0) + share);
}

/** Of two repairs that are both needed, the surer one is done first. By set, an index into `family.repairs`. */
function firstRepairs(family: CompiledFamily<never>, belief: Belief): Uint8Array {
  const sure = repairProbabilities(family, belief);
  return Uint8Array.from(family.repairSets, (set) =>
    set
      .map((each) => family.repairs.indexOf(each))
      .reduce((best, each) => (sure[each]! > sure[best]! ? each : best)),
  );
}

/**
 * Weight of evidence of a contribution for each repair against all else, in decibans: 10·log10 of the ratio of its
 * likelihoods, given all the other entries.
 */
function weightsByRepair(
  { repairs, rowStart, setOfHypothesis }: CompiledFamily<never>,
  belief: Belief,
  { likelihoodOfClass, classOfRow, isFlat }: Contribution,
  firstOfSet: Uint8Array,
): Float64Array {
  const count = repairs.length;
  const withEntry = new Float64Array(count);
  const without = new Float64Array(count);
  for (let h = 0; h < setOfHypothesis.length; h++) {
    const repair = firstOfSet[setOfHypothesis[h]!]!;
    const own = belief.byHypothesis[h]!;
    withEntry[repair]! += own;
    if (isFlat[h] === 1) {
      without[repair]! += own / likelihoodOfClass[classOfRow[rowStart[h]!]!]!;
      continue;
    }
    for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) {
      without[repair]! += (own * belief.shareOfRow[row]!) / likelihoodOfClass[classOfRow[row]!]!;
    }
  }
  const allWith = sum(withEntry);
  const allWithout = sum(without);
  return withEntry.map((each, repair) => {
    const forSuspect = each / without[repair]!;
    const forRest = (allWith - each) / (allWithout - without[repair]!);
    const decibans = 10 * Math.log10(forSuspect / forRest);
    return Number.isFinite(decibans) ? decibans : 0;
  });
}

const sum = (values: Float64Array) => values.reduce((total, each) => total + each, 0);

export interface Doubt {
  readonly entryIds: readonly string[];
  readonly checkId: string;
  readonly observableKey: string;
  readonly probabilityWrong: number;
  readonly taken: number;
  /** True where the same check has also given another result. */
  readonly contradicted: boolean;
}

export interface Consistency {
  /** Probability that every reading was taken rightly. */
  readonly allTrue: number;
  /** Readings by how likely they are wrong, the likeliest first. */
  readonly doubts: readonly Doubt[];
}

/** How well the readings fit one unit, and which of them does not. */
export function judgeConsistency(family: CompiledFamily<never>, belief: Belief): Consistency {
  const { byHypothesis, shareOfRow, active, contributions } = belief;
  const { rowStart } = family;
  const wrongOfClass = contributions.map(({ likelihoodOfClass, wrongPart }) =>
    likelihoodOfClass.map((likelihood) => Math.min(1, wrongPart / likelihood)),
  );
  const wrong = new Float64Array(contributions.length);
  let allTrue = 0;
  for (const h of active) {
    const own = byHypothesis[h]!;
    if (own < 1e-5) continue;
    const start = rowStart[h]!;
    // What does not depend on the shared unknowns is as likely wrong in every row.
    let flatRight = 1;
    const varying: number[] = [];
    for (let c = 0; c < contributions.length; c++) {
      const { isFlat, classOfRow } = contributions[c]!;
      if (isFlat[h] === 0) {
        varying.push(c);
        continue;
      }
      const share = wrongOfClass[c]![classOfRow[start]!]!;
      flatRight *= 1 - share;
      wrong[c]! += own * share;
    }
    if (varying.length === 0) {
      allTrue += own * flatRight;
      continue;
    }
    for (let row = start; row < rowStart[h + 1]!; row++) {
      const probability = own * shareOfRow[row]!;
      if (probability < 1e-6) continue;
      let right = flatRight;
      for (const c of varying) {
        const share = wrongOfClass[c]![contributions[c]!.classOfRow[row]!]!;
        right *= 1 - share;
        wrong[c]! += probability * share;
      }
      allTrue += probability * right;
    }
  }
  const doubts = contributions.map((each, c) => ({
    entryIds: each.entryIds,
    checkId: each.checkId,
    observableKey: each.observableKey,
    probabilityWrong: wrong[c]!,
    taken: each.taken,
    contradicted: each.rivals > 0,
  }));
  return {
    allTrue,
    doubts: doubts.sort((one, other) => other.probabilityWrong - one.probabilityWrong),
  };
}

/** A stretch of the scale (or an outcome) in which a suspect would read. */
export interface ExpectedBand {
  readonly repair: string;
  readonly probability: number;
  readonly reads:
    | {
        readonly kind: 'range';
        readonly from: number;
        readonly to: number;
        readonly centre: number;
      }
    | { readonly kind: 'over-range' }
    | { readonly kind: 'outcome'; readonly outcome: string };
}

/** What each suspect would show on an observable, in kept units; the likeliest first. */
export function expectBands<O extends Observable>(
  family: CompiledFamily<O>,
  belief: Belief,
  observable: O,
): ExpectedBand[] {
  const table = family.table(observable);
  const firstOfSet = firstRepairs(family, belief);
  const masses = classMassesByRepair(family, belief, table, firstOfSet);
  const bands: ExpectedBand[] = [];
  family.repairs.forEach((repair, r) => {
    const parts = table.classes.map((outcome, c) => ({
      outcome,
      mass: masses[c * family.repairs.length + r]!,
    }));
    bands.push(...bandsOf(repair, parts));
  });
  return bands
    .filter((each) => each.probability > 0.002)
    .sort((one, other) => other.probability - one.probability);
}

/** Probability of each outcome class together with each first repair. */
function classMassesByRepair(
  { rowStart, repairs, setOfHypothesis }: CompiledFamily<never>,
  belief: Belief,
  table: ObservableTable,
  firstOfSet: Uint8Array,
): Float64Array {
  const matters = belief.active.filter((h) => belief.byHypothesis[h]! > 1e-5);
  for (const h of matters) table.ensure(h);
  const masses = new Float64Array(table.classes.length * repairs.length);
  for (const h of matters) {
    const repair = firstOfSet[setOfHypothesis[h]!]!;
    if (table.isFlat[h] === 1) {
      masses[table.classOfRow[rowStart[h]!]! * repairs.length + repair]! += belief.byHypothesis[h]!;
      continue;
    }
    for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) {
      masses[table.classOfRow[row]! * repairs.length + repair]! +=
        belief.byHypothesis[h]! * belief.shareOfRow[row]!;
    }
  }
  return masses;
}

interface ClassPart {
  readonly outcome: OutcomeClass;
  readonly mass: number;
}

/** A stretch that is a smaller share of what a suspect may read does not widen what is shown of it. */
const leastOfSuspect = 0.005;

function bandsOf(repair: string, parts: readonly ClassPart[]): ExpectedBand[] {
  const least = Math.max(1e-6, parts.reduce((total, { mass }) => total + mass, 0) * leastOfSuspect);
  const outcomes = new Map<string, number>();
  let overRange = 0;
  const stretches: { from: number; to: number; centre: number; mass: number }[] = [];
  for (const { outcome, mass } of parts) {
    if (mass < least) continue;
    if (outcome.kind === 'outcomes') {
      for (const [value, share] of Object.entries(outcome.probabilities)) {
        outcomes.set(value, (outcomes.get(value) ?? 0) + share * mass);
      }
      continue;
    }
    const over = outcome.overRange;
    overRange += over * mass;
    if (over > 0.99) continue;
    stretches.push({
      from: Math.max(
        outcome.meter.least ?? 0,
        fromScale(outcome.centre - 1.6 * outcome.spread, outcome.meter),
      ),
      to: fromScale(outcome.centre + 1.6 * outcome.spread, outcome.meter),
      centre: fromScale(outcome.centre, outcome.meter),
      mass: (1 - over) * mass,
    });
  }
  return [
    ...merged(stretches).map(({ mass, ...range }) => ({
      repair,
      probability: mass,
      reads: { kind: 'range' as const, ...range },
    })),
    ...(overRange > 0
      ? [{ repair, probability: overRange, reads: { kind: 'over-range' as const } }]
      : []),
    ...[...outcomes].map(([outcome, probability]) => ({
      repair,
      probability,
      reads: { kind: 'outcome' as const, outcome },
    })),
  ];
}

function merged(stretches: { from: number; to: number; centre: number; mass: number }[]) {
  const sorted = [...stretches].sort((one, other) => one.from - other.from);
  const joined: typeof stretches = [];
  for (const each of sorted) {
    const last = joined.at(-1);
    if (last && each.from <= last.to) {
      last.to = Math.max(last.to, each.to);
      last.centre = (last.centre * last.mass + each.centre * each.mass) / (last.mass + each.mass);
      last.mass += each.mass;
    } else joined.push({ ...each });
  }
  return joined;
}
