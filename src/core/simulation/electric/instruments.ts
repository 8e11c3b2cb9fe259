import { simulationNumbers } from './numbers';
import type { Random } from '../random';

const { meter } = simulationNumbers;

/** What an instrument of a simulated technician shows of a true value: off by its share and its digits, and rounded to them. */
export function read(
  quantity: keyof typeof meter,
  value: number,
  random: Random,
): { readonly kind: 'number'; readonly value: number } {
  if (quantity === 'temperature') {
    const { share, kelvin } = meter.temperature;
    const shown = value + random.normal() * Math.hypot(share * value, kelvin);
    return { kind: 'number', value: Math.round(shown * 10) / 10 };
  }
  const { share, digits } = meter[quantity];
  const digit = lastPlace(value);
  // A data sheet gives limits; two of its spreads are taken to reach them.
  const shown = value + random.normal() * Math.hypot((share * value) / 2, (digits * digit) / 2);
  return { kind: 'number', value: Math.max(0, Math.round(shown / digit) * digit) };
}

/** The last place of a display of 2000 counts. */
function lastPlace(value: number): number {
  return Math.max(0.1, 10 ** Math.ceil(Math.log10(Math.max(value, 1e-9) / 1999.9)));
}
