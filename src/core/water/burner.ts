import { saturationPascal } from './properties';

/**
 * Efficiency of a condensing body on natural gas, gross, at an excess air of 1.25 or another: what the flue gas carries away at
 * its temperature, with the water that stays vapour in it. An upper bound: real bodies reach 1 to 2 points less.
 * Heats of methane and of water vapour, molar heats of the flue gas: NIST (from memory).
 * @param flueCelsius of the flue gas; a good body has the return and 6 K at full fire, 3 at the least (common practice).
 */
export function condensingEfficiency(flueCelsius: number, excessAir = 1.25): number {
  const dry = 1 + 2 * (excessAir - 1) + 7.524 * excessAir;
  const saturation = saturationPascal(flueCelsius);
  const vapour = Math.min(2, (dry * saturation) / (airPascal - saturation));
  const latent = (44 * vapour) / grossKilojoulePerMole;
  const sensible = ((dry * 0.0303 + vapour * 0.0337) * (flueCelsius - 20)) / grossKilojoulePerMole;
  return 1 - latent - sensible - 0.005;
}
const grossKilojoulePerMole = 890.6;
const airPascal = 101_325;

/** Flue over return at full fire and at least, in kelvin. Common practice. */
export const flueOverReturnKelvin = { full: 6, least: 3 } as const;

/** Share of the full output that a burner gives on less than its pressure. */
export const outputShare = (runningPascal: number, requiredPascal: number): number =>
  Math.min(1, Math.sqrt(Math.max(0, runningPascal) / requiredPascal));

/** Gross heat of natural gas as a meter and a plate reckon it, in joules a cubic metre. Common practice; the bill says. */
export const grossJoulePerCubicMetre = { 'natural-gas': 39e6, lpg: 95e6 } as const;

/** Carbon dioxide in dry flue gas, in percent, of methane at an excess air. */
export const carbonDioxidePercent = (excessAir: number): number =>
  100 / (1 + 2 * (excessAir - 1) + 7.524 * excessAir);
