import type { SignalMode, SignalVariant } from '../kit/signal/declaration';
import { isDone, type UnitState } from '../kit/unit-state';
import { ladder, plain } from '../kit/signal/fault-modes';
import { deadControl } from '../gas-fired/dead-control';
import type { SystemPlate } from './plate';

/** What a click on a tap leaves behind. */
export const relayTapped = 'relay-tapped';

/**
 * A joint that was knocked and clicked is closed for a while, and some fall open again before they are read; before that it
 * stays as it is. Common practice.
 */
const closedWhereTapped = {
  changes: {},
  shareIn: (state: UnitState) => (isDone(state, relayTapped) ? 0.8 : 0),
};

/** One that comes and goes: open when somebody comes, or closed; and one reading in so many finds it the other way. */
const comesAndGoes = (closedShare: number) => ({
  changes: {},
  shareIn: (state: UnitState) => (isDone(state, relayTapped) ? 0.8 : closedShare),
});

/** A contact that burnt: most stand open, so many have ohms, some come and go. Common practice. */
const burnt = (id: string, element: string, withOhms: number): SignalMode => {
  const open = (share: number, otherwise: SignalVariant['otherwise']): SignalVariant => ({
    share,
    changes: { [element]: 'open' },
    otherwise,
  });
  return {
    id,
    variants: [
      open(0.85 - withOhms, closedWhereTapped),
      ...(withOhms > 0
        ? [
            {
              share: withOhms,
              changes: { [element]: { value: 90 } },
              spread: { [element]: 0.7 },
              otherwise: closedWhereTapped,
            },
          ]
        : []),
      open(0.075, comesAndGoes(0.15)),
      open(0.075, comesAndGoes(0.85)),
    ],
    beside: [open(1, closedWhereTapped)],
  };
};

/** The same of every way that a joint with ohms comes out. */
const tappedShut = ({ variants, ...mode }: SignalMode): SignalMode => ({
  ...mode,
  variants: variants.map((each) => ({ ...each, otherwise: closedWhereTapped })),
});

/** Open in most units, short in the rest. Common practice. */
const outOfRange = (sensor: string): SignalMode => ({
  id: `${sensor}.open-or-short`,
  variants: [
    { share: 0.7, changes: { [`${sensor}.whole`]: 'open' } },
    { share: 0.3, changes: { [`${sensor}.whole`]: 'open', 'sensors.break-open': 'open' } },
  ],
  beside: [{ share: 1, changes: { [`${sensor}.whole`]: 'open' } }],
});

const between = (
  id: string,
  element: string,
  values: readonly number[],
  spread: number,
): SignalMode => ({
  id,
  variants: values.map((value) => ({
    share: 1 / values.length,
    changes: { [element]: { value } },
    spread: { [element]: spread },
  })),
});

