/**
 * Water in pipes, 0 to 100 °C, beside its density and heat (core/thermal): how it drags, and how it boils. Fits of our own to
 * IAPWS; the iapws package judges them in the test.
 */

const zeroCelsius = 273.15;

/** Dynamic viscosity in Pa·s, within 1 %. @param celsius 0 to 100. */
export function waterViscosity(celsius: number): number {
  const t = Math.max(0, Math.min(100, celsius));
  // Vogel's law.
  return 2.80626e-5 * Math.exp(521.396 / (t + zeroCelsius - 147.4358));
}

/** Pressure at which water boils, in pascal, within 0.3 %. @param celsius 0 to 150. */
export function saturationPascal(celsius: number): number {
  const t = Math.max(0, Math.min(150, celsius));
  // Buck's form of Magnus' law.
  return 611.21 * Math.exp((18.678 - t / 234.5) * (t / (257.14 + t)));
}

/** Temperature at which water boils or vapour dews, in °C. @param pascal absolute, of the vapour alone. */
export function boilingCelsiusAt(pascal: number): number {
  let [low, high] = [0, 150];
  for (let k = 0; k < 50; k++) {
    const middle = (low + high) / 2;
    if (saturationPascal(middle) > pascal) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** Heat that a litre takes up for a kelvin, as flowing water is reckoned in this folder: 4185 J/(kg·K), a kilogram a litre. */
export const joulePerLitreKelvin = 4185;

/** Heat of a stream, in W/K. @param litrePerMinute of water at 10 to 60 °C: within 1.5 % of its true density and heat. */
export const streamWattPerKelvin = (litrePerMinute: number): number =>
  (litrePerMinute / 60) * joulePerLitreKelvin;
