import type { Random } from '../random';
import {
  drawBurner,
  endOf,
  fullShare,
  type BurnerKinds,
  type Ends,
  type SimulatedBurner,
} from './burner';
import { combiNumbers as numbers, waterNumbers, type Range } from './numbers';
import { watchTwoMinutes, type SimulatedLoop, type TwoMinutes } from './plates-in-cells';

export interface CombiFacts {
  readonly inputWatt: number;
  readonly leastInputWatt: number;
  readonly leastFlow: number;
  readonly keepWarm: 'none' | 'fixed' | 'learned';
  readonly primaryHose: 'true' | 'false';
}

export const combiKinds: BurnerKinds = {
  gasOff: 'gas.off',
  gasValve: 'gas-valve.fault',
  flameRod: 'flame-sense.low',
};

/** A simulated combination boiler: its own values, with what its faults have done to them. Losses in bar, and kPa, at 10 L/min. */
export interface CombiUnit {
  readonly has: (fault: string) => boolean;
  readonly facts: CombiFacts;
  readonly burner: SimulatedBurner;
  readonly coldCelsius: number;
  readonly roomCelsius: number;
  readonly mainsBar: number;
  readonly coldValve: number;
  readonly filter: number;
  readonly plates: number;
  readonly tap: number;
  readonly past: number;
  readonly startFlow: number;
  readonly gain: number;
  readonly tapSetpoint: number;
  readonly flowSetpoint: number;
  readonly head: number;
  readonly headFall: number;
  readonly cell: number;
  readonly platesPrimary: number;
  readonly radiators: number;
  readonly systemFilter: number;
  readonly hoseMillimetre: number;
  readonly strays: number;
  readonly transfer: number;
  readonly efficiency: number;
  readonly leastShare: number;
  readonly tapError: number;
  readonly flowError: number;
  readonly limitCelsius: number;
  readonly limitEases: boolean;
  readonly primaryBar: number;
  readonly barADay: number;
  readonly vesselBar: number;
  readonly isFlat: boolean;
  readonly sensorBar: number;
  readonly radiatorWatt: number;
  readonly pumpWatt: number;
  readonly ignitionSecond: number;
  readonly keepWarm: 'none-fitted' | 'off' | 'learned' | 'on';
  /** Nothing is read off it. */
  readonly isDisplayDark: boolean;
}

