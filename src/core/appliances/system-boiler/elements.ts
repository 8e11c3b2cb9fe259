import { openOhm } from '../../circuit';
import type { Ends } from '../kit/change';
import type { SystemPlate } from './plate';

const closedOhm = 0.05;
/** What a good relay coil is worth alive. */
export const goodCoilOhm = 350;

/**
 * Every element that a fault may change, as it is on a good boiler. Ohms are what a branch is worth at 24 V or at the line;
 * what an ohmmeter sees of a coil, a winding or a pump is a share of it. Common practice, or from memory.
 */
export function goodElements({ cylinderLitre }: SystemPlate) {
  return {
    // The line side.
    'feed.share': 1,
    'line-switch.ohm': closedOhm,
    'w-line.ohm': 0.1,
    'transformer-secondary.ohm': 1.2,
    // The 24 V side of the panel.
    'panel-fuse.ohm': closedOhm,
    'panel-joint.ohm': 0.1,
    'coil-1.ohm': goodCoilOhm,
    'w-zone-1.ohm': 0.9,
    'zone-1-pair.ohm': openOhm,
    'zone-1-to-common.ohm': openOhm,
    // A contact has ohms where it is closed and where it is open: welded, both are few.
    'thermostat-1.closed-ohm': closedOhm,
    'thermostat-1.open-ohm': openOhm,
    'aquastat.closed-ohm': closedOhm,
    'aquastat.open-ohm': openOhm,
    'pump-contact-1.closed-ohm': closedOhm,
    'pump-contact-1.open-ohm': openOhm,
    'end-heat.closed-ohm': closedOhm,
    'end-heat.open-ohm': openOhm,
    'end-dhw.closed-ohm': closedOhm,
    'priority.closed-ohm': closedOhm,
    // To the boiler and inside it.
    'w-24v.ohm': 0.1,
    'w-call-1.ohm': 0.1,
    'w-call-2.ohm': 0.1,
    'wiring.crossed': 0,
    'boiler-fuse.ohm': closedOhm,
    'board.ohm': 60,
    'limit.ohm': closedOhm,
    // Shares and switches: one where it is as it should be.
    'control.alive': 1,
    'display.lit': 1,
    'enabled.on': 1,
    'tank.on': 1,
    'tank.in-mode': 1,
    'start-delay.off': 1,
    'tank-limit.clear': 1,
    'tank-setpoint.celsius': 60,
    /** Supply that its curve gives, less what the emitter wants, in kelvin. */
    'curve.kelvin': 0,
    'warm-weather.heats': 1,
    'supply-sensor.kelvin': 0,
    'supply-sensor.whole': 1,
    'return-sensor.whole': 1,
    'outdoor-sensor.kelvin': 0,
    'outdoor-sensor.whole': 1,
    'cylinder-sensor.kelvin': 0,
    'cylinder-sensor.whole': 1,
    /** Open, else short, where it is not whole. */
    'sensors.break-open': 1,
    'fan.turns': 1,
    'air-switch.closes': 1,
    'air.way': 1,
    'intake.on': 1,
    'drain.runs': 1,
    'gas.static': 1,
    'gas.running': 0.93,
    'igniter.works': 1,
    'gas-valve.opens': 1,
    'gas-valve.shuts': 1,
    'flame.microampere': 4,
    'flame.true': 1,
    'burner.whole': 1,
    'burner.clean': 1,
    'mixture.right': 1,
    'exchanger.clean': 1,
    'system.pascal': 1.25e5,
    // Flows as shares of what is right.
    'primary.flow': 1,
    'air-in-loop.share': 0,
    'zone-1-pump.turns': 1,
    'cylinder-pump.turns': 1,
    'coil.share': 1,
    'mixing.celsius': 48,
    'flow-check.holds': 1,
    'cylinder.litre': cylinderLitre,
  };
}

export type Elements = Record<keyof ReturnType<typeof goodElements>, number>;

const ohm = { open: openOhm, closed: 0.02 };

export const ends: Ends = Object.fromEntries(
  [
    'line-switch.ohm',
    'w-line.ohm',
    'transformer-secondary.ohm',
    'panel-fuse.ohm',
    'panel-joint.ohm',
    'coil-1.ohm',
    'w-zone-1.ohm',
    'zone-1-pair.ohm',
    'thermostat-1.closed-ohm',
    'thermostat-1.open-ohm',
    'aquastat.closed-ohm',
    'aquastat.open-ohm',
    'pump-contact-1.closed-ohm',
    'pump-contact-1.open-ohm',
    'end-heat.closed-ohm',
    'end-heat.open-ohm',
    'end-dhw.closed-ohm',
    'priority.closed-ohm',
    'w-24v.ohm',
    'w-call-1.ohm',
    'w-call-2.ohm',
    'boiler-fuse.ohm',
    'limit.ohm',
  ].map((id) => [id, ohm]),
);

/** Elements of the chain: what any volts, any ohms and any relay follow. */
export const chainElements: readonly (keyof Elements)[] = [
  'feed.share',
  ...(Object.keys(ends) as (keyof Elements)[]),
  'zone-1-to-common.ohm',
  'wiring.crossed',
  'board.ohm',
  'drain.runs',
  'system.pascal',
];

/** How much good boilers differ, natural logarithm; what several readings share is not here. */
export const tolerances: Partial<Record<keyof Elements, number>> = {
  'coil-1.ohm': 0.06,
  'board.ohm': 0.08,
  'gas.static': 0.06,
  'gas.running': 0.05,
  'flame.microampere': 0.25,
  'system.pascal': 0.13,
  'primary.flow': 0.12,
  'coil.share': 0.12,
  'mixing.celsius': 0.03,
  'air.way': 0.04,
  'tank-setpoint.celsius': 0.04,
};
