import { silentVolt, signalWords } from '../../radio';
import type { Seen, Shares, SignalLook } from '../kit/signal/declaration';
import { lookShares } from '../kit/signal/look-shares';
import { isDone, stateKey, type UnitState } from '../kit/unit-state';
import type { Elements } from './elements';
import {
  done,
  edgeDecibel,
  hears,
  isHeard,
  isLit,
  isOwnZone,
  receiverMargin,
  run,
  sensorMargin,
  type WirelessStanding,
  type WirelessUnit,
} from './model';
import namesFile from './names.json' with { type: 'json' };
import type { WirelessPlate } from './plate';

export type WirelessSeen = Seen<WirelessPlate, WirelessStanding>;
type Look = SignalLook<WirelessPlate, WirelessStanding>;

/** What is seen, heard or felt: from the model where it says so, up to an eye's slips; the rest is common practice. */

const { mostly, either, row: blurredRow } = lookShares(namesFile.checks);
const e = (seen: WirelessSeen) => seen.elements as Elements;
const is = (seen: WirelessSeen, element: keyof Elements) => e(seen)[element] > 0.5;
const signal = (seen: WirelessSeen, id: string) => seen.signals[id]! > 0.5;

const look = (predict: (seen: WirelessSeen) => Shares): Look => ({ keyOf: stateKey, predict });
const plainLook = (predict: (seen: WirelessSeen) => Shares): Look => ({ predict });
/** What it hangs on is what was restarted and bound, and nothing else of the state. */
const afterCures = (predict: (seen: WirelessSeen) => Shares): Look => ({
  keyOf: ({ done: all }: UnitState) => [...all].sort().join(' '),
  predict,
});

/** The same system in another state. */
function inState(seen: WirelessSeen, controls: UnitState['controls']): WirelessSeen {
  const state = { ...seen.state, controls: { ...seen.state.controls, ...controls } };
  const { plate, elements, standing } = seen;
  return { ...seen, state, signals: run({ plate, elements, standing, state } as WirelessUnit) };
}

/** Whether the sensor could send at all: cells, radio, awake, bound. */
const canSend = (seen: WirelessSeen): boolean =>
  is(seen, 'sensor.works') &&
  e(seen)['sensor.volt'] > silentVolt &&
  (is(seen, 'sensor.awake') || isDone(seen.state, done.sensorRestarted)) &&
  (is(seen, 'sensor.bound') || isDone(seen.state, done.sensorBound));

/** What a control shows that hears nothing of its sensor, or nothing of its receiver, or gets no heat for its call. */
function display(seen: WirelessSeen): Shares {
  if (!isLit(e(seen))) return mostly('display-look', 'dark', 0.94);
  const row = (shares: Shares) => blurredRow('display-look', shares);
  if (seen.has('sensor.battery-flat')) return row({ 'L-2': 0.82, 'L-3': 0.1, normal: 0.08 });
  if (seen.has('sensor.dead')) return row({ 'L-4': 0.35, 'L-3': 0.35, 'L-2': 0.25, normal: 0.05 });
  if (!hears(e(seen), seen.state)) return row({ 'L-3': 0.6, 'L-2': 0.32, normal: 0.08 });
  const cold = seen.standing.storedCelsius < 45;
  if (!isHeard(e(seen), seen.state) && cold) return row({ 'L-5': 0.8, normal: 0.2 });
  const asked = inState(seen, { power: 'on', override: 'on' });
  const unmet = cold && signal(asked, 'call') && !signal(asked, 'flows');
  if (seen.plate.arrangement !== 'immersion' && unmet) return row({ 'L-6': 0.45, normal: 0.55 });
  return row({ normal: 0.98 });
}

function storedShown(seen: WirelessSeen): Shares {
  const check = 'stored-temperature-shown';
  if (!isLit(e(seen))) return mostly(check, 'waiting-mark', 0.4);
  if (hears(e(seen), seen.state)) return mostly(check, 'shown', 0.97);
  return seen.has('sensor.battery-flat')
    ? blurredRow(check, { stale: 0.78, 'waiting-mark': 0.2 })
    : seen.has('radio.sensor-at-metal', 'radio.path-weak')
      ? blurredRow(check, { stale: 0.5, 'waiting-mark': 0.48 })
      : blurredRow(check, { 'waiting-mark': 0.94, stale: 0.05 });
}

