import {
  absent,
  breakerPole,
  contact,
  elementBranches,
  wire,
  type Topology,
} from '../electrical/circuit-of';

/** Indicator lamp with its resistor. Common practice: a milliampere at mains volts. */
const lampOhm = 200e3;

export const topology: Topology = {
  branches: [
    breakerPole('breaker-1', 'source.1', 'feed.1'),
    breakerPole('breaker-2', 'source.2', 'feed.2'),
    wire('cable-1', 'feed.1', 'supply.1'),
    wire('cable-2', 'feed.2', 'supply.2'),
    { ...wire('bond', 'earth', 'tank'), ohm: () => 0.05, tolerance: 0.7 },
    wire('w-supply-1', 'supply.1', 'thermostat.1'),
    wire('w-supply-2', 'supply.2', 'thermostat.3'),
    // Each pole is a cutout contact and a control contact in one body; their joint cannot be touched.
    contact('cutout-pole-1', 'thermostat.1', 'thermostat.middle-1', 'limit'),
    contact('cutout-pole-2', 'thermostat.3', 'thermostat.middle-2', 'limit'),
    contact('control-pole-1', 'thermostat.middle-1', 'thermostat.2', {
      thermostat: 'only',
      when: 'satisfied',
    }),
    contact('control-pole-2', 'thermostat.middle-2', 'thermostat.4', {
      thermostat: 'only',
      when: 'satisfied',
    }),
    { ...wire('lamp', 'thermostat.2', 'thermostat.4'), ohm: () => lampOhm, tolerance: 0.3 },
    wire('pin-a', 'thermostat.2', 'element.a'),
    wire('pin-b', 'thermostat.4', 'element.b'),
    ...elementBranches('only', 'element'),
    absent('damp', 'thermostat.2', 'tank'),
  ],
  twins: {},
};
