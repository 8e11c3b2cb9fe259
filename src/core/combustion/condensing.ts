import { flueGasOf } from './excess-air';
import type { Fuel } from './fuel';

const pressurePascal = 101_325;
const waterKilogramPerMole = 0.018015;

/** Pressure of saturated steam over water, in pascal, 0 to 100 °C: Magnus form (WMO, from memory), within 0.5 %. */
export const saturationPascal = (celsius: number): number =>
  611.2 * Math.exp((17.62 * celsius) / (243.12 + celsius));

/** Below this water leaves the flue gas, in °C, with dry air. @throws RangeError for oxygen that no flue gas has. */
export function dewPointCelsius(fuel: Fuel, oxygenPercent: number): number {
  const { dry, water } = flueGasOf(fuel, oxygenPercent);
  const log = Math.log(((water / (dry + water)) * pressurePascal) / 611.2);
  return (243.12 * log) / (17.62 - log);
}

/** Share of its water that flue gas leaves behind where it is cooled to so much, in equilibrium: what is reached is less. */
export function condensedShare(fuel: Fuel, oxygenPercent: number, flueCelsius: number): number {
  const { dry, water } = flueGasOf(fuel, oxygenPercent);
  const saturated = saturationPascal(flueCelsius);
  if (saturated >= pressurePascal) return 0;
  return Math.max(0, 1 - (saturated / (pressurePascal - saturated)) * (dry / water));
}

/** Condensate of a kilowatt-hour of gross heat, in litres, for so much of the water left behind. */
export const condensateLitrePerKilowattHour = (fuel: Fuel, share: number): number =>
  ((fuel.hydrogen / 2) * waterKilogramPerMole * share * 3600) / fuel.grossKilojoulePerMole;
