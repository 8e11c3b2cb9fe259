import type { Random } from '../random';
import { zonedNumbers as numbers, type Range } from './numbers';

/** What the plate of a simulated boiler with zones says. */
export interface ZonedFacts {
  readonly fuel: string;
  readonly inputWatt: number;
  readonly lineVolt: number;
  readonly cylinderLitre: number;
  readonly cylinderControl: 'aquastat' | 'sensor';
  readonly mixingValve: 'true' | 'false';
  readonly ignition: string;
  readonly sensorCurve: string;
}

export interface ZonedUnit {
  readonly facts: ZonedFacts;
  has(fault: string): boolean;
  readonly feedShare: number;
  readonly openVolt: number;
  readonly windingOhm: number;
  readonly jointOhm: number;
  /** Whether the pump contact of relay 1 makes. */
  readonly hasPumpContact: boolean;
  readonly burntContact: BurntContact | undefined;
  readonly supplyWireOhm: number;
  readonly wireOhm: number;
  readonly contactOhm: number;
  readonly coilOhm: number;
  readonly boardOhm: number;
  readonly callOhm: number;
  readonly senseOhm: number;
  readonly pickUpVolt: number;
  readonly boardLeastVolt: number;
  readonly pumpOhm: number;
  readonly bar: number;
  readonly gasPascal: number;
  readonly gasSag: number;
  readonly airPascal: number;
  readonly airSwitchPascal: number;
  readonly microampere: number;
  readonly igniterOhm: number;
  readonly loopKelvin: number;
  readonly setCelsius: number;
  readonly mixedCelsius: number;
  readonly supplyCelsius: number;
  readonly coldCelsius: number;
  readonly roomCelsius: number;
  readonly efficiency: number;
  readonly coilWattPerKelvin: number;
  readonly supplyError: number;
  readonly outdoorError: number;
  readonly cylinderError: number;
  /** A sensor that is out of range is open, else short. */
  readonly breaksOpen: boolean;
  readonly isDisplayDark: boolean;
  /** Luck of this unit where a fault comes out one way or another. */
  readonly luck: number;
}

/** A contact that burnt: which, and how often it changes by itself from one reading to the next. */
export interface BurntContact {
  readonly of: 'joint' | 'pump';
  readonly changes: number;
  /** Whether it makes when somebody comes. */
  readonly isMade: boolean;
}

function burntContactOf(has: (fault: string) => boolean, random: Random): BurntContact | undefined {
  const of = has('zone-panel.supply-burnt')
    ? 'joint'
    : has('zone-panel.relay-1-pump-contact')
      ? 'pump'
      : has('zone-panel.supply-resistive')
        ? 'joint'
        : undefined;
  if (!of) return undefined;
  const comesAndGoes =
    !has('zone-panel.supply-resistive') && random.chance(numbers.contactComesAndGoes);
  return {
    of,
    changes: comesAndGoes ? random.between(numbers.contactChanges) : 0,
    isMade: comesAndGoes && random.chance(0.5),
  };
}

export function drawZoned(faults: readonly string[], facts: ZonedFacts, random: Random): ZonedUnit {
  const has = (fault: string) => faults.includes(fault);
  const between = ([least, most]: Range) => random.between({ least, most });
  const sign = () => (random.chance(0.5) ? 1 : -1);
  const overDecades = (least: number, most: number) => random.overDecades({ least, most });
  return {
    facts,
    has,
    feedShare: between(numbers.feedShare),
    openVolt: between(numbers.openVolt),
    windingOhm: has('transformer.weak') ? overDecades(7, 45) : between(numbers.windingOhm),
    jointOhm: has('zone-panel.supply-burnt')
      ? random.chance(0.72)
        ? Infinity
        : overDecades(30, 300)
      : has('zone-panel.supply-resistive')
        ? overDecades(15, 220)
        : between(numbers.contactOhm),
    hasPumpContact: !has('zone-panel.relay-1-pump-contact'),
    burntContact: burntContactOf(has, random),
    supplyWireOhm: has('w-24v.open')
      ? Infinity
      : has('w-24v.resistive')
        ? overDecades(8, 50)
        : between(numbers.wireOhm),
    wireOhm: between(numbers.wireOhm),
    contactOhm: between(numbers.contactOhm),
    coilOhm: between(numbers.coilOhm),
    boardOhm: between(numbers.boardOhm),
    callOhm: between(numbers.callOhm),
    senseOhm: between(numbers.senseOhm),
    pickUpVolt: between(numbers.pickUpVolt),
    boardLeastVolt: between(numbers.boardVolt),
    pumpOhm: between(numbers.pumpOhm),
    bar: has('water.low-pressure') ? between([0, 0.47]) : between(numbers.barUsual),
    gasPascal: has('gas.off') ? 0 : between(numbers.gasPascal) * (facts.fuel === 'lpg' ? 1.7 : 1),
    gasSag: has('gas.low-working-pressure') ? between([0.4, 0.8]) : between(numbers.gasSag),
    airPascal: has('air-path.blocked') ? between([5, 70]) : between(numbers.airPascal),
    airSwitchPascal: between(numbers.airSwitchPascal),
    microampere: has('flame-rod.dirty')
      ? between([0.1, 0.95])
      : has('burner.dirty')
        ? between([0.9, 4])
        : between(numbers.microampere),
    igniterOhm: between(numbers.igniterOhm),
    loopKelvin: between(numbers.loopKelvin),
    setCelsius: has('settings.tank-setpoint-low') ? between([38, 49]) : between(numbers.setCelsius),
    mixedCelsius: has('mixing-valve.low-or-stuck')
      ? between([25, 39])
      : between(numbers.mixedCelsius),
    supplyCelsius: between(numbers.supplyCelsius),
    coldCelsius: between(numbers.coldCelsius),
    roomCelsius: between(numbers.roomCelsius),
    efficiency: between(numbers.efficiency),
    coilWattPerKelvin:
      between(numbers.coilWattPerKelvin) *
      (has('cylinder-coil.scaled') ? between([0.14, 0.45]) : 1),
    supplyError: has('supply-sensor.drift') ? sign() * between([9, 25]) : random.normal(),
    outdoorError: has('outdoor-sensor.warm-spot') ? between([7.5, 16]) : random.normal(),
    cylinderError: has('cylinder-sensor.drift')
      ? between([7.5, 16])
      : has('cylinder-sensor.out-of-pocket')
        ? -between([12, 34])
        : random.normal(),
    breaksOpen: random.chance(0.65),
    isDisplayDark: has('display.dead') || (has('control.dead') && random.chance(0.85)),
    luck: random.next(),
  };
}
