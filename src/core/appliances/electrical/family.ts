import type { FamilyCatalogue } from '../../job-file/catalogue';
import type { JobState } from '../../job-file/state';
import type { JobFile, ProbePoint } from '../../job-file/generated/job-types';
import type { PlanStart } from '../../diagnosis/model';
import { accessPlan } from './access-facts';
import { accessMinutesOf, accessSteps, type AccessStep } from './access-steps';
import { errorRateOf, ownMinutes, planStart } from './candidates';
import { catalogueOf } from './family-catalogue';
import { powerOnDangers } from './danger-names';
import { isAllowed, type TechnicianLimits } from './limits';
import { plateOf } from './plate-of-job';
import type { ElectricalDeclaration } from './declaration';
import { electricalModel, type ElectricalModel } from './model';
import type { NamedCheck } from './names';
import { clamp, observableOfCheck, probe, type ElectricalObservable } from './observable';
import { parameterHash, type FamilyParameters } from './parameters';
import type { Plate } from './plate';
import { impliedState, readingState, type ReadingState } from './state';
import type { UnitView } from './observation';
import { unitView } from './unit-view';
import { unlistedRepair, unlistedRepairId } from './unlisted';

/** A family of electric heaters, ready to use: its declaration, with what follows from it. */
export interface ElectricalFamily extends ElectricalDeclaration {
  readonly id: string;
  readonly catalogue: FamilyCatalogue;
  readonly checkIds: readonly string[];
  readonly questionIds: readonly string[];
  readonly parameterHash: string;
  isCheckId(id: string | undefined): id is string;
  check(id: string): NamedCheck;
  /** @throws PlateError where the plate cannot be worked with. */
  plateOf(job: Pick<JobFile, 'unit' | 'site'>): Plate;
  model(plate: Plate, parameters?: FamilyParameters): ElectricalModel;
  view(plate: Plate): UnitView;
  readingState(state: JobState): ReadingState;
  impliedState(check: string | undefined, present: ReadingState): ReadingState;
  observableOfCheck(check: string, state: ReadingState): ElectricalObservable;
  probe(
    quantity: 'resistance' | 'voltage-ac',
    a: ProbePoint,
    b: ProbePoint,
    state: ReadingState,
  ): ElectricalObservable;
  clamp(wires: readonly string[], state: ReadingState): ElectricalObservable;
  accessSteps(check: string, state: JobState): AccessStep[];
  /** Minutes of a check with the access that it still needs. */
  minutesOf(check: string, state: JobState, parameters?: FamilyParameters): number;
  isAllowed(check: string, limits: TechnicianLimits): boolean;
  /** Dangers that a check runs into, by name. */
  dangersOf(check: string): readonly string[];
  errorRateOf(check: string | undefined, parameters?: FamilyParameters): number;
  planStart(
    state: JobState,
    limits: TechnicianLimits,
    parameters?: FamilyParameters,
  ): PlanStart<ElectricalObservable>;
  /** Checks that prove a repair, live ones first: power is on then, and they prove the whole path. */
  proofChecksFor(repair: string): readonly string[];
}

export function electricalFamily(declared: ElectricalDeclaration): ElectricalFamily {
  const declaration = withUnlisted(declared);
  const { names, thermostats, parameters: own } = declaration;
  const plans = new Map<FamilyParameters, ReturnType<typeof accessPlan>>();
  const accessFor = (parameters: FamilyParameters) => {
    let found = plans.get(parameters);
    if (!found) {
      found = accessPlan(declaration, parameters);
      plans.set(parameters, found);
    }
    return found;
  };
  const isCheckId = (id: string | undefined): id is string =>
    id !== undefined && Object.hasOwn(names.checks, id);
  return {
    ...declaration,
    id: names.family,
    catalogue: catalogueOf(declaration),
    checkIds: Object.keys(names.checks),
    questionIds: Object.keys(declaration.questions),
    parameterHash: parameterHash(own),
    isCheckId,
    check: (id) => names.checks[id]!,
    plateOf: (job) => plateOf(declaration, job),
    model: (plate, parameters = own) => electricalModel(declaration, plate, parameters),
    view: (plate) => unitView(declaration, plate),
    readingState: (state) => readingState(thermostats, state),
    impliedState: (check, present) =>
      impliedState(check === undefined ? undefined : names.checks[check], thermostats, present),
    observableOfCheck: (check, state) => observableOfCheck(declaration, check, state),
    probe: (quantity, a, b, state) => ({
      ...probe(names, quantity, a, b, state),
      isOneOff: true,
    }),
    clamp: (wires, state) => ({ ...clamp(wires, state), isOneOff: true }),
    accessSteps: (check, state) => accessSteps(declaration, check, state),
    minutesOf: (check, state, parameters = own) =>
      accessMinutesOf(declaration, parameters, check, state) + ownMinutes(parameters, check),
    dangersOf: (check) => (names.checks[check]!.state?.power === 'on' ? powerOnDangers : []),
    isAllowed: (check, limits) => isAllowed(declaration, check, limits),
    errorRateOf: (check, parameters = own) => errorRateOf(declaration, parameters, check),
    planStart: (state, limits, parameters = own) =>
      planStart(
        declaration,
        parameters,
        accessFor(parameters),
        state,
        readingState(thermostats, state),
        limits,
      ),
    proofChecksFor: (repair) => {
      const live = (check: string) => (names.checks[check]!.state?.power === 'on' ? 0 : 1);
      return [...(declaration.repairs[repair]?.proof ?? [])].sort(
        (one, other) => live(one) - live(other),
      );
    },
  };
}

/** Every family has a suspect for what it does not name. */
const withUnlisted = (declared: ElectricalDeclaration): ElectricalDeclaration => ({
  ...declared,
  names: { ...declared.names, repairs: [...declared.names.repairs, unlistedRepairId] },
  repairs: {
    ...declared.repairs,
    // Whatever it was, what proves a good unit proves it.
    [unlistedRepairId]: { ...unlistedRepair, proof: declared.repairs['none-in-unit']!.proof },
  },
});
