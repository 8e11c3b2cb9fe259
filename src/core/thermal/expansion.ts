import { waterDensity } from './water';

/**
 * Litres by which a filling grows as it is heated: what a vessel takes up, or a relief valve lets go.
 * 190 L from 10 to 60 °C grow by 3.2 L. @throws RangeError outside 0 to 95 °C.
 */
export const expansionLitre = (litre: number, fromCelsius: number, toCelsius: number): number =>
  litre * (waterDensity(fromCelsius) / waterDensity(toCelsius) - 1);
