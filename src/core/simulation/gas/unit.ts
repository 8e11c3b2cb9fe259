import type { Random } from '../random';
import { gasNumbers as numbers, type Range } from './numbers';

/** Anywhere in a range. */
export const within = (random: Random, [least, most]: Range): number =>
  random.between({ least, most });

/** What a simulated heater is made of: its own values, with what its faults have done to them. */
export interface GasUnit {
  readonly faults: ReadonlySet<string>;
  readonly valve: 'thermocouple' | 'thermopile';
  readonly rollOut: 'in-lead' | 'own-leads' | 'none';
  readonly arrangement: 'single' | 'parallel' | 'series';
  readonly isLpg: boolean;
  readonly inputWatt: number;
  readonly litre: number;
  readonly coldCelsius: number;
  /** From which its tank is drawn, the same every time that it is looked at. */
  readonly tankSeed: number;
  gas: number;
  working: number;
  standing: number;
  regulator: number;
  orifice: number;
  pilotOpening: number;
  spark: boolean;
  airWay: number;
  roomAir: number;
  spill: number;
  gust: number;
  wrap: number;
  outputMillivolt: number;
  generatorOhm: number;
  jointOhm: number;
  leakOhm: number;
  isShieldLeak: boolean;
  magnetOhm: number;
  letGoMillivolt: number;
  coolSeconds: number;
  ports: number;
  depth: number;
  dial: number;
  early: number;
  nearerShare: number;
  coldPascal: number;
  isTripped: boolean;
  isCutOff: boolean;
  pilotFound: 'lit' | 'out';
  tankCelsius: number;
}

export interface GasFacts {
  readonly valve: GasUnit['valve'];
  readonly rollOut: GasUnit['rollOut'];
  readonly arrangement: GasUnit['arrangement'];
  readonly fuel: 'natural-gas' | 'lpg';
  readonly inputWatt: number;
  readonly volumeLitre: number;
}

/** A heater with these faults, every value its own. */
export function drawUnit(faults: ReadonlySet<string>, facts: GasFacts, random: Random): GasUnit {
  const between = (range: Range) => within(random, range);
  const made = numbers[facts.valve];
  const isThermopile = facts.valve === 'thermopile';
  const unit: GasUnit = {
    faults,
    valve: facts.valve,
    rollOut: facts.rollOut,
    arrangement: facts.arrangement,
    isLpg: facts.fuel === 'lpg',
    inputWatt: facts.inputWatt,
    litre: facts.volumeLitre,
    coldCelsius: between(numbers.coldCelsius),
    tankSeed: Math.floor(random.next() * 2 ** 32),
    gas: 1,
    working: between(numbers.workingRatio),
    standing: between([0.95, 1.1]),
    regulator: between(numbers.manifoldRatio),
    orifice: between([0.97, 1.03]),
    pilotOpening: between([0.9, 1.08]),
    spark: true,
    airWay: between([0.88, 1]),
    roomAir: 1,
    spill: 0,
    gust: 0,
    wrap: between([0.88, 1]),
    outputMillivolt: between(made.openMillivolt),
    generatorOhm: between(made.ohm),
    jointOhm: between(made.joint),
    leakOhm: Infinity,
    isShieldLeak: false,
    magnetOhm: between(made.magnetOhm),
    letGoMillivolt: between(made.letGoMillivolt),
    coolSeconds: between(made.coolSeconds),
    ports: between([0.97, 1]),
    depth: between([0, 0.12]),
    dial: between(numbers.dialCelsius),
    early: 0,
    nearerShare: between([0.47, 0.53]),
    coldPascal: between([2.5e5, 4.4e5]),
    isTripped: false,
    isCutOff: false,
    pilotFound: 'lit',
    tankCelsius: 0,
  };
  for (const fault of faults) apply(unit, fault, isThermopile, random);
  return unit;
}

