import { setProbabilities } from '../diagnosis';
import type { OpenDiagnosis } from './open-diagnosis';

type Standing = Pick<OpenDiagnosis, 'tables' | 'standing'>;

/** The likeliest set of repairs, and how likely it is. Where nothing in the list explains the readings, that. */
export function leadingSet({ tables, standing }: Standing): {
  readonly repairs: readonly string[];
  readonly probability: number;
} {
  const { unlisted } = standing;
  const chances = setProbabilities(tables, standing).map((each) => each * (1 - unlisted));
  const own = tables.model.unlisted?.repair;
  const anywhere = tables.repairSets.findIndex((set) => set.length === 1 && set[0] === own);
  if (anywhere >= 0) chances[anywhere]! += unlisted;
  const best = chances.indexOf(Math.max(...chances));
  return { repairs: tables.repairSets[best]!, probability: chances[best]! };
}

/** The repair of the leading set that is done first, and the likeliest fault that it ends. */
export function leadingFault(open: Standing): {
  readonly repair: string;
  readonly fault: string | undefined;
} {
  const { tables, standing } = open;
  const { repairs } = leadingSet(open);
  const weights = new Map<string, number>();
  for (const h of standing.active) {
    const { faults } = tables.model.hypotheses[h]!;
    for (const fault of faults) {
      if (!repairs.includes(tables.model.repairOf[fault]!)) continue;
      weights.set(fault, (weights.get(fault) ?? 0) + standing.byHypothesis[h]!);
    }
  }
  const [likeliest] = [...weights].sort((one, other) => other[1] - one[1]);
  const fault = likeliest?.[0];
  return { repair: fault === undefined ? repairs[0]! : tables.model.repairOf[fault]!, fault };
}
