import type { Procedure } from './generated/procedure-types';

/** What a unit is, as far as steps depend on it. */
export interface WorkedUnit {
  /** On mains volts, with something to be proved dead. */
  readonly isMains: boolean;
  readonly burnsGas: boolean;
}

/** A procedure for units of one kind: steps for other kinds fall away. */
export const fitProcedure = (procedure: Procedure, unit: WorkedUnit): Procedure => ({
  ...procedure,
  steps: procedure.steps.filter(
    ({ only }) => only === undefined || (only === 'mains' ? unit.isMains : unit.burnsGas),
  ),
});
