import { eyesOf } from '../running-water/eyes';
import type { Random } from '../random';
import { ladderOf, type LadderSetting } from './ladder';
import { zonedNumbers as numbers } from './numbers';
import { endOf, isAlive, litEnds, storedCelsius, type ZonedCall } from './ends';
import type { ZonedUnit } from './unit';

export interface ZonedState {
  readonly call: ZonedCall;
  readonly set: LadderSetting;
  readonly isGasOpen: boolean;
}

/** With every room calling. */
const calling: LadderSetting = {
  isPowered: true,
  zone1: true,
  zone2: true,
  cylinder: false,
  isFuseOut: false,
  jumper: 'none',
  lifted: [],
};

const sheetOf: Readonly<Record<string, string>> = {
  'settings.not-enabled': 'not-enabled',
  'settings.tank-off': 'tank-off',
  'settings.mode-without-tank': 'mode',
  'settings.start-delay': 'start-delay',
  'settings.tank-limit-too-near': 'tank-limit',
  'settings.tank-setpoint-low': 'tank-setpoint',
  'settings.curve-low': 'curve',
  'settings.curve-high': 'curve',
  'settings.warm-weather-shutdown': 'warm-weather',
};

/** What is seen, heard or felt of a simulated boiler with zones: apart from what the diagnosis believes would be. */
export function lookAtZoned(
  check: string,
  unit: ZonedUnit,
  state: ZonedState,
  random: Random,
): string {
  const { either, oneOf } = eyesOf(random);
  const is = (...faults: string[]) => faults.some(unit.has);
  const clearly = numbers.clearlySeen;
  const slip = random.chance(0.03);
  const ladder = ladderOf(unit, state.set);
  const isLit = isAlive(unit, ladder) && !unit.isDisplayDark;
  const end = () => endOf(unit, state.call, state.set, state.isGasOpen);
  switch (check) {
    case 'gas-smell-sniff':
      return 'none';
    case 'leak-check':
      return 'tight';
    case 'display-look':
      if (!isLit !== slip) return 'dark';
      return codeOf(unit, random) === 'none' || random.chance(0.12) ? 'lit' : 'code';
    case 'code-read':
      return slip || !isLit ? 'none' : codeOf(unit, random);
    case 'line-switch-look':
      return either(is('supply.off'), 'off', 'on', clearly);
    case 'enabled-look':
      return isLit ? either(is('settings.not-enabled'), 'off', 'on', clearly) : 'dark';
    case 'hot-water-switch-look':
      return isLit
        ? either(is('settings.tank-off', 'settings.mode-without-tank'), 'off', 'on', clearly)
        : 'dark';
    case 'settings-sheet': {
      if (!isLit) return 'right';
      const off = Object.entries(sheetOf).filter(([fault]) => is(fault));
      if (off.length === 0) return oneOf(['right', 94], ['curve', 3], ['tank-setpoint', 3]);
      return random.chance(0.94) ? off[Math.floor(random.next() * off.length)]![1] : 'right';
    }
    case 'zone-lamps-look':
      if (slip) return oneOf(['all', 1], ['not-zone-1', 1]);
      return ladder.zone1 ? 'all' : ladder.zone2 ? 'not-zone-1' : 'none';
    case 'zone-lamps-idle-look':
      return ladder.zone1 !== slip ? 'zone-1' : 'none';
    case 'cylinder-lamp-look':
      return ladder.cylinder !== slip ? 'lit' : 'dark';
    case 'panel-look':
      if (is('zone-panel.supply-burnt')) return oneOf(['charred', 66], ['sound', 31], ['loose', 3]);
      if (is('zone-panel.supply-resistive'))
        return oneOf(['charred', 55], ['sound', 40], ['loose', 5]);
      if (is('zone-panel.relay-1-pump-contact'))
        return oneOf(['charred', 43], ['sound', 55], ['loose', 2]);
      if (is('w-24v.open', 'w-24v.resistive'))
        return oneOf(['loose', 33], ['sound', 63], ['charred', 4]);
      return oneOf(['sound', 94], ['charred', 3], ['loose', 3]);
    case 'relay-tap':
      return random.chance(
        is('zone-panel.supply-burnt', 'zone-panel.supply-resistive')
          ? 0.75
          : is('zone-panel.relay-1-pump-contact')
            ? 0.36
            : 0.04,
      )
        ? 'clicks'
        : 'nothing';
    case 'zone-1-jumper':
      return ladder.zone1 !== slip ? 'clicks' : 'silent';
    case 'tt-jumper': {
      const stays = ['dark', 'no-response', 'blocked', 'waits'].includes(
        endOf(unit, 'heat', state.set, true),
      );
      return stays !== slip ? 'nothing' : 'starts';
    }
    case 'sequence-watch-heat':
    case 'sequence-watch-cylinder': {
      const seen = end();
      if (random.chance(0.05))
        return oneOf([seen, 4], ['runs', 2], ['no-response', 2], ['spark-no-flame', 1]);
      return seen;
    }
    case 'fuse-holds':
      return either(is('w-zone-1.r-to-common'), 'blows', 'holds', clearly);
    case 'igniter-look': {
      const seen = end();
      if (
        ['dark', 'no-response', 'blocked', 'waits', 'fan-silent', 'fan-no-spark'].includes(seen)
      ) {
        return 'not-reached';
      }
      return either(is('igniter.failed'), 'none', 'good', clearly);
    }
    case 'igniter-condition-look':
      return either(is('igniter.failed'), 'worn-or-cracked', 'good', [0.85, 0.17]);
    case 'flame-out-look':
      return either(is('gas-valve.passing'), 'stays', 'out', [0.92, 0.01]);
    case 'intake-look':
      if (is('intake.off')) return oneOf(['off', 94], ['sound', 6]);
      if (is('air-path.blocked')) return oneOf(['blocked', 49], ['sound', 48], ['off', 3]);
      return oneOf(['sound', 95], ['blocked', 3], ['off', 2]);
    case 'flue-look':
      return is('air-path.blocked')
        ? oneOf(['blocked', 52], ['clear', 48])
        : oneOf(['clear', 97], ['blocked', 3]);
    case 'condensate-look':
      return either(is('condensate.blocked'), 'full', 'clear', clearly);
    case 'burner-inspection':
      if (is('burner.cracked')) return oneOf(['cracked-or-closed', 88], ['dirty', 6], ['sound', 6]);
      if (is('burner.dirty')) return oneOf(['dirty', 82], ['sound', 11], ['cracked-or-closed', 7]);
      return oneOf(['sound', 91], ['dirty', 6], ['cracked-or-closed', 3]);
    case 'exchanger-look':
      return either(is('exchanger.fouled'), 'fouled', 'clean', [0.9, 0.09]);
    case 'boiler-pump-feel': {
      if (['dark', 'no-response', 'blocked', 'waits'].includes(end())) return 'silent';
      if (is('boiler-pump.stuck')) return oneOf(['silent', 5], ['hums', 4.4], ['runs', 0.6]);
      return oneOf(['runs', 94], ['hums', 3], ['silent', 3]);
    }
    case 'gurgle-listen':
      return random.chance(is('air-in-loop') ? 0.66 : is('condensate.blocked') ? 0.45 : 0.06)
        ? 'gurgle'
        : 'none';
    case 'zone-1-pump-feel':
      return pumpRuns(unit, state.set) && !is('zone-1-pump.stuck') !== slip ? 'runs' : 'silent';
    case 'cylinder-pump-feel': {
      const driven =
        unit.facts.cylinderControl === 'sensor'
          ? !['dark', 'no-response', 'blocked'].includes(end())
          : ladder.cylinder && state.set.isPowered;
      return driven && !is('cylinder-pump.stuck') !== slip ? 'runs' : 'silent';
    }
    case 'zone-1-ghost-heat':
      return (is('flow-check.passing') && litEnds.has(end())) || pumpRuns(unit, state.set)
        ? either(true, 'warm', 'cool', clearly)
        : either(false, 'warm', 'cool', clearly);
    case 'other-outlet':
      return oneOf(['same', 94], ['better', 6]);
    case 'use-look':
      return either(is('demand'), 'much', 'usual', [0.85, 0.08]);
    default:
      throw new RangeError(`nobody looks at "${check}"`);
  }
}

