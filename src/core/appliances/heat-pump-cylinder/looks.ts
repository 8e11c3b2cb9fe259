import type { Seen, Shares, SignalLook } from '../kit/signal/declaration';
import { lookShares } from '../kit/signal/look-shares';
import { isDone, stateKey } from '../kit/unit-state';
import type { Elements } from './elements';
import {
  done,
  flowShare,
  heating,
  isMachineAble,
  outputShare,
  type HeatPumpStanding,
  type HeatPumpUnit,
} from './model';
import namesFile from './names.json' with { type: 'json' };
import type { HeatPumpPlate } from './plate';

export type HeatPumpSeen = Seen<HeatPumpPlate, HeatPumpStanding>;
type Look = SignalLook<HeatPumpPlate, HeatPumpStanding>;

/** What is seen, heard or felt: from the model where it says so, up to an eye's slips; the rest is common practice. */

const { mostly, either, row } = lookShares(namesFile.checks);
const e = (seen: HeatPumpSeen) => seen.elements as Elements;
const is = (seen: HeatPumpSeen, element: keyof Elements) => e(seen)[element] > 0.5;
const isAble = (seen: HeatPumpSeen) => isMachineAble(e(seen), seen.state);

const look = (predict: (seen: HeatPumpSeen) => Shares): Look => ({ keyOf: stateKey, predict });

/** A flow under the least of its mode stops the compressor, as a share of the usual. */
const leastFlowShare = 0.5;

/** What the controller has seen go wrong, and shows about half of the time. */
function code(seen: HeatPumpSeen): Shares {
  const check = 'display-code';
  const sensors = ['buffer-sensor', 'cylinder-sensor', 'flow-sensor'] as const;
  if (sensors.some((each) => !is(seen, `${each}.whole`))) return row(check, { 'S-07': 0.95 });
  const has = seen.has;
  if (has('supply.outdoor-off')) return row(check, { 'S-08': 0.93, none: 0.05 });
  if (has('compressor.dead')) return row(check, { 'S-08': 0.7, none: 0.2, 'R-05': 0.05 });
  if (has('control.locked-out') && !isDone(seen.state, done.lockoutReset)) {
    return row(check, { 'S-08': 0.5, 'P-01': 0.25, none: 0.15, 'R-04': 0.06 });
  }
  if (e(seen)['primary.pascal'] < 80_000) {
    return row(check, { 'P-02': 0.5, 'P-01': 0.25, none: 0.2 });
  }
  if (flowShare(e(seen), seen.state) < 0.8) {
    return row(check, { 'P-01': 0.55, none: 0.33, 'P-03': 0.05, 'R-04': 0.05 });
  }
  if (has('outdoor.iced')) return row(check, { 'R-06': 0.5, none: 0.35, 'R-05': 0.12 });
  if (has('refrigerant.short')) return row(check, { 'R-05': 0.4, none: 0.47, 'W-09': 0.08 });
  if (has('outdoor.air-blocked')) return row(check, { 'R-05': 0.25, none: 0.62, 'R-06': 0.1 });
  if (has('cylinder-sensor.out-of-pocket')) {
    return row(check, { 'W-09': 0.45, none: 0.4, 'P-03': 0.08, 'R-04': 0.05 });
  }
  if (has('coil.scaled', 'diverter.stuck-heating', 'diverter.passing')) {
    return row(check, { 'W-09': 0.45, none: 0.5 });
  }
  if (has('flow-sensor.drift')) {
    return e(seen)['flow-sensor.offset'] > 0
      ? row(check, { 'W-09': 0.35, none: 0.55, 'P-03': 0.06 })
      : row(check, { 'R-04': 0.4, none: 0.5, 'P-03': 0.06 });
  }
  if (has('buffer-sensor.out-of-pocket')) {
    return row(check, { none: 0.66, 'P-03': 0.2, 'R-04': 0.1 });
  }
  if (has('immersion.relay-welded')) return row(check, { 'W-11': 0.5, none: 0.48 });
  if (has('cylinder-sensor.drift') && e(seen)['cylinder-sensor.offset'] > 0) {
    return row(check, { none: 0.88, 'W-11': 0.1 });
  }
  if (has('immersion.open', 'immersion.limit-tripped', 'immersion.relay-open')) {
    return row(check, { 'W-10': 0.4, none: 0.38, 'D-12': 0.2 });
  }
  if (has('mode.off')) return row(check, { none: 0.8, 'D-12': 0.18 });
  if (has('season.cold-damp')) return row(check, { none: 0.85, 'R-06': 0.12 });
  return row(check, { none: 0.96 });
}

