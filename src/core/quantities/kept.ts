import type { Quantity } from './units';

/**
 * How a reading of each quantity stands in a job file, and what a hand instrument on a domestic heater can show of it:
 * the one table for reading files, parsing what is typed, evidence and screens. Reaches are common practice.
 */
export interface KeptQuantity {
  /** Key of the value in a job file; the unit is in its name. */
  readonly key: string;
  /** Least and most, in the kept unit. */
  readonly reach: readonly [least: number, most: number];
  /** Whether an instrument may show over range instead of a number. */
  readonly goesOver: boolean;
}

const kept = <Key extends string>(key: Key, least: number, most: number, goesOver = false) => ({
  key,
  reach: [least, most] as const,
  goesOver,
});

export const keptQuantities = {
  resistance: kept('ohm', 0, 2e8, true),
  'voltage-ac': kept('volt', 0, 1000),
  'current-ac': kept('ampere', 0, 400),
  power: kept('watt', 1, 100_000),
  temperature: kept('celsius', -40, 150),
  'temperature-difference': kept('kelvin', -150, 150),
  volume: kept('litre', 1, 5000),
  flow: kept('litrePerMinute', 0, 200),
  pressure: kept('pascal', 0, 2e6),
} as const satisfies Record<Quantity, KeptQuantity>;

export type ValueKey = (typeof keptQuantities)[Quantity]['key'];

/** The key of a quantity's value in a job file. */
export const keyOfQuantity = <Q extends Quantity>(quantity: Q): (typeof keptQuantities)[Q]['key'] =>
  keptQuantities[quantity].key;

/** The number that a stored value gives for a quantity; undefined where it is in another unit, or over range. */
export const numberOf = (
  value: Readonly<Partial<Record<ValueKey, number>>> | undefined,
  quantity: Quantity,
): number | undefined => value?.[keptQuantities[quantity].key];

/** Whether the number is one that a hand instrument can show. */
export const isInReach = (kept: number, quantity: Quantity): boolean => {
  const [least, most] = keptQuantities[quantity].reach;
  return kept >= least && kept <= most;
};
