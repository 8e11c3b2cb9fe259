/**
 * Water at tap pressure, 0 to 95 °C. Polynomials of our own, fitted to IAPWS-IF97 at 0.3 MPa; the test judges them by
 * the iapws package. Density within 0.05 %, specific heat within 0.1 %.
 */

/** Density in kg/m³. @param celsius 0 to 95. */
export function waterDensity(celsius: number): number {
  const t = inRange(celsius);
  return 999.99 + t * (0.049468 + t * (-0.0074884 + t * (4.1853e-5 + t * -1.3542e-7)));
}

const heat = [4216.3, -2.6317, 0.062495, -0.00062568, 2.6669e-6] as const;

/** Specific heat in J/(kg·K). @param celsius 0 to 95. */
export function waterSpecificHeat(celsius: number): number {
  const t = inRange(celsius);
  return heat[0] + t * (heat[1] + t * (heat[2] + t * (heat[3] + t * heat[4])));
}

/** Heat in a kilogram above that at 0 °C, in joules: the integral of the specific heat. @param celsius 0 to 95. */
export const waterEnthalpy = (celsius: number): number => enthalpy(inRange(celsius));

function enthalpy(t: number): number {
  return (
    t * (heat[0] + t * (heat[1] / 2 + t * (heat[2] / 3 + t * (heat[3] / 4 + t * (heat[4] / 5)))))
  );
}

/** The hottest that water in an open tap's reach gets: above it the relief valve has opened. */
export const boilingCelsius = 100;

const stepCelsius = 0.5;
const table = Float64Array.from({ length: boilingCelsius / stepCelsius + 1 }, (_, k) =>
  enthalpy(k * stepCelsius),
);

/**
 * Temperature of water that holds so much heat, in °C: the way back from `waterEnthalpy`, within 0.001 K.
 * Beyond 0 to 100 °C it stays at the end.
 */
export function celsiusOfEnthalpy(joulePerKilogram: number): number {
  let low = Math.floor(joulePerKilogram / (4195 * stepCelsius));
  low = Math.max(0, Math.min(table.length - 2, low));
  while (low > 0 && table[low]! > joulePerKilogram) low -= 1;
  while (low < table.length - 2 && table[low + 1]! < joulePerKilogram) low += 1;
  const share = (joulePerKilogram - table[low]!) / (table[low + 1]! - table[low]!);
  return Math.max(0, Math.min(boilingCelsius, (low + share) * stepCelsius));
}

function inRange(celsius: number): number {
  if (!(celsius >= 0 && celsius <= 95)) {
    throw new RangeError(`water at ${celsius} °C is outside 0 to 95 °C`);
  }
  return celsius;
}
