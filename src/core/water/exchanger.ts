/** Heat from one stream to another, or to a still body: effectiveness and number of transfer units (Kays and London). */

/**
 * Effectiveness of a counterflow exchanger, 0 to 1.
 * @param units number of transfer units: UA over the lesser stream. @param ratio of the lesser to the greater stream, 0 to 1.
 */
export function counterflowEffectiveness(units: number, ratio: number): number {
  if (units <= 0) return 0;
  if (ratio > 1 - 1e-9) return units / (1 + units);
  const left = Math.exp(-units * (1 - ratio));
  return (1 - left) / (1 - ratio * left);
}

export interface Plates {
  /** Heat transfer of each side at its rated flow, in W/K. */
  readonly primaryWattPerKelvin: number;
  readonly tapWattPerKelvin: number;
  /** Scale between them, in K/W. */
  readonly scaleKelvinPerWatt: number;
  /** Share of the channels that is blocked, 0 to 1. */
  readonly blockedShare: number;
}

/** Flows at which the two sides are rated, in L/min, and how the transfer of each rises with its flow. Common practice. */
const rated = { primary: 14, tap: 9.8, exponent: 0.68 } as const;

/** Heat transfer of a plate exchanger at two flows in L/min, in W/K. */
export function plateTransfer(plates: Plates, primary: number, tap: number): number {
  if (!(primary > 0) || !(tap > 0)) return 0;
  const { primaryWattPerKelvin, tapWattPerKelvin, scaleKelvinPerWatt, blockedShare } = plates;
  const one = primaryWattPerKelvin * (primary / rated.primary) ** rated.exponent;
  const other = tapWattPerKelvin * (tap / rated.tap) ** rated.exponent;
  return (1 - blockedShare) / (1 / one + 1 / other + scaleKelvinPerWatt);
}

/** Heat that a stream of `hot` W/K gives one of `cold` W/K for each kelvin between their inlets, in W/K. */
export function exchangedPerKelvin(transfer: number, hot: number, cold: number): number {
  const [less, more] = hot < cold ? [hot, cold] : [cold, hot];
  if (!(less > 0)) return 0;
  return counterflowEffectiveness(transfer / less, less / more) * less;
}
