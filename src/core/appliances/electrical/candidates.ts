import type { Candidate, PlanStart } from '../../diagnosis/model';
import type { JobState } from '../../job-file/state';
import type { AccessPlan } from './access-facts';
import { accessMinutesOf } from './access-steps';
import { powerOnDangers } from './danger-names';
import type { ElectricalDeclaration } from './declaration';
import { isAllowed, type TechnicianLimits } from '../kit/limits';
import { observableOfCheck, type ElectricalObservable } from './observable';
import type { FamilyParameters } from '../kit/parameters';
import { withDone, type UnitState } from '../kit/unit-state';
import { breakerCycled, impliedState, resetPressed } from './state';

/** World flags that a check sets for what follows. */
const limitResetFlag = 1;
const breakerCycledFlag = 2;

/** Every check that could be done now or later, and where the unit stands for them. */
export function planStart(
  declaration: ElectricalDeclaration,
  parameters: FamilyParameters,
  access: AccessPlan,
  state: JobState,
  present: UnitState,
  limits: TechnicianLimits,
): PlanStart<ElectricalObservable> {
  const { names, thermostats } = declaration;
  // A check without minutes is one that these parameters do not know.
  const candidates = Object.keys(parameters.checkMinutes).flatMap(
    (checkId): Candidate<ElectricalObservable>[] => {
      if (state.refused.has(checkId) || !isAllowed(declaration, checkId, limits)) return [];
      const check = names.checks[checkId]!;
      const changes =
        (check.changes?.limit ? limitResetFlag : 0) |
        (check.changes?.breaker ? breakerCycledFlag : 0);
      return [
        {
          checkId,
          minutes: ownMinutes(parameters, checkId),
          hazardMinutes: parameters.hazardMinutes[checkId] ?? 0,
          dangers: check.state?.power === 'on' ? powerOnDangers : [],
          errorRate: errorRateOf(declaration, parameters, checkId),
          accessMinutes: accessMinutesOf(declaration, parameters, checkId, state),
          need: access.needOf(checkId),
          changes,
          observableIn: (world) =>
            observableOfCheck(
              declaration,
              checkId,
              impliedState(
                check,
                thermostats,
                withDone(
                  present,
                  ...((world & limitResetFlag) !== 0 ? [resetPressed] : []),
                  ...((world & breakerCycledFlag) !== 0 ? [breakerCycled] : []),
                ),
              ),
            ),
        },
      ];
    },
  );
  return { candidates, facts: access.facts, access: access.now(state) };
}

/** Minutes of the check itself. */
export const ownMinutes = ({ checkMinutes }: FamilyParameters, check: string): number =>
  checkMinutes[check] ?? 0;

/** Chance that a result is wrong. Ohms taken by hand about 3 %; a beep, a look or a temperature more. Common practice. */
export function errorRateOf(
  { names }: ElectricalDeclaration,
  { errorRates }: FamilyParameters,
  check: string | undefined,
): number {
  if (check === undefined) return errorRates.reading;
  const { kind, quantity } = names.checks[check]!;
  if (kind === 'observation') return errorRates.observation;
  return quantity === 'temperature' ? errorRates.temperature : errorRates.reading;
}
