import type { Random } from '../random';
import { wirelessNumbers as numbers, type Range } from './numbers';

export interface WirelessFacts {
  readonly lineVolt: number;
  readonly cylinderLitre: number;
  readonly arrangement: 'two-zone-valves' | 'mid-position-valve' | 'immersion';
}

/** A simulated control with its cylinder, as it was built and as it has come to be. */
export interface WirelessSystem {
  readonly facts: WirelessFacts;
  has(fault: string): boolean;
  readonly volt: number;
  readonly setpoint: number;
  readonly differential: number;
  readonly cellVolt: number;
  readonly controllerVolt: number;
  /** Decibels of each link over what it needs, with all that stands near. */
  readonly sensorMargin: number;
  readonly receiverMargin: number;
  /** The sensor's alone, held in free air. */
  readonly freeMargin: number;
  readonly sensorSpacing: number;
  readonly receiverSpacing: number;
  readonly cupboard: number;
  readonly contact: number;
  readonly offset: number;
  readonly tapLoss: number;
  readonly overrunSecond: number;
  /** Luck of this one where a fault comes out one way or another. */
  readonly luck: number;
  readonly coldStored: number;
}

export function drawWirelessSystem(
  faults: readonly string[],
  facts: WirelessFacts,
  random: Random,
): WirelessSystem {
  const has = (fault: string) => faults.includes(fault);
  const between = ([least, most]: Range) => random.between({ least, most });
  const isPathWeak = has('radio.path-weak');
  const freeMargin = isPathWeak ? between(numbers.badMargin) : between(numbers.freeMargin);
  const isFlat = has('sensor.battery-flat');
  return {
    facts,
    has,
    volt: facts.lineVolt * between(numbers.lineShare),
    setpoint: has('setpoint.low') ? between([39, 51]) : between(numbers.setpoint),
    differential: has('differential.wide') ? between([17, 25]) : between(numbers.differential),
    cellVolt: isFlat ? between(numbers.flatVolt) : between(numbers.cellVolt),
    controllerVolt: has('controller.no-power')
      ? between(numbers.controllerFlatVolt)
      : between(numbers.cellVolt),
    freeMargin,
    sensorMargin: has('radio.sensor-at-metal') ? between(numbers.badMargin) : freeMargin,
    receiverMargin: has('radio.receivers-too-close')
      ? between(numbers.badMargin)
      : isPathWeak
        ? freeMargin + between([-3, 3])
        : between(numbers.freeMargin),
    sensorSpacing: has('radio.sensor-at-metal')
      ? between(numbers.nearSpacing)
      : between(numbers.spacing),
    receiverSpacing: has('radio.receivers-too-close')
      ? between(numbers.nearSpacing)
      : between(numbers.spacing),
    cupboard: between(numbers.cupboard),
    contact: has('sensor.off-cylinder') ? between(numbers.offContact) : between(numbers.contact),
    offset: has('sensor.drift')
      ? (random.chance(0.5) ? 1 : -1) * between(numbers.drift)
      : random.normal() * 0.6,
    tapLoss: between(numbers.tapLoss),
    overrunSecond: has('overrun.set') ? 60 * Math.round(between([5, 15])) : 0,
    luck: random.next(),
    coldStored: between([14, 38]),
  };
}
