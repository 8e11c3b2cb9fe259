import type { Candidate, Hypothesis } from '../../../diagnosis/model';
import type { FamilyCatalogue } from '../../../job-file/catalogue';
import type { JobFile, ReadingEntry } from '../../../job-file/generated/job-types';
import { quantityOf } from '../../../job-file/quantity';
import type { JobState } from '../../../job-file/state';
import type { OwnSheet } from '../../../settings/own-rules';
import { parameterKinds, storageParameters, systemParameters } from '../../../settings/parameter';
import { numberOf, type Quantity } from '../../../quantities';
import type { ApplianceFamily, FamilyPlate, Target } from '../../appliance-family';
import { effectsOf, isWhateverFound, type CheckEffects } from '../effects';
import { hotTap } from '../hot-tap';
import { isAllowed, type TechnicianLimits } from '../limits';
import { resultQuantity, valueQuantity, type NamedCheck } from '../names';
import { parameterHash, type FamilyParameters } from '../parameters';
import { plateKeys } from '../plate-field';
import type { PictureState } from '../../picture';
import type { Signals } from '../stages';
import { stateKey, withDone, type UnitState } from '../unit-state';
import { withUnlisted } from '../unlisted-repair';
import { withWork } from '../work-looks';
import { hasFault } from './has-fault';
import { deniedFact, isSo, opensGas, signalAccess } from './access';
import { likelyMistake } from './mistakes';
import { sheetAsFound } from './sheet-evidence';
import { stopOf } from './stops';
import type { SignalDeclaration, Standing } from './declaration';
import { readingState as plainReadingState, stateOfEntry } from './entry-state';
import type { SignalHypothesis } from './hypothesis';
import { signalFamilyModel } from './model';
import { quantitiesOf, readsAtPair } from './pairs';
import { signalTap } from './tap-log';
import { signalStorage } from './storage-water';
import {
  observableOfCheck,
  observableOfQuestion,
  observableOfTarget,
  type SignalObservable,
} from './observable';