/** Ranges of how each fault comes out. */
function apply(unit: GasUnit, fault: string, isThermopile: boolean, random: Random): void {
  const between = (range: Range) => within(random, range);
  switch (fault) {
    case 'gas.off':
      unit.gas = 0;
      break;
    case 'gas.inlet-low':
      unit.working = between([0.22, 0.58]);
      unit.standing = between([0.6, 1]);
      break;
    case 'gas.pressure-high':
      unit.regulator = between([1.35, 2.1]);
      break;
    case 'gas.wrong-orifice':
      unit.orifice = unit.isLpg ? between([1.65, 2.25]) : between([0.43, 0.62]);
      break;
    case 'pilot.orifice-dirty':
      unit.pilotOpening = between([0.04, 0.58]);
      break;
    case 'pilot.flame-deflected':
      unit.wrap = between([0.18, 0.6]);
      break;
    case 'igniter.no-spark':
      unit.spark = false;
      break;
    case 'draught.down':
      unit.gust = between([0.35, 1]);
      unit.spill = between([0.15, 0.75]);
      break;
    case 'flue.blocked':
      unit.spill = between([0.75, 1]);
      break;
    case 'air.filter-blocked':
    case 'air.arrestor-blocked':
      unit.airWay = between([0.18, 0.6]);
      break;
    case 'air.room-starved':
      unit.roomAir = between([0.4, 0.8]);
      unit.spill = between([0.25, 0.9]);
      break;
    case 'thermocouple.worn':
      unit.outputMillivolt *= between([0.13, 0.62]);
      unit.generatorOhm *= between([1, 2]);
      break;
    case 'thermocouple.open':
      unit.generatorOhm = Infinity;
      break;
    case 'thermocouple.shorted':
      unit.leakOhm = isThermopile ? between([0, 1.1]) : between([0, 0.011]);
      unit.isShieldLeak = isThermopile && random.chance(0.5);
      break;
    case 'tip.low-in-bracket':
      unit.wrap = between([0.12, 0.56]);
      break;
    case 'joint.loose':
      unit.jointOhm = isThermopile ? between([6, 220]) : between([0.04, 0.45]);
      break;
    case 'valve.magnet':
      unit.letGoMillivolt *= between([3.4, 7.5]) * (isThermopile ? 0.7 : 1);
      break;
    case 'valve.reads-low':
      unit.early = between([7, 19]);
      break;
    case 'dial.low':
      unit.dial = between([28, 43]);
      break;
    case 'dial.high':
      unit.dial = between([62, 73]);
      break;
    case 'burner.ports-dirty':
      unit.ports = between([0.78, 0.95]);
      break;
    case 'burner.orifice-blocked':
      unit.orifice = between([0.38, 0.77]);
      break;
    case 'sediment':
      unit.depth = between([0.3, 1]);
      break;
    case 'pair.unequal-runs':
      unit.nearerShare = between([0.64, 0.92]);
      break;
    case 'pair.valve-shut':
      unit.nearerShare = between([0, 0.04]);
      break;
    case 'relief.drips':
      if (random.chance(0.5)) unit.coldPascal = between([5.6e5, 7.6e5]);
      break;
  }
}

/** Open or tripped ways between the generator and what it holds. */
const isHolderOpen = (unit: GasUnit, isReset: boolean): boolean =>
  unit.faults.has('valve.energy-cutoff-open') ||
  unit.isCutOff ||
  (unit.rollOut === 'own-leads' && isCutoutOpen(unit, isReset));

export const isCutoutOpen = (unit: GasUnit, isReset: boolean): boolean =>
  unit.faults.has('cutout.failed') || (unit.isTripped && !isReset);

/** Share of the pilot's gas, by the square root of its pressure. */
export const pilotShare = (unit: GasUnit): number =>
  unit.gas * Math.sqrt(unit.working) * unit.pilotOpening;

export const canLight = (unit: GasUnit): boolean => pilotShare(unit) > 0.13 && unit.spark;

/** Open-circuit millivolts of the generator in its flame. */
export function flameMillivolt(unit: GasUnit): number {
  const share = Math.min(1.05, pilotShare(unit));
  if (share <= 0.13) return 0;
  const air = unit.airWay * (1 - 0.3 * (1 - unit.roomAir));
  return unit.outputMillivolt * share ** 0.55 * (1 - 0.5 * (1 - air)) * unit.wrap ** 0.95;
}

