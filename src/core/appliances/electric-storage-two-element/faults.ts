import {
  dialsAt,
  elementFaults,
  fault,
  resistiveJoint,
  type FaultMode,
} from '../electrical/faults';

/** The ways a two-element heater fails. Their weights are in parameters.json. */

const joints = [
  'splice-1',
  'splice-2',
  'w-supply-1',
  'w-supply-2',
  'strap-limit',
  'w-upper-a',
  'w-upper-b',
  'w-lower-feed',
  'w-lower-a',
  'w-lower-b',
];

export const faultModes: readonly FaultMode[] = [
  fault('no-fault'),
  fault('supply.off', {}, { supply: 'breaker-open' }),
  fault('supply.controlled-off', {}, { supply: 'no-supply' }),
  fault('supply.leg-1-missing', { 'breaker-1': 'open' }),
  fault('supply.leg-2-missing', { 'breaker-2': 'open' }),
  fault('supply.breaker-pole-1-open', { 'breaker-1': 'open' }),
  fault('supply.breaker-pole-2-open', { 'breaker-2': 'open' }),
  ...joints.flatMap((joint) => [
    fault(`${joint}.open`, { [joint]: 'open' }),
    resistiveJoint(`${joint}.resistive`, joint),
  ]),
  fault('earth-bond.open', { bond: 'open' }),
  fault('limit.nuisance-trip', {}, { limit: 'tripped' }),
  fault('limit.pole-1-open', { 'limit-pole-1': 'open' }),
  fault('limit.pole-2-open', { 'limit-pole-2': 'open' }),
  fault('limit.both-poles-open', { 'limit-pole-1': 'open', 'limit-pole-2': 'open' }),
  fault(
    'limit.never-trips',
    { 'limit-pole-1': 'closed', 'limit-pole-2': 'closed' },
    { limit: 'never-trips' },
  ),
  fault('upper-thermostat.never-closes', { 'upper-contact': 'open' }),
  ...[
    fault('upper-thermostat.never-changes-over', { 'changeover-contact': 'open' }),
    fault('upper-thermostat.dead', { 'upper-contact': 'open', 'changeover-contact': 'open' }),
    fault('upper-thermostat.welded', { 'upper-contact': 'closed', 'changeover-contact': 'open' }),
    fault('upper-thermostat.both-contacts-closed', {
      'upper-contact': 'closed',
      'changeover-contact': 'closed',
    }),
    fault('upper-thermostat.stuck-down', {
      'upper-contact': 'open',
      'changeover-contact': 'closed',
    }),
  ].map((each): FaultMode => ({ ...each, wiring: 'non-simultaneous' })),
  // With both elements fed at once the upper thermostat is a single switch: welded, it leaves the lower circuit alone.
  {
    ...fault('upper-thermostat.welded', { 'upper-contact': 'closed' }),
    wiring: 'simultaneous',
  },
  fault('lower-thermostat.never-closes', { 'lower-contact': 'open' }),
  fault('lower-thermostat.welded', { 'lower-contact': 'closed' }),
  ...elementFaults('upper-element'),
  ...elementFaults('lower-element'),
  fault('wiring.crossed-2-4', {
    'w-upper-a': 'open',
    'w-lower-feed': 'open',
    'crossed-upper-a': { ohm: 0.01 },
    'crossed-lower-feed': { ohm: 0.01 },
  }),
  dialsAt('dials.low', (celsius) => ({ upper: celsius, lower: celsius })),
  dialsAt('dials.unequal', (celsius) => ({ lower: celsius })),
  fault('sediment'),
  fault('dip-tube.gone'),
  fault('demand'),
];
