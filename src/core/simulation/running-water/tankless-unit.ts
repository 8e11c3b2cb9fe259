import type { Random } from '../random';
import {
  drawBurner,
  endOf,
  fullShare,
  type BurnerKinds,
  type Ends,
  type SimulatedBurner,
} from './burner';
import { watchCoil, type AtTheTap, type SimulatedCoil } from './coil-in-cells';
import { tanklessNumbers as numbers, waterNumbers, type Range } from './numbers';

export interface TanklessFacts {
  readonly inputWatt: number;
  readonly leastInputWatt: number;
  readonly condensing: 'true' | 'false';
  readonly recirculation: 'true' | 'false';
  readonly leastFlow: number;
}

export const tanklessKinds: BurnerKinds = {
  gasOff: 'gas.shut',
  gasValve: 'gas-valve.dead',
  flameRod: 'flame-rod.dirty',
};

/** A simulated instantaneous heater: its own values, with what its faults have done to them. Losses in bar at 10 L/min. */
export interface TanklessUnit {
  readonly has: (fault: string) => boolean;
  readonly facts: TanklessFacts;
  readonly burner: SimulatedBurner;
  readonly coldCelsius: number;
  readonly mainsBar: number;
  readonly main: number;
  readonly strainer: number;
  readonly heater: number;
  readonly house: number;
  readonly tap: number;
  readonly port: number;
  /** Of the ways past it; none where there are none. */
  readonly past: number | undefined;
  readonly isPastByLine: boolean;
  readonly startFlow: number;
  readonly gain: number;
  readonly setpoint: number;
  readonly efficiency: number;
  readonly scale: number;
  readonly inletError: number;
  readonly outletError: number;
  readonly pipeLitre: number;
  readonly ignitionSecond: number;
  /** Nothing is read off it. */
  readonly isDisplayDark: boolean;
}

export function drawTankless(
  faults: readonly string[],
  facts: TanklessFacts,
  random: Random,
): TanklessUnit {
  const has = (fault: string) => faults.includes(fault);
  const between = ([least, most]: Range) => random.between({ least, most });
  /** What clogs takes resistance by the fourth power of its bore: evenly over the decades, not over the range. */
  const sign = () => (random.chance(0.5) ? 1 : -1);
  const wide = has('demand.over-capacity') ? between([0.1, 0.4]) : undefined;
  const control = has('flow-control.stuck') ? (random.chance(0.6) ? 'tight' : 'bypass') : undefined;
  const crossing =
    has('cross-connection.mixer') || has('recirculation.no-check')
      ? between([0.15, 1.6])
      : control === 'bypass'
        ? between([1.3, 3])
        : undefined;
  return {
    has,
    facts,
    burner: drawBurner(
      has,
      tanklessKinds,
      { isBoiler: false, excessAir: numbers.excessAir, coRatio: numbers.coRatio },
      random,
    ),
    coldCelsius: between(waterNumbers.coldCelsius),
    mainsBar: has('mains.low-pressure') ? between([0.15, 1]) : between(numbers.mainsBar),
    main: has('valve.part-shut')
      ? random.overDecades({ least: 5, most: 80 })
      : between(numbers.main),
    strainer: has('strainer.blocked')
      ? random.overDecades({ least: 4, most: 160 })
      : between(numbers.strainer),
    heater:
      control === 'tight'
        ? between([8, 25])
        : has('exchanger.scaled')
          ? between([0.9, 2.6])
          : between(numbers.heater),
    house: wide === undefined ? between(numbers.house) : between([0.12, 0.25]),
    tap: has('demand.below-minimum') ? between([50, 190]) : (wide ?? between(numbers.tap)),
    port: between(numbers.port),
    past: crossing,
    isPastByLine: has('recirculation.no-check'),
    startFlow: facts.leastFlow === 2.2 ? between(waterNumbers.startFlow) : facts.leastFlow,
    gain: has('flow-sensor.stuck')
      ? random.chance(0.78)
        ? 0
        : between([0.1, 0.45])
      : between([0.96, 1.04]),
    setpoint: has('setpoint.low') ? between([35, 43]) : between(numbers.setpoint),
    efficiency:
      between(facts.condensing === 'true' ? numbers.efficiencyCondensing : numbers.efficiency) *
      (has('exchanger.scaled') ? between([0.86, 0.95]) : 1),
    scale: has('exchanger.scaled') ? between([0.45, 2.1]) : between([0, 0.2]),
    inletError: has('inlet-sensor.drift') ? sign() * between([8, 15]) : 0.4 * random.normal(),
    outletError: has('outlet-sensor.drift') ? sign() * between([6, 14]) : 0.4 * random.normal(),
    pipeLitre: has('pipe-run.long') ? between([3.5, 12]) : between(numbers.pipeLitre),
    ignitionSecond: between(waterNumbers.ignitionSecond),
    isDisplayDark:
      has('supply.off') || has('fuse.open') || (has('control.dead') && random.chance(0.5)),
  };
}

