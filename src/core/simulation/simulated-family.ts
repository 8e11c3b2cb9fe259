import type { FamilyPlate } from '../appliances/appliance-family';
import type { FamilyNames } from '../appliances/kit/names';
import type { UnitState } from '../appliances/kit/unit-state';
import type { UnitInTime } from './in-time/unit-in-time';
import type { Random } from './random';

/**
 * A family whose units are simulated, whatever they burn or switch: written apart from what the diagnosis believes, with none
 * of its likelihoods or tables.
 */
export interface SimulatedFamily {
  readonly names: FamilyNames;
  /** How often each fault is met, relative. */
  readonly weights: readonly (readonly [string, number])[];
  /** Faults that no list of the engine has, each with the repair that mends it. */
  readonly strangeFaults: Readonly<Record<string, string>>;
  simulate(plate: FamilyPlate, random: Random, options: SimulationOptions): SimulatedUnit;
  /** The same kind of unit going on in time, with the given faults. */
  inTime(plate: FamilyPlate, random: Random, faults: readonly string[]): UnitInTime;
}

/** A simulated unit with hidden faults. It answers any check as a real one would, and uses nothing of the diagnosis. */
export interface SimulatedUnit {
  readonly faults: readonly SimulatedFault[];
  /** Every repair it needs. */
  readonly repairs: readonly string[];
  readonly complaint: Complaint;
  /** What the check gives now; every answer draws its own reading error. */
  answer(check: string, state: UnitState): SimulatedAnswer;
  /** What a two-pole prover shows between two points, in volts: it loads them, and no phantom stands up to that. */
  volts(between: readonly [string, string], state: UnitState): number;
  /** What each setting stands at, in its kept unit. */
  settings(): Readonly<Record<string, number>>;
  /** Mends what the repairs mend; the rest stays as it is. */
  repair(repairs: readonly string[]): void;
}

export interface SimulatedFault {
  readonly id: string;
  readonly repair: string;
}

export interface Complaint {
  readonly kind: string;
  readonly answers: Readonly<Record<string, string>>;
}

export type SimulatedAnswer =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'over-range' }
  /** Of a check that gives several, each in its kept unit, by its key. */
  | { readonly kind: 'values'; readonly values: Readonly<Record<string, number>> }
  | { readonly kind: 'outcome'; readonly outcome: string };

export interface SimulationOptions {
  /** Draws them by weight if absent. */
  readonly faults?: readonly string[];
  /** Share of units with two faults, where faults are drawn. */
  readonly twoFaults?: number;
  /** Share of readings that are slips. */
  readonly wrongReadings?: number;
}

export const simulateUnit = (
  family: SimulatedFamily,
  plate: FamilyPlate,
  random: Random,
  options: SimulationOptions = {},
): SimulatedUnit => family.simulate(plate, random, options);
