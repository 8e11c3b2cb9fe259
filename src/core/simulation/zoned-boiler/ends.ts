import { ladderOf, type Ladder, type LadderSetting } from './ladder';
import type { ZonedUnit } from './unit';

export type ZonedCall = 'heat' | 'cylinder' | 'none';

/** Whether the board lives on what reaches it. */
export const isAlive = (unit: ZonedUnit, ladder: Ladder): boolean =>
  ladder.boardVolt > unit.boardLeastVolt && !unit.has('control.dead');

/** Where a call ends, watched step by step: the sequence of a simulated boiler, from its own state of things. */
export function endOf(
  unit: ZonedUnit,
  call: ZonedCall,
  set: LadderSetting,
  isGasOpen: boolean,
): string {
  const { has, luck } = unit;
  const ladder = ladderOf(unit, set);
  const alive = isAlive(unit, ladder);
  if (!alive) return 'dark';
  const byLuck = (...shares: readonly (readonly [string, number])[]): string => {
    let left = luck;
    for (const [end, share] of shares) {
      left -= share;
      if (left < 0) return end;
    }
    return shares.at(-1)![0];
  };
  if (call === 'none') return 'no-response';
  const calls =
    call === 'heat'
      ? ladder.volts('boiler.tt-1', 'boiler.tt-2') < 6
      : unit.facts.cylinderControl === 'sensor' || ladder.volts('boiler.dhw-1', 'boiler.dhw-2') < 6;
  if (!calls || has('settings.not-enabled')) return 'no-response';
  if (call === 'cylinder') {
    if (has('settings.tank-off') || has('settings.mode-without-tank')) return 'no-response';
    if (has('cylinder-sensor.open-or-short')) return 'no-response';
  }
  if (ladder.volts('drain-switch.out', 'boiler.c') < ladder.boardVolt / 2) return 'blocked';
  if (has('supply-sensor.open-or-short') || has('return-sensor.open-or-short')) return 'blocked';
  if (has('flame-rod.false-signal')) return 'blocked';
  if (call === 'heat' && has('settings.start-delay')) return 'waits';
  if (call === 'heat' && has('settings.warm-weather-shutdown')) {
    return byLuck(['waits', 0.5], ['no-response', 0.5]);
  }
  if (has('gas-valve.passing'))
    return byLuck(['blocked', 0.55], ['thump-or-late', 0.35], ['runs', 0.1]);
  if (has('fan.dead')) return 'fan-silent';
  if (has('air-switch.open') || unit.airPascal < unit.airSwitchPascal) return 'fan-no-spark';
  if (has('igniter.failed'))
    return byLuck(['no-spark', 0.82], ['thump-or-late', 0.12], ['no-spark', 0.06]);
  if (!isGasOpen || has('gas.off') || has('gas-valve.dead')) return 'spark-no-flame';
  if (has('burner.cracked')) {
    return byLuck(
      ['thump-or-late', 0.55],
      ['spark-no-flame', 0.22],
      ['flame-drops', 0.14],
      ['runs', 0.09],
    );
  }
  if (has('burner.dirty')) {
    return byLuck(
      ['thump-or-late', 0.45],
      ['runs', 0.32],
      ['flame-drops', 0.13],
      ['spark-no-flame', 0.1],
    );
  }
  if (unit.microampere < 1) return 'flame-drops';
  if (has('gas.low-working-pressure')) {
    return byLuck(['starves', 0.62], ['runs', 0.16], ['thump-or-late', 0.12], ['flame-drops', 0.1]);
  }
  if (has('boiler-pump.stuck')) return byLuck(['races-and-stops', 0.93], ['runs-short', 0.07]);
  if (has('air-in-loop'))
    return byLuck(['races-and-stops', 0.55], ['runs-short', 0.25], ['runs', 0.2]);
  if (unit.supplyError > 7) return byLuck(['runs-short', 0.7], ['runs', 0.3]);
  if (call === 'cylinder') {
    if (has('cylinder-pump.stuck')) {
      return byLuck(['runs-short', 0.6], ['races-and-stops', 0.3], ['runs', 0.1]);
    }
    if (has('cylinder-coil.scaled')) return byLuck(['runs-short', 0.55], ['runs', 0.45]);
    if (has('settings.tank-limit-too-near')) return byLuck(['runs-short', 0.5], ['runs', 0.5]);
  }
  if (has('mixture.off'))
    return byLuck(['runs', 0.72], ['thump-or-late', 0.18], ['flame-drops', 0.1]);
  return 'runs';
}

export const litEnds = new Set([
  'thump-or-late',
  'starves',
  'races-and-stops',
  'runs-short',
  'runs',
]);

/** What the cylinder has been left at. */
export function storedCelsius(unit: ZonedUnit, alone: LadderSetting): number {
  const { has, setCelsius, roomCelsius } = unit;
  const call = { ...alone, cylinder: true, zone1: false, zone2: false };
  const end = endOf(unit, 'cylinder', call, true);
  const pumped =
    !has('cylinder-pump.stuck') &&
    (unit.facts.cylinderControl === 'sensor' || ladderOf(unit, call).cylinder);
  if (!litEnds.has(end) || !pumped) return roomCelsius + 2 + 7 * unit.luck;
  if (has('cylinder-aquastat.welded')) return 70 + 8 * unit.luck;
  if (unit.cylinderError < -8) return Math.min(79, setCelsius - 0.7 * unit.cylinderError);
  const short =
    (has('settings.tank-limit-too-near') ? 6 + 6 * unit.luck : 0) +
    (has('cylinder-coil.scaled') ? 8 + 10 * unit.luck : 0) +
    (has('boiler-pump.stuck') || has('air-in-loop') ? 10 * unit.luck : 0);
  return setCelsius - Math.max(0, unit.cylinderError) - short - 4 * unit.luck;
}
