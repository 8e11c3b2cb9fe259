import type { Random } from '../random';
import {
  endAt,
  fullWatt,
  hotBar,
  loopFlow,
  tapFlow,
  warmed,
  watched,
  type CombiCall,
  type CombiUnit,
} from './combi-unit';
import { eyesOf } from './eyes';
import { waterNumbers as numbers } from './numbers';

/** What is seen, heard or felt of a simulated combination boiler: apart from what the diagnosis believes would be. */
export function lookAtCombi(
  check: string,
  unit: CombiUnit,
  call: CombiCall,
  random: Random,
): string {
  const { either, oneOf } = eyesOf(random);
  const is = (...faults: string[]) => faults.some(unit.has);
  const clearly = numbers.clearlySeen;
  const slip = random.chance(0.03);
  const dead = is('supply.off', 'fuse.open', 'control.dead');
  switch (check) {
    case 'gas-smell-sniff':
      return 'none';
    case 'display-look':
      if (unit.isDisplayDark) return 'dark';
      return codeOf(unit, random) === 'none' || random.chance(0.16) ? 'normal' : 'code';
    case 'code-read':
      return slip ? 'none' : codeOf(unit, random);
    case 'lockout-reset':
      if (dead || codeOf(unit, random) === 'none') return 'nothing-to-reset';
      // What is broken stays so.
      if (is('limit.open', 'flow-sensor.open', 'tap-sensor.open', 'gas.off', 'gas-valve.fault'))
        return random.chance(0.02) ? 'runs' : 'locks-out-again';
      return random.chance(
        is('air.locked', 'flame-sense.low') ? 0.37 : is('no-fault') ? 0.95 : 0.17,
      )
        ? 'runs'
        : 'locks-out-again';
    case 'supply-look':
      return is('supply.off') && random.chance(0.87) ? oneOf(['tripped', 5], ['off', 4]) : 'on';
    case 'valves-look':
      if (is('radiators.unbalanced')) return random.chance(0.25) ? 'not-full-open' : 'full-open';
      return either(is('valve.part-shut'), 'not-full-open', 'full-open', [0.87, 0.03]);
    case 'setting-look':
      if (is('tap-setpoint.wrong') && random.chance(0.95)) return 'tap-low-or-off';
      if (is('tap-setpoint.high') && random.chance(0.95)) return 'tap-high';
      if (is('flow-setpoint.low') && random.chance(0.95)) return 'flow-low';
      return oneOf(['usual', 78], ['tap-high', 18], ['tap-low-or-off', 2], ['flow-low', 2]);
    case 'keep-warm-look':
      return unit.keepWarm;
    case 'heat-call-look':
      return either(is('heat-call.missing') || dead, 'no-call', 'call', [0.96, 0.03]);
    case 'display-request': {
      if (unit.isDisplayDark) return 'dark';
      const { through } = tapFlow(unit, call);
      const asks = !is('control.dead') && unit.gain * through >= unit.startFlow;
      return asks !== slip ? 'tap' : oneOf(['none', 85], ['heating', 15]);
    }
    case 'fire-attempt-tap':
    case 'fire-attempt-heating': {
      const end = endAt(unit, call);
      return slip || end === 'standby' ? 'nothing' : end;
    }
    case 'burner-two-minutes': {
      const seen = watched(unit, call);
      if (!seen) return slip ? 'modulates' : 'no-burner';
      if (seen.cuts > 0 && random.chance(0.94)) return 'cuts';
      return seen.meanWatt > 0.9 * fullWatt(unit) !== slip ? 'flat-out' : 'modulates';
    }
    case 'tap-two-minutes': {
      const seen = watched(unit, call);
      if (!seen) return slip ? 'steady' : 'cold';
      if (seen.swing > 4 !== slip) return 'swings';
      const tap = seen.tap * (1 - unit.past) + unit.coldCelsius * unit.past;
      return tap < 43 ? 'settles-low' : 'steady';
    }
    case 'throttle-tap': {
      const [wide, little] = [watched(unit, 'tap'), watched(unit, 'throttled')];
      if (wide && !little) return 'goes-out';
      if (is('demand.too-little-flow', 'tap-filter.blocked', 'mains.low'))
        return random.chance(0.72) ? 'goes-out' : 'no-change';
      return wide && little && little.tap > wide.tap + 3 && !slip ? 'hotter' : 'no-change';
    }
    case 'other-outlet':
      if (is('outlet.mixer')) return either(true, 'hot', 'same', clearly);
      if (is('demand.too-little-flow')) return oneOf(['hot', 1], ['same', 1]);
      return oneOf(['same', 95], ['hot', 3], ['hotter', 2]);
    case 'radiator-look': {
      const house = warmed(unit);
      if (!house || house.radiators < 30) return 'all-cold';
      if (is('radiators.unbalanced')) return oneOf(['uneven', 86], ['even', 9], ['cold-middle', 5]);
      if (is('system.sludge'))
        return oneOf(['cold-middle', 74], ['uneven', 12], ['even', 9], ['all-lukewarm', 5]);
      if (is('air.locked'))
        return oneOf(['even', 4], ['uneven', 4], ['cold-middle', 1], ['all-lukewarm', 1]);
      if (house.radiators < 44) return 'all-lukewarm';
      return oneOf(['even', 84], ['uneven', 10], ['cold-middle', 4], ['all-lukewarm', 2]);
    }
    case 'vessel-valve-look':
      return is('vessel.flat')
        ? oneOf(['water', 46], ['nothing', 43], ['air', 11])
        : oneOf(['air', 95], ['nothing', 4], ['water', 1]);
    case 'relief-pipe-look': {
      const house = warmed(unit);
      const lifts = house !== undefined && hotBar(unit, (house.flow + house.back) / 2) > 2.8;
      return either(
        is('relief.passing') ||
          lifts ||
          (is('filling-valve.passing', 'plate.leaks-across') && random.chance(0.85)),
        'wet',
        'dry',
        [0.94, 0.04],
      );
    }
    case 'filling-valve-look':
      return either(
        is('filling-valve.passing'),
        'passing-or-left-open',
        'shut-and-tight',
        [0.85, 0.02],
      );
    case 'leak-look':
      return either(is('pressure.leak'), 'damp', 'dry', [0.7, 0.07]);
    case 'vent-bleed':
      return is('pressure.leak')
        ? oneOf(['water', 6], ['air', 4])
        : either(is('air.locked'), 'air', 'water', clearly);
    case 'pump-feel':
      if (
        endAt(unit, call) === 'dark' ||
        endAt(unit, call) === 'nothing' ||
        endAt(unit, call) === 'locked'
      )
        return 'silent';
      if (is('pump.stuck')) return oneOf(['silent', 6], ['hums', 3.4], ['runs', 0.6]);
      if (is('pump.weak')) return oneOf(['runs', 7], ['hums', 2.4], ['silent', 0.6]);
      if (is('air.locked')) return oneOf(['gurgles', 76], ['runs', 21], ['hums', 3]);
      return oneOf(['runs', 95], ['gurgles', 2], ['silent', 2], ['hums', 1]);
    case 'water-look':
      if (is('hose.choked', 'system.sludge', 'filter.blocked'))
        return either(true, 'dark', 'clear', [0.86, 0]);
      if (is('plate.blocked', 'primary-exchanger.restricted', 'pump.stuck', 'pump.weak'))
        return oneOf(['dark', 58], ['clear', 42]);
      return oneOf(['clear', 79], ['dark', 21]);
    case 'filter-look':
      if (is('filter.blocked')) return oneOf(['blocked', 9], ['loaded', 1]);
      if (is('system.sludge'))
        return oneOf(['loaded', 50], ['none-fitted', 30], ['clean', 10], ['blocked', 10]);
      if (is('hose.choked'))
        return oneOf(['loaded', 40], ['none-fitted', 35], ['clean', 20], ['blocked', 5]);
      return oneOf(['clean', 50], ['none-fitted', 28], ['loaded', 20], ['blocked', 2]);
    case 'noise-look': {
      const seen = watched(unit, call);
      if (is('air.locked')) return oneOf(['gurgles', 7], ['quiet', 1.6], ['bumps', 1.4]);
      if (is('condensate.blocked')) return oneOf(['gurgles', 65], ['quiet', 35]);
      if (is('combustion.off', 'flue.blocked')) return oneOf(['quiet', 55], ['roars', 45]);
      if (seen?.boils || (seen && loopFlow(unit, 'plates') < 5))
        return oneOf(['bumps', 72], ['quiet', 26], ['gurgles', 2]);
      if (is('plate.scaled')) return oneOf(['quiet', 84], ['bumps', 16]);
      return oneOf(['quiet', 92], ['bumps', 3], ['gurgles', 3], ['roars', 2]);
    }
    case 'hose-look':
      return is('hose.choked')
        ? oneOf(['hard-or-swollen', 84], ['soft', 13], ['renewed', 3])
        : oneOf(['soft', 74], ['renewed', 15], ['hard-or-swollen', 11]);
    case 'plate-look':
      if (is('plate.scaled')) return oneOf(['scaled', 85], ['debris', 10], ['clean', 5]);
      if (is('plate.blocked')) return oneOf(['debris', 86], ['scaled', 10], ['clean', 4]);
      return oneOf(['clean', 79], ['scaled', 15], ['debris', 6]);
    case 'diverter-look':
      if (dead) return 'does-not-move';
      if (is('diverter.stuck-heating', 'diverter.stuck-tap'))
        return oneOf(['does-not-move', 84], ['moves', 9], ['moves-not-full', 7]);
      if (is('diverter.passing'))
        return oneOf(['moves-not-full', 5], ['moves', 3.5], ['does-not-move', 1.5]);
      return oneOf(['moves', 96], ['does-not-move', 2], ['moves-not-full', 2]);
    case 'tap-filter-look':
      return is('tap-filter.blocked')
        ? oneOf(['blocked', 87], ['some', 13])
        : oneOf(['clean', 81], ['some', 17], ['blocked', 2]);
    case 'tap-turbine-look':
      if (dead) return 'spins-not-shown';
      if (is('tap-flow-sensor.stuck'))
        return oneOf(['spins-not-shown', 49], ['does-not-spin', 47], ['spins-and-shows', 4]);
      return oneOf(['spins-and-shows', 97], ['spins-not-shown', 2], ['does-not-spin', 1]);
    case 'fuse-ohms-look':
      return either(is('fuse.open'), 'open', 'whole', [0.98, 0.015]);
    case 'spark-look': {
      const end = endAt(unit, call);
      if (end !== 'burns' && end !== 'lights-and-drops' && end !== 'sparks-no-flame')
        return 'no-try';
      if (is('igniter.worn')) return oneOf(['weak', 5], ['none', 4.6], ['strong', 0.4]);
      return oneOf(['strong', 94], ['weak', 4], ['none', 2]);
    }
    case 'electrode-look':
      if (is('igniter.worn')) return oneOf(['coated', 7], ['clean', 3]);
      return either(is('flame-sense.low'), 'coated', 'clean', [0.85, 0.15]);
    case 'flue-look':
      if (is('flue.blocked')) return oneOf(['blocked', 56], ['joint-open', 23], ['clear', 21]);
      return oneOf(['clear', 97], ['blocked', 2], ['joint-open', 0.6]);
    case 'condensate-look':
      return either(is('condensate.blocked'), 'blocked', 'drains', clearly);
    default:
      throw new RangeError(`nobody looks at "${check}"`);
  }
}

