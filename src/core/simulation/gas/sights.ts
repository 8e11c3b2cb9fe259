import type { Random } from '../random';
import { gasNumbers as numbers } from './numbers';
import {
  burnerRate,
  canLight,
  flameMillivolt,
  holds,
  isCutoutOpen,
  leadMillivolt,
  millivoltsEnough,
  pilotShare,
  type GasUnit,
} from './unit';

/** What eyes, ears and hands find on a simulated gas heater: apart from what the diagnosis believes they would. */
export function look(
  check: string,
  unit: GasUnit,
  isReset: boolean,
  isLit: boolean,
  random: Random,
): string {
  const is = (...faults: string[]) => faults.some((each) => unit.faults.has(each));
  const tells = ([there, not]: readonly [number, number], so: boolean) =>
    random.chance(so ? there : not);
  const either = (
    so: boolean,
    yes: string,
    no: string,
    how: readonly [there: number, not: number] = numbers.seen,
  ) => (tells(how, so) ? yes : no);
  const oneOf = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  const air = unit.airWay * (1 - 0.3 * (1 - unit.roomAir));
  const rate = burnerRate(unit);
  const canRun =
    holds(unit, isReset) && !is('valve.never-opens') && millivoltsEnough(unit, isReset);
  switch (check) {
    case 'gas-smell-sniff':
    case 'leak-static':
    case 'leak-firing':
      return 'none';
    case 'gas-creep':
      return 'still';
    case 'other-gas-appliance':
      if (random.chance(0.45)) return 'no-other';
      return is('gas.off') && random.chance(0.5) ? 'none-works' : 'works';
    case 'gas-cock-look':
      if (is('gas.off') && random.chance(0.55)) return 'closed';
      return is('gas.inlet-low') && random.chance(0.25) ? 'part' : 'open';
    case 'other-outlet':
      return either(is('crossed-fixture'), 'hot-elsewhere', 'same-everywhere', numbers.hardlySeen);
    case 'dial-look':
      if (random.chance(0.05)) return oneOf(['usual', 1], ['low', 1], ['high', 1]);
      if (is('dial.pilot')) return 'pilot-or-off';
      return unit.dial < 45 ? 'low' : unit.dial > 60 ? 'high' : 'usual';
    case 'pilot-look':
      return either(isLit || unit.pilotFound === 'lit', 'lit', 'out', [0.98, 0.01]);
    case 'status-light':
      return light(unit, isReset, isLit, random);
    case 'floor-look':
      if (is('tank.leaks') && random.chance(0.85)) return 'damp-at-burner';
      if (is('condensation') && random.chance(0.55)) return 'damp-at-burner';
      if (is('fitting.weeps') && random.chance(0.8)) return 'damp-at-top-or-fitting';
      if (is('relief.drips') && random.chance(0.6)) return 'damp-at-top-or-fitting';
      return random.chance(0.95) ? 'dry' : 'damp-at-top-or-fitting';
    case 'relief-look':
      return is('relief.drips') && random.chance(0.8) ? oneOf(['drips', 4], ['runs', 1]) : 'dry';
    case 'dry-wipe-when-hot':
      return either(is('tank.leaks', 'fitting.weeps'), 'wet-again', 'stays-dry', [0.92, 0.06]);
    case 'filter-look':
      if (is('air.filter-blocked')) return oneOf(['blocked', 7], ['furred', 3]);
      if (is('air.arrestor-blocked')) return oneOf(['missing', 3], ['clean', 4], ['furred', 3]);
      return oneOf(['clean', 6.5], ['furred', 3.3], ['missing', 0.2]);
    case 'arrestor-look':
      return either(is('air.arrestor-blocked'), 'furred', 'clean', [0.88, 0.1]);
    case 'room-air-look':
      return either(is('air.room-starved'), 'starved', 'free', numbers.hardlySeen);
    case 'flue-look':
      return either(
        is('flue.blocked') || (is('draught.down') && random.chance(0.55)),
        'fault-seen',
        'sound',
        [0.75, 0.05],
      );
    case 'soot-look':
      return either(
        air < 0.55 || is('flue.blocked', 'burner.ports-dirty') || rate > 1.4,
        'soot-or-scorch',
        'clean',
        [0.55, 0.05],
      );
    case 'spark-look':
      return either(!unit.spark, 'none', 'spark', numbers.clearlySeen);
    case 'pilot-light-try':
      if (!canLight(unit)) return 'no-flame';
      return is('gas.air-in-line') ? 'lights-after-long' : 'lights';
    case 'pilot-flame-look':
      return pilotFlame(unit, air, random);
    case 'tip-look':
      return either(is('tip.low-in-bracket'), 'low-in-bracket', 'high-in-bracket', [0.85, 0.05]);
    case 'pilot-hold-try':
      return holds(unit, isReset) && canBurn(unit) ? 'holds' : 'drops';
    case 'cutout-reset-press':
      return either(unit.isTripped && !isReset, 'clicked', 'no-click', numbers.clearlySeen);
    case 'thermocouple-nut-feel':
      return either(is('joint.loose'), 'loose-or-dirty', 'tight', numbers.hardlySeen);
    case 'known-good-thermocouple': {
      const isValveBad =
        is('valve.magnet', 'valve.energy-cutoff-open') ||
        unit.isCutOff ||
        (unit.rollOut === 'own-leads' && isCutoutOpen(unit, isReset));
      return either(isValveBad, 'drops', 'holds', [0.95, 0.05]);
    }
    case 'burner-start':
      if (!canRun) return 'none';
      if (is('burner.late-ignition') && random.chance(0.8)) return 'late-with-thump';
      if (unit.working < 0.45 && random.chance(0.3)) return 'pilot-goes-out';
      return 'soft';
    case 'burner-flame-look':
      return burnerFlame(unit, air, rate, random);
    case 'dial-through-water':
      if (is('valve.never-shuts')) return 'never-off';
      return canRun ? 'on-and-off' : 'never-on';
    case 'pilot-with-doors-shut-fans-on':
      return either(
        random.chance(unit.gust) || is('air.room-starved'),
        'pulled',
        'steady',
        [0.8, 0.04],
      );
    case 'spillage-check':
      return random.chance(0.02 + 0.93 * unit.spill) ? 'spills' : 'draws';
    case 'orifice-marking-look':
      return either(is('gas.wrong-orifice'), 'wrong', 'right', [0.97, 0.01]);
    case 'assembly-out-look':
      return assembly(unit, random);
    case 'drain-look':
      if (is('sediment')) return oneOf(['grit', 7], ['chokes', 2.5], ['clear', 0.5]);
      return random.chance(0.85) ? 'clear' : 'grit';
    case 'noise-listen':
      return noise(unit, random);
    case 'cold-off-tap-check':
      return either(is('crossed-fixture'), 'runs-on', 'stops', [0.95, 0.02]);
    case 'use-look':
      return either(is('demand'), 'outsized', 'usual', [0.83, 0.08]);
    case 'dip-tube-look':
      return either(is('dip-tube.gone'), 'short-or-gone', 'whole', [0.97, 0.03]);
    case 'anode-look':
      return is('anode.spent') ? 'spent' : oneOf(['sound', 5], ['worn', 4], ['spent', 1]);
    case 'pair-pipe-look':
      if (is('pair.valve-shut') && random.chance(0.88)) return 'one-valve-shut';
      return either(is('pair.unequal-runs'), 'unequal-runs', 'equal-runs', [0.84, 0.07]);
    case 'pilot-after-a-day':
      return holds(unit, isReset) && random.chance(0.95) ? 'lit' : 'out';
    default:
      throw new RangeError(`nobody looks at "${check}"`);
  }
}