/** Makes a family from its declaration: everything that the house asks of it follows from that. */
export function signalFamily<Plate extends FamilyPlate, S extends Standing>(
  declared: SignalDeclaration<Plate, S>,
): ApplianceFamily {
  const declaration = withUnlisted(declared, [
    { sign: 'warning', words: 'Leave it off and safe while you look.' },
  ]);
  const { names, checks, parameters: own, looks } = declaration;
  const access = signalAccess(declaration.access);
  const isCheckId = (id: string | undefined): id is string =>
    id !== undefined && Object.hasOwn(names.checks, id);
  const impliedState = (check: string | undefined, present: UnitState) =>
    check === undefined ? present : declaration.impliedState(check, present);
  const hasMains = (declaration.deadPoints ?? []).length > 0;
  const readingState = (state: JobState) => {
    const plain = plainReadingState(state);
    // What hands may come near is off or on by the logbook, and not by what a check would like.
    return hasMains && state.power !== 'unknown'
      ? { ...plain, controls: { ...plain.controls, power: state.power } }
      : plain;
  };
  const { catalogue, procedures } = withWork(catalogueOf(declaration), declaration.procedures, {
    isMains: hasMains,
    burnsGas: declaration.gasPoints.length > 0,
  });
  const observableIn = (check: string, state: UnitState): SignalObservable => {
    const look = looks[check];
    return observableOfCheck(check, state, look ? (look.keyOf?.(state) ?? '') : stateKey(state));
  };
  const errorRateOf = (check: string | undefined, { checkErrors, errorRates }: FamilyParameters) =>
    check === undefined
      ? errorRates.reading
      : (checkErrors?.[check] ??
        (names.checks[check]!.kind === 'observation'
          ? errorRates.observation
          : errorRates.reading));
  /** Checks that a plan may propose: not records of safety, nor what the plate has not. */
  const isPlanned = (check: string, plate: FamilyPlate | undefined) =>
    !names.checks[check]!.record &&
    names.checks[check]!.kind !== 'series' &&
    (plate === undefined || applies(check, plate));
  const mayTake = (check: string, limits: TechnicianLimits) =>
    isAllowed(declaration, check, limits) &&
    (limits.gasWork !== false || !opensGas(declaration.access, check));
  const applies = (check: string, plate: FamilyPlate) =>
    Object.entries(names.checks[check]!.onlyIf ?? {}).every(([field, wanted]) =>
      wanted.includes(declaration.variantOf(plate as Plate, field)),
    );

  const family: ApplianceFamily = {
    id: names.family,
    title: declaration.title,
    names,
    catalogue,
    checks,
    checkIds: Object.keys(names.checks),
    questions: declaration.questions,
    questionIds: Object.keys(declaration.questions),
    askedComplaints: declaration.askedComplaints,
    repairs: declaration.repairs,
    words: declaration.words,
    drawing: declaration.drawing,
    procedures,
    plateFields: declaration.plateFields,
    settings: declaration.settings,
    pictureControls: declaration.pictureControls,
    pictureSliders: declaration.pictureSliders,
    deadPoints: declaration.deadPoints ?? [],
    usualOrder: declaration.usualOrder,
    parameters: own,
    // When it is asked for: a page that is opened has no time for it.
    get parameterHash() {
      return parameterHash(own);
    },
    isCheckId,
    check: (id) => names.checks[id]!,
    plateOf: (job) => declaration.plateOf(job),
    partRequirements: (kind, plate) => declaration.partRequirements(kind, plate as Plate),
    model: (plate, parameters = own) => signalFamilyModel(declaration, plate as Plate, parameters),
    readingState,
    impliedState,
    observableOfCheck: observableIn,
    observableOfQuestion,
    observableNow: (check, state) =>
      observableIn(check, impliedState(check, plainReadingState(state))),
    quantityAt: (target, state) =>
      'between' in target
        ? declaration.readsBetween
          ? (Object.keys(readBetween(target) ?? {})[0] as Quantity | undefined)
          : declaration.readable
            ? declaration.readable[state.controls.power === 'off' ? 'off' : 'on']
            : catalogue.readable.between[0]
        : 'point' in target
          ? (Object.keys(declaration.readsAt[target.point] ?? {})[0] as Quantity | undefined)
          : undefined,
    observableAt,
    observableOf(entry, before) {
      if (entry.check !== undefined) {
        // What is only looked at in work says nothing of the state that a check of the diagnosis is taken in.
        if (!isCheckId(entry.check)) return undefined;
        const taken = stateOfEntry(entry, plainReadingState(before), impliedState);
        return observableIn(entry.check, taken);
      }
      if (entry.kind === 'observation') return undefined;
      const target = targetOf(entry);
      const quantity = quantityOf(entry, catalogue);
      const plain = stateOfEntry(entry, plainReadingState(before), impliedState);
      // Ohms are read on what is off. Volts on what the logbook says: nought volts with the power off accuse nobody.
      const power =
        entry.state?.power ?? (quantity === 'resistance' || before.power === 'off' ? 'off' : 'on');
      const state = hasMains ? { ...plain, controls: { ...plain.controls, power } } : plain;
      return target && quantity && observableAt(target, quantity, state);
    },
    plannedKeyOf(entry, before) {
      if (!isCheckId(entry.check)) return undefined;
      return observableIn(entry.check, stateOfEntry(entry, plainReadingState(before), impliedState))
        .key;
    },
    settingEvidence(walked, errorOf, plate) {
      const { system } = declaration;
      if (!system) return [];
      const taken = sheetAsFound(walked, system, plate);
      if (!taken) return [];
      const state = impliedState(system.check, plainReadingState(taken.before));
      return [
        {
          entryId: taken.entryId,
          checkId: system.check,
          observable: observableIn(system.check, state),
          result: { kind: 'outcome', outcome: taken.outcome },
          repairsBefore: taken.before.repairsDone,
          errorRate: errorOf(system.check),
        },
      ];
    },
    standingKey: (hypothesis) => declaration.standingKey(standingOf(hypothesis)),
    lookAtStanding(observable, hypothesis) {
      const seen = observable as SignalObservable;
      if (seen.kind === 'question' || seen.kind === 'log' || seen.kind === 'tap-log')
        return undefined;
      if (showsStanding(seen)) return undefined;
      const standing = standingOf(hypothesis);
      return { ...seen, standing, key: `${seen.key} ${declaration.standingKey(standing)}` };
    },
    likelyMistake: (entry, good) => likelyMistake(catalogue, entry, good),
    readersOf(repair) {
      const shownBy = declaration.repairs[repair]?.shownBy;
      return shownBy && { check: (id) => shownBy.includes(id), points: () => false };
    },
    accessSteps: (check, state) => access.stepsTo(check, state),
    minutesOf: (check, state, parameters = own) =>
      access.minutesTo(check, state, parameters) + (parameters.checkMinutes[check] ?? 0),
    isAllowed: mayTake,
    dangersOf: () => [],
    errorRateOf: (check, parameters = own) => errorRateOf(check, parameters),
    planStart(state, limits, parameters = own, plate) {
      const present = plainReadingState(state);
      const candidates = Object.keys(parameters.checkMinutes).flatMap((checkId): Candidate[] => {
        const isOpen =
          isPlanned(checkId, plate) &&
          !state.refused.has(checkId) &&
          mayTake(checkId, limits) &&
          !access.isBarred(checkId, state);
        if (!isOpen) return [];
        const { changes, flags } = changesOf(declaration, checkId);
        return [
          {
            checkId,
            minutes: parameters.checkMinutes[checkId] ?? 0,
            hazardMinutes: parameters.hazardMinutes[checkId] ?? 0,
            errorRate: errorRateOf(checkId, parameters),
            accessMinutes: access.minutesTo(checkId, state, parameters),
            need: access.needOf(checkId),
            changes,
            observableIn: (world) =>
              observableIn(
                checkId,
                impliedState(
                  checkId,
                  withDone(
                    present,
                    ...flags.flatMap((flag, k) => ((world & (1 << k)) === 0 ? [] : [flag])),
                  ),
                ),
              ),
          },
        ];
      });
      return { candidates, facts: access.facts(parameters), access: access.now(state) };
    },
    proofChecksFor: (repair) => declaration.repairs[repair]?.proof ?? [],
    appliesTo: applies,
    picture(plate, drawn, state, setting) {
      const { faults, elements, standing } = drawn as SignalHypothesis<S>;
      const unit = {
        plate: plate as Plate,
        elements,
        standing,
        state: family.stateWith(state, setting),
      };
      const model = declaration.model(plate as Plate);
      const seen = {
        ...unit,
        signals: model.run(unit),
        has: hasFault(faults),
      };
      return { ...declaration.picture(seen, model), readouts: readoutsOf(seen.signals), faults };
    },
    drawnChanges: (hypothesis) => Object.keys((hypothesis as SignalHypothesis<S>).changes),
    stateWith(state, { controls = {}, known = {}, apart }) {
      const present = readingState(state);
      return {
        ...present,
        controls: { ...present.controls, ...controls },
        apart: apart ?? present.apart,
        known,
      };
    },
    statedOf: ({ controls = {} }, state) => ({
      ...(Object.keys(controls).length > 0 ? { controls } : {}),
      ...(state.apart.length > 0 ? { lifted: [...state.apart] } : {}),
    }),
    usualServices: ({ plate }) => declaration.usualServices(plate),
    plateLine: ({ plate }) => declaration.plateLine(plate),
    feedLine: () => undefined,
    plateFacts: (plate) => declaration.plateFacts(plate as Plate),
    drawnRatings: () => ({}),
    nextProof: (plate) => declaration.nextProof(plate as Plate),
    burnsGas: declaration.access.facts.some((each) => each.opensGas),
    joint: declaration.joint,
    codes: declaration.codes,
    leftToUndo: access.leftToUndo,
    firstCheck: (state) =>
      declaration.access.facts.find((each) => each.isFirst && !isSo(state, each))?.shownBy,
    stopOf: ({ complaint, unit: { plate } }, walked) =>
      stopOf(declaration.stops, walked, {
        complaint,
        plate,
        numberOf: (entry) => resultNumber(entry, plate),
        valuesOf: numbersOf,
      }),
    isBarred: (check, complaint) =>
      Object.entries(declaration.barred[check] ?? {}).some(
        ([question, answer]) => complaint?.answers?.[question] === answer,
      ),
    combined({ check, values = {} }, plate) {
      if (check === undefined) return undefined;
      const named = names.checks[check];
      const valuesAt = named?.valuesAt;
      const combine = declaration.combined[check];
      if (!combine || !named || !valuesAt) return undefined;
      const numbers = numbersOf({ check, values });
      return Object.keys(numbers).length === Object.keys(valuesAt).length
        ? combine(numbers, plate)
        : undefined;
    },
    classed({ check, values }, plate) {
      const classOf = check === undefined ? undefined : declaration.classed?.[check];
      return classOf && values ? classOf(numbersOf({ check, values }), plate) : undefined;
    },
    ...(declaration.water ? { storage: signalStorage(declaration.water) } : {}),
    ...(declaration.tap ? { tap: signalTap(declaration.tap) } : {}),
    ...(declaration.system ? { system: declaration.system } : {}),
    ...(declaration.isHeatPump ? { isHeatPump: true } : {}),
    ...(declaration.sheet ? { sheet: declaration.sheet as unknown as OwnSheet<FamilyPlate> } : {}),
    ...(declaration.pockets ? { pockets: declaration.pockets } : {}),
    ...(declaration.placesFollowed ? { follows: declaration.placesFollowed } : {}),
    ...(declaration.radiators ? { radiators: declaration.radiators } : {}),
    ...(declaration.mixing
      ? { mixing: { litre: (own) => declaration.mixing!.litre(own as Plate) } }
      : {}),
    ...(declaration.sensors ? { sensors: declaration.sensors } : {}),
    ...(declaration.flue
      ? {
          flue: {
            ...declaration.flue,
            read: (entry) => declaration.flue!.readOf(numbersOf(entry)),
          },
        }
      : {}),
    placeOfUnlisted: () => undefined,
  };
  return family;

  /** Several values of a reading, each in its kept unit; one that was over range is endless. */
  function numbersOf({ check, values = {} }: Pick<ReadingEntry, 'check' | 'values'>) {
    const named = isCheckId(check) ? names.checks[check]! : undefined;
    return Object.fromEntries(
      Object.keys(named?.valuesAt ?? {}).flatMap((key) => {
        const of = valueQuantity(named!, key);
        const value = values[key];
        const number = value?.overRange ? Infinity : of && numberOf(value, of);
        return number === undefined ? [] : [[key, number]];
      }),
    );
  }

  /** What is read between two terminals, whichever of them the red lead is on. */
  function readBetween(target: Extract<Target, { between: unknown }>) {
    return readsAtPair(declaration.readsBetween, target);
  }

  /** The one number of a reading, whether it was entered as one value or as several. */
  function resultNumber(entry: ReadingEntry, plate: JobFile['unit']['plate']): number | undefined {
    if (entry.values !== undefined) return family.combined(entry, plate);
    const quantity = isCheckId(entry.check)
      ? resultQuantity(names.checks[entry.check]!)
      : undefined;
    return quantity && numberOf(entry.value, quantity);
  }

  /** Undefined where the model has nothing to read. */
  function observableAt(target: Target, quantity: Quantity, state: UnitState) {
    const isRead =
      'between' in target
        ? declaration.readsBetween
          ? readBetween(target)?.[quantity] !== undefined
          : catalogue.readable.between.includes(quantity)
        : 'point' in target && declaration.readsAt[target.point]?.[quantity] !== undefined;
    return isRead ? observableOfTarget(target, quantity, state) : undefined;
  }

  /** What stands at each named point: the first quantity that is read there. */
  function readoutsOf(signals: Signals): PictureState['readouts'] {
    return Object.fromEntries(
      Object.entries(declaration.readsAt).map(([point, read]) => {
        const [quantity, signal] = Object.entries(read)[0] as [Quantity, string];
        return [point, { quantity, value: signals[signal]! }];
      }),
    );
  }

  /** A look, or what follows the standing alone: a good unit would not have stood so, and nothing else is to be judged. */
  function showsStanding(
    seen: Exclude<SignalObservable, { kind: 'question' | 'log' | 'tap-log' }>,
  ): boolean {
    if (seen.kind === 'target') return false;
    if (declaration.looks[seen.check]) return true;
    const follows = declaration.follows.signals[declaration.reads[seen.check] ?? ''];
    return follows?.byStanding === true && follows.elements.length === 0;
  }

  function standingOf(hypothesis: Hypothesis): S {
    return (hypothesis as SignalHypothesis<S>).standing;
  }
}

