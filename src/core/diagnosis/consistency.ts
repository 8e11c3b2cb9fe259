import type { Belief } from './belief';
import type { CompiledFamily } from './compile';
import type { Course } from './courses';

export interface Doubt {
  readonly entryIds: readonly string[];
  readonly checkId: string;
  readonly observableKey: string;
  readonly probabilityWrong: number;
  readonly taken: number;
  /** How many repairs had been done when it was taken. */
  readonly repairsBefore: number;
  /** True where the same check has also given another result. */
  readonly contradicted: boolean;
}

export interface Consistency {
  /** Probability that every reading was taken rightly. */
  readonly allTrue: number;
  /** Readings by how likely they are wrong, the likeliest first. */
  readonly doubts: readonly Doubt[];
}

/** How well the readings fit one unit, and which of them does not, over all courses that its repairs may have taken. */
export function judgeConsistency(
  family: CompiledFamily<never>,
  courses: readonly Pick<Course, 'share' | 'belief'>[],
): Consistency {
  const { contributions } = courses[0]!.belief;
  const wrong = new Float64Array(contributions.length);
  let allTrue = 0;
  for (const { share, belief } of courses) {
    if (share > leastShare) allTrue += addWrong(family, belief, share, wrong);
  }
  const doubts = contributions.map((each, c) => ({
    entryIds: each.entryIds,
    checkId: each.checkId,
    observableKey: each.observableKey,
    probabilityWrong: wrong[c]!,
    taken: each.taken,
    repairsBefore: each.repairsBefore,
    contradicted: each.rivals > 0,
  }));
  return {
    allTrue,
    doubts: doubts.sort((one, other) => other.probabilityWrong - one.probabilityWrong),
  };
}

/** A course that is less likely than this casts no doubt. */
const leastShare = 1e-4;

/** Adds the chance that each contribution is wrong to `wrong`, times the share. Gives the chance that it went this way and all are right. */
function addWrong(
  { rowStart }: CompiledFamily<never>,
  { byHypothesis, shareOfRow, active, contributions }: Belief,
  courseShare: number,
  wrong: Float64Array,
): number {
  const wrongOfClass = contributions.map(({ likelihoodOfClass, wrongPart }) =>
    likelihoodOfClass.map((likelihood) => Math.min(1, wrongPart / likelihood)),
  );
  let allTrue = 0;
  for (const h of active) {
    const own = courseShare * byHypothesis[h]!;
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
  return allTrue;
}