export type Opened = 'tap' | 'two-taps' | 'port' | 'none';

export interface TanklessSetting {
  readonly opened: Opened;
  readonly isHotShut: boolean;
  readonly isLineShut: boolean;
  readonly isReseated: boolean;
  readonly isRinsed: boolean;
}

/** Litres a minute through it and past it: losses add up along a way, and two ways part a flow by their roots. */
export function flowsOf(
  unit: TanklessUnit,
  set: TanklessSetting,
): { through: number; past: number } {
  const litre = (bar: number, loss: number) => 10 * Math.sqrt(Math.max(0, bar) / loss);
  const isFrozen = unit.has('frost');
  const isCrossed = unit.has('lines.reversed');
  const strainer = set.isRinsed ? Math.min(unit.strainer, 0.08) : unit.strainer;
  const inside = strainer + unit.heater;
  const isShut = isFrozen || (isCrossed && set.isHotShut);
  if (set.opened === 'none') return { through: 0, past: 0 };
  if (set.opened === 'port') {
    return { through: isShut ? 0 : litre(unit.mainsBar, unit.main + inside + unit.port), past: 0 };
  }
  const outlet = unit.house + unit.tap * (set.opened === 'two-taps' ? 0.22 : 1);
  const beside =
    unit.past !== undefined && !(unit.isPastByLine && set.isLineShut) ? unit.past : undefined;
  const isOpen = !isShut && !set.isHotShut;
  if (beside === undefined) {
    return { through: isOpen ? litre(unit.mainsBar, unit.main + inside + outlet) : 0, past: 0 };
  }
  if (!isOpen) return { through: 0, past: litre(unit.mainsBar, unit.main + beside + outlet) };
  const roots = 1 / Math.sqrt(inside) + 1 / Math.sqrt(beside);
  const all = litre(unit.mainsBar, unit.main + outlet + 1 / roots ** 2);
  const through = all / Math.sqrt(inside) / roots;
  return { through, past: all - through };
}

/** Flow that its display shows. */
export function shownFlow(unit: TanklessUnit, through: number, isReseated: boolean): number {
  const lost =
    unit.has('flow-sensor.dead') ||
    (unit.has('flow-sensor.connector') && !isReseated) ||
    unit.has('lines.reversed') ||
    unit.isDisplayDark;
  return lost || through < 0.75 ? 0 : unit.gain * through;
}

export const endAt = (unit: TanklessUnit, through: number, isReseated: boolean): Ends =>
  endOf(unit.burner, tanklessKinds, {
    isAsked: shownFlow(unit, through, isReseated) >= unit.startFlow,
    isStandby: unit.has('control.standby'),
    isBarred: unit.has('inlet-sensor.open') || unit.has('outlet-sensor.open'),
  });

export function coilOf(unit: TanklessUnit, through: number): SimulatedCoil {
  const full = unit.facts.inputWatt * unit.efficiency * fullShare(unit.burner);
  return {
    litrePerMinute: through,
    coldCelsius: unit.coldCelsius,
    setCelsius: unit.setpoint,
    mostWatt: full,
    leastWatt: Math.min(full, unit.facts.leastInputWatt * unit.efficiency),
    ignitionSecond: unit.ignitionSecond,
    bodyJoulePerKelvin: unit.facts.inputWatt * 0.13,
    outletError: unit.outletError,
    inletError: unit.inletError,
    scaleKelvinPerKilowatt: unit.scale,
    flowGain: Math.max(0.1, unit.gain),
  };
}

/** Two minutes at what was opened; undefined where it does not burn. */
export const watched = (
  unit: TanklessUnit,
  through: number,
  isReseated: boolean,
): AtTheTap | undefined =>
  through > 0 && endAt(unit, through, isReseated) === 'burns'
    ? watchCoil(coilOf(unit, through))
    : undefined;
