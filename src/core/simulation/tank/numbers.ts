/**
 * What simulated tanks are made of: drawn afresh for every unit, from numbers of their own. All from memory of drawings and
 * data sheets, and common practice where no other mark stands.
 */
export const tankNumbers = {
  /** True volume over the plate's: nominal gallons are met within so much. Practice: plates round up. */
  volumeRatio: { least: 0.9, most: 0.99 },
  /** Heights as shares of the tank. */
  upperElement: { least: 0.6, most: 0.72 },
  lowerElement: { least: 0.07, most: 0.14 },
  onlyElement: { least: 0.08, most: 0.2 },
  /** A thermostat sits so far above its element. */
  thermostatAbove: { least: 0.03, most: 0.07 },
  /** A rod reaches up into the water: where it feels. */
  rodAt: { least: 0.25, most: 0.45 },
  /** A gas valve's bulb, and its burner, which heats the bottom. */
  bulbAt: { least: 0.12, most: 0.25 },
  limitAt: { least: 0.72, most: 0.8 },
  limitCelsius: { least: 74, most: 80 },
  /** Thermostats of snap discs on the wall: what they switch back at below the dial, and how late they feel it. */
  differentialKelvin: { least: 4, most: 9 },
  /** A dial tells its temperature within so much. */
  dialOff: { least: -3, most: 3 },
  wallLagSecond: { least: 60, most: 200 },
  /** Heat lost, in W/K, for a tank of 190 L; by the surface for others. */
  lossOf190: { least: 1.2, most: 2.6 },
  roomCelsius: { least: 14, most: 24 },
  /** Kilograms above the inlet that the cold stirs, as a share of the tank. */
  stirred: { least: 0.03, most: 0.1 },
  /** Sediment: share of the tank's height. */
  sediment: { least: 0.08, most: 0.2 },
  sedimentLagSecond: { least: 240, most: 1500 },
  /** Without a dip tube: share of the tank from the top that the cold stirs, and what of it leaves at once. */
  plume: { least: 0.45, most: 0.85 },
  atOnce: { least: 0.1, most: 0.3 },
  /** A hand thermometer at the tap or strapped to the wall: it errs so much all day, and so much every time. */
  probeOff: { least: -0.6, most: 0.6 },
  probeNoise: 0.15,
} as const;
