import type { Belief } from './belief';
import type { CompiledFamily } from './compile';
import { firstRepairs } from './first-repairs';
import { fromScale, partsOf, type OutcomeClass } from './meter';
import type { Observable } from './model';
import type { ObservableTable } from './observable-table';

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
    for (const { share, of } of partsOf(outcome)) {
      const own = share * mass;
      if (own < least) continue;
      const { overRange: over, meter, centre, spread } = of;
      overRange += over * own;
      if (over > 0.99) continue;
      // What a straight line draws out beyond what can be read is shown up to there.
      const read = (scaled: number) =>
        Math.min(meter.most, Math.max(meter.least ?? 0, fromScale(scaled, meter)));
      stretches.push({
        from: read(centre - 1.6 * spread),
        to: read(centre + 1.6 * spread),
        centre: read(centre),
        mass: (1 - over) * own,
      });
    }
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