function dashesLook(seen: HeatPumpSeen): Shares {
  const check = 'sensor-dashes-look';
  const out = (['buffer', 'cylinder', 'flow'] as const).find(
    (each) => !is(seen, `${each}-sensor.whole`),
  );
  return mostly(check, out ?? 'none', out === undefined ? 0.98 : 0.96);
}

function powerPattern(seen: HeatPumpSeen): Shares {
  const check = 'power-pattern';
  const heat = heating({ ...seen, elements: e(seen) } as HeatPumpUnit);
  if (!heat.runs) return mostly(check, 'off', 0.94);
  if (flowShare(e(seen), seen.state) < 0.8) {
    return row(check, { 'full-then-stop': 0.55, modulates: 0.3, 'full-steady': 0.1 });
  }
  if (heat.isAtLimit)
    return row(check, { 'full-then-stop': 0.85, 'full-steady': 0.1, modulates: 0.04 });
  if (heat.load > 0.95)
    return row(check, { 'full-steady': 0.7, modulates: 0.18, 'full-then-stop': 0.1 });
  return row(check, { modulates: 0.85, 'full-steady': 0.07, 'full-then-stop': 0.06 });
}

function outdoorRunning(seen: HeatPumpSeen): Shares {
  const check = 'outdoor-running-look';
  if (!isAble(seen)) return row(check, { stopped: 0.95, 'runs-then-stops': 0.04 });
  const heat = heating({ ...seen, elements: e(seen) } as HeatPumpUnit);
  if (flowShare(e(seen), seen.state) < leastFlowShare) {
    return row(check, { 'runs-then-stops': 0.55, running: 0.3, stopped: 0.14 });
  }
  if (heat.isAtLimit) return row(check, { 'runs-then-stops': 0.4, running: 0.5, stopped: 0.08 });
  return row(check, { running: 0.93, 'runs-then-stops': 0.05 });
}

/** A sensor that is pushed: it goes in, or was home. */
const push = (sensor: 'buffer-sensor' | 'cylinder-sensor', how: string): Look =>
  look((seen) => {
    const check = `${sensor}-push`;
    const isOut = e(seen)[`${sensor}.share`] < 0.9 && !isDone(seen.state, how);
    return isOut && is(seen, `${sensor}.whole`)
      ? mostly(check, 'goes-in-and-reading-rises', 0.96)
      : mostly(check, 'was-home', 0.97);
  });

function cylinderPipe(seen: HeatPumpSeen): Shares {
  const check = 'cylinder-flow-pipe';
  if (!isAble(seen)) return row(check, { cold: 0.9, tepid: 0.09 });
  const share = e(seen)['diverter.cylinder'];
  if (share < 0.1) return row(check, { cold: 0.85, tepid: 0.12 });
  if (share < 0.9) return row(check, { tepid: 0.6, hot: 0.36 });
  if (outputShare(e(seen)) < 0.5) return row(check, { hot: 0.62, tepid: 0.34 });
  return row(check, { hot: 0.94, tepid: 0.05 });
}

function heatingPipe(seen: HeatPumpSeen): Shares {
  const check = 'heating-flow-pipe-on-hot-water';
  if (!isAble(seen)) return row(check, { cools: 0.9, luke: 0.09 });
  const share = e(seen)['diverter.cylinder'];
  if (share < 0.1) return row(check, { 'stays-hot': 0.9, luke: 0.08 });
  if (share < 0.9) return row(check, { luke: 0.7, 'stays-hot': 0.2, cools: 0.1 });
  return row(check, { cools: 0.94, luke: 0.05 });
}

function outdoorLook(seen: HeatPumpSeen): Shares {
  const check = 'outdoor-look';
  if (seen.has('outdoor.iced')) return row(check, { 'solid-ice': 0.86, 'light-frost': 0.1 });
  if (seen.has('outdoor.air-blocked'))
    return row(check, { blocked: 0.85, 'light-frost': 0.08, clear: 0.06 });
  if (seen.has('season.cold-damp'))
    return row(check, { 'light-frost': 0.55, clear: 0.4, 'solid-ice': 0.04 });
  if (!isAble(seen)) return row(check, { clear: 0.95, 'light-frost': 0.04 });
  if (seen.has('refrigerant.short'))
    return row(check, { 'light-frost': 0.5, clear: 0.4, 'solid-ice': 0.09 });
  return row(check, { clear: 0.62, 'light-frost': 0.33, 'solid-ice': 0.03 });
}