const canBurn = (unit: GasUnit) => flameMillivolt(unit) > 0;

function pilotFlame(unit: GasUnit, air: number, random: Random): string {
  if (random.chance(0.05)) return 'wraps-upper-third';
  if (pilotShare(unit) < 0.6) return 'small';
  if (air < 0.6) return 'yellow-soft';
  if (unit.wrap < 0.64 && random.chance(0.87)) return 'misses-tip';
  return random.chance(0.5 * unit.gust) ? 'blown-about' : 'wraps-upper-third';
}

function burnerFlame(unit: GasUnit, air: number, rate: number, random: Random): string {
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  if (unit.faults.has('flue.blocked'))
    return pick(['rolls-out', 4], ['yellow-soot', 3], ['blue-even', 3]);
  if (air < 0.58 || rate > 1.4) return pick(['yellow-soot', 8], ['lifting', 1], ['blue-even', 1]);
  if (unit.faults.has('burner.ports-dirty'))
    return pick(['weak-or-patchy', 6], ['yellow-soot', 2], ['blue-even', 2]);
  if (rate < 0.8) return pick(['weak-or-patchy', 6], ['blue-even', 4]);
  if (rate > 1.15) return pick(['lifting', 4], ['blue-even', 4], ['yellow-soot', 2]);
  return pick(['blue-even', 19], ['weak-or-patchy', 1]);
}

function light(unit: GasUnit, isReset: boolean, isLit: boolean, random: Random): string {
  const volt = leadMillivolt(unit, { isLoaded: true, isReset });
  const burns = isLit ? canBurn(unit) : unit.pilotFound === 'lit';
  const is = (fault: string) => unit.faults.has(fault);
  if (!burns || is('valve.electronics') || volt < 90) return 'dark';
  if (is('valve.never-opens')) return random.chance(0.6) ? 'sll' : 's1';
  if (is('valve.never-shuts')) return random.chance(0.65) ? 'lss' : 'ssl';
  if (is('valve.reads-low')) return random.chance(0.4) ? 'll' : 's4';
  if (volt < 200) return 'l3';
  if (volt < 280) return 'sl';
  if (unit.spill > 0.3 || unit.airWay < 0.6)
    return random.pick([
      ['ls', 4],
      ['s1', 4],
      ['s4', 2],
    ]);
  return unit.tankCelsius < unit.dial - 3 ? 's1' : 's4';
}

function assembly(unit: GasUnit, random: Random): string {
  const is = (...faults: string[]) => faults.some((each) => unit.faults.has(each));
  if (random.chance(0.12)) return 'sound';
  if (is('tip.low-in-bracket')) return 'tip-low';
  if (is('pilot.orifice-dirty', 'pilot.flame-deflected')) return 'orifice-or-hood-dirty';
  if (is('air.arrestor-blocked')) return 'screen-furred';
  if (is('burner.ports-dirty', 'burner.orifice-blocked', 'burner.late-ignition')) {
    return 'ports-rusted-or-linty';
  }
  return is('thermocouple.worn') && random.chance(0.65) ? 'tip-worn' : 'sound';
}

function noise(unit: GasUnit, random: Random): string {
  const heard: readonly (readonly [string, string, number])[] = [
    ['sediment', 'rumble-pop', 0.75],
    ['flue-drips', 'hiss', 0.9],
    ['thermal-ticks', 'tick', 0.9],
    ['nipple.restrictor-sings', 'whistle', 0.9],
    ['burner.late-ignition', 'boom-at-start', 0.85],
  ];
  const found = heard.find(([fault]) => unit.faults.has(fault));
  if (found && random.chance(found[2])) return found[1];
  return random.chance(0.93) ? 'none' : 'tick';
}
