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
