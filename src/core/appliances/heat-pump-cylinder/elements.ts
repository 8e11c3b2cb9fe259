import { pocketMillimetre, pocketShare } from '../../heat-pump';
import { usualMostHotShare } from '../../mixing-valve';
import type { Ends } from '../kit/change';
import type { HeatPumpPlate } from './plate';

/**
 * Every element that a fault may change, as it is on a good unit: shares are one where a thing works. Common practice, or from
 * memory.
 */
export function goodElements({ lineVolt, immersionWatt }: HeatPumpPlate) {
  const home = pocketShare(pocketMillimetre);
  return {
    // What several readings share.
    'stored.share': 1,
    'target.share': 1,
    'cold.celsius': 10,
    // What the controller is told and what it hears.
    'hot-water-setpoint.celsius': 50,
    'restart-differential.kelvin': 7,
    'heating-curve.celsius': 38,
    'schedule.covers': 1,
    'mode.normal': 1,
    'control.free': 1,
    'buffer-sensor.share': home,
    'buffer-sensor.offset': 0,
    'buffer-sensor.whole': 1,
    'cylinder-sensor.share': home,
    'cylinder-sensor.offset': 0,
    'cylinder-sensor.whole': 1,
    'flow-sensor.offset': 0,
    'flow-sensor.whole': 1,
    'room-sensor.extra': 0,
    // The machine outdoors.
    'outdoor.output': 1,
    'outdoor.defrosts': 1.2,
    'refrigerant.output': 1,
    'compressor.works': 1,
    'supply.volt': lineVolt as number,
    'supply.on': 1,
    'season.output': 1,
    'machine.output': 1,
    /** It stands still just now, as it does between two runs to its limit. */
    'cycle.stands': 0,
    // Primary water.
    'strainer.flow': 1,
    'pump.flow': 1,
    'primary.flow': 1,
    'primary.pascal': 150_000,
    'plant.flow': 20,
    /** What a buffer is still over its room that nobody warms, K. */
    'plant.left': 3,
    'diverter.heating': 1,
    'diverter.cylinder': 1,
    'coil.approach': 6.5,
    'coil.output': 1,
    // Stored water and what comes out of it.
    'mixing-valve.celsius': 47.5,
    'mixing-valve.most': usualMostHotShare,
    'mixing-valve.holds': 1,
    'cross-flow.kelvin': 0,
    'outlet.celsius': 99,
    'circulation.fall': 3,
    'draw.usual': 1,
    // The immersion heater, on a circuit of its own.
    'immersion.ohm': lineVolt ** 2 / immersionWatt,
    'immersion-limit.closed': 1,
    'relay.closes': 1,
    'relay.opens': 1,
  };
}

export type Elements = Record<keyof ReturnType<typeof goodElements>, number>;
export type ElementId = keyof Elements;

/** An element that burnt through, in ohms. */
const openOhm = 1e9;

export const ends: Ends = { 'immersion.ohm': { open: openOhm, closed: 0.1 } };

export const allElements = Object.keys(
  goodElements({
    lineVolt: 230,
    heatWatt: 8000,
    flowLimitCelsius: 60,
    immersionWatt: 3000,
    cylinderLitre: 200,
    bufferLitre: 50,
  }),
) as ElementId[];

/** How much good units differ, natural logarithm; what several readings share is not here. */
export const tolerances: Partial<Record<ElementId, number>> = {
  'hot-water-setpoint.celsius': 0.03,
  'restart-differential.kelvin': 0.25,
  'buffer-sensor.share': 0.015,
  'cylinder-sensor.share': 0.015,
  'machine.output': 0.08,
  'outdoor.defrosts': 0.4,
  'primary.pascal': 0.18,
  'plant.flow': 0.07,
  'plant.left': 0.7,
  'coil.approach': 0.2,
  'mixing-valve.celsius': 0.03,
  'circulation.fall': 0.25,
  'supply.volt': 0.02,
  'immersion.ohm': 0.035,
};