function lockoutReset(seen: HeatPumpSeen): Shares {
  const check = 'lockout-reset';
  if (isDone(seen.state, done.lockoutReset)) return mostly(check, 'nothing-to-reset', 0.95);
  if (seen.has('control.locked-out')) {
    return isMachineAble({ ...e(seen), 'control.free': 1 }, seen.state)
      ? row(check, { runs: 0.85, 'locks-out-again': 0.12 })
      : row(check, { 'locks-out-again': 0.85, 'nothing-to-reset': 0.12 });
  }
  if (seen.has('compressor.dead')) {
    return row(check, { 'locks-out-again': 0.75, 'nothing-to-reset': 0.22 });
  }
  return row(check, { 'nothing-to-reset': 0.95, runs: 0.03 });
}

const isLimitOut = (seen: HeatPumpSeen) =>
  !is(seen, 'immersion-limit.closed') && !isDone(seen.state, done.limitPressed);

export const looks: Readonly<Record<string, Look>> = {
  'display-code': look(code),
  'mode-look': look((seen) =>
    row(
      'mode-look',
      is(seen, 'mode.normal')
        ? { normal: 0.97 }
        : { 'hot-water-off': 0.4, 'heating-only': 0.3, holiday: 0.27, normal: 0.03 },
    ),
  ),
  'schedule-look': look((seen) =>
    row(
      'schedule-look',
      is(seen, 'schedule.covers')
        ? { 'covers-the-draw': 0.93 }
        : { 'ends-long-before': 0.45, 'too-short': 0.35, never: 0.15, 'covers-the-draw': 0.05 },
    ),
  ),
  'sensor-dashes-look': look(dashesLook),
  'power-pattern': look(powerPattern),
  'outdoor-running-look': look(outdoorRunning),
  'buffer-sensor-push': push('buffer-sensor', done.bufferSensorHome),
  'cylinder-sensor-push': push('cylinder-sensor', done.cylinderSensorHome),
  'other-outlet': look((seen) =>
    either(
      'other-outlet',
      'hot-elsewhere',
      'same-everywhere',
      seen.has('outlet.limit-stop-low', 'cross-flow'),
      seen.has('outlet.limit-stop-low') ? 0.94 : seen.has('cross-flow') ? 0.4 : 0.95,
    ),
  ),
  'cold-feed-shut-hot-tap': look((seen) =>
    seen.has('cross-flow')
      ? mostly('cold-feed-shut-hot-tap', 'keeps-running', 0.94)
      : mostly('cold-feed-shut-hot-tap', 'stops', 0.97),
  ),
  'use-look': look((seen) =>
    is(seen, 'draw.usual')
      ? mostly('use-look', 'usual', 0.93)
      : mostly('use-look', 'outsized', 0.9),
  ),
  'circulation-look': look((seen) =>
    either(
      'circulation-look',
      'runs-always',
      'none-or-timed',
      seen.has('circulation.always-on'),
      0.955,
    ),
  ),
  'strainer-look': look((seen) =>
    is(seen, 'strainer.flow') && e(seen)['strainer.flow'] > 0.8
      ? mostly('strainer-look', 'clean', 0.92)
      : isDone(seen.state, done.strainerRinsed)
        ? mostly('strainer-look', 'clean', 0.95)
        : mostly('strainer-look', 'loaded', 0.96),
  ),
  'air-vent-look': look((seen) =>
    seen.has('primary.air-or-low-pressure')
      ? mostly('air-vent-look', 'air', 0.9)
      : mostly('air-vent-look', 'water', 0.95),
  ),
  'cylinder-flow-pipe': look(cylinderPipe),
  'heating-flow-pipe-on-hot-water': look(heatingPipe),
  'outdoor-look': look(outdoorLook),
  'lockout-reset': look(lockoutReset),
  'immersion-limit-press': look((seen) =>
    isLimitOut(seen)
      ? mostly('immersion-limit-press', 'clicked', 0.95)
      : mostly('immersion-limit-press', 'no-click', 0.97),
  ),
};
