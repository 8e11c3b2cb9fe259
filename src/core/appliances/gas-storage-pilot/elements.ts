import { openOhm } from '../../circuit';
import type { Ends } from '../kit/change';
import type { GasPlate } from './plate';

/** Ohms of a generator and of what it holds: 28 mV behind 18 mΩ, or 590 mV behind 3 Ω (from memory). */
export const generators = {
  thermocouple: { voltPerKelvin: 0.045e-3, ohm: 0.018, jointOhm: 0.002, holderOhm: 0.019 },
  thermopile: { voltPerKelvin: 0.95e-3, ohm: 3, jointOhm: 0.05, holderOhm: 6.4 },
} as const;

/** Where the magnet lets go, and where an electronic valve still drives the main gas, in volts under load. Common practice. */
export const letGoVolt = { thermocouple: 2.6e-3, thermopile: 0.12 } as const;
export const mainGasVolt = { thermocouple: 0, thermopile: 0.2 } as const;

/** How fast a tip warms and cools, time constants in seconds. Common practice. */
export const tipSeconds = {
  thermocouple: { warm: 12, cool: 20 },
  thermopile: { warm: 25, cool: 35 },
} as const;

/**
 * Every element that a fault may change, as it is on a good unit. Shares are 1 where all is well; what is nought is not there.
 */
export function goodElements({ valve }: GasPlate) {
  const { ohm, jointOhm, holderOhm } = generators[valve];
  return {
    /** Gas up to the valve; what is left of its pressure while everything burns, and while nothing does. */
    'gas.supply': 1,
    'gas.working': 0.94,
    'gas.static': 1,
    'gas.regulated': 1,
    'gas.air-in-line': 0,
    'pilot.opening': 1,
    'igniter.spark': 1,
    /** Air through filter and screen, and what the room lets in with its doors shut. */
    'air.way': 1,
    'air.room': 1,
    'flue.spill': 0,
    'draught.strength': 0,
    /** Share of the tip's upper third that the flame wraps. */
    'tip.engagement': 1,
    'generator.output': 1,
    'generator.ohm': ohm,
    'joint.ohm': jointOhm,
    'lead.leak-ohm': openOhm,
    'sheath.leak-ohm': openOhm,
    'cutout.ohm': 1e-4,
    'energy-cutoff.ohm': 1e-4,
    'holder.ohm': holderOhm,
    'magnet.let-go': 1,
    'electronics.alive': 1,
    'valve.opens': 1,
    'valve.shuts': 1,
    'valve.early-kelvin': 0,
    'dial.celsius': 52,
    'knob.on': 1,
    'burner.orifice': 1,
    'burner.ports': 1,
    'burner.late': 0,
    'tank.sediment': 0,
    'tank.dip-tube': 1,
    /** Share of the flow that the nearer heater of a pair gets, and whether the other one heats. */
    'cold.pressure-pascal': 3.5e5,
    'pair.nearer-share': 0.5,
    'pair.other-heats': 1,
  };
}

export type Elements = Record<keyof ReturnType<typeof goodElements>, number>;

/** An open resistance is a broken path; every other element is nought when it is open. */
export const ends: Ends = Object.fromEntries(
  [
    'generator.ohm',
    'joint.ohm',
    'lead.leak-ohm',
    'sheath.leak-ohm',
    'cutout.ohm',
    'energy-cutoff.ohm',
    'holder.ohm',
  ].map((id) => [id, { open: openOhm, closed: 1e-4 }]),
);

/**
 * How much elements of good units differ from one to the next, natural logarithm; what is not here does not. The generator's
 * output and the working pressure are not here: several readings share them. Common practice.
 */
export const tolerances: Partial<Record<keyof Elements, number>> = {
  'generator.ohm': 0.06,
  'joint.ohm': 0.5,
  'holder.ohm': 0.05,
  'magnet.let-go': 0.2,
  'gas.static': 0.08,
  'gas.regulated': 0.05,
  'burner.orifice': 0.03,
};
