import { checkNames, type CheckId } from '../appliances/electric-storage-two-element/checks';
import type { ReadingState } from '../appliances/electric-storage-two-element/observable';
import {
  buildNetlist,
  type BranchChange,
  type Plate,
  type SwitchPositions,
} from '../appliances/electric-storage-two-element/topology';
import { solveCircuit } from '../circuit';
import type { Random } from './random';
import { drawFault, faultWeights, type SimulatedFault } from './faults';

/**
 * A simulated heater with a hidden fault. It answers any check as a real one would: from the circuit, with its own
 * continuous values. It uses nothing of the diagnosis.
 */
export interface SimulatedUnit {
  readonly fault: SimulatedFault;
  readonly complaint: { readonly kind: string; readonly answers: Readonly<Record<string, string>> };
  /** What the check gives now; every answer draws its own reading error. */
  answer(check: CheckId, state: ReadingState): SimulatedAnswer;
  /** Mends what the repair mends. */
  repair(repairs: readonly string[]): void;
}

export type SimulatedAnswer =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'over-range' }
  | { readonly kind: 'outcome'; readonly outcome: string };

export interface SimulationOptions {
  /** Draws one by weight if absent. */
  readonly fault?: string;
  /** Share of readings that are slips. */
  readonly wrongReadings?: number;
}

export function simulateUnit(
  plate: Plate,
  random: Random,
  { fault, wrongReadings = 0 }: SimulationOptions = {},
): SimulatedUnit {
  const drawn = drawFault(fault ?? random.pick(faultWeights), random);
  const truth = {
    upperRatio: Math.exp(0.02 + 0.042 * random.normal()),
    lowerRatio: Math.exp(0.02 + 0.042 * random.normal()),
    legVolt: 120 * Math.exp(0.025 * random.normal()),
    leadOhm: 0.1 + 0.2 * random.next(),
  };
  let mended = false;
  const changes = (): Record<string, BranchChange> => ({
    ...good(truth),
    ...(mended ? {} : withRatio(drawn.changes, truth)),
  });
  const truePlate: Plate = {
    ...plate,
    nominalVolt: plate.nominalVolt * (truth.legVolt / 120),
  };
  let water = settle(truePlate, drawn, changes(), random);

  return {
    fault: drawn,
    complaint: complain(drawn.id, water, random),
    repair(repairs) {
      if (!repairs.includes(drawn.repair)) return;
      mended = true;
      // Proved once it has heated: refilled, reset, and back at its dials.
      water = { topCelsius: 50, bottomCelsius: 50, limitTripped: false, breakerTrips: false };
    },
    answer(check, state) {
      const names = checkNames[check];
      const switches = switchesNow(drawn, water, state, mended);
      const circuit = solveCircuit(buildNetlist(truePlate, changes(), switches));
      if (names.kind === 'observation') {
        const watt = powers(circuit).upper + powers(circuit).lower;
        return {
          kind: 'outcome',
          outcome: look(check, mended ? undefined : drawn, water, state, watt, random),
        };
      }
      if (random.chance(wrongReadings)) return slip(names.quantity, random);
      if (names.quantity === 'temperature') {
        return { kind: 'number', value: outlet(check, mended ? undefined : drawn, water, random) };
      }
      if (names.around) {
        const twin = names.around === 'w-upper-a' ? 'crossed-upper-a' : undefined;
        const ampere = Math.max(
          Math.abs(circuit.currentThrough(names.around)),
          twin ? Math.abs(circuit.currentThrough(twin)) : 0,
        );
        return noisy(ampere, 0.025, 0.15, random);
      }
      const [from, to] = names.between!;
      const seen = circuit.probeResistance(from!, to!).value;
      if (names.quantity === 'resistance') {
        return seen > 20e6
          ? { kind: 'over-range' }
          : noisy(seen + truth.leadOhm, 0.015, 0.1, random);
      }
      const open = Math.abs(circuit.probeVoltage(from!, to!).value);
      if (seen > 150e3 && open > 1) return { kind: 'number', value: random.next() * 50 };
      return noisy((open * 10e6) / (10e6 + seen), 0.012, 0.5, random);
    },
  };
}

function noisy(value: number, relative: number, floor: number, random: Random): SimulatedAnswer {
  const read = value + random.normal() * Math.hypot(relative * value, floor);
  const digits = read < 100 ? 1 : 0;
  return { kind: 'number', value: Number(Math.max(0, read).toFixed(digits)) };
}

interface Truth {
  readonly upperRatio: number;
  readonly lowerRatio: number;
}

const good = ({ upperRatio, lowerRatio }: Truth): Record<string, BranchChange> => ({
  'upper-element.a-half': { factor: upperRatio },
  'upper-element.b-half': { factor: upperRatio },
  'lower-element.a-half': { factor: lowerRatio },
  'lower-element.b-half': { factor: lowerRatio },
});

