import { setProbabilities, type Belief } from './belief';
import type { CompiledFamily } from './compile';
import type { Course } from './courses';
import { firstRepairs } from './first-repairs';
import { reasonsOf, type Reason } from './reasons';
import { weightsOfEvidence } from './weight-of-evidence';

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
  /** What speaks for it and against it: of a long logbook what speaks most. */
  readonly why: readonly Reason[];
}

/** The probability of every repair to be the one to do first: those of `listSuspects`, without their faults and reasons. */
export function suspectChances(
  family: CompiledFamily<never>,
  belief: Belief,
): Readonly<Record<string, number>> {
  const firstOfSet = firstRepairs(family, belief);
  const chances = new Float64Array(family.repairs.length);
  setProbabilities(family, belief).forEach((share, set) => {
    chances[firstOfSet[set]!]! += share * (1 - belief.unlisted);
  });
  const found = Object.fromEntries(family.repairs.map((each, k) => [each, chances[k]!]));
  const own = family.model.unlisted?.repair;
  return own === undefined ? found : { ...found, [own]: (found[own] ?? 0) + belief.unlisted };
}

/**
 * Every repair with its probability, its faults and the entries that speak for and against it; most likely first.
 * @param belief About what still stands.
 * @param courses How the repairs that were done may have gone; left out where none was.
 */
export function listSuspects(
  family: CompiledFamily<never>,
  belief: Belief,
  courses: readonly Course[] = [{ share: 1, belief, failed: [], held: [] }],
): Suspect[] {
  const { model, repairSets, setOfHypothesis } = family;
  const firstOfSet = firstRepairs(family, belief);
  const weights = weightsOfEvidence(family, courses, firstOfSet);
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
      why: reasonsOf(belief.contributions, (c) => weights[c]![index]!),
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
  const why = reasonsOf(contributions, (c) => contributions[c]!.unlistedDecibans);
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
