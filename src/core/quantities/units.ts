import { quantities, quantityTable, type Quantity, type UnitRow } from './quantity-table';

export { quantities, type Quantity };

/**
 * Inside Ohmmeter every value is in the unit of the job file: ohm, volt, ampere, watt, litre, litre per minute, pascal,
 * degree Celsius for temperatures and kelvin for differences. Here it is turned into the units of a reader and back.
 */
export type UnitSystem = 'metric' | 'us';

export interface Unit {
  readonly symbol: string;
  readonly quantity: Quantity;
  /** Value in the kept unit = value × factor + offset. */
  readonly factor: number;
  readonly offset: number;
  /** Spellings a person may type, compared after case folding. */
  readonly spellings: readonly string[];
}

const rowsOf = (quantity: Quantity): readonly UnitRow[] => quantityTable[quantity].units;

export const units: readonly Unit[] = quantities.flatMap((quantity) =>
  rowsOf(quantity).map(({ symbol, factor, offset = 0, spellings = [] }) => ({
    symbol,
    quantity,
    factor,
    offset,
    spellings: [symbol, ...spellings],
  })),
);

/**
 * Looks up a unit by the symbol it is shown with; of a quantity, where several are written alike.
 * @throws RangeError for a symbol that is no unit of Ohmmeter.
 */
export function unitOf(symbol: string, quantity?: Quantity): Unit {
  const found = units.find(
    (each) => each.symbol === symbol && (quantity === undefined || each.quantity === quantity),
  );
  if (!found) throw new RangeError(`no unit is written "${symbol}"`);
  return found;
}

/** The unit a bare number is taken to be in, and a value is shown in, for a reader of that system. */
export const shownUnit = (quantity: Quantity, system: UnitSystem): Unit =>
  unitOf(quantityTable[quantity].shown[system], quantity);

/** Converts a value in the given unit to the unit that Ohmmeter keeps for its quantity. */
export function toKept(value: number, from: Unit): number {
  return value * from.factor + from.offset;
}

/** Converts a kept value to the given unit. */
export function fromKept(kept: number, to: Unit): number {
  return (kept - to.offset) / to.factor;
}