/** A faulty element still has its own true ohms. */
function withRatio(changes: SimulatedFault['changes'], truth: Truth): Record<string, BranchChange> {
  return Object.fromEntries(
    Object.entries(changes).map(([id, change]) => {
      const ratio = id.startsWith('upper-element')
        ? truth.upperRatio
        : id.startsWith('lower-element')
          ? truth.lowerRatio
          : 1;
      return [
        id,
        typeof change === 'object' && 'factor' in change
          ? { factor: change.factor * ratio }
          : change,
      ];
    }),
  );
}

interface Water {
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  readonly limitTripped: boolean;
  readonly breakerTrips: boolean;
}

type Circuit = ReturnType<typeof solveCircuit>;

function powers(circuit: Circuit) {
  const of = (element: string) =>
    circuit.powerIn(`${element}.a-half`) + circuit.powerIn(`${element}.b-half`);
  return { upper: of('upper-element'), lower: of('lower-element') };
}

/** Lets the faulty heater run until it has done what it will do to its water. */
function settle(
  plate: Plate,
  fault: SimulatedFault,
  changes: Record<string, BranchChange>,
  random: Random,
): Water {
  const coldWater = 14 + 8 * random.next();
  const cold = {
    topCelsius: coldWater,
    bottomCelsius: coldWater,
    limitTripped: false,
    breakerTrips: false,
  };
  if (fault.supply) return cold;
  if (fault.id === 'limit.nuisance-trip') return { ...cold, limitTripped: true };
  const solve = (
    upper: SwitchPositions['upperThermostat'],
    lower: SwitchPositions['lowerThermostat'],
  ) =>
    solveCircuit(
      buildNetlist(plate, changes, {
        breaker: 'on',
        limit: 'closed',
        upperThermostat: upper,
        lowerThermostat: lower,
        lifted: [],
      }),
    );
  const start = solve('calling', 'calling');
  const ampere = Math.max(
    Math.abs(start.currentThrough('breaker-1')),
    Math.abs(start.currentThrough('breaker-2')),
  );
  const trips = ampere > 60 ? 0.95 : ampere > 40 ? 0.6 : ampere > 33 ? 0.3 : 0;
  if (random.chance(trips)) return { ...cold, breakerTrips: true };
  const topHeats = powers(start).upper > 250;
  const bottomHeats = powers(solve(topHeats ? 'satisfied' : 'calling', 'calling')).lower > 250;
  const idle = powers(
    solve(topHeats || bottomHeats ? 'satisfied' : 'calling', bottomHeats ? 'satisfied' : 'calling'),
  );
  if ((topHeats || bottomHeats) && idle.upper + (bottomHeats ? idle.lower : 0) > 250) {
    const limitTripped = random.chance(0.8) && fault.id !== 'limit.never-trips';
    const still = limitTripped ? random.chance(0.3) : true;
    return still
      ? {
          topCelsius: 76 + 5 * random.next(),
          bottomCelsius: bottomHeats ? 75 : coldWater,
          limitTripped,
          breakerTrips: false,
        }
      : { ...cold, limitTripped };
  }
  const upperDial = fault.dials?.upper ?? 48 + 5 * random.next();
  const lowerDial = fault.dials?.lower ?? upperDial;
  return {
    topCelsius: topHeats ? upperDial : bottomHeats ? lowerDial : coldWater,
    bottomCelsius: bottomHeats ? lowerDial : coldWater,
    limitTripped: false,
    breakerTrips: false,
  };
}

function switchesNow(
  fault: SimulatedFault,
  water: Water,
  state: ReadingState,
  mended: boolean,
): SwitchPositions {
  const off =
    !mended &&
    (fault.supply === 'controlled' || (fault.supply === 'tripped' && !state.breakerCycled));
  const dialCelsius = (dial: ReadingState['upperDial'], found: number | undefined) =>
    dial === 'high' ? 68 : dial === 'low' ? 36 : (found ?? 50) + 2;
  return {
    breaker: state.power === 'on' && !off && (mended || !water.breakerTrips) ? 'on' : 'off',
    limit: water.limitTripped && !state.limitReset && !mended ? 'tripped' : 'closed',
    upperThermostat:
      water.topCelsius > dialCelsius(state.upperDial, fault.dials?.upper) ? 'satisfied' : 'calling',
    lowerThermostat:
      water.bottomCelsius > dialCelsius(state.lowerDial, fault.dials?.lower)
        ? 'satisfied'
        : 'calling',
    lifted: state.lifted.map((each) => each.wire),
  };
}

/** Over range, near zero, or a factor out. */
function slip(quantity: string | undefined, random: Random): SimulatedAnswer {
  const how = random.next();
  if (quantity === 'resistance' && how < 0.35) return { kind: 'over-range' };
  if (how < 0.6) return { kind: 'number', value: Number((0.6 * random.next()).toFixed(1)) };
  const most = quantity === 'temperature' ? 80 : quantity === 'voltage-ac' ? 250 : 60;
  return { kind: 'number', value: Number((most * random.next()).toFixed(1)) };
}

