import { eyesOf } from '../running-water/eyes';
import type { Random } from '../random';
import { feelOf, flowShareOf, isAble, type Handled, type PlantWater } from './machine';
import { heatPumpNumbers as numbers } from './numbers';
import type { Plant } from './plant';

/** What is seen, heard or felt of a simulated plant: apart from what the diagnosis believes would be. */
export function lookAtPlant(
  check: string,
  plant: Plant,
  water: PlantWater,
  handled: Handled & { readonly isLimitPressed: boolean },
  random: Random,
): string {
  const { either, oneOf } = eyesOf(random);
  const is = (...faults: string[]) => faults.some(plant.has);
  const clearly = numbers.clearlySeen;
  const able = isAble(plant, handled);
  const flow = flowShareOf(plant, handled);
  switch (check) {
    case 'display-code':
      return codeOf(plant, handled, random);
    case 'mode-look':
      return is('mode.off')
        ? oneOf(['hot-water-off', 38], ['heating-only', 32], ['holiday', 27], ['normal', 3])
        : oneOf(['normal', 97], ['heating-only', 2], ['holiday', 1]);
    case 'schedule-look':
      return is('schedule.wrong')
        ? oneOf(['ends-long-before', 43], ['too-short', 37], ['never', 14], ['covers-the-draw', 6])
        : oneOf(['covers-the-draw', 93], ['too-short', 4], ['ends-long-before', 3]);
    case 'sensor-dashes-look': {
      if (random.chance(0.02)) return oneOf(['none', 2], ['flow', 1]);
      if (!plant.buffer.isWhole) return 'buffer';
      if (!plant.cylinder.isWhole) return 'cylinder';
      return is('flow-sensor.open-or-short') ? 'flow' : 'none';
    }
    case 'power-pattern':
      if (!able) return oneOf(['off', 94], ['modulates', 3], ['full-then-stop', 3]);
      if (water.stops > 0)
        return oneOf(['full-then-stop', 82], ['full-steady', 10], ['modulates', 8]);
      if (water.load > 0.93)
        return oneOf(['full-steady', 70], ['modulates', 20], ['full-then-stop', 10]);
      return oneOf(['modulates', 84], ['full-steady', 9], ['full-then-stop', 7]);
    case 'outdoor-running-look':
      if (!able) return oneOf(['stopped', 95], ['runs-then-stops', 5]);
      if (water.stops > 0 || flow < 0.45)
        return oneOf(['runs-then-stops', 45], ['running', 42], ['stopped', 13]);
      return oneOf(['running', 93], ['runs-then-stops', 5], ['stopped', 2]);
    case 'buffer-sensor-push':
    case 'cylinder-sensor-push': {
      const sensor = check === 'buffer-sensor-push' ? 'buffer' : 'cylinder';
      const isOut = plant[sensor].isWhole && feelOf(plant, sensor, handled) < 0.88;
      return either(isOut, 'goes-in-and-reading-rises', 'was-home', clearly);
    }
    case 'other-outlet':
      if (is('outlet.limit-stop-low'))
        return either(true, 'hot-elsewhere', 'same-everywhere', clearly);
      return random.chance(is('cross-flow') ? 0.42 : 0.05) ? 'hot-elsewhere' : 'same-everywhere';
    case 'cold-feed-shut-hot-tap':
      return either(is('cross-flow'), 'keeps-running', 'stops', clearly);
    case 'use-look':
      return either(is('demand'), 'outsized', 'usual', [0.88, 0.08]);
    case 'circulation-look':
      return either(is('circulation.always-on'), 'runs-always', 'none-or-timed', clearly);
    case 'strainer-look':
      return handled.isRinsed
        ? oneOf(['clean', 96], ['loaded', 4])
        : either(is('strainer.blocked'), 'loaded', 'clean', [0.95, 0.09]);
    case 'air-vent-look':
      return either(is('primary.air-or-low-pressure'), 'air', 'water', [0.88, 0.06]);
    case 'cylinder-flow-pipe':
      if (!able) return oneOf(['cold', 88], ['tepid', 12]);
      if (plant.toCoil === 0) return oneOf(['cold', 83], ['tepid', 15], ['hot', 2]);
      if (plant.toCoil < 1) return oneOf(['tepid', 57], ['hot', 40], ['cold', 3]);
      return plant.output < 0.5
        ? oneOf(['hot', 60], ['tepid', 40])
        : oneOf(['hot', 93], ['tepid', 7]);
    case 'heating-flow-pipe-on-hot-water':
      if (!able) return oneOf(['cools', 88], ['luke', 12]);
      if (plant.toCoil === 0) return oneOf(['stays-hot', 88], ['luke', 12]);
      if (plant.toCoil < 1) return oneOf(['luke', 66], ['stays-hot', 22], ['cools', 12]);
      return oneOf(['cools', 94], ['luke', 6]);
    case 'outdoor-look':
      if (is('outdoor.iced')) return oneOf(['solid-ice', 85], ['light-frost', 13], ['blocked', 2]);
      if (is('outdoor.air-blocked'))
        return oneOf(['blocked', 83], ['light-frost', 9], ['clear', 8]);
      if (is('season.cold-damp'))
        return oneOf(['light-frost', 52], ['clear', 43], ['solid-ice', 5]);
      if (is('refrigerant.short'))
        return oneOf(['light-frost', 45], ['clear', 43], ['solid-ice', 12]);
      return able
        ? oneOf(['clear', 65], ['light-frost', 31], ['solid-ice', 3], ['blocked', 1])
        : oneOf(['clear', 96], ['light-frost', 4]);
    case 'lockout-reset': {
      if (handled.isReset) return oneOf(['nothing-to-reset', 96], ['runs', 4]);
      if (is('control.locked-out')) {
        return isAble(plant, { ...handled, isReset: true })
          ? oneOf(['runs', 85], ['locks-out-again', 15])
          : oneOf(['locks-out-again', 85], ['nothing-to-reset', 15]);
      }
      if (is('compressor.dead')) return oneOf(['locks-out-again', 72], ['nothing-to-reset', 28]);
      return oneOf(['nothing-to-reset', 95], ['runs', 4], ['locks-out-again', 1]);
    }
    case 'immersion-limit-press':
      return either(
        is('immersion.limit-tripped') && !handled.isLimitPressed,
        'clicked',
        'no-click',
        clearly,
      );
    default:
      throw new RangeError(`nobody looks at "${check}"`);
  }
}

