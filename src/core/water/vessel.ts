import { expansionLitre } from '../thermal/expansion';

export interface FilledSystem {
  readonly systemLitre: number;
  readonly vesselLitre: number;
  /** Charge of the vessel with its water side empty, gauge. */
  readonly chargePascal: number;
  /** Gauge, cold. */
  readonly coldPascal: number;
}

const airPascal = 101_325;
/** Where a relief valve of a heating system opens, gauge. Common practice. */
export const reliefPascal = 300_000;

/**
 * Pressure of a filled system once it is hot, gauge: the water's growth pressed into the vessel's gas, at one temperature.
 * Where the vessel has no room the relief valve opens.
 */
export function hotPascal(
  { systemLitre, vesselLitre, chargePascal, coldPascal }: FilledSystem,
  coldCelsius: number,
  hotCelsius: number,
): number {
  const grown = expansionLitre(systemLitre, coldCelsius, hotCelsius);
  const gas =
    vesselLitre * ((chargePascal + airPascal) / (Math.max(coldPascal, chargePascal) + airPascal));
  if (gas <= grown) return reliefPascal;
  const hot = ((Math.max(coldPascal, chargePascal) + airPascal) * gas) / (gas - grown) - airPascal;
  return Math.min(reliefPascal, hot);
}
