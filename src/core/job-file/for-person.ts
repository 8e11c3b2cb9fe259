import type { FamilyCatalogue } from './catalogue';
import { withoutLapsed } from './fold';
import type { JobState } from './state';

/**
 * The state of a unit for somebody who stands there now and has written nothing yet: what another person proved, or made so
 * by hand, does not hold for them, as it will not once they write something. The same object where nothing is another's.
 * @param by id of the person; undefined where nobody in particular looks.
 */
export function stateFor(
  state: JobState,
  catalogue: FamilyCatalogue,
  by: string | undefined,
): JobState {
  if (by === undefined) return state;
  const isOfAnother = (who: string | undefined) => who !== undefined && who !== by;
  const left = withoutLapsed(state, catalogue, (standing) => isOfAnother(standing.by));
  if (left.provedDeadAt === undefined || !isOfAnother(left.provedDeadBy)) return left;
  return {
    ...left,
    provedDeadAt: undefined,
    provedDeadBy: undefined,
    provedDeadUntil: undefined,
    proofEndedBy: 'other-person',
  };
}
