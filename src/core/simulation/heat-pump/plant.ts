import type { Random } from '../random';
import { heatPumpNumbers as numbers, type Range } from './numbers';

export interface HeatPumpFacts {
  readonly lineVolt: number;
  readonly heatWatt: number;
  readonly flowLimitCelsius: number;
  readonly immersionWatt: number;
  readonly cylinderLitre: number;
  readonly bufferLitre: number;
}

/** A sensor as it was fitted: how much of its water it feels, what it adds, and whether it is whole. */
export interface FittedSensor {
  readonly share: number;
  readonly offset: number;
  readonly isWhole: boolean;
}

/** A simulated plant, as it was built and as it has come to be. */
export interface Plant {
  readonly facts: HeatPumpFacts;
  has(fault: string): boolean;
  readonly volt: number;
  readonly room: number;
  readonly outdoor: number;
  readonly cold: number;
  readonly setpoint: number;
  readonly differential: number;
  readonly target: number;
  readonly buffer: FittedSensor;
  readonly cylinder: FittedSensor;
  readonly flowOffset: number;
  /** Heat into the rooms at 38 °C, W, and how it grows with the water. */
  readonly houseWatt: number;
  readonly emitterExponent: number;
  readonly leastLoad: number;
  readonly carnotShare: number;
  readonly output: number;
  readonly litrePerMinute: number;
  readonly strainerShare: number;
  readonly restShare: number;
  readonly bar: number;
  /** Of the flow that goes to the coil in a call of hot water. */
  readonly toCoil: number;
  readonly coilWattPerKelvin: number;
  readonly valveSet: number;
  readonly eighth: number;
  readonly mostHot: number;
  readonly droop: number;
  readonly crossKelvin: number;
  readonly outlet: number;
  readonly pipeLoss: number;
  readonly fall: number;
  readonly misplaced: number;
  readonly immersionOhm: number;
  readonly defrosts: number;
  /** Luck of this one where a fault comes out one way or another. */
  readonly luck: number;
  readonly coldStored: number;
  readonly overStored: number;
}

export function drawPlant(faults: readonly string[], facts: HeatPumpFacts, random: Random): Plant {
  const has = (fault: string) => faults.includes(fault);
  const between = ([least, most]: Range) => random.between({ least, most });
  const sensor = (name: string, drift: Range, up: number): FittedSensor => {
    const isOut = has(`${name}.out-of-pocket`);
    const inBy = between(numbers.outMillimetre) + between(numbers.tipMillimetre);
    return {
      share: isOut
        ? 1 - Math.exp(-inBy / between(numbers.pocketLength))
        : between(numbers.homeShare),
      offset: has(`${name}.drift`)
        ? (random.chance(up) ? 1 : -1) * between(drift)
        : 0.4 * random.normal(),
      isWhole: !has(`${name}.open-or-short`),
    };
  };
  const isAir = has('primary.air-or-low-pressure');
  const outputs = [
    has('outdoor.iced') ? between(numbers.iced) : 1,
    has('outdoor.air-blocked') ? between(numbers.airBlocked) : 1,
    has('refrigerant.short') ? between(numbers.short) : 1,
    has('season.cold-damp') ? between(numbers.damp) : 1,
  ];
  const clamp = facts.lineVolt ** 2 / facts.immersionWatt;
  return {
    facts,
    has,
    volt: facts.lineVolt * between(numbers.lineShare),
    room: between(numbers.room),
    outdoor: between(numbers.outdoor),
    cold: between(numbers.cold),
    setpoint: has('hot-water-setpoint.low')
      ? between(numbers.lowSetpoint)
      : between(numbers.setpoint),
    differential: has('restart-differential.wide')
      ? between(numbers.wideDifferential)
      : between(numbers.differential),
    target: has('heating-curve.high')
      ? between(numbers.highTarget)
      : has('heating-curve.low')
        ? between(numbers.lowTarget)
        : between(numbers.target),
    buffer: sensor('buffer-sensor', numbers.bufferDrift, 0.5),
    cylinder: sensor('cylinder-sensor', numbers.drift, 0.65),
    flowOffset: has('flow-sensor.drift')
      ? (random.chance(0.5) ? 1 : -1) * between(numbers.drift)
      : 0.5 * random.normal(),
    houseWatt: facts.heatWatt * between(numbers.houseShare),
    emitterExponent: between(numbers.emitterExponent),
    leastLoad: between(numbers.leastLoad),
    carnotShare: between(numbers.carnotShare),
    output: outputs.reduce((product, each) => product * each, between(numbers.output)),
    litrePerMinute: between(numbers.litrePerMinute),
    strainerShare: has('strainer.blocked') ? between(numbers.strainer) : 1,
    restShare: (has('pump.weak') ? between(numbers.pump) : 1) * (isAir ? between(numbers.air) : 1),
    bar: isAir && random.chance(0.7) ? between(numbers.lowPressure) : between(numbers.pressure),
    toCoil: has('diverter.stuck-heating')
      ? 0
      : has('diverter.passing')
        ? between(numbers.passing)
        : 1,
    coilWattPerKelvin:
      between(numbers.coilWattPerKelvin) * (has('coil.scaled') ? between(numbers.scaledShare) : 1),
    valveSet: has('mixing-valve.set-low')
      ? between(numbers.lowValveSet)
      : between(numbers.valveSet),
    eighth: between(numbers.eighth),
    mostHot: has('mixing-valve.hot-side-blocked')
      ? between(numbers.blockedHot)
      : between(numbers.mostHot),
    droop: between(numbers.droop),
    crossKelvin: has('cross-flow') ? between(numbers.crossKelvin) : 0,
    outlet: has('outlet.limit-stop-low') ? between(numbers.lowOutlet) : 99,
    pipeLoss: between(numbers.pipeLoss),
    fall: has('circulation.always-on') ? between(numbers.alwaysOnFall) : between(numbers.usualFall),
    misplaced: has('room-sensor.badly-placed') ? between(numbers.misplaced) : 0,
    immersionOhm: clamp * between(numbers.immersionShare),
    defrosts: has('outdoor.iced')
      ? between([3.4, 6])
      : has('season.cold-damp')
        ? between([2, 3.3])
        : has('refrigerant.short')
          ? between([1.2, 3.2])
          : has('outdoor.air-blocked')
            ? between([1.4, 3])
            : between([0.3, 2]),
    luck: random.next(),
    coldStored: between(numbers.coldStored),
    overStored: between(numbers.overStored),
  };
}
