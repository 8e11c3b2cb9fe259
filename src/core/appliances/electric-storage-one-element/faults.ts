import {
  dialsAt,
  elementFaults,
  fault,
  resistiveJoint,
  type FaultMode,
} from '../electrical/faults';

/** The ways a one-element heater fails. Their weights are in parameters.json. */

const joints = ['cable-1', 'cable-2', 'w-supply-1', 'w-supply-2', 'pin-a', 'pin-b'];

export const faultModes: readonly FaultMode[] = [
  fault('no-fault'),
  fault('supply.off', {}, { supply: 'breaker-open' }),
  fault('supply.controlled-off', {}, { supply: 'no-supply' }),
  fault('supply.live-missing', { 'breaker-1': 'open' }),
  fault('supply.neutral-missing', { 'breaker-2': 'open' }),
  ...joints.flatMap((joint) => [
    fault(`${joint}.open`, { [joint]: 'open' }),
    resistiveJoint(`${joint}.resistive`, joint),
  ]),
  fault('earth-bond.open', { bond: 'open' }),
  fault('cutout.nuisance-trip', {}, { limit: 'tripped' }),
  fault('thermostat.pole-1-open', { 'cutout-pole-1': 'open' }),
  fault('thermostat.pole-2-open', { 'cutout-pole-2': 'open' }),
  fault('thermostat.both-poles-open', { 'cutout-pole-1': 'open', 'cutout-pole-2': 'open' }),
  fault('thermostat.never-closes', { 'control-pole-1': 'open', 'control-pole-2': 'open' }),
  fault('thermostat.welded', { 'control-pole-1': 'closed', 'control-pole-2': 'closed' }),
  fault(
    'thermostat.cutout-never-trips',
    { 'cutout-pole-1': 'closed', 'cutout-pole-2': 'closed' },
    { limit: 'never-trips' },
  ),
  ...elementFaults('element'),
  {
    id: 'flange.damp',
    variants: [3e3, 3e4, 3e5].map((ohm) => ({
      share: 1 / 3,
      changes: { damp: { ohm } },
      spread: { damp: 0.8 },
    })),
    beside: [{ share: 1, changes: { damp: { ohm: 3e4 } }, spread: { damp: 1.6 } }],
  },
  fault('lamp.open', { lamp: 'open' }),
  dialsAt('dial.low', (celsius) => ({ only: celsius })),
  fault('scale'),
  fault('demand'),
];
