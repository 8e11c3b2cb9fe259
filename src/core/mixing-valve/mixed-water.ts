import { hotShare } from '../thermal';

/** A thermostatic mixing valve as it stands: what it holds, and how much of the hot side it can let in at most. */
export interface ValveState {
  readonly setCelsius: number;
  /** Below one: a little cold always bleeds in; far below it, its hot side is blocked. */
  readonly mostHotShare: number;
}

/** Fully open, a little cold still bleeds in. Common practice. */
export const usualMostHotShare = 0.97;

/** What leaves the valve, °C: what it holds, or as hot as its hot side lets it be. */
export const mixedFrom = (
  { setCelsius, mostHotShare }: ValveState,
  hotCelsius: number,
  coldCelsius: number,
): number => Math.min(setCelsius, coldCelsius + mostHotShare * (hotCelsius - coldCelsius));

/** Of a stored volume, how much is drawn before its mixed layer reaches the outlet. Common practice. */
const drawnShare = 0.9;

/** Litres at the outlet out of a full tank, at what the outlet gives. */
export function litresAtOutlet(
  tankLitre: number,
  hotCelsius: number,
  coldCelsius: number,
  outletCelsius: number,
): number {
  const share = hotShare(
    hotCelsius,
    coldCelsius,
    Math.min(Math.max(outletCelsius, coldCelsius), hotCelsius),
  );
  return share > 0 ? (drawnShare * tankLitre) / share : Infinity;
}

/** What a valve needs between hot and mixed for its fail-safe to shut on lost cold water, K. From memory: EN 1111 tests it at 15. */
export const failSafeKelvin = 10;

/** Stored water is made this hot once in a while, °C. Common practice. */
export const disinfectionCelsius = 60;
