import type { Followed, Follows } from '../kit/signal/declaration';
import { chainElements } from './elements';

const follows = (elements: readonly string[], ...gates: string[]): Follows => ({
  elements,
  byStanding: false,
  gates,
});

/**
 * Which elements each reading follows. Units that are alike in these read alike: a test moves every other element and sees no
 * reading move.
 */
export const followed: Followed = {
  probe: follows(chainElements),
  signals: {
    'gauge.pascal': follows(['system.pascal']),
    'panel-fuse.ohm': follows(['panel-fuse.ohm']),
    'boiler-fuse.ohm': follows(['boiler-fuse.ohm']),
    'winding.ohm': follows(['transformer-secondary.ohm']),
    'thermostat-1.ohm': follows(['thermostat-1.closed-ohm', 'thermostat-1.open-ohm']),
    'zone-1-wires.ohm': follows([
      'w-zone-1.ohm',
      'zone-1-pair.ohm',
      'thermostat-1.closed-ohm',
      'thermostat-1.open-ohm',
    ]),
    'gas.static': follows(['gas.static']),
    'gas.running': follows(['gas.static', 'gas.running'], 'lit'),
    'air.pascal': follows(['air.way', 'fan.turns', ...chainElements, 'control.alive']),
    'igniter.ohm': follows(['igniter.works']),
    'valve.volt': follows(chainElements, 'trial'),
    'flame.ampere': follows(['flame.microampere'], 'lit', 'trial'),
    'supply.rise': follows(['primary.flow', 'air-in-loop.share'], 'lit'),
    'loop.difference': follows(['primary.flow', 'air-in-loop.share'], 'lit'),
    'cylinder.celsius': follows([
      ...cylinderWay(),
      'tank-setpoint.celsius',
      'cylinder-sensor.kelvin',
      'tank-limit.clear',
      'coil.share',
    ]),
    'cylinder.rise': follows(['coil.share', 'cylinder-pump.turns'], 'lit', 'pump.zone-dhw'),
    'outlet.celsius': follows([
      ...cylinderWay(),
      'tank-setpoint.celsius',
      'cylinder-sensor.kelvin',
      'tank-limit.clear',
      'coil.share',
      'mixing.celsius',
    ]),
    'supply-sensor.read': follows([
      'supply-sensor.kelvin',
      'supply-sensor.whole',
      'sensors.break-open',
    ]),
    'return-sensor.read': follows(['return-sensor.whole', 'sensors.break-open']),
    'outdoor-sensor.read': follows(['outdoor-sensor.whole', 'sensors.break-open']),
    'cylinder-sensor.read': follows([
      'cylinder-sensor.kelvin',
      'cylinder-sensor.whole',
      'sensors.break-open',
    ]),
    'supply-sensor.shown': follows([
      'supply-sensor.kelvin',
      'supply-sensor.whole',
      'sensors.break-open',
      ...chainElements,
      'control.alive',
    ]),
    'outdoor-sensor.shown': follows([
      'outdoor-sensor.kelvin',
      'outdoor-sensor.whole',
      'sensors.break-open',
      ...chainElements,
      'control.alive',
    ]),
    'cylinder-sensor.shown': follows([
      'cylinder-sensor.kelvin',
      'cylinder-sensor.whole',
      'sensors.break-open',
      ...chainElements,
      'control.alive',
    ]),
  },
};

/** Everything that has to be right for a cylinder to be found hot. */
function cylinderWay(): string[] {
  return [
    ...chainElements,
    'control.alive',
    'enabled.on',
    'tank.on',
    'tank.in-mode',
    'cylinder-sensor.whole',
    'supply-sensor.whole',
    'supply-sensor.kelvin',
    'return-sensor.whole',
    'fan.turns',
    'air-switch.closes',
    'air.way',
    'gas.static',
    'gas.running',
    'igniter.works',
    'gas-valve.opens',
    'gas-valve.shuts',
    'flame.microampere',
    'flame.true',
    'burner.whole',
    'burner.clean',
    'mixture.right',
    'primary.flow',
    'air-in-loop.share',
    'cylinder-pump.turns',
  ];
}
