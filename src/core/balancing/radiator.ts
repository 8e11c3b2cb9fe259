import type { BalancingEntry } from '../job-file';

/**
 * A radiator that its water crosses without mixing. EN 442: output goes with the 1.3rd power of the excess over the room.
 */

/** Exponent of a panel radiator. EN 442; 1.2 to 1.4 in use. */
const exponent = 1.3;
const less = exponent - 1;
/** Heat of a cubic metre of water an hour, in kW per kelvin. */
export const kilowattPerKelvin = 1.163;

/**
 * What a radiator is worth, in kW by the exponent of excess: rated output is at 75 °C in, 65 °C out, 20 °C in the room.
 * @param ratedWatt By its plate or its size, W.
 */
export function strengthOf(ratedWatt: number): number {
  return (((45 ** -less - 55 ** -less) / less) * ratedWatt) / 1000 / 10;
}

/**
 * Excess of the water over the room where it leaves, K.
 * @param excessIn Where it enters, K; nought or less gives nothing to give.
 * @param cubicMetrePerHour What flows.
 */
export function excessOut(excessIn: number, cubicMetrePerHour: number, strength: number): number {
  if (excessIn <= 0) return excessIn;
  if (cubicMetrePerHour <= 0) return 0;
  const given = (less * strength) / (kilowattPerKelvin * cubicMetrePerHour);
  return (excessIn ** -less + given) ** (-1 / less);
}

/** How the excess where it leaves moves with that where it enters, with the flow (a cubic metre an hour) and with its strength. */
export function excessOutSlopes(
  excessIn: number,
  cubicMetrePerHour: number,
  strength: number,
): { readonly byIn: number; readonly byFlow: number; readonly byStrength: number } {
  if (excessIn <= 0 || cubicMetrePerHour <= 0) return { byIn: 1, byFlow: 0, byStrength: 0 };
  const perFlow = strength / (kilowattPerKelvin * cubicMetrePerHour);
  const inner = (excessIn ** -less + less * perFlow) ** (-1 / less - 1);
  return {
    byIn: inner * excessIn ** (-less - 1),
    byFlow: (inner * perFlow) / cubicMetrePerHour,
    byStrength: (-inner * perFlow) / strength,
  };
}

/** What it gives off, W. */
export function outputWatt(excessIn: number, cubicMetrePerHour: number, strength: number): number {
  const out = excessOut(excessIn, cubicMetrePerHour, strength);
  return 1000 * kilowattPerKelvin * cubicMetrePerHour * (excessIn - out);
}

/** Panels and fins of a panel radiator: the first digit counts panels, the second rows of fins. Common practice. */
export type RadiatorKind = NonNullable<BalancingEntry['radiatorKind']>;

/** Rated watts of a square metre of front at 600 mm height, 75/65/20 °C. Common practice: makers differ by a tenth. */
const wattPerSquareMetre: Readonly<Record<RadiatorKind, number>> = {
  '10': 1000,
  '11': 1640,
  '21': 2180,
  '22': 2840,
  '33': 3980,
  column: 2300,
  towel: 900,
};
const usualHeightMetre = 0.6;

/** Kinds, from the thinnest. */
export const radiatorKinds = Object.keys(wattPerSquareMetre) as RadiatorKind[];

/**
 * Rated output by size and kind, where no plate or table says it, W: low ones give more by the square metre than high ones.
 * Within about a tenth; a fit corrects it.
 */
export function ratedBySize(kind: RadiatorKind, heightMetre: number, widthMetre: number): number {
  const byHeight = (usualHeightMetre / heightMetre) ** 0.13;
  return wattPerSquareMetre[kind] * heightMetre * widthMetre * byHeight;
}