function raisedSetpoint(seen: WirelessSeen): Shares {
  const check = 'raised-setpoint-test';
  const symbol = hears(e(seen), seen.state) && is(seen, 'mode.normal');
  const light =
    symbol &&
    is(seen, 'system-type.right') &&
    isOwnZone(e(seen), seen.state) &&
    isHeard(e(seen), seen.state);
  return mostly(check, light ? 'symbol-and-light' : symbol ? 'symbol-only' : 'neither', 0.94);
}

function lightAfterOverride(seen: WirelessSeen): Shares {
  const check = 'receiver-light-after-override';
  if (signal(seen, 'light')) return mostly(check, 'lights', 0.96);
  const row: Shares = seen.has('receiver.hung')
    ? { flashes: 0.62, dark: 0.35 }
    : seen.has('receiver.unbound')
      ? { flashes: 0.75, dark: 0.22 }
      : !is(seen, 'receiver.supply') || !is(seen, 'receiver.works')
        ? { dark: 0.95 }
        : receiverMargin(e(seen)) <= edgeDecibel
          ? { dark: 0.72, flashes: 0.25 }
          : { dark: 0.95 };
  return blurredRow(check, row);
}

function lever(check: string) {
  return (seen: WirelessSeen): Shares =>
    mostly(
      check,
      !is(seen, 'valve.lever-free')
        ? 'latched'
        : !is(seen, 'valve.body')
          ? 'stiff'
          : signal(seen, 'driven') ||
              (check === 'valve-lever-idle-feel' && seen.has('overrun.set') && isWarming(seen))
            ? 'slack-driven-open'
            : 'springs-back',
      0.93,
    );
}

/** Overrun holds a valve only where a call has just ended. */
const isWarming = (seen: WirelessSeen) => seen.standing.storedCelsius > 45;

function flowPipe(check: string) {
  return (seen: WirelessSeen): Shares => {
    const shares = (hot: number, tepid: number, cold: number) =>
      blurredRow(check, { hot, tepid, cold });
    if (signal(seen, 'flows'))
      return check.includes('return') ? shares(0.4, 0.5, 0.1) : shares(0.92, 0.06, 0.02);
    const isFired = signal(seen, 'fires');
    if (check.includes('return')) return shares(0.02, 0.08, 0.9);
    if (isFired && signal(seen, 'through')) return shares(0.1, 0.55, 0.35);
    return shares(0.02, isFired ? 0.15 : 0.06, 0.8);
  };
}