function targetOf(entry: {
  readonly between?: readonly unknown[];
  readonly point?: string;
}): Target | undefined {
  if (entry.between)
    return { between: entry.between as Extract<Target, { between: unknown }>['between'] };
  return entry.point === undefined ? undefined : { point: entry.point };
}

const donesOf = (each: CheckEffects): string[] =>
  isWhateverFound(each) ? each.flatMap((effect) => ('done' in effect ? [effect.done] : [])) : [];

/** What taking a check does once and for all, as flags of a plan's world: what hangs on what is found, no plan foresees. */
function changesOf<Plate extends FamilyPlate, S extends Standing>(
  { effects }: SignalDeclaration<Plate, S>,
  check: string,
): { readonly changes: number; readonly flags: readonly string[] } {
  const flags = [...new Set(Object.values(effects).flatMap(donesOf))];
  const done = donesOf(effects[check] ?? []);
  return {
    flags,
    changes: flags.reduce((sum, flag, k) => (done.includes(flag) ? sum | (1 << k) : sum), 0),
  };
}

/** Whether a check is taken with the power on or off, where it matters to hands. */
function powerOf({ state }: NamedCheck): { readonly power?: 'on' | 'off' } {
  const power = state?.controls?.power;
  return power === 'on' || power === 'off' ? { power } : {};
}

