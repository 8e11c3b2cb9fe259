import { accessPlan } from './access-facts';
import { accessMinutesOf, accessSteps } from './access-steps';
import { errorRateOf, ownMinutes, planStart } from './candidates';
import { catalogueOf } from './family-catalogue';
import { powerOnDangers } from './danger-names';
import { isAllowed } from '../kit/limits';
import { plateOf } from './plate-of-job';
import type { ElectricalDeclaration } from './declaration';
import { electricalModel } from './model';
import {
  clamp,
  observableOfCheck,
  observableOfQuestion,
  probe,
  type ElectricalObservable,
} from './observable';
import { parameterHash, type FamilyParameters } from '../kit/parameters';
import type { Plate } from './plate';
import { impliedState, isPowered, readingState } from './state';
import type { ElectricalFamily } from './electrical-family';
import { dialEvidence, observableOfEntry, plannedKeyOf } from './entry-looks';
import { inWater, waterKey } from './in-water';
import { likelyMistake } from './mistakes';
import { observableUnderLoad, underLoad } from './no-load';
import { readersOf } from './part-readers';
import { drawHeater, pictureControls, pictureSliders, statedOf, stateWith } from './picture';
import {
  dialSettings,
  nextProof,
  feedLine,
  plateFacts,
  plateFields,
  plateLine,
} from './plate-fields';
import type { UnitHypothesis } from './unit-hypothesis';
import { unitView } from './unit-view';
import { withUnlisted } from '../kit/unlisted-repair';
import { withWork } from '../kit/work-looks';
import { partRequirements } from './part-requirements';
import { storageProcedures } from '../../procedures/storage';
import { electricalProcedures } from './procedures';
import { storageWater } from './storage-water';
import { placeOfUnlisted } from './unlisted';

export function electricalFamily(declared: ElectricalDeclaration): ElectricalFamily {
  const declaration = withUnlisted(declared, [
    {
      sign: 'electricity',
      words: 'Power off and proved dead on every leg before a wire is touched.',
    },
  ]);
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
  const { catalogue, procedures } = withWork(
    catalogueOf(declaration),
    [
      ...storageProcedures,
      // Each family has other parts: work on what it has not is none of its procedures.
      ...electricalProcedures.filter(({ repairs }) =>
        repairs.some((each) => names.repairs.includes(each)),
      ),
    ],
    { isMains: true, burnsGas: false },
  );
  const isCheckId = (id: string | undefined): id is string =>
    id !== undefined && Object.hasOwn(names.checks, id);
  const family: ElectricalFamily = {
    ...declaration,
    id: names.family,
    catalogue,
    procedures,
    checkIds: Object.keys(names.checks),
    questionIds: Object.keys(declaration.questions),
    // When it is asked for: a page that is opened has no time for it.
    get parameterHash() {
      return parameterHash(own);
    },
    isCheckId,
    check: (id) => names.checks[id]!,
    plateOf: (job) => plateOf(declaration, job),
    partRequirements: (kind, plate, repair) =>
      partRequirements(
        kind,
        plate as Plate,
        repair === undefined ? undefined : declaration.repairs[repair],
      ),
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
    appliesTo: () => true,
    burnsGas: false,
    stopOf: () => undefined,
    leftToUndo: ({ facts }) =>
      Object.entries(declaration.words.covers)
        .filter(([cover]) => Object.hasOwn(facts, cover))
        .map(([fact, name]) => ({
          fact,
          order: `${name.charAt(0).toUpperCase()}${name.slice(1)} back on`,
        })),
    firstCheck: () => undefined,
    isBarred: () => false,
    combined: () => undefined,
    observableOfQuestion: (question) => observableOfQuestion(question),
    observableNow(check, state, load) {
      const standing = family.impliedState(check, family.readingState(state));
      return observableUnderLoad(family, check, underLoad(family, standing, load), load);
    },
    quantityAt: (target, state) =>
      'between' in target ? (isPowered(state) ? 'voltage-ac' : 'resistance') : undefined,
    observableAt(target, quantity, state) {
      if ('around' in target) {
        return quantity === 'current-ac' ? family.clamp([target.around], state) : undefined;
      }
      if ('point' in target || (quantity !== 'resistance' && quantity !== 'voltage-ac')) {
        return undefined;
      }
      return family.probe(quantity, ...target.between, state);
    },
    observableOf: (entry, before) => observableOfEntry(family, entry, before),
    plannedKeyOf: (entry, before) => plannedKeyOf(family, entry, before),
    settingEvidence: (walked, errorRate) => dialEvidence(family, walked, errorRate),
    standingKey: (hypothesis) => waterKey(hypothesis as UnitHypothesis),
    lookAtStanding: (observable, hypothesis) =>
      inWater(thermostats, observable as ElectricalObservable, hypothesis as UnitHypothesis),
    likelyMistake: (entry, good, before) => likelyMistake(family.catalogue, entry, good, before),
    readersOf: (repair, fault) => readersOf(declaration, repair, fault),
    picture: (plate, drawn, state, setting) =>
      drawHeater(
        family,
        plate as Plate,
        drawn as UnitHypothesis,
        stateWith(family, state, setting),
      ),
    drawnChanges: (hypothesis) => Object.keys((hypothesis as UnitHypothesis).changes),
    stateWith: (state, setting) => stateWith(family, state, setting),
    statedOf: (setting, state) => statedOf(thermostats, setting, state),
    plateFields: plateFields(declaration),
    settings: dialSettings(thermostats),
    pictureControls: pictureControls(thermostats),
    pictureSliders: pictureSliders(thermostats),
    usualServices: ({ plate }) => ({
      supply: {
        system: declaration.supplies[0]!.system,
        ...(plate.rated ? { nominal: { volt: plate.rated.volt } } : {}),
      },
    }),
    plateLine: (unit) => plateLine(declaration, unit),
    feedLine: (plate) => feedLine(plate as Plate),
    plateFacts: (plate) => plateFacts(declaration, plate as Plate),
    drawnRatings: (plate) =>
      Object.fromEntries(
        declaration.elements.map(({ id, part }) => [part, (plate as Plate).elementWatt[id]!]),
      ),
    nextProof: (plate) => nextProof(declaration, plate as Plate),
    storage: storageWater(declaration, (plate) => unitView(declaration, plate)),
    placeOfUnlisted,
  };
  return family;
}
