import type { SensorCurve } from './curve';

/** A kind of sensor, as data: published curves and invented ones told apart. */
export interface SensorType {
  readonly id: string;
  readonly words: string;
  readonly curve: SensorCurve;
  readonly isPublished: boolean;
  readonly source: string;
  /** Where it is good for, in °C. */
  readonly range: readonly [least: number, most: number];
}

/** An invented outdoor sensor, as a maker's sheet might give it. */
const outdoorTable = [
  [-30, 171_700],
  [-20, 95_890],
  [-10, 55_050],
  [0, 32_560],
  [10, 19_870],
  [20, 12_490],
  [30, 8060],
  [40, 5330],
] as const;

export const sensorTypes: readonly SensorType[] = [
  {
    id: 'ntc-10k-3977',
    words: 'NTC 10 kΩ, B 3977',
    curve: { kind: 'beta', ohm25: 10_000, betaKelvin: 3977 },
    isPublished: true,
    source: 'law of beta; a common thermistor',
    range: [-40, 110],
  },
  {
    id: 'ntc-10k-3435',
    words: 'NTC 10 kΩ, B 3435',
    curve: { kind: 'beta', ohm25: 10_000, betaKelvin: 3435 },
    isPublished: true,
    source: 'law of beta; a common thermistor',
    range: [-40, 110],
  },
  {
    id: 'ntc-12k-3740',
    words: 'NTC 12 kΩ, B 3740',
    curve: { kind: 'beta', ohm25: 12_000, betaKelvin: 3740 },
    isPublished: true,
    source: 'law of beta; a common thermistor',
    range: [-40, 110],
  },
  {
    id: 'pt1000',
    words: 'Pt1000',
    curve: { kind: 'platinum', ohm0: 1000 },
    isPublished: true,
    source: 'IEC 60751',
    range: [-50, 200],
  },
  {
    id: 'pt100',
    words: 'Pt100',
    curve: { kind: 'platinum', ohm0: 100 },
    isPublished: true,
    source: 'IEC 60751',
    range: [-50, 200],
  },
  {
    id: 'table',
    words: 'Outdoor sensor, by its table',
    curve: { kind: 'table', points: outdoorTable },
    isPublished: false,
    source: 'invented for this application',
    range: [-30, 40],
  },
];

/** @throws RangeError for a type that there is not. */
export function sensorType(id: string): SensorType {
  const found = sensorTypes.find((each) => each.id === id);
  if (!found) throw new RangeError(`no sensor is of the type "${id}"`);
  return found;
}
