import type { Random } from '../random';
import { eyesOf } from './eyes';
import { waterNumbers as numbers } from './numbers';
import { endAt, flowsOf, watched, type TanklessSetting, type TanklessUnit } from './tankless-unit';

/** What is seen, heard or felt of a simulated instantaneous heater: apart from what the diagnosis believes would be. */
export function lookAtTankless(
  check: string,
  unit: TanklessUnit,
  set: TanklessSetting,
  random: Random,
): string {
  const { either, oneOf } = eyesOf(random);
  const is = (...faults: string[]) => faults.some(unit.has);
  const clearly = numbers.clearlySeen;
  const { through } = flowsOf(unit, set);
  const end = endAt(unit, through, set.isReseated);
  const slip = random.chance(0.03);
  switch (check) {
    case 'gas-smell-sniff':
      return 'none';
    case 'display-look': {
      if (unit.isDisplayDark) return 'dark';
      if (is('control.standby')) return 'standby';
      return code(unit, random) === 'none' || random.chance(0.17) ? 'normal' : 'code';
    }
    case 'code-read':
      return slip ? 'none' : code(unit, random);
    case 'supply-look':
      return is('supply.off') && random.chance(0.86) ? oneOf(['tripped', 2], ['off', 1]) : 'on';
    case 'setting-look':
      if (is('control.standby') && random.chance(0.95)) return 'standby';
      return is('setpoint.low')
        ? either(true, 'low', 'usual', clearly)
        : either(false, 'low', 'usual', [1, 0.025]);
    case 'other-outlet':
      if (is('fixture.cartridge')) return either(true, 'hot', 'same', clearly);
      if (is('demand.below-minimum')) return oneOf(['hot', 1], ['same', 1]);
      if (is('no-fault', 'pipe-run.long')) return oneOf(['same', 6], ['hot', 3], ['hotter', 1]);
      if (is('cross-connection.mixer')) return oneOf(['same', 8], ['hotter', 1], ['hot', 1]);
      return oneOf(['same', 95], ['hot', 3], ['hotter', 2]);
    case 'connections-look':
      if (random.chance(0.18)) return 'cannot-tell';
      return either(is('lines.reversed'), 'crossed', 'right', [0.9, 0.012]);
    case 'second-tap': {
      const two = flowsOf(unit, { ...set, opened: 'two-taps' });
      const one = flowsOf(unit, { ...set, opened: 'tap' });
      const before = endAt(unit, one.through, set.isReseated);
      const after = endAt(unit, two.through, set.isReseated);
      if (slip) return 'no-change';
      if (is('fixture.cartridge') && random.chance(0.5)) return 'fires-now';
      if (before !== 'burns' && after === 'burns') return 'fires-now';
      return is('demand.over-capacity') && random.chance(0.9) ? 'hotter-before' : 'no-change';
    }
    case 'fire-attempt-tap':
      return slip ? 'nothing' : end;
    case 'fire-attempt-service-port':
      return through <= 0 ? 'no-water' : slip ? 'nothing' : end;
    case 'outlet-over-two-minutes': {
      const seen = watched(unit, through, set.isReseated);
      if (!seen) return slip ? 'steady' : 'cold';
      if (seen.cuts > 0 && random.chance(0.92)) return 'cuts';
      return seen.swing > 4 !== slip ? 'swings' : 'steady';
    }
    case 'hot-isolation-shut-tap':
      return either(unit.past !== undefined, 'still-runs', 'stops', [0.95, 0.02]);
    case 'recirculation-shut-tap':
      if (!is('recirculation.no-check')) return random.chance(0.72) ? 'no-line' : 'no-change';
      return either(true, 'changes', 'no-change', clearly);
    case 'valves-look':
      return either(is('valve.part-shut'), 'not-full-open', 'full-open', [0.87, 0.03]);
    case 'strainer-look':
      if (set.isRinsed) return oneOf(['clean', 9], ['some', 1]);
      if (is('strainer.blocked')) return oneOf(['blocked', 86], ['some', 14]);
      if (is('flow-sensor.stuck')) return oneOf(['clean', 5], ['some', 4], ['blocked', 1]);
      if (is('frost')) return oneOf(['blocked', 55], ['clean', 35], ['some', 10]);
      return oneOf(['clean', 76], ['some', 22], ['blocked', 2]);
    case 'flow-sensor-blow':
      if (is('flow-sensor.stuck')) return oneOf(['does-not-spin', 92], ['spins-and-shows', 8]);
      if (is('flow-sensor.dead', 'control.dead', 'supply.off', 'fuse.open'))
        return either(true, 'spins-not-shown', 'spins-and-shows', clearly);
      if (is('flow-sensor.connector') && !set.isReseated)
        return either(true, 'spins-not-shown', 'spins-and-shows', clearly);
      return oneOf(['spins-and-shows', 97], ['spins-not-shown', 2], ['does-not-spin', 1]);
    case 'flow-sensor-reseat':
      if (is('flow-sensor.connector'))
        return set.isReseated ? 'was-showing' : oneOf(['shows', 9], ['still-none', 1]);
      if (is('flow-sensor.dead', 'flow-sensor.stuck', 'control.dead', 'supply.off', 'fuse.open'))
        return either(true, 'still-none', 'shows', clearly);
      return 'was-showing';
    case 'fuse-ohms-look':
      return either(is('fuse.open'), 'open', 'whole', [0.98, 0.015]);
    case 'spark-look':
      if (end !== 'burns' && end !== 'lights-and-drops' && end !== 'sparks-no-flame')
        return 'no-try';
      if (is('igniter.worn')) return oneOf(['weak', 5], ['none', 4.5], ['strong', 0.4]);
      return oneOf(['strong', 94], ['weak', 4], ['none', 2]);
    case 'air-tube-look':
      return either(is('air-switch.fault'), 'off-or-wet', 'sound', [0.65, 0.035]);
    case 'flue-look':
      if (is('flue.blocked') && random.chance(0.84)) return 'blocked';
      if (is('flue.recirculating') && random.chance(0.55)) return 'joint-open';
      return oneOf(['clear', 97], ['blocked', 2], ['joint-open', 0.6]);
    case 'condensate-look':
      return either(is('condensate.blocked'), 'blocked', 'drains', clearly);
    case 'leak-look':
      if (is('exchanger.leak')) return oneOf(['damp-case', 7], ['wet-below', 2], ['dry', 1]);
      return oneOf(['dry', 95], ['damp-case', 3], ['wet-below', 2]);
    case 'burner-look':
      return either(is('burner.dirty'), 'dirty', 'clean', [0.91, 0.06]);
    case 'flame-rod-look':
      return either(is('flame-rod.dirty', 'burner.dirty'), 'coated', 'clean', [0.8, 0.14]);
    case 'parameters-look':
      return either(is('parameters.wrong'), 'does-not-fit', 'fits', [0.91, 0.03]);
    case 'earth-look':
      return either(is('earth.poor'), 'poor', 'sound', [0.9, 0.03]);
    case 'noise-look':
      if (is('exchanger.scaled')) return oneOf(['bumps', 62], ['quiet', 33], ['whistles', 5]);
      if (is('burner.dirty', 'gas-valve.mis-set', 'flue.blocked', 'parameters.wrong'))
        return either(true, 'roars', 'quiet', [0.5, 0]);
      if (is('valve.part-shut')) return either(true, 'whistles', 'quiet', [0.33, 0]);
      return oneOf(['quiet', 93], ['roars', 3], ['bumps', 2], ['whistles', 2]);
    default:
      throw new RangeError(`nobody looks at "${check}"`);
  }
}

