import { showValue, type UnitSystem } from '@/core/quantities';

/** A difference is no temperature: 5 K are 9 °F. */
export function kelvinWords(kelvin: number, system: UnitSystem): string {
  const { number, symbol } = showValue(kelvin, 'temperature-difference', system);
  return `${number} ${symbol}`;
}
