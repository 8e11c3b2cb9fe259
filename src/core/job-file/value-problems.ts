import { isInReach, quantityTable, type Quantity } from '../quantities';
import type { Measured, Value } from './generated/job-types';
import { pointerPart, type JobFileProblem } from './problem';

/**
 * Whether a value is one number in the unit of its quantity, or over range where that quantity has it. Two units in one
 * value are two readings, and none of them is taken.
 */
export function valueProblems(
  value: Value,
  quantity: Quantity | undefined,
  pointer: string,
): JobFileProblem[] {
  const { basis: _, above, overRange, ...units } = value;
  if (overRange) {
    if (quantity !== undefined && !quantityTable[quantity].goesOver) {
      return [{ pointer, message: `A reading in ${keyOf(quantity)} has no over range here.` }];
    }
    return above === undefined ? [] : unitProblems(above, quantity, `${pointer}/above`);
  }
  return unitProblems(units, quantity, pointer);
}

/** The same for a plain number with its unit. */
export function unitProblems(
  value: Measured,
  quantity: Quantity | undefined,
  pointer: string,
): JobFileProblem[] {
  const keys = Object.keys(value) as (keyof Measured)[];
  if (keys.length !== 1) {
    return [
      {
        pointer,
        message: `A value is one number in one unit; here are ${keys.length === 0 ? 'none' : keys.join(' and ')}.`,
      },
    ];
  }
  if (quantity === undefined) return [];
  const wanted = quantityTable[quantity];
  const number = value[wanted.key];
  if (number === undefined) {
    return [{ pointer, message: `This reading is in "${wanted.key}", not in "${keys[0]!}".` }];
  }
  const [least, most] = wanted.reach;
  return isInReach(number, quantity)
    ? []
    : [
        {
          pointer: `${pointer}/${pointerPart(wanted.key)}`,
          message: `${number} ${wanted.key} is outside what an instrument shows here (${least} to ${most}).${wanted.goesOver ? ' Over range is {"overRange": true}.' : ''}`,
        },
      ];
}

const keyOf = (quantity: Quantity) => `"${quantityTable[quantity].key}"`;
