/** Where a thermometer is held on a simulated unit. */
export const places = [
  'outlet',
  'tank-top',
  'tank-bottom',
  'cold-inlet',
  'hot-pipe',
  'flow-pipe',
  'return-pipe',
  'upper-cover',
  'lower-cover',
  'room',
  'buffer',
  'readout-buffer',
  'readout-cylinder',
  'readout-flow',
] as const;
export type Place = (typeof places)[number];

/** What a hand does to a unit. */
export type HandAction =
  | { readonly kind: 'breaker'; readonly isOn: boolean }
  | { readonly kind: 'dial'; readonly thermostat: string; readonly celsius: number }
  | { readonly kind: 'tap'; readonly litrePerMinute: number }
  | { readonly kind: 'press-reset' }
  | { readonly kind: 'repair'; readonly repair: string };

/**
 * A simulated unit that goes on in time, at whatever speed it is advanced: circuit and water together, with hidden faults.
 * Everything it gives is true; what an instrument makes of it is the instrument's.
 */
export interface UnitInTime {
  readonly family: string;
  readonly faults: readonly string[];
  /** Repairs that what is still wrong needs. */
  readonly repairsNeeded: readonly string[];
  /** Since it was made. */
  readonly second: number;
  readonly isPowered: boolean;
  readonly litrePerMinute: number;
  /** Where two thermometers and an aimed one are held for a start. */
  readonly usualPlaces: readonly [Place, Place, Place];
  advance(seconds: number): void;
  /** Gives what the hand felt, where there is anything to feel: a click. */
  act(action: HandAction): string | undefined;
  celsius(place: Place): number;
  /** Heat that goes into the water now, in watts. */
  heatWatt(): number;
  /** Between two terminals, with a meter of no load; undefined where the unit has no such terminals. */
  volt(between: readonly [string, string]): number | undefined;
  ohm(between: readonly [string, string]): number | undefined;
  /** In a conductor. */
  ampere(around: string): number | undefined;
}