/** Every fault as a change of named elements. Ranges are common practice. */
export function faults({ cylinderControl, mixingValve }: SystemPlate): readonly SignalMode[] {
  const byThermostat: readonly SignalMode[] = [
    plain('zone-panel.end-dhw-open', { 'end-dhw.closed-ohm': 'open' }),
    plain('zone-panel.priority-stuck', { 'priority.closed-ohm': 'open' }),
    plain('cylinder-aquastat.never-closes', { 'aquastat.closed-ohm': 'open' }),
    plain('cylinder-aquastat.welded', { 'aquastat.open-ohm': 'closed' }),
  ];
  const bySensor: readonly SignalMode[] = [
    outOfRange('cylinder-sensor'),
    between('cylinder-sensor.drift', 'cylinder-sensor.kelvin', [9.5, 13], 0.14),
    between('cylinder-sensor.out-of-pocket', 'cylinder-sensor.kelvin', [-30, -19], 0.2),
  ];
  return [
    plain('no-fault'),
    plain('demand'),
    plain('supply.off', { 'line-switch.ohm': 'open' }),
    plain('supply.joint-open', { 'w-line.ohm': 'open' }),
    plain('transformer.open', { 'transformer-secondary.ohm': 'open' }),
    ladder('transformer.weak', 'transformer-secondary.ohm', [6, 40], 3),
    plain('panel-fuse.blown', { 'panel-fuse.ohm': 'open' }),
    plain('w-zone-1.shorted', { 'zone-1-pair.ohm': 'closed' }),
    plain('w-zone-1.r-to-common', {
      'panel-fuse.ohm': 'open',
      'zone-1-to-common.ohm': { value: 1 },
    }),
    burnt('zone-panel.supply-burnt', 'panel-joint.ohm', 0.25),
    tappedShut(ladder('zone-panel.supply-resistive', 'panel-joint.ohm', [20, 200], 3)),
    plain('zone-panel.relay-1-coil', { 'coil-1.ohm': 'open' }),
    burnt('zone-panel.relay-1-pump-contact', 'pump-contact-1.closed-ohm', 0),
    plain('zone-panel.relay-1-welded', {
      'pump-contact-1.open-ohm': 'closed',
      'end-heat.open-ohm': 'closed',
    }),
    plain('zone-panel.end-heat-open', { 'end-heat.closed-ohm': 'open' }),
    plain('zone-panel.end-heat-welded', { 'end-heat.open-ohm': 'closed' }),
    plain('w-24v.open', { 'w-24v.ohm': 'open' }),
    ladder('w-24v.resistive', 'w-24v.ohm', [10, 40], 2),
    plain('w-call.open', { 'w-call-1.ohm': 'open' }),
    plain('w-zone-1.open', { 'w-zone-1.ohm': 'open' }),
    plain('wiring.swapped-after-work', {
      'w-24v.ohm': 'open',
      'w-call-1.ohm': 'open',
      'w-call-2.ohm': 'open',
      'wiring.crossed': 'closed',
    }),
    plain('thermostat-1.never-closes', { 'thermostat-1.closed-ohm': 'open' }),
    plain('thermostat-1.welded', { 'thermostat-1.open-ohm': 'closed' }),
    ...(cylinderControl === 'aquastat' ? byThermostat : bySensor),
    plain('boiler-fuse.blown', { 'boiler-fuse.ohm': 'open' }),
    deadControl(0.85),
    plain('display.dead', { 'display.lit': 'open' }),
    plain('settings.not-enabled', { 'enabled.on': 'open' }),
    plain('settings.tank-off', { 'tank.on': 'open' }),
    plain('settings.mode-without-tank', { 'tank.in-mode': 'open' }),
    plain('settings.start-delay', { 'start-delay.off': 'open' }),
    plain('settings.tank-limit-too-near', { 'tank-limit.clear': 'open' }),
    between('settings.tank-setpoint-low', 'tank-setpoint.celsius', [44], 0.08),
    between('settings.curve-low', 'curve.kelvin', [-14], 0.2),
    between('settings.curve-high', 'curve.kelvin', [14], 0.2),
    plain('settings.warm-weather-shutdown', { 'warm-weather.heats': 'open' }),
    outOfRange('supply-sensor'),
    between('supply-sensor.drift', 'supply-sensor.kelvin', [13, 21, -13, -21], 0.18),
    outOfRange('return-sensor'),
    outOfRange('outdoor-sensor'),
    between('outdoor-sensor.warm-spot', 'outdoor-sensor.kelvin', [9.5, 13], 0.15),
    plain('fan.dead', { 'fan.turns': 'open' }),
    plain('air-switch.open', { 'air-switch.closes': 'open' }),
    ladder('air-path.blocked', 'air.way', [0.15, 0.7], 3),
    {
      id: 'intake.off',
      variants: [{ share: 1, changes: { 'intake.on': 'open' } }],
    },
    plain('condensate.blocked', { 'drain.runs': 'open' }),
    plain('gas.off', { 'gas.static': 'open' }),
    ladder('gas.low-working-pressure', 'gas.running', [0.2, 0.55], 2),
    plain('igniter.failed', { 'igniter.works': 'open' }),
    plain('gas-valve.dead', { 'gas-valve.opens': 'open' }),
    plain('gas-valve.passing', { 'gas-valve.shuts': 'open' }),
    ladder('flame-rod.dirty', 'flame.microampere', [0.2, 0.9], 2),
    plain('flame-rod.false-signal', { 'flame.true': 'open' }),
    plain('burner.cracked', { 'burner.whole': 'open' }),
    {
      id: 'burner.dirty',
      variants: [
        {
          share: 1,
          changes: { 'burner.clean': 'open', 'flame.microampere': { value: 2.4 } },
          spread: { 'flame.microampere': 0.45 },
        },
      ],
    },
    plain('mixture.off', { 'mixture.right': 'open' }),
    plain('exchanger.fouled', { 'exchanger.clean': 'open' }),
    plain('limit.tripped', { 'limit.ohm': 'open' }),
    ladder('water.low-pressure', 'system.pascal', [4e3, 4.5e4], 2),
    plain('boiler-pump.stuck', { 'primary.flow': { value: 0.05 } }),
    plain('air-in-loop', { 'air-in-loop.share': 'closed' }),
    plain('zone-1-pump.stuck', { 'zone-1-pump.turns': 'open' }),
    plain('cylinder-pump.stuck', { 'cylinder-pump.turns': 'open' }),
    ladder('cylinder-coil.scaled', 'coil.share', [0.15, 0.45], 2),
    ...(mixingValve === 'true'
      ? [between('mixing-valve.low-or-stuck', 'mixing.celsius', [29, 36], 0.07)]
      : []),
    plain('flow-check.passing', { 'flow-check.holds': 'open' }),
  ];
}