/** What a controller remembers of its trouble: about half of the time. */
function codeOf(plant: Plant, handled: Handled, random: Random): string {
  const is = (...faults: string[]) => faults.some(plant.has);
  const oneOf = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  if (!plant.buffer.isWhole || !plant.cylinder.isWhole || is('flow-sensor.open-or-short'))
    return oneOf(['S-07', 94], ['none', 6]);
  if (is('supply.outdoor-off')) return oneOf(['S-08', 93], ['none', 7]);
  if (is('compressor.dead')) return oneOf(['S-08', 66], ['none', 26], ['R-05', 8]);
  if (is('control.locked-out') && !handled.isReset)
    return oneOf(['S-08', 45], ['P-01', 27], ['none', 20], ['R-04', 8]);
  if (plant.bar < 0.8) return oneOf(['P-02', 52], ['P-01', 22], ['none', 26]);
  if (flowShareOf(plant, handled) < 0.8)
    return oneOf(['P-01', 53], ['none', 37], ['P-03', 5], ['R-04', 5]);
  if (is('outdoor.iced')) return oneOf(['R-06', 48], ['none', 38], ['R-05', 14]);
  if (is('refrigerant.short')) return oneOf(['R-05', 38], ['none', 50], ['W-09', 8], ['R-06', 4]);
  if (is('outdoor.air-blocked')) return oneOf(['R-05', 24], ['none', 64], ['R-06', 12]);
  if (is('cylinder-sensor.out-of-pocket'))
    return oneOf(['W-09', 44], ['none', 43], ['P-03', 8], ['R-04', 5]);
  if (is('coil.scaled', 'diverter.stuck-heating', 'diverter.passing'))
    return oneOf(['W-09', 43], ['none', 57]);
  if (is('flow-sensor.drift'))
    return plant.flowOffset > 0
      ? oneOf(['W-09', 33], ['none', 58], ['P-03', 9])
      : oneOf(['R-04', 38], ['none', 55], ['P-03', 7]);
  if (is('buffer-sensor.out-of-pocket')) return oneOf(['none', 68], ['P-03', 20], ['R-04', 12]);
  if (is('immersion.relay-welded')) return oneOf(['W-11', 48], ['none', 52]);
  if (is('immersion.open', 'immersion.limit-tripped', 'immersion.relay-open'))
    return oneOf(['W-10', 39], ['none', 42], ['D-12', 19]);
  if (is('mode.off')) return oneOf(['none', 82], ['D-12', 18]);
  if (is('season.cold-damp')) return oneOf(['none', 88], ['R-06', 12]);
  return oneOf(['none', 97], ['P-03', 1], ['W-09', 1], ['D-12', 1]);
}
