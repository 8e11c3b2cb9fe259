import type { FamilyPlate } from '../../appliance-family';
import type { Seen, Shares, Standing } from './declaration';

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
  table: OutcomeTable,
  seen: Seen<Plate, S>,
  kind: keyof typeof blurs = 'look',
): Shares {
  const { furthestFirst, usual } = blurredRows(table, kind);
  return furthestFirst.find(([fault]) => seen.has(fault))?.[1] ?? usual;
}

interface BlurredRows {
  readonly furthestFirst: readonly (readonly [fault: string, row: Shares])[];
  readonly usual: Shares;
}

const blurredTables = {
  look: new WeakMap<OutcomeTable, BlurredRows>(),
  said: new WeakMap<OutcomeTable, BlurredRows>(),
};

/** A table's rows, blurred once: thousands of units ask for the same few. */
function blurredRows(table: OutcomeTable, kind: keyof typeof blurs): BlurredRows {
  const known = blurredTables[kind].get(table);
  if (known) return known;
  const { values, default: usual, faults } = table;
  const made: BlurredRows = {
    furthestFirst: Object.entries(faults)
      .map(([fault, row]) => ({ fault, row, far: distance(row, usual, values) }))
      .sort((one, other) => other.far - one.far)
      .map(({ fault, row }) => [fault, blurred(row, values, kind)]),
    usual: blurred(usual, values, kind),
  };
  blurredTables[kind].set(table, made);
  return made;
}

export function blurred(
  row: Shares,
  values: readonly string[],
  kind: keyof typeof blurs = 'look',
): Shares {
  const blur = blurs[kind];
  const shares: Record<string, number> = {};
  for (const value of values) shares[value] = (1 - blur) * (row[value] ?? 0) + blur / values.length;
  return shares;
}

/** One row with a chance, another with the rest. */
export function mixed(chance: number, yes: Shares, no: Shares): Shares {
  if (chance === 1) return yes;
  if (chance === 0) return no;
  const shares: Record<string, number> = {};
  for (const value in yes) shares[value] = chance * yes[value]! + (1 - chance) * (no[value] ?? 0);
  for (const value in no) shares[value] ??= (1 - chance) * no[value]!;
  return shares;
}

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
