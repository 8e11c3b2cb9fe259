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

/** A little of every value: nobody looks without ever being wrong; and what people say of a fault is looser than any table. */
const blurs = { look: 0.01, said: 0.12 } as const;

/** What a table says of a unit: with two faults, the row that is furthest from the usual one. */
export function rowOf<Plate extends FamilyPlate, S extends Standing>(
  { values, default: usual, faults }: OutcomeTable,
  seen: Seen<Plate, S>,
  kind: keyof typeof blurs = 'look',
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
  return blurred(row, values, kind);
}

export const blurred = (
  row: Shares,
  values: readonly string[],
  kind: keyof typeof blurs = 'look',
): Shares =>
  Object.fromEntries(
    values.map((value) => [
      value,
      (1 - blurs[kind]) * (row[value] ?? 0) + blurs[kind] / values.length,
    ]),
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

/** Draws that a display remembers: what happens now and then has left its code. Common practice. */
const rememberedDraws = 6;

/** Chance that a flame that may drop has dropped in one of the last draws. @param signals of the unit at a draw. */
export function hasDropped(signals: Readonly<Record<string, number>>): number {
  const drops = signals['stage.lights-and-drops']!;
  const lights = drops + signals['stage.burns']!;
  return lights > 0 ? 1 - (1 - drops / lights) ** rememberedDraws : 0;
}
