import { pocketShare } from '../../heat-pump';
import type { SignalMode, SignalVariant } from '../kit/signal/declaration';
import { eitherSide, ladder, plain } from '../kit/signal/fault-modes';

const dead = (id: string, element: string) => plain(id, { [element]: { value: 0 } });

/** Of a unit that runs to its limit and stops, how often it is found standing. */
const standsShare = 0.3;
const stands = { 'cycle.stands': { value: 1 } };

/** Runs to its limit, stops, runs again: what is read tells one or the other. */
const cycling = ({ variants, ...mode }: SignalMode): SignalMode => ({
  ...mode,
  variants: variants.map((each) => ({
    ...each,
    otherwise: { changes: { ...each.changes, ...stands }, shareIn: () => standsShare },
  })),
});

/** Nought to a third of the way in, every depth as likely. */
function outOfPocket(id: string, element: string): SignalMode {
  const at = (millimetre: number, share: number, spread: number): SignalVariant => ({
    share,
    changes: { [element]: { value: pocketShare(millimetre) } },
    spread: { [element]: spread },
  });
  return {
    id,
    variants: [at(3, 0.2, 0.3), at(10, 0.27, 0.15), at(19, 0.27, 0.11), at(28, 0.26, 0.07)],
    beside: [at(15, 1, 0.4)],
  };
}

/** Off by so much, two in three to the one side. */
function driftMostly(id: string, element: string, range: readonly [number, number], up: number) {
  const { variants } = eitherSide(id, element, range, 2);
  const isUp = (k: number) => k < variants.length / 2;
  return {
    id,
    variants: variants.map((each, k) => ({
      ...each,
      share: each.share * 2 * (isUp(k) ? up : 1 - up),
    })),
    // Beside another fault, the middle to either side.
    beside: [1, -1].map((sign) => ({
      share: sign > 0 ? up : 1 - up,
      changes: { [element]: { value: (sign * (range[0] + range[1])) / 2 } },
      spread: { [element]: 0.25 },
    })),
  } satisfies SignalMode;
}

const near = (id: string, element: string, value: number, spread: number): SignalMode => ({
  id,
  variants: [{ share: 1, changes: { [element]: { value } }, spread: { [element]: spread } }],
});

/** Too little water pressure with the air, in seven of ten. */
function airOrPressure(): SignalMode {
  const flow = ladder('primary.air-or-low-pressure', 'primary.flow', [0.35, 0.75], 2);
  const variants = flow.variants.flatMap((each): SignalVariant[] => [
    {
      share: each.share * 0.7,
      changes: { ...each.changes, 'primary.pascal': { value: 52_000 } },
      spread: { ...each.spread, 'primary.pascal': 0.25 },
    },
    { ...each, share: each.share * 0.3 },
  ]);
  return {
    id: flow.id,
    variants,
    beside: variants.slice(0, 1).map((each) => ({ ...each, share: 1 })),
  };
}

/** Every fault of the contract as what it changes, with how far it does. */
export const faults = (): readonly SignalMode[] => [
  plain('no-fault'),
  dead('demand', 'draw.usual'),
  {
    ...ladder('season.cold-damp', 'season.output', [0.7, 0.9], 1, {
      'outdoor.defrosts': { value: 2.6 },
    }),
  },
  cycling(outOfPocket('buffer-sensor.out-of-pocket', 'buffer-sensor.share')),
  driftMostly('buffer-sensor.drift', 'buffer-sensor.offset', [5, 12], 0.5),
  dead('buffer-sensor.open-or-short', 'buffer-sensor.whole'),
  cycling(outOfPocket('cylinder-sensor.out-of-pocket', 'cylinder-sensor.share')),
  driftMostly('cylinder-sensor.drift', 'cylinder-sensor.offset', [6, 14], 0.67),
  dead('cylinder-sensor.open-or-short', 'cylinder-sensor.whole'),
  driftMostly('flow-sensor.drift', 'flow-sensor.offset', [6, 14], 0.5),
  dead('flow-sensor.open-or-short', 'flow-sensor.whole'),
  near('mixing-valve.set-low', 'mixing-valve.celsius', 41, 0.037),
  ladder('mixing-valve.hot-side-blocked', 'mixing-valve.most', [0.5, 0.78], 2),
  dead('mixing-valve.passes-hot', 'mixing-valve.holds'),
  ladder('cross-flow', 'cross-flow.kelvin', [3, 11], 2),
  ladder('outlet.limit-stop-low', 'outlet.celsius', [35, 44], 2),
  dead('schedule.wrong', 'schedule.covers'),
  dead('mode.off', 'mode.normal'),
  near('hot-water-setpoint.low', 'hot-water-setpoint.celsius', 41, 0.037),
  ladder('restart-differential.wide', 'restart-differential.kelvin', [12, 18], 1),
  near('heating-curve.high', 'heating-curve.celsius', 49, 0.06),
  near('heating-curve.low', 'heating-curve.celsius', 29, 0.07),
  ladder('room-sensor.badly-placed', 'room-sensor.extra', [0.8, 2.2], 1),
  dead('diverter.stuck-heating', 'diverter.cylinder'),
  cycling(dead('diverter.stuck-cylinder', 'diverter.heating')),
  ladder('diverter.passing', 'diverter.cylinder', [0.35, 0.7], 2),
  cycling(ladder('strainer.blocked', 'strainer.flow', [0.3, 0.55], 2)),
  cycling(ladder('pump.weak', 'pump.flow', [0.35, 0.6], 2)),
  cycling(airOrPressure()),
  ladder('coil.scaled', 'coil.output', [0.3, 0.55], 2, { 'coil.approach': { value: 15 } }),
  ladder('outdoor.iced', 'outdoor.output', [0.25, 0.55], 2, { 'outdoor.defrosts': { value: 4.2 } }),
  ladder('outdoor.air-blocked', 'outdoor.output', [0.45, 0.7], 1, {
    'outdoor.defrosts': { value: 2.2 },
  }),
  ladder('refrigerant.short', 'refrigerant.output', [0.3, 0.65], 2, {
    'outdoor.defrosts': { value: 2.2 },
  }),
  dead('compressor.dead', 'compressor.works'),
  dead('supply.outdoor-off', 'supply.on'),
  dead('control.locked-out', 'control.free'),
  plain('immersion.open', { 'immersion.ohm': 'open' }),
  dead('immersion.limit-tripped', 'immersion-limit.closed'),
  dead('immersion.relay-open', 'relay.closes'),
  dead('immersion.relay-welded', 'relay.opens'),
  near('circulation.always-on', 'circulation.fall', 13, 0.15),
];