/** Whether line volts are at the pump of zone 1. */
export function pumpRuns(unit: ZonedUnit, set: LadderSetting): boolean {
  const { has } = unit;
  if (!set.isPowered || has('supply.off') || has('supply.joint-open')) return false;
  const ladder = ladderOf(unit, set);
  if (has('zone-panel.relay-1-welded')) return !ladder.cylinder;
  const held = ladder.cylinder || has('zone-panel.priority-stuck');
  return ladder.zone1 && unit.hasPumpContact && !held;
}

/** What its display tells: by what the board has seen on its last calls. */
export function codeOf(unit: ZonedUnit, random: Random): string {
  const is = (...faults: string[]) => faults.some(unit.has);
  const mostly = (code: string, chance = 0.93) => (random.chance(chance) ? code : 'none');
  const ladder = ladderOf(unit, calling);
  if (ladder.boardVolt > 10 && ladder.boardVolt < 18.4 && random.chance(0.6)) return 'c61';
  if (!isAlive(unit, ladder)) return 'none';
  if (is('supply-sensor.open-or-short')) return mostly('c11', 0.96);
  if (is('return-sensor.open-or-short')) return mostly('c12', 0.96);
  if (is('condensate.blocked')) return mostly('c23', 0.96);
  if (is('limit.tripped')) return mostly('c41', 0.96);
  if (unit.bar < 0.5) return mostly('c42', 0.96);
  if (is('flame-rod.false-signal')) return mostly('c33');
  if (is('gas-valve.passing')) return mostly('c33', 0.65);
  switch (endOf(unit, 'heat', calling, true)) {
    case 'fan-silent':
      return mostly('c21');
    case 'fan-no-spark':
      return mostly('c22');
    case 'no-spark':
    case 'spark-no-flame':
      return mostly('c31');
    case 'flame-drops':
      return mostly(random.chance(0.85) ? 'c32' : 'c31');
    case 'thump-or-late':
      return mostly(random.chance(0.6) ? 'c31' : 'c32', is('burner.dirty') ? 0.45 : 0.75);
    case 'starves':
      return mostly('c32', 0.75);
    case 'races-and-stops':
      return mostly(random.chance(0.75) ? 'c43' : 'c41');
    default:
      break;
  }
  if (is('outdoor-sensor.open-or-short')) return mostly('c13');
  if (is('cylinder-sensor.open-or-short')) return mostly('c14');
  if (unit.supplyError < -7) return mostly(random.chance(0.6) ? 'c44' : 'c41', 0.6);
  if (
    is(
      'cylinder-pump.stuck',
      'cylinder-coil.scaled',
      'settings.tank-limit-too-near',
      'cylinder-sensor.out-of-pocket',
    )
  ) {
    return mostly('c51', 0.5);
  }
  return 'none';
}

