import {
  expectBands,
  type Appraisal,
  type Belief,
  type CompiledFamily,
  type ExpectedBand,
  type Plan,
} from '../diagnosis';
import type { DoubtToSettle } from './doubts';

/** What a plan and a doubt come to: the check to take next, and those that come after it. */

export interface NextCheck {
  readonly check: string;
  readonly why: string;
  /** Minutes with the access it still needs. */
  readonly minutes: number;
  readonly expected: readonly ExpectedBand[];
  /** True where it is asked for a second time, because the first result fits nothing. */
  readonly repeat: boolean;
  /** It opens the way to another, and is taken first. */
  readonly opensTheWay?: boolean;
  /** The repair whose part it reads on itself: the verdict stands, and rests on what other parts read. */
  readonly confirms?: string;
  /** What is to be expected until a verdict, this check included; absent for a repeat. */
  readonly toVerdict?: { readonly minutes: number; readonly checks: number };
}

export interface Alternative {
  readonly check: string;
  readonly minutes: number;
  readonly toVerdictMinutes?: number;
}

export type CheckAppraisal = Appraisal;

/** A check with the word on whether it is asked for again; undefined where no doubt asks for it. */
type Wanted = CheckAppraisal & { readonly repeat?: boolean };

const mostRepeatMinutes = 4;

/** The check that a doubt asks for, if it can be done. */
export function followed(
  doubt: DoubtToSettle | undefined,
  candidates: readonly CheckAppraisal['candidate'][],
): (CheckAppraisal & { readonly repeat: boolean }) | undefined {
  if (!doubt?.follow) return undefined;
  const { check, repeat } = doubt.follow;
  const candidate = candidates.find((each) => each.checkId === check);
  if (!candidate) return undefined;
  // The same once more is asked for where it costs little; a dear look that fits nothing is only said.
  if (repeat && candidate.minutes > mostRepeatMinutes) return undefined;
  return { candidate, repeat, information: 0, costMinutes: costOf(candidate) };
}

const costOf = ({ minutes, accessMinutes, hazardMinutes }: CheckAppraisal['candidate']) =>
  minutes + accessMinutes + hazardMinutes;

export function usualFirst(
  { appraisals }: Plan,
  { checkId, outlook }: NonNullable<Plan['usual']>,
): CheckAppraisal[] {
  const first = appraisals.find((each) => each.candidate.checkId === checkId);
  if (!first) return [...appraisals];
  return [{ ...first, outlook }, ...appraisals.filter((each) => each !== first)];
}

export function nextCheck(
  tables: CompiledFamily,
  standing: Belief,
  next: Wanted,
  {
    doubt,
    confirms,
  }: { readonly doubt: DoubtToSettle | undefined; readonly confirms: string | undefined },
  brief: boolean,
): NextCheck {
  const { candidate, outlook, repeat } = next;
  const expected = brief ? [] : expectBands(tables, standing, candidate.observableIn(0));
  return {
    check: candidate.checkId,
    repeat: repeat ?? false,
    confirms,
    why:
      confirms !== undefined
        ? 'Found by what other parts read. Read the part itself before it is fitted.'
        : repeat !== undefined && doubt
          ? doubt.warning.text
          : whyThis(next, expected),
    minutes: totalMinutes(next),
    expected,
    toVerdict: outlook && {
      minutes: rounded(outlook.minutes),
      checks: Math.max(1, Math.round(outlook.checks)),
    },
  };
}

const totalMinutes = ({ candidate }: CheckAppraisal) =>
  rounded(candidate.minutes + candidate.accessMinutes);

export const rounded = (minutes: number) => Math.round(minutes * 10) / 10;

/** One sentence: how it splits the field, and what it costs. */
function whyThis(best: CheckAppraisal, expected: readonly ExpectedBand[]): string {
  const over = expected
    .filter((each) => each.reads.kind === 'over-range')
    .reduce((sum, each) => sum + each.probability, 0);
  const split =
    over > 0.03 && over < 0.97
      ? `It splits the field ${Math.round(over * 100)} to ${Math.round((1 - over) * 100)}`
      : `It tells most for its ${best.costMinutes.toFixed(1)} minutes`;
  return best.candidate.accessMinutes === 0
    ? `${split}, and nothing more has to come off.`
    : `${split}.`;
}

/** The two that come next in worth. */
export const alternativesTo = (
  next: CheckAppraisal | undefined,
  appraisals: readonly CheckAppraisal[],
): Alternative[] =>
  appraisals
    .filter((each) => each.candidate.checkId !== next?.candidate.checkId)
    .slice(0, 2)
    .map((each) => ({
      check: each.candidate.checkId,
      minutes: totalMinutes(each),
      toVerdictMinutes: each.outlook && rounded(each.outlook.minutes),
    }));
