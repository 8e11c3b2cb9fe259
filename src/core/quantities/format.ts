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

function scaledUnit(kept: number, quantity: Quantity, system: UnitSystem): Unit {
  if (quantity === 'resistance') {
    if (Math.abs(kept) >= 999.5e3) return unitOf('MΩ', quantity);
    if (Math.abs(kept) >= 999.5) return unitOf('kΩ', quantity);
  }
  if (quantity === 'voltage-dc' && Math.abs(kept) >= 0.9995) return unitOf('V', quantity);
  return shownUnit(quantity, system);
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
  const magnitude = Math.abs(value);
  if (unit.quantity === 'resistance' && unit.symbol !== 'Ω')
    return magnitude < 9.995 ? 2 : magnitude < 99.95 ? 1 : 0;
  if (unit.quantity === 'voltage-ac' && unit.symbol === 'V') return 0;
  if (unit.symbol === 'in wc' || unit.symbol === 'm³/h') return magnitude < 99.95 ? 2 : 0;
  if (unit.symbol === 'CO/CO₂') return 4;
  if (unit.symbol === 'K/s' || unit.symbol === '°F/s') return 2;
  const fixed = decimalsBySymbol[unit.symbol];
  if (fixed !== undefined) return fixed;
  return magnitude < 99.95 ? 1 : 0;
}

function digits(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? (0).toFixed(decimals) : text.replace('-', '−');
}