export const looks: Readonly<Record<string, Look>> = {
  'display-look': afterCures(display),
  'stored-temperature-shown': afterCures(storedShown),
  'program-look': plainLook((seen) =>
    blurredRow(
      'program-look',
      is(seen, 'program.on')
        ? { 'on-now': 0.85, 'off-now': 0.14 }
        : { 'off-now': 0.58, never: 0.36, 'on-now': 0.06 },
    ),
  ),
  'mode-look': plainLook((seen) =>
    blurredRow(
      'mode-look',
      is(seen, 'mode.normal')
        ? { normal: 0.98 }
        : { 'hot-water-off': 0.6, holiday: 0.36, normal: 0.04 },
    ),
  ),
  'call-symbol': look((seen) => {
    const share = 0.97 * seen.signals.call! + 0.015;
    return { calling: share, 'not-calling': 1 - share };
  }),
  'raised-setpoint-test': afterCures(raisedSetpoint),
  'system-type-look': plainLook((seen) =>
    either('system-type-look', 'matches-pipework', 'other-type', is(seen, 'system-type.right')),
  ),
  'receiver-light-after-override': look(lightAfterOverride),
  'other-receiver-light-after-override': look((seen) =>
    either(
      'other-receiver-light-after-override',
      'lights',
      'dark',
      signal(seen, 'call') && (!isOwnZone(e(seen), seen.state) || !is(seen, 'system-type.right')),
      0.95,
    ),
  ),
  'receiver-relay-click': look((seen) => {
    const heard = !signal(seen, 'light') ? 0.05 : is(seen, 'receiver.contact') ? 0.9 : 0.45;
    return { heard, silent: 1 - heard };
  }),
  'receiver-light-after-call-ends': look((seen) => {
    const stays = seen.has('overrun.set') && isWarming(seen) ? 0.75 : 0.04;
    return { 'stays-lit': stays, 'goes-off': 1 - stays };
  }),
  'receiver-button': look((seen) =>
    mostly(
      'receiver-button',
      !signal(seen, 'light')
        ? 'no-light'
        : signal(seen, 'fires')
          ? 'relay-runs'
          : 'light-but-nothing-runs',
      0.95,
    ),
  ),
  'receiver-power-off-2-min': look((seen) => {
    const works = seen.has('receiver.hung') ? 0.9 : 0.06;
    return { 'then-works': works, 'no-change': 1 - works };
  }),
  'sensor-battery-out-10-s': afterCures((seen) =>
    hears(e(seen), seen.state)
      ? mostly('sensor-battery-out-10-s', 'was-shown', 0.95)
      : blurredRow(
          'sensor-battery-out-10-s',
          seen.has('sensor.hung')
            ? { 'temperature-appears': 0.92, 'still-none': 0.08 }
            : { 'still-none': 0.94, 'temperature-appears': 0.06 },
        ),
  ),
  'signal-test-sensor': afterCures((seen) =>
    mostly(
      'signal-test-sensor',
      canSend(seen) && isLit(e(seen)) ? signalWords(sensorMargin(e(seen))) : 'none',
      0.9,
    ),
  ),
  'signal-test-receiver': afterCures((seen) => {
    const { state } = seen;
    const answers =
      is(seen, 'receiver.works') &&
      is(seen, 'receiver.supply') &&
      isLit(e(seen)) &&
      (is(seen, 'receiver.awake') || isDone(state, done.receiversRestarted)) &&
      (is(seen, 'receiver.bound') || isDone(state, done.receiverBound));
    return mostly(
      'signal-test-receiver',
      answers ? signalWords(receiverMargin(e(seen))) : 'none',
      0.9,
    );
  }),
  'hand-held-sensor-test': afterCures((seen) =>
    either(
      'hand-held-sensor-test',
      'link-comes',
      'no-link',
      canSend(seen) && isLit(e(seen)) && e(seen)['sensor.path-db'] > edgeDecibel,
      0.95,
    ),
  ),
  'rebind-sensor': afterCures((seen) =>
    either(
      'rebind-sensor',
      'binds',
      'does-not',
      is(seen, 'sensor.works') &&
        isLit(e(seen)) &&
        e(seen)['sensor.volt'] > silentVolt &&
        sensorMargin(e(seen)) > edgeDecibel,
      0.95,
    ),
  ),
  'rebind-receiver': afterCures((seen) =>
    either(
      'rebind-receiver',
      'binds',
      'does-not',
      is(seen, 'receiver.works') &&
        is(seen, 'receiver.supply') &&
        isLit(e(seen)) &&
        receiverMargin(e(seen)) > edgeDecibel,
      0.95,
    ),
  ),
  'sensor-seat-look': plainLook((seen) =>
    either(
      'sensor-seat-look',
      'tight-on-metal',
      'loose-or-out',
      e(seen)['sensor.contact'] > 0.85,
      0.95,
    ),
  ),
  'valve-lever-feel': look(lever('valve-lever-feel')),
  'valve-lever-idle-feel': look(lever('valve-lever-idle-feel')),
  'boiler-look': look((seen) =>
    mostly(
      'boiler-look',
      !is(seen, 'end-switch.opens') && signal(seen, 'fires')
        ? 'runs-without-call'
        : signal(seen, 'fires')
          ? 'fires'
          : 'stays-off',
      0.94,
    ),
  ),
  'boiler-idle-look': look((seen) =>
    either('boiler-idle-look', 'runs', 'off', signal(seen, 'fires'), 0.96),
  ),
  'pump-feel': look((seen) => either('pump-feel', 'running', 'still', signal(seen, 'pump'), 0.95)),
  'cutout-press': plainLook((seen) =>
    either('cutout-press', 'clicked', 'no-click', !is(seen, 'cutout.closed'), 0.95),
  ),
  'cylinder-flow-pipe': look(flowPipe('cylinder-flow-pipe')),
  'cylinder-return-pipe': look(flowPipe('cylinder-return-pipe')),
  'cylinder-flow-pipe-idle': look(flowPipe('cylinder-flow-pipe-idle')),
  'use-look': plainLook((seen) =>
    either('use-look', 'outsized', 'usual', !is(seen, 'draw.usual'), 0.9),
  ),
};
