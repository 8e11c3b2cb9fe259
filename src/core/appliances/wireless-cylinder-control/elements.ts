import type { Ends } from '../kit/change';
import type { WirelessPlate } from './plate';

/**
 * Every element that a fault may change, as it is on a good system: shares are one where a thing works. Common practice, or from
 * memory.
 */
export function goodElements({ lineVolt }: WirelessPlate) {
  return {
    // The controller and its settings.
    'controller.volt': 3,
    'controller.works': 1,
    'setpoint.celsius': 60,
    'differential.kelvin': 10,
    'overrun.second': 0,
    'program.on': 1,
    'mode.normal': 1,
    'system-type.right': 1,
    // The sensor on the cylinder.
    'sensor.volt': 3,
    'sensor.works': 1,
    'sensor.awake': 1,
    'sensor.bound': 1,
    'sensor.offset': 0,
    // Of what lies between the cupboard and the cylinder, how much it reads.
    'sensor.contact': 1,
    'sensor.metal-mm': 400,
    'sensor.path-db': 28,
    // The receiver.
    'receiver.spacing-mm': 400,
    'receiver.path-db': 28,
    'receiver.works': 1,
    'receiver.awake': 1,
    'receiver.bound': 1,
    'receiver.own-zone': 1,
    'receiver.supply': 1,
    'receiver.contact': 1,
    'receiver.open': 1,
    // What it drives.
    'feed.volt': lineVolt as number,
    'cutout.closed': 1,
    'w-valve.whole': 1,
    'valve.motor': 1,
    'valve.body': 1,
    'valve.shuts': 1,
    'valve.lever-free': 1,
    'end-switch.closes': 1,
    'end-switch.opens': 1,
    'w-feed.whole': 1,
    'w-boiler.whole': 1,
    'boiler.fires': 1,
    'pump.turns': 1,
    'circuit.flows': 1,
    // How the household draws, and what it is used to.
    'draw.usual': 1,
  };
}

export type Elements = Record<keyof ReturnType<typeof goodElements>, number>;
export type ElementId = keyof Elements;

export const ends: Ends = {};

export const allElements = Object.keys(
  goodElements({ lineVolt: 230, cylinderLitre: 180, arrangement: 'two-zone-valves' }),
) as ElementId[];

/** How much good systems differ, natural logarithm; what several readings share is not here. */
export const tolerances: Partial<Record<ElementId, number>> = {
  'sensor.volt': 0.03,
  'controller.volt': 0.03,
  'setpoint.celsius': 0.03,
  'differential.kelvin': 0.25,
  'sensor.metal-mm': 0.25,
  'receiver.spacing-mm': 0.25,
};
