import { expectedOhm } from './judge';
import type { SensorType } from './types';

/** A line of a sensor's table: what is right at a temperature. */
export interface SensorLine {
  readonly celsius: number;
  readonly ohm: number;
  readonly from: number;
  readonly to: number;
}

/**
 * The table of a sensor within its range.
 * @param stepKelvin between two lines. @throws RangeError for a step that is not above nought.
 */
export function sensorLines({ curve, range }: SensorType, stepKelvin: number): SensorLine[] {
  if (!(stepKelvin > 0)) throw new RangeError('a table goes up by steps above nought');
  const [least, most] = range;
  const first = Math.ceil(least / stepKelvin) * stepKelvin;
  const count = Math.floor((most - first) / stepKelvin) + 1;
  return Array.from({ length: count }, (_, k) => {
    const celsius = first + k * stepKelvin;
    return { celsius, ...expectedOhm(curve, celsius) };
  });
}
