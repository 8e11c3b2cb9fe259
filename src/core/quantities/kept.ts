import { quantityTable, type Quantity } from './quantity-table';

export type ValueKey = (typeof quantityTable)[Quantity]['key'];

/** The key of a quantity's value in a job file. */
export const keyOfQuantity = <Q extends Quantity>(quantity: Q): (typeof quantityTable)[Q]['key'] =>
  quantityTable[quantity].key;

/** The number that a stored value gives for a quantity; undefined where it is in another unit, or over range. */
export const numberOf = (
  value: Readonly<Partial<Record<ValueKey, number>>> | undefined,
  quantity: Quantity,
): number | undefined => value?.[quantityTable[quantity].key];

/** Whether the number is one that a hand instrument can show. */
export const isInReach = (kept: number, quantity: Quantity): boolean => {
  const [least, most] = quantityTable[quantity].reach;
  return kept >= least && kept <= most;
};