/** What its display tells once a tap has been opened. */
function code(unit: TanklessUnit, random: Random): string {
  const is = (...faults: string[]) => faults.some(unit.has);
  const set = {
    opened: 'tap',
    isHotShut: false,
    isLineShut: false,
    isReseated: false,
    isRinsed: false,
  } as const;
  const { through } = flowsOf(unit, set);
  const end = endAt(unit, through, false);
  const mostly = (value: string, chance = 0.92) => (random.chance(chance) ? value : 'none');
  switch (end) {
    case 'locked':
      if (is('inlet-sensor.open')) return mostly('se-1');
      if (is('outlet-sensor.open')) return mostly('se-2');
      return is('condensate.blocked') ? mostly('co-1') : mostly('ht-2');
    case 'fan-fails':
      return mostly(is('fan.failed') ? (random.chance(0.9) ? 'ai-1' : 'ai-2') : 'ai-2');
    case 'sparks-no-flame':
      return mostly('fl-1');
    case 'lights-and-drops':
      return mostly(random.chance(0.88) ? 'fl-2' : 'fl-1');
    case 'nothing':
      return is('control.dead') && !unit.isDisplayDark ? mostly('ct-1', 0.28) : 'none';
    case 'burns': {
      if (is('flame-rod.dirty', 'earth.poor')) return mostly('fl-2', 0.65);
      if (is('exchanger.scaled')) {
        const seen = watched(unit, through, false);
        return (seen?.cuts ?? 0) > 0 ? mostly('ht-1', 0.5) : mostly('sc-1', 0.3);
      }
      if (is('gas.low-under-load', 'gas-valve.mis-set', 'burner.dirty', 'parameters.wrong'))
        return mostly('ou-1', 0.4);
      return is('inlet-sensor.drift', 'flow-control.stuck') ? mostly('sc-1', 0.18) : 'none';
    }
    default:
      return 'none';
  }
}
