/**
 * What simulated houses are made of, drawn afresh for every house: ranges of our own, wider than what the balancing takes for
 * granted and with other middles, so that a right fit is not right by construction. Common practice.
 */
export const houseNumbers = {
  radiators: { least: 6, most: 14 },
  /** Legs of the trunk; a quarter of the houses are piped narrowly. */
  legs: [
    [1, 0.35],
    [2, 0.4],
    [3, 0.25],
  ] as readonly (readonly [number, number])[],
  narrow: 0.25,
  headBar: { least: 0.28, most: 0.62 },
  headFallBar: { least: 0.05, most: 0.25 },
  /** Bar at one cubic metre an hour: boiler with filter, a piece of trunk, a branch with valve and radiator. */
  sharedOhm: { least: 0.25, most: 1.1 },
  trunk: { middle: 0.22, logSpread: 0.55 },
  narrowTrunk: { middle: 0.75, logSpread: 0.5 },
  branch: { middle: 6.5, logSpread: 0.55 },
  narrowBranch: { middle: 17, logSpread: 0.4 },
  lockshieldKv: { least: 1.28, most: 1.72 },
  turnsToOpen: { middle: 2.45, logSpread: 0.25 },
  deadTurns: { least: 0, most: 0.15 },
  /** Spring of the seat: what a shut one lets by. */
  ratedWatt: { least: 500, most: 2100 },
  ratedError: 0.07,
  widthPerWatt: { least: 0.00055, most: 0.0011 },
  exponent: { least: 1.24, most: 1.36 },
  roomCelsius: { least: 17, most: 21 },
  flowCelsius: { least: 66, most: 76 },
  /** Kelvin that a litre a minute loses on the way to a radiator. */
  pipeLoss: { least: 0.8, most: 3.5 },
  surface: {
    paint: { least: 0.015, most: 0.045 },
    top: { least: 0.08, most: 0.16 },
    bottom: { least: 0.06, most: 0.14 },
    wide: { least: 0.08, most: 0.16 },
  },
  settlesIn: { least: 130, most: 260 },
  instrument: { own: 1, common: 0.75, wild: 0.01, wildKelvin: 8 },
  turnMissed: 0.05,
} as const;
