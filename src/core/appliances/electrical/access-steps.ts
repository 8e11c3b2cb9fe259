import type { JobState } from '../../job-file/state';
import type { AccessStep } from '../kit/access-step';
import { sameEnd } from '../kit/unit-state';
import type { ElectricalDeclaration } from './declaration';
import type { FamilyParameters } from '../kit/parameters';

/**
 * The steps that a check still needs. Covers come off and wires are moved with the power off and proved dead, and only then
 * does it go on again for a live check. A cover, once off, stays off; a wire stays lifted where it does no harm.
 */
export function accessSteps(
  { names, checks }: Pick<ElectricalDeclaration, 'names' | 'checks'>,
  check: string,
  state: JobState,
  handsUnderPower = false,
): AccessStep[] {
  const implied = names.checks[check]!.state ?? {};
  const { covers, standsAlone } = checks[check]!;
  const needed = implied.lifted ?? [];
  const byHand: AccessStep[] = [
    ...covers
      .filter((cover) => !Object.hasOwn(state.facts, cover))
      .map((cover) => ({ kind: 'open-cover' as const, cover })),
    ...needed
      .filter((each) => !state.lifted.some((other) => sameEnd(each, other)))
      .map((lifted) => ({ kind: 'lift-wire' as const, lifted })),
    ...(implied.lifted === undefined || standsAlone
      ? []
      : state.lifted
          .filter((each) => !needed.some((other) => sameEnd(each, other)))
          .map((lifted) => ({ kind: 'refit-wire' as const, lifted }))),
  ];
  const isProved = state.provedDeadAt !== undefined;
  const needsProof =
    (implied.power === 'off' || (byHand.length > 0 && !handsUnderPower)) && !isProved;
  const isOffThen = needsProof || state.power === 'off';
  return [
    ...(needsProof ? [{ kind: 'power-off-and-prove' as const }] : []),
    ...byHand,
    ...(implied.power === 'on' && isOffThen ? [{ kind: 'power-on' as const }] : []),
  ];
}

function stepMinutes({ accessMinutes }: FamilyParameters, step: AccessStep): number {
  switch (step.kind) {
    case 'power-off-and-prove':
      return accessMinutes.powerOffAndProve;
    case 'power-on':
      return accessMinutes.powerOn;
    case 'open-cover':
      return accessMinutes.covers[step.cover] ?? 0;
    case 'lift-wire':
    case 'refit-wire':
      return accessMinutes.liftOrRefitWire;
    default:
      return 0;
  }
}

/** Minutes of the access that a check still needs. */
export const accessMinutesOf = (
  declaration: ElectricalDeclaration,
  parameters: FamilyParameters,
  check: string,
  state: JobState,
): number =>
  accessSteps(declaration, check, state, parameters.accessMinutes.handsUnderPower).reduce(
    (sum, each) => sum + stepMinutes(parameters, each),
    0,
  );
