import {
  absent,
  breakerPole,
  contact,
  elementBranches,
  wire,
  type Topology,
} from '../electrical/circuit-of';

export const topology: Topology = {
  branches: [
    breakerPole('breaker-1', 'source.1', 'feed.1'),
    breakerPole('breaker-2', 'source.2', 'feed.2'),
    wire('splice-1', 'feed.1', 'supply.1'),
    wire('splice-2', 'feed.2', 'supply.2'),
    { ...wire('bond', 'earth', 'tank'), ohm: () => 0.05, tolerance: 0.7 },
    wire('w-supply-1', 'supply.1', 'limit.1'),
    wire('w-supply-2', 'supply.2', 'limit.3'),
    contact('limit-pole-1', 'limit.1', 'limit.2', 'limit'),
    contact('limit-pole-2', 'limit.3', 'limit.4', 'limit'),
    wire('strap-limit', 'limit.2', 'upper-thermostat.1'),
    contact('upper-contact', 'upper-thermostat.1', 'upper-thermostat.2', {
      thermostat: 'upper',
      when: 'satisfied',
    }),
    contact('changeover-contact', 'upper-thermostat.1', 'upper-thermostat.4', {
      thermostat: 'upper',
      when: 'calling',
      strappedIfSimultaneous: true,
    }),
    wire('w-upper-a', 'upper-thermostat.2', 'upper-element.a'),
    wire('w-upper-b', 'limit.4', 'upper-element.b'),
    ...elementBranches('upper', 'upper-element'),
    wire('w-lower-feed', 'upper-thermostat.4', 'lower-thermostat.1'),
    contact('lower-contact', 'lower-thermostat.1', 'lower-thermostat.2', {
      thermostat: 'lower',
      when: 'satisfied',
    }),
    wire('w-lower-a', 'lower-thermostat.2', 'lower-element.a'),
    wire('w-lower-b', 'limit.4', 'lower-element.b'),
    ...elementBranches('lower', 'lower-element'),
    absent('crossed-upper-a', 'upper-thermostat.4', 'upper-element.a'),
    absent('crossed-lower-feed', 'upper-thermostat.2', 'lower-thermostat.1'),
  ],
  twins: { 'w-upper-a': 'crossed-upper-a', 'w-lower-feed': 'crossed-lower-feed' },
};
