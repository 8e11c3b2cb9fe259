/**
 * Readings at the tap less the setpoint, in kelvin, with the setpoint low, in the middle and high, each once it stood.
 * Common practice: 35 to 36, 45 to 50 and 60 to 65 °C.
 */
export interface ThreePoints {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/**
 * What three points say together, which none says alone: `right`; `offset`, off by the same everywhere, so what the control
 * reads is off; `short`, the more is asked the more is missing, so heat or flow is; `least-output`, hot only at the lowest, so
 * the burner's least is too much for that draw; `uneven`, none of these.
 */
export type ThreePointVerdict =
  | { readonly kind: 'right' | 'short' | 'least-output' | 'uneven' }
  | { readonly kind: 'offset'; readonly kelvin: number };

/** Common practice: within 2 K each; and 1 K of the thermometer. */
const rightKelvin = 3;
/** Points that are this near agree: each is read to about 1.4 K, and a draw wanders. The larger the offset, the wider. */
const agreeKelvin = 4;
const agreeShare = 0.7;
/** One that stands out by this from both others is no wandering draw. */
const aloneKelvin = 2.5;

/**
 * @returns the verdict of all three together. Throws a `RangeError` for a number that is not finite.
 */
export function judgeThreePoints({ low, middle, high }: ThreePoints): ThreePointVerdict {
  const all = [low, middle, high];
  if (!all.every(Number.isFinite)) throw new RangeError('three points are three numbers');
  const isRight = (kelvin: number) => Math.abs(kelvin) <= rightKelvin;
  if (all.every(isRight)) return { kind: 'right' };
  if (low > rightKelvin && isRight(middle) && isRight(high)) {
    if (low - Math.max(middle, high) > aloneKelvin) return { kind: 'least-output' };
  }
  const mean = (low + middle + high) / 3;
  const apart = Math.max(...all) - Math.min(...all);
  const isOneSided = all.every((each) => Math.sign(each) === Math.sign(mean));
  if (
    isOneSided &&
    Math.abs(mean) > rightKelvin &&
    apart <= Math.max(agreeKelvin, agreeShare * Math.abs(mean))
  ) {
    return { kind: 'offset', kelvin: mean };
  }
  if (high < -rightKelvin && low - high > agreeKelvin && middle < low + 1 && high < middle + 1) {
    return { kind: 'short' };
  }
  return { kind: 'uneven' };
}