/** How the heating and the hot water are, as somebody who lives there has it. */
export function livedWith(unit: ZonedUnit): {
  readonly heating: string;
  readonly hotWater: string;
} {
  const is = (...faults: string[]) => faults.some(unit.has);
  const end = endOf(unit, 'heat', calling, true);
  const ladder = ladderOf(unit, calling);
  const idle = { ...calling, zone1: false, zone2: false };
  const stays =
    is('zone-panel.relay-1-welded', 'thermostat-1.welded', 'w-zone-1.shorted') ||
    is('zone-panel.end-heat-welded');
  const isZone1 = pumpRuns(unit, calling) && !is('zone-1-pump.stuck');
  const isZone2 = ladder.zone2 && !is('zone-panel.priority-stuck');
  const heating = !litEnds.has(end)
    ? 'none'
    : stays
      ? 'too-warm'
      : !isZone1 && isZone2
        ? 'one-zone'
        : !isZone1 && !isZone2
          ? 'none'
          : is('settings.curve-low', 'outdoor-sensor.warm-spot') ||
              ['starves', 'races-and-stops', 'runs-short'].includes(end)
            ? 'weak'
            : is('settings.curve-high') || (is('flow-check.passing') && unit.luck < 0.55)
              ? 'too-warm'
              : 'works';
  const stored = storedCelsius(unit, idle);
  const outlet =
    unit.facts.mixingValve === 'true' ? Math.min(stored - 2, unit.mixedCelsius) : stored - 2;
  const hotWater = is('demand')
    ? unit.luck < 0.7
      ? 'lukewarm'
      : 'works'
    : outlet < 31
      ? 'none'
      : outlet < 41
        ? 'lukewarm'
        : stored > 68 && unit.facts.mixingValve === 'false'
          ? 'too-hot'
          : 'works';
  return { heating, hotWater };
}
