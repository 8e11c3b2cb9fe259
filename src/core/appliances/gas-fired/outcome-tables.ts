import type { FamilyPlate } from '../appliance-family';
import type { Seen, Shares, Standing } from '../kit/signal/declaration';

/** How likely each value is under a fault; a fault that is not named has the usual row. Common practice. */
export interface OutcomeTable {
  readonly values: readonly string[];
  readonly default: Shares;
  readonly faults: Readonly<Record<string, Shares>>;
}

export type OutcomeTables = Readonly<Record<string, OutcomeTable>>;

/** How far a row lies from the usual one. */
const distance = (one: Shares, other: Shares, values: readonly string[]): number =>
  values.reduce((sum, value) => sum + Math.abs((one[value] ?? 0) - (other[value] ?? 0)), 0);

/** A little of every value: nobody looks without ever being wrong. */
const blur = 0.01;

/** What a table says of a unit: with two faults, the row that is furthest from the usual one. */
export function rowOf<Plate extends FamilyPlate, S extends Standing>(
  { values, default: usual, faults }: OutcomeTable,
  seen: Seen<Plate, S>,
): Shares {
  let row = usual;
  let most = -1;
  for (const [fault, own] of Object.entries(faults)) {
    if (!seen.has(fault)) continue;
    const far = distance(own, usual, values);
    if (far > most) {
      most = far;
      row = own;
    }
  }
  return blurred(row, values);
}

export const blurred = (row: Shares, values: readonly string[]): Shares =>
  Object.fromEntries(
    values.map((value) => [value, (1 - blur) * (row[value] ?? 0) + blur / values.length]),
  );

/** One row with a chance, another with the rest. */
export const mixed = (chance: number, yes: Shares, no: Shares): Shares =>
  Object.fromEntries(
    [...new Set([...Object.keys(yes), ...Object.keys(no)])].map((value) => [
      value,
      chance * (yes[value] ?? 0) + (1 - chance) * (no[value] ?? 0),
    ]),
  );

/** Of a step that is no step: how likely a value is above a limit, where it differs by so much from unit to unit. */
export const above = (value: number, limit: number, spread: number): number =>
  1 / (1 + Math.exp((-1.7 * (value - limit)) / spread));

/** The same for what differs by a share. */
export const aboveByShare = (value: number, limit: number, logSpread: number): number =>
  value <= 0 ? 0 : above(Math.log(value), Math.log(limit), logSpread);
