import type { Belief } from './belief';
import type { CompiledFamily } from './compile';
import type { Candidate } from './model';

/** What a check's dangers cost by the present belief, in minutes. */
export function expectedDanger(
  { model }: CompiledFamily<never>,
  { active, byHypothesis }: Belief,
  { dangers = [] }: Pick<Candidate<never>, 'dangers'>,
): number {
  return dangers.reduce((sum, name) => {
    const minutes = model.dangers?.[name];
    if (!minutes) throw new RangeError(`the model knows no danger named "${name}"`);
    return active.reduce((total, h) => total + byHypothesis[h]! * minutes[h]!, sum);
  }, 0);
}

/** A check that is more dangerous than this, in minutes, is not asked for by habit or by a doubt: something else is taken first. */
export const mostDangerMinutes = 4;

export interface DangerChance {
  readonly danger: string;
  readonly probability: number;
}

/** How likely each of some dangers is by the present belief. */
export const dangerChances = (
  { model }: CompiledFamily<never>,
  { active, byHypothesis }: Belief,
  dangers: readonly string[],
): DangerChance[] =>
  dangers.map((danger) => ({
    danger,
    probability: active.reduce(
      (sum, h) => (model.dangers![danger]![h]! > 0 ? sum + byHypothesis[h]! : sum),
      0,
    ),
  }));
