import { deadControl } from '../gas-fired/dead-control';
import { eitherSide, ladder, plain } from '../kit/signal/fault-modes';
import type { SignalMode } from '../kit/signal/declaration';
import type { TanklessPlate } from './plate';

/** Every fault as a change of named elements. Ranges are common practice. */
export function faults({ condensing }: TanklessPlate): readonly SignalMode[] {
  return [
    plain('no-fault'),
    ladder('demand.below-minimum', 'tap.conductance', [0.7, 1.5], 2),
    ladder('demand.over-capacity', 'tap.conductance', [26, 60], 2, {
      'house.conductance': { value: 24 },
    }),
    ladder('pipe-run.long', 'pipe.litre', [4, 12], 2),
    ladder('setpoint.low', 'setpoint.celsius', [34, 42], 1),
    plain('control.standby', { 'request.on': 'open' }),
    {
      id: 'parameters.wrong',
      variants: [
        {
          share: 0.5,
          changes: {
            'burner.scale': { value: 0.62 },
            'air.excess': { value: 2.1 },
            'flue.co-share': { value: 0.004 },
          },
          spread: { 'burner.scale': 0.15, 'air.excess': 0.1 },
        },
        {
          share: 0.5,
          changes: {
            'burner.scale': { value: 0.97 },
            'air.excess': { value: 1.35 },
            'flue.co-share': { value: 0.006 },
          },
          spread: { 'air.excess': 0.08 },
        },
      ],
    },
    plain('supply.off', { 'supply.on': 'open' }),
    plain('fuse.open', { 'fuse.whole': 'open' }),
    deadControl(0.45),
    plain('fixture.cartridge'),
    ladder('cross-connection.mixer', 'crossing.conductance', [8, 26], 2),
    ladder('recirculation.no-check', 'recirculation.conductance', [8, 26], 2),
    plain('lines.reversed', { 'lines.crossed': { value: 1 } }),
    ladder('valve.part-shut', 'main.conductance', [1, 5], 2),
    ladder('mains.low-pressure', 'mains.pascal', [2e4, 9e4], 2),
    ladder('strainer.blocked', 'strainer.conductance', [0.7, 4.5], 3),
    {
      id: 'flow-sensor.stuck',
      variants: [
        { share: 0.75, changes: { 'turbine.gain': 'open' } },
        {
          share: 0.25,
          changes: { 'turbine.gain': { value: 0.3 } },
          spread: { 'turbine.gain': 0.35 },
        },
      ],
    },
    plain('flow-sensor.connector', { 'flow-sensor.contact': 'open' }),
    plain('flow-sensor.dead', { 'flow-sensor.pick-up': 'open' }),
    {
      id: 'flow-control.stuck',
      variants: [
        {
          share: 0.6,
          changes: { 'heater.conductance': { value: 2.6 } },
          spread: { 'heater.conductance': 0.5 },
        },
        {
          share: 0.4,
          changes: { 'crossing.conductance': { value: 7 } },
          spread: { 'crossing.conductance': 0.3 },
        },
      ],
    },
    ladder('exchanger.scaled', 'exchanger.scale', [0.6, 2], 3, {
      'heater.conductance': { value: 8 },
      'exchanger.efficiency': { value: 0.9 },
    }),
    plain('exchanger.leak'),
    eitherSide('inlet-sensor.drift', 'inlet-sensor.kelvin', [8, 15], 1),
    eitherSide('outlet-sensor.drift', 'outlet-sensor.kelvin', [6, 14], 2),
    plain('outlet-sensor.open', { 'outlet-sensor.whole': 'open' }),
    plain('inlet-sensor.open', { 'inlet-sensor.whole': 'open' }),
    plain('gas.shut', { 'gas.supply': 'open' }),
    ladder('gas.low-under-load', 'gas.running', [0.12, 0.5], 3),
    plain('gas-valve.dead', { 'gas-valve.opens': 'open' }),
    {
      id: 'gas-valve.mis-set',
      variants: [
        {
          share: 0.7,
          changes: {
            'burner.pressure': { value: 0.42 },
            'burner.scale': { value: 0.64 },
            'air.excess': { value: 2 },
          },
          spread: { 'burner.pressure': 0.25, 'burner.scale': 0.12 },
        },
        {
          share: 0.3,
          changes: {
            'burner.pressure': { value: 1.5 },
            'air.excess': { value: 1.3 },
            'flue.co-share': { value: 0.006 },
          },
          spread: { 'burner.pressure': 0.12 },
        },
      ],
    },
    plain('igniter.worn', { 'igniter.spark': 'open' }),
    ladder('flame-rod.dirty', 'flame.microampere', [0.25, 1.3], 2),
    ladder('earth.poor', 'earth.path', [0.06, 0.3], 2),
    ladder('fan.failed', 'fan.speed', [0.05, 0.55], 1),
    plain('air-switch.fault', { 'air-switch.closes': 'open' }),
    ladder('flue.blocked', 'air.way', [0.15, 0.7], 3, {
      'air.excess': { value: 1.25 },
      'flue.co-share': { value: 0.006 },
    }),
    plain('flue.recirculating', {
      'flue.recirculates': { value: 0.8 },
      'air.excess': { value: 1.3 },
      'flue.co-share': { value: 0.008 },
    }),
    ...(condensing === 'true'
      ? [plain('condensate.blocked', { 'condensate.drains': 'open' })]
      : []),
    plain('limit.open', { 'limit.ohm': 'open' }),
    ladder('burner.dirty', 'burner.scale', [0.35, 0.8], 2, {
      'flue.co-share': { value: 0.008 },
      'air.excess': { value: 1.5 },
    }),
    plain('frost', { 'inlet.open': 'open' }),
  ];
}