export function drawCombi(faults: readonly string[], facts: CombiFacts, random: Random): CombiUnit {
  const has = (fault: string) => faults.includes(fault);
  const between = ([least, most]: Range) => random.between({ least, most });
  /** What clogs takes resistance by the fourth power of its bore: evenly over the decades, not over the range. */
  const sign = () => (random.chance(0.5) ? 1 : -1);
  const size = facts.inputWatt / 26_500;
  const shut = has('valve.part-shut') ? (random.chance(0.6) ? 'heating' : 'cold') : undefined;
  const rated = between(numbers.transfer) * size;
  const resistance = has('plate.scaled') ? between([0.9, 4.6]) / 1000 / size : 0;
  const clear = has('plate.blocked') ? between([0.13, 0.42]) : 1;
  const head = between(numbers.head);
  const pushed = has('pump.stuck')
    ? 0
    : has('pump.weak')
      ? head * between([0.14, 0.42])
      : has('air.locked')
        ? head * between([0.01, 0.35])
        : head;
  const isLeak = has('pressure.leak') || has('relief.passing');
  const rises = has('filling-valve.passing') || has('plate.leaks-across');
  return {
    has,
    facts,
    burner: drawBurner(
      has,
      combiKinds,
      { isBoiler: true, excessAir: numbers.excessAir, coRatio: numbers.coRatio },
      random,
    ),
    coldCelsius: between(waterNumbers.coldCelsius),
    roomCelsius: between(waterNumbers.roomCelsius),
    mainsBar: has('mains.low') ? between([0.1, 0.8]) : between(numbers.mainsBar),
    coldValve: shut === 'cold' ? between([15, 80]) : between(numbers.coldValve),
    filter: has('tap-filter.blocked')
      ? random.overDecades({ least: 9, most: 200 })
      : between(numbers.filter),
    plates:
      between(numbers.plates) *
      (has('plate.scaled') ? between([1.1, 3]) : has('plate.blocked') ? between([1.3, 5]) : 1),
    tap: has('demand.too-much-flow')
      ? between([0.12, 0.6])
      : has('demand.too-little-flow')
        ? between([38, 150])
        : between(numbers.tap),
    past: has('outlet.mixer') ? between([0.22, 0.62]) : 0,
    startFlow: facts.leastFlow === 2 ? between([1.6, 2.5]) : facts.leastFlow,
    gain: has('tap-flow-sensor.stuck') ? 0 : between([0.96, 1.04]),
    tapSetpoint: has('tap-setpoint.wrong')
      ? between([32, 42])
      : has('tap-setpoint.high')
        ? between([57, 65])
        : between(numbers.tapSetpoint),
    flowSetpoint: has('flow-setpoint.low') ? between([33, 49]) : between(numbers.flowSetpoint),
    head: pushed,
    headFall: between(numbers.headFall),
    cell: has('primary-exchanger.restricted')
      ? random.overDecades({ least: 55, most: 950 })
      : between(numbers.cell),
    platesPrimary: between(numbers.platesPrimary) * (has('plate.blocked') ? between([1.5, 4]) : 1),
    radiators:
      shut === 'heating'
        ? random.overDecades({ least: 70, most: 800 })
        : has('system.sludge')
          ? random.overDecades({ least: 35, most: 170 })
          : between(numbers.radiators),
    systemFilter: has('filter.blocked')
      ? random.overDecades({ least: 80, most: 1300 })
      : between(numbers.systemFilter),
    hoseMillimetre: has('hose.choked') ? between([2.3, 6.1]) : between([20, 22]),
    strays: has('diverter.stuck-heating') ? 1 : has('diverter.passing') ? between([0.22, 0.62]) : 0,
    transfer: (1 / (1 / rated + resistance)) * clear,
    efficiency:
      between(numbers.efficiency) *
      (has('primary-exchanger.restricted') ? between([0.9, 0.97]) : 1),
    leastShare:
      facts.leastInputWatt / facts.inputWatt === 0.24
        ? between(numbers.leastShare)
        : facts.leastInputWatt / facts.inputWatt,
    tapError: has('tap-sensor.drift') ? sign() * between([6, 15]) : 0.4 * random.normal(),
    flowError: has('flow-sensor.drift') ? sign() * between([8, 20]) : 0.5 * random.normal(),
    limitCelsius: between([83, 88]),
    limitEases: random.chance(0.5),
    primaryBar: isLeak
      ? between([0, 0.65])
      : has('vessel.flat')
        ? between([0.4, 0.9])
        : rises
          ? between([1.7, 2.5])
          : between(numbers.primaryBar),
    barADay: isLeak ? -between([0.15, 0.6]) : rises ? between([0.3, 1.2]) : 0,
    vesselBar: has('vessel.flat') ? between([0, 0.12]) : between(numbers.vesselBar),
    isFlat: has('vessel.flat'),
    sensorBar: has('pressure-sensor.fault') ? sign() * between([0.7, 1.3]) : 0.02 * random.normal(),
    radiatorWatt:
      facts.inputWatt *
      between(numbers.radiatorShare) *
      (has('system.sludge') ? between([0.6, 0.85]) : 1),
    pumpWatt: has('pump.stuck')
      ? random.chance(0.3)
        ? 0
        : between([55, 72])
      : has('pump.weak')
        ? between([15, 30])
        : has('air.locked')
          ? between([20, 32])
          : between(numbers.pumpWatt),
    ignitionSecond: between(waterNumbers.ignitionSecond),
    isDisplayDark:
      has('supply.off') || has('fuse.open') || (has('control.dead') && random.chance(0.6)),
    keepWarm: has('keep-warm.wrong')
      ? random.pick([
          ['on', 57],
          ['off', 38],
          ['learned', 5],
        ])
      : facts.keepWarm === 'none'
        ? 'none-fitted'
        : random.pick([
            ['off', 55],
            ['on', 26],
            ['learned', 12],
            ['none-fitted', 7],
          ]),
  };
}

export type CombiCall = 'tap' | 'throttled' | 'heating' | 'none';

/** What runs at the tap, in L/min: through the boiler and past it. */
export function tapFlow(unit: CombiUnit, call: CombiCall): { through: number; all: number } {
  if (call !== 'tap' && call !== 'throttled') return { through: 0, all: 0 };
  const open =
    10 * Math.sqrt(unit.mainsBar / (unit.coldValve + unit.filter + unit.plates + unit.tap));
  const all = call === 'throttled' ? Math.min(open, 5) : open;
  return { through: all * (1 - unit.past), all };
}

/** What a hose of so many millimetres loses, in kPa at 10 L/min: pipe friction and two sharp ends, by hand. */
function hoseLoss(millimetre: number): number {
  const area = (Math.PI / 4) * (millimetre / 1000) ** 2;
  const velocity = 10 / 60_000 / area;
  const narrows = Math.max(0, 1 - (millimetre / 20.5) ** 2);
  const friction = (0.034 * 120) / millimetre;
  return ((friction + 0.5 * narrows + narrows ** 2) * 985 * velocity ** 2) / 2 / 1000;
}

/** The loop's flow in L/min, by the pump's curve over all its losses. */
export function loopFlow(unit: CombiUnit, way: 'plates' | 'heating'): number {
  const losses =
    unit.cell +
    hoseLoss(unit.hoseMillimetre) +
    (way === 'plates' ? unit.platesPrimary : unit.radiators + unit.systemFilter) +
    unit.headFall;
  return 10 * Math.sqrt(Math.max(1e-4, unit.head) / losses);
}

export const shownTap = (unit: CombiUnit, through: number): number =>
  unit.isDisplayDark || through < 0.75 ? 0 : unit.gain * through;

