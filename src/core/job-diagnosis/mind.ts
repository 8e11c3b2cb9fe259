import {
  expectBands,
  type Belief,
  type Candidate,
  type CompiledFamily,
  type ExpectedBand,
} from '../diagnosis';

/** A result that would make another suspect lead, and which. */
export interface MindChanger {
  readonly check: string;
  readonly reads: ExpectedBand['reads'];
  readonly towards: string;
  /** How likely such a result is. */
  readonly probability: number;
}

/** Below this chance a result is no reason to doubt. */
const leastProbability = 0.002;

/** Of the checks that are left, the likeliest result that the leading suspect would not give but another would. */
export function whatWouldChangeTheMind(
  tables: CompiledFamily,
  standing: Belief,
  candidates: readonly Candidate[],
  leading: string,
): MindChanger | undefined {
  let best: MindChanger | undefined;
  for (const candidate of candidates) {
    const bands = expectBands(tables, standing, candidate.observableIn(0));
    const own = bands.filter((each) => each.repair === leading);
    for (const { repair, reads, probability } of bands) {
      if (repair === leading || probability < leastProbability) continue;
      const shared = own
        .filter((each) => overlap(each.reads, reads))
        .reduce((sum, each) => sum + each.probability, 0);
      if (shared > probability / 2 || probability <= (best?.probability ?? 0)) continue;
      best = { check: candidate.checkId, reads, towards: repair, probability };
    }
  }
  return best;
}

function overlap(one: ExpectedBand['reads'], other: ExpectedBand['reads']): boolean {
  if (one.kind === 'range' && other.kind === 'range')
    return one.from <= other.to && other.from <= one.to;
  if (one.kind === 'outcome' && other.kind === 'outcome') return one.outcome === other.outcome;
  return one.kind === other.kind;
}
