import { fromKept, shownUnit, unitOf, type Quantity, type Unit, type UnitSystem } from './units';

export interface ShownValue {
  /** Digits only, with a decimal point; a true minus sign where negative. */
  readonly number: string;
  readonly symbol: string;
}

/**
 * How a kept value is written for a reader: the unit of their system, rounded to what a hand instrument can tell.
 * Resistance moves to kΩ and MΩ by itself, direct millivolts to volts; 0.1 Ω steps below 100.
 * @param asked the unit of the check, where it has one of its own.
 */
export function showValue(
  kept: number,
  quantity: Quantity,
  system: UnitSystem,
  asked?: string,
): ShownValue {
  const unit = asked === undefined ? scaledUnit(kept, quantity, system) : unitOf(asked, quantity);
  const value = fromKept(kept, unit);
  return {
    number: digits(value, decimalsFor(value, unit)),
    symbol: unit.symbol === '°F diff' ? '°F' : unit.symbol,
  };
}

/** The same as one piece of text: `12.8 Ω`. */
export function valueText(
  kept: number,
  quantity: Quantity,
  system: UnitSystem,
  asked?: string,
): string {
  const shown = showValue(kept, quantity, system, asked);
  return `${shown.number} ${shown.symbol}`;
}

/** The units that a quantity moves through by itself, each up to what it would show with four digits. */
const scales: Readonly<Partial<Record<Quantity, readonly string[]>>> = {
  resistance: ['Ω', 'kΩ', 'MΩ'],
  'voltage-dc': ['mV', 'V'],
};

function scaledUnit(kept: number, quantity: Quantity, system: UnitSystem): Unit {
  const scale = scales[quantity]?.map((symbol) => unitOf(symbol, quantity));
  if (!scale) return shownUnit(quantity, system);
  const fits = (unit: Unit) => {
    const value = Math.abs(fromKept(kept, unit));
    return rounded(value, decimalsFor(value, unit)) < 1000;
  };
  return scale.find(fits) ?? scale.at(-1)!;
}

const decimalsBySymbol: Readonly<Record<string, number>> = {
  A: 1,
  mA: 0,
  W: 0,
  'BTU/h': 0,
  '°C': 0,
  '°F': 0,
  L: 0,
  gal: 0,
  ppm: 0,
  Pa: 0,
  s: 0,
  mm: 0,
  '×': 0,
};

/** By what the value is rounded to, so that what is shown is shown the same again. */
function decimalsFor(value: number, unit: Unit): number {
  const isShownBelow = (limit: number, decimals: number) =>
    rounded(Math.abs(value), decimals) < limit;
  if (unit.quantity === 'resistance' && unit.symbol !== 'Ω')
    return isShownBelow(10, 2) ? 2 : isShownBelow(100, 1) ? 1 : 0;
  if (unit.quantity === 'voltage-ac' && unit.symbol === 'V') return 0;
  if (unit.symbol === 'in wc' || unit.symbol === 'm³/h') return isShownBelow(100, 2) ? 2 : 0;
  if (unit.symbol === 'CO/CO₂') return 4;
  if (unit.symbol === 'K/s' || unit.symbol === '°F/s') return 2;
  const fixed = decimalsBySymbol[unit.symbol];
  if (fixed !== undefined) return fixed;
  return isShownBelow(100, 1) ? 1 : 0;
}

const rounded = (value: number, decimals: number): number => Number(value.toFixed(decimals));

function digits(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? (0).toFixed(decimals) : text.replace('-', '−');
}
