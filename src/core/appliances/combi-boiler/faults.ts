import type { SignalMode, SignalVariant } from '../kit/signal/declaration';
import { deadControl } from '../gas-fired/dead-control';
import { eitherSide, ladder, plain } from '../kit/signal/fault-modes';
import type { CombiPlate } from './plate';

/** A seat that lets by drips or runs: what it does in a day differs by half and more. */
function slowly(mode: SignalMode, beside: Readonly<Record<string, number>> = {}): SignalMode {
  const spread = { 'primary.pascal-a-day': 0.6, ...beside };
  const wider = (each: SignalVariant): SignalVariant => ({
    ...each,
    spread: { ...each.spread, ...spread },
  });
  return {
    ...mode,
    variants: mode.variants.map(wider),
    ...(mode.beside ? { beside: mode.beside.map(wider) } : {}),
  };
}

/** Every fault as a change of named elements. Ranges are common practice. */
export function faults({ primaryHose, keepWarm }: CombiPlate): readonly SignalMode[] {
  return [
    plain('no-fault'),
    ladder('demand.too-much-flow', 'tap.conductance', [13, 30], 2),
    ladder('demand.too-little-flow', 'tap.conductance', [0.8, 1.6], 2),
    ladder('outlet.mixer', 'outlet.past', [0.25, 0.6], 2),
    ladder('tap-setpoint.wrong', 'tap-setpoint.celsius', [33, 41], 1),
    ladder('tap-setpoint.high', 'tap-setpoint.celsius', [58, 65], 1),
    ...(keepWarm === 'none' ? [] : [plain('keep-warm.wrong', { 'keep-warm.on': { value: 1 } })]),
    ladder('flow-setpoint.low', 'flow-setpoint.celsius', [34, 48], 1),
    plain('heat-call.missing', { 'heat-call.there': 'open' }),
    plain('supply.off', { 'supply.on': 'open' }),
    plain('fuse.open', { 'fuse.whole': 'open' }),
    deadControl(0.6),
    ladder('plate.scaled', 'plate.scale', [1, 4.5], 4, { 'plate.conductance': { value: 13.5 } }),
    {
      id: 'plate.blocked',
      variants: [0.6, 0.72, 0.85].map((blocked, k) => ({
        share: 1 / 3,
        changes: {
          'plate.blocked': { value: blocked },
          'plate.loss': { value: [0.17, 0.25, 0.38][k]! },
          'plate.conductance': { value: [13, 10.5, 8.5][k]! },
        },
        spread: { 'plate.blocked': 0.05, 'plate.loss': 0.25, 'plate.conductance': 0.2 },
      })),
    },
    slowly(
      plain('plate.leaks-across', {
        'primary.pascal-a-day': { value: 9e4 },
        'primary.pascal': { value: 2e5 },
      }),
      { 'primary.pascal': 0.15 },
    ),
    ...(primaryHose === 'true' ? [ladder('hose.choked', 'hose.millimetre', [2.3, 6], 5)] : []),
    ladder('primary-exchanger.restricted', 'cell.loss', [0.6, 9], 4, {
      'cell.efficiency': { value: 0.93 },
    }),
    ladder('filter.blocked', 'filter.loss', [0.9, 12], 3),
    {
      id: 'valve.part-shut',
      variants: [
        ...[1.2, 5].map((loss) => ({
          share: 0.3,
          changes: { 'heating.loss': { value: loss } },
          spread: { 'heating.loss': 0.6 },
        })),
        {
          share: 0.4,
          changes: { 'cold-valve.conductance': { value: 1.7 } },
          spread: { 'cold-valve.conductance': 0.45 },
        },
      ],
    },
    ladder('system.sludge', 'heating.loss', [0.4, 1.6], 2, { 'radiators.share': { value: 0.7 } }),
    plain('radiators.unbalanced'),
    // What goes round by warmth alone: the radiators stay cold.
    {
      id: 'pump.stuck',
      // Held fast it hums and draws; some let go of the winding.
      variants: [62, 1].map((watt, k) => ({
        share: [0.7, 0.3][k]!,
        changes: { 'pump.head': { value: 0.002 }, 'pump.watt': { value: watt } },
      })),
    },
    {
      id: 'pump.weak',
      variants: [0.2, 0.33].map((share, k) => ({
        share: 0.5,
        changes: { 'pump.head': { value: 60 * share }, 'pump.watt': { value: [20, 27][k]! } },
        spread: { 'pump.head': 0.2, 'pump.watt': 0.15 },
      })),
    },
    {
      id: 'air.locked',
      variants: [0.02, 0.08, 0.3].map((share) => ({
        share: 1 / 3,
        changes: { 'pump.head': { value: 60 * share }, 'pump.watt': { value: 26 } },
        spread: { 'pump.head': 0.4, 'pump.watt': 0.2 },
      })),
    },
    plain('diverter.stuck-heating', { 'diverter.strays': { value: 1 } }),
    ladder('diverter.passing', 'diverter.strays', [0.25, 0.6], 2),
    plain('diverter.stuck-tap', { 'diverter.heats': 'open' }),
    plain('tap-flow-sensor.stuck', { 'turbine.gain': 'open' }),
    ladder('tap-filter.blocked', 'tap-filter.conductance', [0.6, 3], 2),
    ladder('mains.low', 'mains.pascal', [1.5e4, 7e4], 2),
    eitherSide('tap-sensor.drift', 'tap-sensor.kelvin', [6, 15], 2),
    plain('tap-sensor.open', { 'tap-sensor.whole': 'open' }),
    eitherSide('flow-sensor.drift', 'flow-sensor.kelvin', [8, 20], 2),
    plain('flow-sensor.open', { 'flow-sensor.whole': 'open' }),
    slowly(
      ladder('pressure.leak', 'primary.pascal', [5e3, 7e4], 4, {
        'primary.pascal-a-day': { value: -3.5e4 },
      }),
    ),
    // Lately topped up, or after the relief valve has let go: below what the control needs.
    ladder('vessel.flat', 'primary.pascal', [4e4, 9e4], 2, {
      'vessel.pascal': { value: 3000 },
      'vessel.cushion': { value: 0.06 },
    }),
    slowly(
      ladder('relief.passing', 'primary.pascal', [1e4, 7e4], 3, {
        'primary.pascal-a-day': { value: -3e4 },
      }),
    ),
    slowly(
      plain('filling-valve.passing', {
        'primary.pascal-a-day': { value: 6e4 },
        'primary.pascal': { value: 2.1e5 },
      }),
      { 'primary.pascal': 0.15 },
    ),
    eitherSide('pressure-sensor.fault', 'pressure-sensor.pascal', [7e4, 1.3e5], 1),
    plain('gas.off', { 'gas.supply': 'open' }),
    ladder('gas.low-under-load', 'gas.running', [0.12, 0.5], 3),
    plain('gas-valve.fault', { 'gas-valve.opens': 'open' }),
    {
      id: 'combustion.off',
      variants: [
        {
          share: 0.5,
          changes: {
            'air.excess': { value: 1.06 },
            'flue.co-share': { value: 0.009 },
            'burner.scale': { value: 0.9 },
          },
          spread: { 'air.excess': 0.04, 'flue.co-share': 0.5 },
        },
        {
          share: 0.5,
          changes: {
            'air.excess': { value: 1.6 },
            'flue.co-share': { value: 0.003 },
            'burner.scale': { value: 0.75 },
          },
          spread: { 'air.excess': 0.07, 'flue.co-share': 0.5 },
        },
      ],
    },
    plain('igniter.worn', { 'igniter.spark': 'open' }),
    ladder('flame-sense.low', 'flame.microampere', [0.25, 1.3], 2),
    ladder('fan.failed', 'fan.speed', [0.05, 0.55], 1),
    ladder('flue.blocked', 'air.way', [0.15, 0.75], 2, {
      'air.excess': { value: 1.1 },
      'flue.co-share': { value: 0.007 },
      'flue.recirculates': { value: 0.4 },
    }),
    plain('condensate.blocked', { 'condensate.drains': 'open' }),
    plain('limit.open', { 'limit.ohm': 'open' }),
  ];
}