function outlet(
  check: CheckId,
  fault: SimulatedFault | undefined,
  water: Water,
  random: Random,
): number {
  const { topCelsius, bottomCelsius } = water;
  const first = check === 'outlet-first';
  let celsius = first ? topCelsius - 1 : Math.min(topCelsius, bottomCelsius + 4) - 2;
  if (!first && topCelsius > 25 && bottomCelsius < 25) celsius = 26 + 12 * random.next();
  if (fault?.id === 'dip-tube.gone')
    celsius = first ? 40 + 8 * random.next() : 22 + 9 * random.next();
  if (fault?.id === 'sediment' && !first) celsius = 36 + 11 * random.next();
  return Math.round((celsius + 1.5 * random.normal()) * 10) / 10;
}

function look(
  check: CheckId,
  fault: SimulatedFault | undefined,
  water: Water,
  state: ReadingState,
  watt: number,
  random: Random,
): string {
  const id = fault?.id ?? 'no-fault';
  const joint = /^(splice|w-|strap).*\.(open|resistive)$/.exec(id);
  switch (check) {
    case 'limit-reset-press': {
      const clicks = fault !== undefined && water.limitTripped && !state.limitReset;
      return random.chance(clicks ? 0.95 : 0.04) ? 'clicked' : 'no-click';
    }
    case 'splices-look':
    case 'wiring-look': {
      const seen =
        joint && id.startsWith('splice') === (check === 'splices-look') && random.chance(0.75);
      return seen ? (joint[2] === 'open' ? 'loose' : 'scorched') : 'sound';
    }
    case 'upper-element-beep':
    case 'lower-element-beep': {
      const element = check.replace('-beep', '');
      return id === `${element}.open` || id === `${element}.burst` ? 'silent' : 'beeps';
    }
    case 'upper-thermostat-warm-test':
    case 'lower-thermostat-warm-test': {
      const mode = id.startsWith(check.replace('-warm-test', '')) ? id.split('.')[1]! : '';
      if (['welded', 'both-contacts-closed'].includes(mode)) return 'stays-closed';
      if (['never-closes', 'dead', 'stuck-down'].includes(mode)) return 'never-closed';
      return random.chance(0.97) ? 'opens' : 'stays-closed';
    }
    case 'breaker-recycle':
      return fault && water.breakerTrips ? 'trips' : 'holds';
    case 'recovery-after-30-min':
      return watt > 1800 || water.topCelsius > 45 ? 'hot' : watt > 300 ? 'warm' : 'cold';
    case 'dials-look':
      if (!fault?.dials) return 'equal';
      return Math.max(fault.dials.upper, fault.dials.lower) < 45 ? 'low' : 'unequal';
    case 'other-outlet':
      return id === 'demand' && random.chance(0.5) ? 'hot-elsewhere' : 'same-everywhere';
    case 'use-look':
      return id === 'demand' && random.chance(0.88) ? 'outsized' : 'usual';
    case 'flush-look':
      return random.chance(id === 'sediment' ? 0.9 : 0.1) ? 'grit' : 'clear';
    case 'dip-tube-look':
      return id === 'dip-tube.gone' ? 'gone' : 'sound';
    default:
      return '';
  }
}

/** What the customer says, from what the tap does. */
function complain(id: string, water: Water, random: Random): SimulatedUnit['complaint'] {
  const kind = random.chance(0.06) ? 'other' : complaintOf(id, water, random);
  const answers: Record<string, string> = {
    onset: random.chance(id === 'sediment' ? 0.85 : 0.15) ? 'gradual' : 'sudden',
    allOutlets: String(!(id === 'demand' && random.chance(0.4))),
    breaker: water.breakerTrips
      ? 'again'
      : id === 'supply.off' && random.chance(0.5)
        ? 'once'
        : 'no',
  };
  if (random.chance(0.5)) answers.rumble = String(random.chance(id === 'sediment' ? 0.7 : 0.05));
  return { kind, answers };
}

function complaintOf(id: string, water: Water, random: Random): string {
  if (id === 'sediment') return random.chance(0.5) ? 'slow' : 'runs-out';
  if (id === 'dip-tube.gone') return random.chance(0.5) ? 'lukewarm' : 'runs-out';
  if (id === 'demand' || id === 'no-fault') return random.chance(0.7) ? 'runs-out' : 'lukewarm';
  if (id.startsWith('dials')) return random.chance(0.65) ? 'lukewarm' : 'runs-out';
  if (water.breakerTrips) return random.chance(0.6) ? 'trips-breaker' : 'no-hot-water';
  if (water.topCelsius > 70 && !water.limitTripped) return 'too-hot';
  if (water.topCelsius < 25 || water.limitTripped) return 'no-hot-water';
  if (water.bottomCelsius < 25)
    return random.chance(0.7) ? 'runs-out' : random.chance(0.5) ? 'slow' : 'lukewarm';
  return random.chance(0.5) ? 'slow' : 'runs-out';
}
