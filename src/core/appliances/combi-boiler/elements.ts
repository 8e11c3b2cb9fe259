import { fireElements, fireEnds, fireTolerances } from '../gas-fired/fire';
import type { Ends } from '../kit/change';
import type { CombiPlate } from './plate';

/**
 * Every element that a fault may change, as it is on a good boiler. Conductances in (L/min)/√bar, losses in kPa at 1 L/min.
 * Common practice.
 */
export function goodElements({ leastFlow }: CombiPlate) {
  return {
    ...fireElements,
    'flame.microampere': 5.2,
    // Tap water: main, filter, plates, outlet.
    'mains.pascal': 2.9e5,
    'mains.celsius': 12,
    'cold-valve.conductance': 60,
    'tap-filter.conductance': 11,
    'plate.conductance': 17,
    'tap.conductance': 6.3,
    /** Share of the tap's water that comes past the boiler through a mixer. */
    'outlet.past': 0,
    'turbine.gain': 1,
    'start.flow': leastFlow,
    'tap-setpoint.celsius': 48,
    'tap-sensor.kelvin': 0,
    'tap-sensor.whole': 1,
    // The loop.
    'pump.head': 60,
    'hose.millimetre': 21.5,
    'cell.loss': 0.1,
    'plate.loss': 0.106,
    'heating.loss': 0.1,
    'filter.loss': 0.1,
    /** Share of the loop that goes to the heating pipes with a tap open, and with a call for heating. */
    'diverter.strays': 0,
    'diverter.heats': 1,
    'plate.scale': 0.1,
    'plate.blocked': 0,
    'cell.efficiency': 1,
    'flow-setpoint.celsius': 63,
    'flow-sensor.kelvin': 0,
    'flow-sensor.whole': 1,
    'heat-call.there': 1,
    'keep-warm.on': 0,
    'pump.watt': 45,
    // The filled side.
    'primary.pascal': 1.25e5,
    'primary.pascal-a-day': 0,
    'vessel.pascal': 8.5e4,
    /** Share of its vessel that gas fills before water comes. */
    'vessel.cushion': 1,
    'pressure-sensor.pascal': 0,
    'radiators.share': 1,
  };
}

export type Elements = Record<keyof ReturnType<typeof goodElements>, number>;

export const ends: Ends = fireEnds;

/** How much good boilers and houses differ, natural logarithm; what several readings share is not here. */
export const tolerances: Partial<Record<keyof Elements, number>> = {
  ...fireTolerances,
  'mains.pascal': 0.16,
  'tap-filter.conductance': 0.08,
  'plate.conductance': 0.06,
  'turbine.gain': 0.03,
  'tap-setpoint.celsius': 0.04,
  'pump.head': 0.06,
  'cell.loss': 0.1,
  'plate.loss': 0.08,
  'heating.loss': 0.2,
  'filter.loss': 0.2,
  'plate.scale': 0.8,
  'cell.efficiency': 0.015,
  'flow-setpoint.celsius': 0.05,
  'pump.watt': 0.08,
  'primary.pascal': 0.13,
  'vessel.pascal': 0.09,
  'radiators.share': 0.12,
};
