import type { FamilyCatalogue } from '../../job-file/catalogue';
import type { JobState } from '../../job-file/fold';
import type { JobFile, ProbePoint } from '../../job-file/generated/job-types';
import type { PlanStart } from '../../diagnosis/model';
import {
  accessMinutesOf,
  accessPlan,
  accessSteps,
  errorRateOf,
  isAllowed,
  ownMinutes,
  planStart,
  readingState,
  type AccessStep,
  type TechnicianLimits,
} from './access';
import type { ElectricalDeclaration } from './declaration';
import { electricalModel, type ElectricalModel } from './model';
import type { NamedCheck } from './names';
import { clamp, observableOfCheck, probe, type ElectricalObservable } from './observable';
import { parameterHash, type FamilyParameters } from './parameters';
import { PlateError, plateLimits, type Plate } from './plate';
import { impliedState, type ReadingState } from './state';
import { unitView, type UnitView } from './unit-view';

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
  errorRateOf(check: string | undefined, parameters?: FamilyParameters): number;
  planStart(
    state: JobState,
    limits: TechnicianLimits,
    parameters?: FamilyParameters,
  ): PlanStart<ElectricalObservable>;
  /** Checks that prove a repair, live ones first: power is on then, and they prove the whole path. */
  proofChecksFor(repair: string): readonly string[];
}

export function electricalFamily(declaration: ElectricalDeclaration): ElectricalFamily {
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
    id !== undefined && id in names.checks;
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
    readingState: (state) => readingState(declaration, state),
    impliedState: (check, present) =>
      impliedState(check === undefined ? undefined : names.checks[check], thermostats, present),
    observableOfCheck: (check, state) => observableOfCheck(declaration, check, state),
    probe: (quantity, a, b, state) => probe(names, quantity, a, b, state),
    clamp,
    accessSteps: (check, state) => accessSteps(declaration, check, state),
    minutesOf: (check, state, parameters = own) =>
      accessMinutesOf(declaration, parameters, check, state) + ownMinutes(parameters, check),
    isAllowed: (check, limits) => isAllowed(declaration, check, limits),
    errorRateOf: (check, parameters = own) => errorRateOf(declaration, parameters, check),
    planStart: (state, limits, parameters = own) =>
      planStart(
        declaration,
        parameters,
        accessFor(parameters),
        state,
        readingState(declaration, state),
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

function catalogueOf({ names }: ElectricalDeclaration): FamilyCatalogue {
  return {
    family: names.family,
    terminals: new Set(names.terminals),
    conductors: names.conductors,
    check(id) {
      const check = Object.hasOwn(names.checks, id) ? names.checks[id] : undefined;
      return (
        check && {
          kind: check.kind,
          quantity: check.quantity,
          values: check.values,
          power: check.state?.power,
          lifted: check.state?.lifted,
          changes: check.changes,
        }
      );
    },
  };
}

function plateOf(
  { elements, supplies, usualVolumeLitre }: ElectricalDeclaration,
  { unit, site }: Pick<JobFile, 'unit' | 'site'>,
): Plate {
  const { rated, elements: stated, volume, wiring } = unit.plate;
  const missing = elements.find(({ id }) => stated[id] === undefined);
  if (missing) {
    throw new PlateError(
      `/unit/plate/elements/${missing.id}`,
      `The plate does not say the watts of the ${missing.label.toLowerCase()}.`,
    );
  }
  const elementWatt = Object.fromEntries(elements.map(({ id }) => [id, stated[id]!.watt]));
  const supply = site?.supply?.system ?? supplies[0]!.system;
  const nominalVolt = site?.supply?.nominal?.volt ?? rated.volt;
  checkLimits('/unit/plate/rated/volt', rated.volt, 'volt');
  checkLimits('/site/supply/nominal/volt', nominalVolt, 'volt');
  for (const { id } of elements) {
    checkLimits(`/unit/plate/elements/${id}/watt`, elementWatt[id]!, 'watt');
  }
  return {
    ratedVolt: rated.volt,
    elementWatt,
    supply,
    nominalVolt,
    volumeLitre: volume?.litre ?? usualVolumeLitre,
    wiring: wiring ?? 'non-simultaneous',
    residualCurrentDevice:
      site?.supply?.residualCurrentDevice ?? (supply === 'single-phase' && rated.volt > 150),
  };
}

/** @throws PlateError for a value that no such heater has. */
function checkLimits(pointer: string, value: number, unit: keyof typeof plateLimits): void {
  const [least, most] = plateLimits[unit];
  if (value >= least && value <= most) return;
  throw new PlateError(
    pointer,
    `${value} ${unit} is outside what such a heater has, ${least} to ${most}. Read the plate again.`,
  );
}