/** Millivolts at lead ends or valve: two resistances and what leaks between the leads, worked out by hand. */
export function leadMillivolt(
  unit: GasUnit,
  { isLoaded, isReset }: { readonly isLoaded: boolean; readonly isReset: boolean },
): number {
  const emf = flameMillivolt(unit);
  const isLeadOpen = unit.rollOut === 'in-lead' && isCutoutOpen(unit, isReset);
  if (isLeadOpen || unit.generatorOhm === Infinity) return 0;
  const load = isLoaded && !isHolderOpen(unit, isReset) ? unit.jointOhm + unit.magnetOhm : Infinity;
  const across = parallel(load, unit.leakOhm);
  const atLeads = across === Infinity ? emf : (emf * across) / (across + unit.generatorOhm);
  return load === Infinity ? atLeads : (atLeads * unit.magnetOhm) / load;
}

const parallel = (one: number, other: number): number =>
  one === Infinity ? other : other === Infinity ? one : (one * other) / (one + other);

/** Whether the pilot stands once the knob is let go. */
export const holds = (unit: GasUnit, isReset: boolean): boolean =>
  !isHolderOpen(unit, isReset) &&
  !unit.faults.has('valve.electronics') &&
  leadMillivolt(unit, { isLoaded: true, isReset }) > unit.letGoMillivolt;

/** An electronic valve drives the main gas only above a fifth of a volt. */
export const millivoltsEnough = (unit: GasUnit, isReset: boolean) =>
  unit.valve === 'thermocouple' || leadMillivolt(unit, { isLoaded: true, isReset }) > 195;

/** Gas rate of the main burner, as a share of the plate. */
export function burnerRate(unit: GasUnit): number {
  const working = unit.isLpg ? unit.working * 1.1 : unit.working * 1.74;
  return unit.orifice * Math.sqrt(Math.max(0, Math.min(unit.regulator, working - 0.1)));
}

export const heatWatt = (unit: GasUnit): number =>
  unit.inputWatt * burnerRate(unit) * 0.76 * unit.ports * (1 - 0.2 * unit.depth);

/** How it stands when somebody comes: what has tripped, whether the pilot is lit, how warm the water is. */
export function settle(unit: GasUnit, random: Random): void {
  const is = (...faults: string[]) => faults.some((each) => unit.faults.has(each));
  const chance = (share: number) => random.chance(share);
  if (unit.rollOut !== 'none') {
    unit.isTripped =
      is('cutout.tripped-once') ||
      (is('flue.blocked') && chance(0.55)) ||
      (is('air.arrestor-blocked', 'burner.late-ignition') && chance(0.28));
  }
  unit.isCutOff = is('valve.never-shuts') && chance(0.45);
  const outs: readonly (readonly [string, number])[] = [
    ['pilot.blown-out', 1],
    ['gas.air-in-line', 1],
    ['igniter.no-spark', 0.9],
    ['thermocouple.worn', 0.7],
    ['draught.down', 0.65],
    ['air.filter-blocked', 0.65],
    ['tank.leaks', 0.65],
    ['pilot.orifice-dirty', 0.55],
    ['tip.low-in-bracket', 0.55],
    ['joint.loose', 0.55],
    ['air.arrestor-blocked', 0.5],
    ['air.room-starved', 0.5],
    ['pilot.flame-deflected', 0.45],
    ['valve.magnet', 0.5],
    ['dial.pilot', 0.4],
    ['flue.blocked', 0.3],
    ['gas.inlet-low', 0.25],
  ];
  const isOut =
    !holds(unit, false) ||
    pilotShare(unit) <= 0.13 ||
    outs.some(([fault, share]) => is(fault) && chance(share));
  unit.pilotFound = isOut ? 'out' : 'lit';
  unit.tankCelsius = foundCelsius(unit, isOut, random);
}

function foundCelsius(unit: GasUnit, isOut: boolean, random: Random): number {
  if (unit.faults.has('valve.never-shuts') && !isOut) return within(random, [68, 82]);
  const isDead =
    isOut ||
    unit.faults.has('valve.never-opens') ||
    !millivoltsEnough(unit, false) ||
    unit.faults.has('dial.pilot') ||
    heatWatt(unit) < 500;
  if (isDead) {
    return random.chance(numbers.warmThough) ? within(random, [30, 46]) : unit.coldCelsius;
  }
  const full = unit.inputWatt * 0.76;
  return unit.dial - unit.early - 10 * Math.max(0, 1 - heatWatt(unit) / full);
}