/** What its display tells once a tap has been opened, or heating called for. */
function codeOf(unit: CombiUnit, random: Random): string {
  const is = (...faults: string[]) => faults.some(unit.has);
  const mostly = (value: string, chance = 0.92) => (random.chance(chance) ? value : 'none');
  const end = endAt(unit, 'tap');
  switch (end) {
    case 'locked':
      if (is('flow-sensor.open')) return mostly('se-1');
      if (is('tap-sensor.open')) return mostly('se-3');
      if (is('condensate.blocked'))
        return random.pick([
          ['co-1', 74],
          ['fl-1', 13],
          ['fl-2', 8],
          ['none', 5],
        ]);
      if (is('limit.open')) return mostly('ht-1');
      return mostly('pr-1', 0.95);
    case 'fan-fails':
      return mostly('ai-1');
    case 'sparks-no-flame':
      return mostly('fl-1');
    case 'lights-and-drops':
      return mostly(random.chance(0.9) ? 'fl-2' : 'fl-1');
    case 'nothing':
      return is('control.dead') && !unit.isDisplayDark ? mostly('ct-1', 0.28) : 'none';
    case 'burns': {
      if (is('flame-sense.low')) return mostly('fl-2', 0.65);
      const seen = watched(unit, 'tap');
      const house = warmed(unit);
      if (seen && seen.rise > 1.6) return mostly('ci-2', 0.7);
      if (seen && seen.flow - seen.back > 36) return mostly('ci-1', 0.7);
      if (house && house.flow - house.back > 40) return mostly('ci-1', 0.35);
      if ((seen && seen.cuts > 0) || is('diverter.stuck-tap')) return mostly('ht-1', 0.35);
      if (house && hotBar(unit, (house.flow + house.back) / 2) > 2.7) return mostly('pr-2', 0.4);
      return 'none';
    }
    default:
      return 'none';
  }
}