export function endAt(unit: CombiUnit, call: CombiCall): Ends {
  const { through } = tapFlow(unit, call);
  const isAsked =
    call === 'heating' ? !unit.has('heat-call.missing') : shownTap(unit, through) >= unit.startFlow;
  const isBarred =
    unit.has('flow-sensor.open') ||
    (unit.has('tap-sensor.open') && call !== 'heating') ||
    unit.primaryBar + unit.sensorBar < 0.5;
  return endOf(unit.burner, combiKinds, {
    isAsked: isAsked && call !== 'none',
    isStandby: false,
    isBarred,
  });
}

export const fullWatt = (unit: CombiUnit): number =>
  unit.facts.inputWatt * unit.efficiency * fullShare(unit.burner);

export function loopAtTap(unit: CombiUnit, call: CombiCall, setCelsius: number): SimulatedLoop {
  const full = fullWatt(unit);
  const way = unit.strays >= 1 ? 'heating' : 'plates';
  const loop = loopFlow(unit, way);
  const { through } = tapFlow(unit, call);
  // Less of either stream takes less: by its power of 0.7, as plates go.
  const slow =
    (Math.min(14, loop * (1 - unit.strays)) / 14) ** 0.35 * (Math.min(9.8, through) / 9.8) ** 0.35;
  return {
    loopLitrePerMinute: Math.max(0.02, loop),
    strays: unit.strays,
    transfer: unit.transfer * slow,
    mostWatt: full,
    leastWatt: Math.min(full, unit.facts.inputWatt * unit.leastShare * unit.efficiency),
    ignitionSecond: unit.ignitionSecond,
    setCelsius,
    tapError: unit.tapError,
    flowError: unit.flowError,
    limitCelsius: unit.limitCelsius,
    limitEases: unit.limitEases,
    tapLitrePerMinute: through,
    coldCelsius: unit.coldCelsius,
    startCelsius: 24 + 14 * (unit.roomCelsius / 24),
  };
}

/** Two minutes at a tap; undefined where it does not burn. */
export const watched = (
  unit: CombiUnit,
  call: CombiCall,
  setCelsius = unit.tapSetpoint,
): TwoMinutes | undefined =>
  tapFlow(unit, call).through > 0 && endAt(unit, call) === 'burns'
    ? watchTwoMinutes(loopAtTap(unit, call, setCelsius))
    : undefined;

export interface Warmed {
  readonly flow: number;
  readonly back: number;
  readonly radiators: number;
}

/** A house on its heating, warm: by small steps until the radiators give what the boiler puts in. */
export function warmed(unit: CombiUnit): Warmed | undefined {
  if (endAt(unit, 'heating') !== 'burns') return undefined;
  if (unit.has('diverter.stuck-tap')) {
    return {
      flow: unit.limitCelsius - 2,
      back: unit.limitCelsius - 3,
      radiators: unit.roomCelsius,
    };
  }
  const stream = (loopFlow(unit, 'heating') / 60) * 4150;
  const set = Math.min(unit.flowSetpoint, unit.limitCelsius) - unit.flowError;
  const full = fullWatt(unit);
  const least = Math.min(full, unit.facts.inputWatt * unit.leastShare * unit.efficiency);
  let flow = 30;
  let back = unit.roomCelsius;
  for (let k = 0; k < 4000; k++) {
    const over = Math.max(0, (flow + back) / 2 - unit.roomCelsius);
    // No more than the water brings that comes round.
    const gives = Math.min(
      unit.radiatorWatt * (over / 50) ** 1.28,
      stream * Math.max(0, flow - unit.roomCelsius),
    );
    const watt = flow < set ? full : 0;
    flow += ((watt - stream * (flow - back)) * 0.5) / 30_000;
    back += ((stream * (flow - back) - gives) * 0.5) / 30_000;
    flow = Math.min(flow, unit.limitCelsius + 3);
  }
  const settled = Math.max(
    flow,
    Math.min(unit.limitCelsius, flow + (stream < 90 ? least / Math.max(30, stream) / 3 : 0)),
  );
  return { flow: settled, back, radiators: alongRadiator(flow, back, unit.roomCelsius) };
}

/** Mean warmth of a radiator: what comes round slowly has left its heat in the first of it. */
function alongRadiator(flow: number, back: number, room: number): number {
  const [hot, cold] = [flow - room, Math.max(0.05, back - room)];
  return hot <= cold ? (flow + back) / 2 : room + (hot - cold) / Math.log(hot / cold);
}

/** Bar once it is hot. */
export function hotBar(unit: CombiUnit, meanCelsius: number): number {
  if (unit.isFlat) return Math.min(3, unit.primaryBar + 2.4);
  // 70 L grow by 0.045 % for each kelvin from 30 °C on, into the gas of 8 L (common practice, by hand).
  const grown = 70 * 0.00045 * Math.max(0, meanCelsius - 22);
  const gas = (8 * (unit.vesselBar + 1)) / (Math.max(unit.primaryBar, unit.vesselBar) + 1);
  return Math.min(
    3,
    ((Math.max(unit.primaryBar, unit.vesselBar) + 1) * gas) / Math.max(0.2, gas - grown) - 1,
  );
}
