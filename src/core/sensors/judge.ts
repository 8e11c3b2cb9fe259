import { celsiusAt, ohmAt, type SensorCurve } from './curve';
import { sensorTypes, type SensorType } from './types';

/** Beside a thermometer on the pipe a sensor is right within this. Common practice. */
export const rightKelvin = 4;
/** A thermistor above is open, and any sensor below is short. Common practice. */
const openOhm = { beta: 200_000, table: 400_000, platinum: 3 } as const;
const shortOhm = { beta: 100, table: 100, platinum: 0.6 } as const;

export type SensorVerdict =
  | { readonly kind: 'open' }
  | { readonly kind: 'short' }
  | {
      readonly kind: 'right' | 'drifted';
      /** What the control reads less the truth. */
      readonly kelvin: number;
      /** Another kind of sensor whose ohms these are. */
      readonly fits?: SensorType;
    };

const isOpen = (curve: SensorCurve, ohm: number) =>
  ohm > (curve.kind === 'platinum' ? openOhm.platinum * curve.ohm0 : openOhm[curve.kind]);
const isShort = (curve: SensorCurve, ohm: number) =>
  ohm < (curve.kind === 'platinum' ? shortOhm.platinum * curve.ohm0 : shortOhm[curve.kind]);

/** Ohms that are right at a temperature: the middle, and the band of a thermometer beside it. */
export function expectedOhm(
  curve: SensorCurve,
  celsius: number,
): { readonly ohm: number; readonly from: number; readonly to: number } {
  const ends = [ohmAt(curve, celsius - rightKelvin), ohmAt(curve, celsius + rightKelvin)];
  return { ohm: ohmAt(curve, celsius), from: Math.min(...ends), to: Math.max(...ends) };
}

/**
 * What a sensor is by its ohms and the temperature beside it.
 * @param ohm Infinity where the meter was over range.
 * @throws RangeError for ohms below nought.
 */
export function judgeSensor(type: SensorType, ohm: number, celsius: number): SensorVerdict {
  const { curve } = type;
  if (!(ohm >= 0)) throw new RangeError('ohms stand at nought or above');
  if (isOpen(curve, ohm)) return { kind: 'open' };
  if (isShort(curve, ohm)) return { kind: 'short' };
  const kelvin = celsiusAt(curve, ohm) - celsius;
  if (Math.abs(kelvin) <= rightKelvin) return { kind: 'right', kelvin };
  const fits = sensorTypes.find(
    (other) =>
      other.id !== type.id &&
      other.isPublished &&
      !isOpen(other.curve, ohm) &&
      !isShort(other.curve, ohm) &&
      Math.abs(celsiusAt(other.curve, ohm) - celsius) <= rightKelvin / 2,
  );
  return { kind: 'drifted', kelvin, ...(fits ? { fits } : {}) };
}

/** Ohms and the true temperature, once. */
export interface SensorPoint {
  readonly ohm: number;
  readonly celsius: number;
}

/** How far a sensor is off at two temperatures. */
export interface TwoPointDrift {
  /** In the middle of the two. */
  readonly kelvin: number;
  readonly kelvinPerKelvin: number;
  /** Off by the same at both. */
  readonly isConstant: boolean;
}

/**
 * What two temperatures say that one does not: off by the same at both, which is a sensor that drifted, or by more where it is
 * hotter, which is another curve.
 * @throws RangeError where the two are too near to tell.
 */
export function driftOfTwo(
  curve: SensorCurve,
  one: SensorPoint,
  other: SensorPoint,
): TwoPointDrift {
  const apart = other.celsius - one.celsius;
  if (!(Math.abs(apart) >= leastApartKelvin)) {
    throw new RangeError(`two temperatures stand ${leastApartKelvin} K apart at least`);
  }
  const [first, second] = [one, other].map((each) => celsiusAt(curve, each.ohm) - each.celsius);
  const slope = (second! - first!) / apart;
  return {
    kelvin: (first! + second!) / 2,
    kelvinPerKelvin: slope,
    isConstant: Math.abs(second! - first!) <= rightKelvin,
  };
}
export const leastApartKelvin = 15;
