/** Where a family's elements and thermostats sit, as shares of the tank's height. Common practice: drawings differ by a few hundredths. */
export interface TankGeometry {
  /** By element, in the order of `elements`. */
  readonly heaters: readonly number[];
  /** By thermostat, in the order of `thermostats`. */
  readonly thermostats: readonly number[];
  readonly limit: number;
  /** What the thermostats switch back at, below their dial, in kelvin. */
  readonly differentialKelvin: number;
}
