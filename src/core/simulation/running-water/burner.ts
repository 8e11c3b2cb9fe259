import type { Random } from '../random';
import { waterNumbers as numbers, type Range } from './numbers';

/** Fan, air, spark, gas and flame of a simulated unit, by its own rules. */
export interface SimulatedBurner {
  readonly has: (fault: string) => boolean;
  readonly staticPascal: number;
  /** At full fire. */
  readonly runningPascal: number;
  readonly neededPascal: number;
  readonly microampere: number;
  /** Heat against the plate's, beside what its gas pressure leaves of it. */
  readonly strength: number;
  readonly nozzle: number;
  readonly excessAir: number;
  readonly coRatio: number;
  readonly fanPercent: number;
  readonly airShare: number;
}

export interface BurnerKinds {
  readonly gasOff: string;
  readonly gasValve: string;
  readonly flameRod: string;
}

/** Drawn with what its faults do to it. */
export function drawBurner(
  has: (fault: string) => boolean,
  kinds: BurnerKinds,
  given: { readonly isBoiler: boolean; readonly excessAir: Range; readonly coRatio: Range },
  random: Random,
): SimulatedBurner {
  const between = ([least, most]: Range) => random.between({ least, most });
  const staticPascal = has(kinds.gasOff)
    ? 0
    : between(given.isBoiler ? numbers.gasStaticBoiler : numbers.gasStatic);
  const sag = has('gas.low-under-load') ? between([0.48, 0.9]) : between(numbers.gasSag);
  const usualAir = between(given.excessAir);
  const usualCo = between(given.coRatio);
  const misset = has('gas-valve.mis-set') ? (random.chance(0.7) ? 'low' : 'high') : undefined;
  const wrong = has('parameters.wrong') ? (random.chance(0.5) ? 'low' : 'rich') : undefined;
  const ratio = has('combustion.off') ? (random.chance(0.5) ? 'rich' : 'lean') : undefined;
  const excessAir =
    misset === 'low' || wrong === 'low'
      ? usualAir * between([1.12, 1.32])
      : misset === 'high' || wrong === 'rich'
        ? usualAir * between([0.76, 0.86])
        : ratio === 'rich'
          ? between([1.02, 1.12])
          : ratio === 'lean'
            ? between([1.48, 1.75])
            : has('flue.blocked')
              ? usualAir * between([0.72, 0.9])
              : has('flue.recirculating')
                ? usualAir * between([0.74, 0.86])
                : has('burner.dirty')
                  ? usualAir * between([0.84, 0.97])
                  : usualAir;
  const makesCo =
    has('burner.dirty') || has('flue.blocked') || has('flue.recirculating') || ratio === 'rich';
  const someCo = misset === 'high' || wrong !== undefined || ratio === 'lean';
  return {
    has,
    staticPascal,
    runningPascal: staticPascal * (1 - sag),
    neededPascal: given.isBoiler ? 1450 : 1220,
    microampere: has(kinds.flameRod)
      ? between([0.2, 1.25])
      : between(numbers.flameMicroampere) * (has('earth.poor') ? between([0.05, 0.28]) : 1),
    strength:
      misset === 'low' || wrong === 'low'
        ? between([0.55, 0.75])
        : has('burner.dirty')
          ? between([0.38, 0.82])
          : ratio === 'lean'
            ? between([0.7, 0.85])
            : 1,
    nozzle:
      misset === 'low'
        ? between([0.34, 0.55])
        : misset === 'high'
          ? between([1.35, 1.6])
          : between([0.93, 1.07]),
    excessAir,
    coRatio: makesCo ? between([0.004, 0.014]) : someCo ? between([0.0022, 0.0075]) : usualCo,
    fanPercent: has('fan.failed') ? between([0, 55]) : 100,
    airShare: has('flue.blocked') ? between([0.1, 0.72]) : 1,
  };
}

export type Ends =
  | 'dark'
  | 'standby'
  | 'nothing'
  | 'locked'
  | 'fan-fails'
  | 'sparks-no-flame'
  | 'lights-and-drops'
  | 'burns';

/** Where a call for heat ends. @param isBarred something else keeps it from trying. */
export function endOf(
  burner: SimulatedBurner,
  kinds: BurnerKinds,
  call: { readonly isAsked: boolean; readonly isStandby: boolean; readonly isBarred: boolean },
): Ends {
  const { has } = burner;
  if (has('supply.off') || has('fuse.open')) return 'dark';
  if (has('control.dead')) return 'nothing';
  if (call.isStandby) return 'standby';
  if (!call.isAsked) return 'nothing';
  if (call.isBarred || has('limit.open') || has('condensate.blocked')) return 'locked';
  if (burner.fanPercent < 60 || has('air-switch.fault') || burner.airShare < 0.48)
    return 'fan-fails';
  if (has('igniter.worn') || has(kinds.gasValve) || burner.staticPascal < 250) {
    return 'sparks-no-flame';
  }
  if (burner.microampere < 0.72 || burner.runningPascal < 290 || burner.strength < 0.42) {
    return 'lights-and-drops';
  }
  return 'burns';
}

/** Heat that it gives at its most, against its plate. */
export const fullShare = ({ runningPascal, neededPascal, strength }: SimulatedBurner): number =>
  Math.min(1, Math.sqrt(runningPascal / neededPascal)) * strength;

/** Carbon dioxide in dry flue gas, percent: 11.7 without excess air (common practice). */
export const carbonDioxide = ({ excessAir }: SimulatedBurner): number =>
  11.7 / (1 + (excessAir - 1) * 1.1);
