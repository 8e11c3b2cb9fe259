/** A storage tank as the model sees it: upright, of one width, full. Heights are shares of its own, 0 at the bottom. */
export interface TankDesign {
  readonly volumeLitre: number;
  /** Layers that it is cut into; as many as its volume asks for where not said. */
  readonly layers?: number;
  /** Share at the bottom that sediment fills: it holds no water, and an element in it is behind it. */
  readonly sedimentShare?: number;
  readonly heaters: readonly Heater[];
  readonly thermostats: readonly TankThermostat[];
  /** Opens above so much and stays open. */
  readonly limit?: { readonly height: number; readonly celsius: number };
  readonly lossWattPerKelvin: number;
  /** Where the cold comes in: the bottom through a dip tube, or the top where that is gone. */
  readonly inlet: 'bottom' | 'top';
}

export interface Heater {
  readonly height: number;
  /** How late its heat comes through what lies on it, in seconds: sediment, scale. At once where absent. */
  readonly lagSecond?: number;
}

export interface TankThermostat {
  readonly height: number;
  /** It opens at this temperature of the wall. */
  readonly cutOutCelsius: number;
  /** And closes again so far below. */
  readonly differentialKelvin: number;
  /** How late the wall tells it, in seconds. */
  readonly lagSecond?: number;
}

/**
 * Heat of each heater, in watts, for the thermostats that call: bit k is set where thermostat k is closed. A circuit answers
 * this: what it does with a welded contact or an open element is in its answer.
 */
export type Power = (calling: number) => readonly number[];

/** Water drawn at the outlet. */
export interface Draw {
  readonly atSecond: number;
  readonly durationSecond: number;
  /** Out of the tank itself, before anything is mixed in. */
  readonly litrePerMinute: number;
}

/**
 * A shower or a bath that wants mixed water: what is drawn of the tank follows from how hot the outlet still is.
 */
export interface MixedDraw extends Draw {
  readonly wantedCelsius: number;
}

/** Litres that a tank truly holds, over those of its plate: nominal volumes are rounded up. Common practice. */
export const trueOverPlateVolume = 0.945;

/** Usual loss of a tank in W/K, by its volume: its surface under 30 to 50 mm of foam. Common practice. */
export const usualLossWattPerKelvin = (volumeLitre: number): number =>
  0.045 * volumeLitre ** (2 / 3) + 0.25;

/** Layers that a tank is cut into: about 5 L each, and no fewer than a small one needs. */
export const layerCount = (volumeLitre: number): number =>
  Math.max(12, Math.min(40, Math.round(volumeLitre / 5)));
