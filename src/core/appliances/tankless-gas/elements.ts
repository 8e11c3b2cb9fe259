import { fireElements, fireEnds, fireTolerances } from '../gas-fired/fire';
import type { Ends } from '../kit/change';
import type { TanklessPlate } from './plate';

/** Every element that a fault may change, as it is on a good heater. Conductances in (L/min)/√bar. Common practice. */
export function goodElements({ leastFlow }: TanklessPlate) {
  return {
    ...fireElements,
    'air.excess': 1.66,
    'mains.pascal': 3.1e5,
    'mains.celsius': 12,
    'main.conductance': 28,
    'strainer.conductance': 40,
    'heater.conductance': 13.5,
    'house.conductance': 14,
    'tap.conductance': 11,
    'port.conductance': 18,
    /** Ways from cold to hot beside the heater: through a mixer, and through a line that a valve can shut. */
    'crossing.conductance': 0,
    'recirculation.conductance': 0,
    /** One where cold stands on the outlet. */
    'lines.crossed': 0,
    'inlet.open': 1,
    'turbine.gain': 1,
    /** Of the pulses: through its plug, and from its pick-up. */
    'flow-sensor.contact': 1,
    'flow-sensor.pick-up': 1,
    'start.flow': leastFlow,
    'setpoint.celsius': 49,
    'request.on': 1,
    'exchanger.efficiency': 1,
    /** Scale, as kelvin that its wall is hotter for each kilowatt. */
    'exchanger.scale': 0.1,
    'inlet-sensor.kelvin': 0,
    'outlet-sensor.kelvin': 0,
    'inlet-sensor.whole': 1,
    'outlet-sensor.whole': 1,
    'pipe.litre': 0.7,
  };
}

export type Elements = Record<keyof ReturnType<typeof goodElements>, number>;

export const ends: Ends = fireEnds;

/** How much good heaters and houses differ, natural logarithm; what several readings share is not here. */
export const tolerances: Partial<Record<keyof Elements, number>> = {
  ...fireTolerances,
  'strainer.conductance': 0.2,
  'heater.conductance': 0.05,
  'port.conductance': 0.06,
  'turbine.gain': 0.03,
  'setpoint.celsius': 0.04,
  'exchanger.efficiency': 0.02,
  'pipe.litre': 0.35,
};