/** What the record needs to know of the family. */
function catalogueOf<Plate extends FamilyPlate, S extends Standing>({
  names,
  checks,
  questions,
  access,
  effects,
  settings,
  plateFields,
  gasPoints,
  readsBetween,
  readable,
  deadPoints = [],
  codes,
  water,
  tap,
  system,
  flue,
  radiators,
  mixing,
  sheet,
}: SignalDeclaration<Plate, S>): Omit<FamilyCatalogue, 'procedures' | 'services'> {
  const shown = access.facts.filter((each) => each.shownBy !== undefined);
  const source = {
    dials: new Map<string, string>(),
    checks: effects,
    // After a repair everything that was shown not to be so may be so.
    afterRepair: shown.map(({ id }) => ({ fact: deniedFact(id), so: false })),
    ends: new Map(access.facts.map(({ id, ends = [] }) => [id, ends])),
  };
  return {
    family: names.family,
    ...(flue ? { burnerCheck: flue.burnerCheck } : {}),
    heatsRadiators: radiators !== undefined,
    mixesHotWater: mixing !== undefined,
    terminals: new Set(names.terminals),
    conductors: names.conductors,
    repairs: new Set(names.repairs),
    faults: new Set(Object.keys(names.faults)),
    covers: new Set(),
    sights: new Set(Object.keys(codes?.sights ?? {})),
    settings: new Map([
      ...settings.map(({ id, quantity, range }) => [id, { quantity, range }] as const),
      ...(water ? parameterKinds(storageParameters) : []),
      ...(tap ? parameterKinds(tap.parameters) : []),
      ...(system ? parameterKinds(systemParameters) : []),
      ...(sheet ? parameterKinds(sheet.parameters) : []),
    ]),
    points: new Map([...Object.entries(names.points ?? {}), hotTap]),
    gasPoints: new Set(gasPoints),
    readable: {
      between: readsBetween
        ? quantitiesOf(readsBetween)
        : readable
          ? [readable.on, readable.off]
          : ['voltage-dc', 'resistance'],
      around: [],
    },
    controls: new Map(Object.entries(names.controls ?? {})),
    facts: new Map(
      access.facts.map(({ id, lapses = false, opensGas: opens, shownBy }) => [
        id,
        { lapses, opensGas: opens, shownBy },
      ]),
    ),
    dials: new Map(),
    answers: new Map(Object.entries(questions).map(([id, { values }]) => [id, values])),
    deadPoints: deadPoints.map(({ between }) => between),
    plate: plateKeys(plateFields),
    check(id) {
      const check = Object.hasOwn(names.checks, id) ? names.checks[id] : undefined;
      return (
        check && {
          kind: check.kind === 'code' ? 'observation' : check.kind,
          quantity: check.quantity,
          values: check.values,
          valueKeys: check.valuesAt && Object.keys(check.valuesAt),
          optionalKeys: check.optional,
          ...(deadPoints.length > 0 ? powerOf(check) : {}),
          valueQuantities: check.quantities,
          lifted: check.state?.lifted,
          isLive: checks[id]!.caution === 'live',
          isGasWork: opensGas(access, id),
        }
      );
    },
    effectsOf: (entry) => effectsOf(source, entry),
  };
}
