import type { BranchChange, Topology } from '../appliances/electrical/circuit-of';
import type { Plate } from '../appliances/electrical/plate';
import type { ReadingState, Thermostat } from '../appliances/electrical/state';
import type { FamilyNames } from '../appliances/electrical/names';
import type { SolvedCircuit } from '../circuit';
import type { Random } from './random';

/**
 * What a family tells its simulated units: how faults come out in values, and what water, looks and customers do.
 * Written apart from what the diagnosis believes: none of its likelihoods or tables is used here.
 */
export interface SimulatedFamily {
  readonly names: FamilyNames;
  readonly topology: Topology;
  readonly elements: readonly { readonly id: string; readonly part: string }[];
  readonly thermostats: readonly Thermostat[];
  /** Dials turned fully up and to their lowest mark. */
  readonly dialCelsius: { readonly high: number; readonly low: number };
  /** How often each fault is met, relative. */
  readonly weights: readonly (readonly [string, number])[];
  /** How many times more often than chance a pair of parts fails together. */
  together(one: string, other: string): number;
  drawFault(id: string, random: Random): FaultDetails;
  /** What the faulty unit has done to its water by the time the technician comes. */
  settle(unit: SettlingUnit, random: Random): Water;
  look(check: string, unit: LookedAt, random: Random): string;
  /** Water temperature that a check reads, in °C. */
  outlet(check: string, unit: LookedAt, random: Random): number;
  complain(faults: ReadonlySet<string>, water: Water, random: Random): Complaint;
  /** Water once everything is mended, heated and reset. */
  readonly mended: Water;
}

export interface FaultDetails {
  readonly changes: Readonly<Record<string, BranchChange>>;
  readonly supply?: 'tripped' | 'controlled';
  readonly limit?: 'tripped' | 'never-trips';
  /** Dials as the fault leaves them, by thermostat. */
  readonly dials?: Readonly<Record<string, number>>;
}

export interface SimulatedFault extends FaultDetails {
  readonly id: string;
  readonly repair: string;
}

export interface Water {
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  readonly limitTripped: boolean;
  readonly breakerTrips: boolean;
}

export interface SettlingUnit {
  readonly faults: readonly SimulatedFault[];
  readonly plate: Plate;
  /** The circuit with the breaker on, the limit closed and the thermostats as given. */
  run(thermostats: Readonly<Record<string, 'calling' | 'satisfied'>>): SolvedCircuit;
  watt(circuit: SolvedCircuit, element: string): number;
  /** The largest current in a breaker pole, in amperes. */
  legAmpere(circuit: SolvedCircuit): number;
  /** Current that goes to earth, in amperes. */
  earthAmpere(circuit: SolvedCircuit): number;
}

export interface LookedAt {
  readonly faults: ReadonlySet<string>;
  readonly details: readonly SimulatedFault[];
  readonly water: Water;
  readonly state: ReadingState;
  readonly circuit: SolvedCircuit;
  /** Heat into the water as the unit stands, in watts. */
  readonly heatingWatt: number;
}

export interface Complaint {
  readonly kind: string;
  readonly answers: Readonly<Record<string, string>>;
}

/** Ohms of a leak, a joint or a path: log-normal about a middle value. */
export const near = (ohm: number, logSpread: number, random: Random) =>
  ohm * Math.exp(logSpread * random.normal());

export const leakChanges = (
  part: string,
  fraction: number,
  ohm: number,
): Record<string, BranchChange> => ({
  [`${part}.a-half`]: { factor: 2 * fraction },
  [`${part}.b-half`]: { factor: 2 * (1 - fraction) },
  [`${part}.leak`]: { ohm },
});

/** How an element fails, in values of its own. An open element has, three times in ten, burst as well. */
export function elementChanges(
  part: string,
  mode: string,
  random: Random,
): Record<string, BranchChange> {
  if (mode === 'high') {
    const factor = 1.3 + 1.4 * random.next();
    return { [`${part}.a-half`]: { factor }, [`${part}.b-half`]: { factor } };
  }
  if (mode === 'leaky') return leakChanges(part, 0.5, near(3e5, 1.5, random));
  if (mode === 'earthed') {
    const how = random.next();
    if (how < 0.3) {
      const fraction = random.pick([
        [0.17, 1],
        [0.5, 1],
        [0.83, 1],
      ] as const);
      return leakChanges(part, fraction, near(3, 0.5, random));
    }
    return leakChanges(part, 0.5, near(how < 0.6 ? 110 : 3500, 0.5, random));
  }
  const isBurst = mode === 'burst' || random.chance(0.3);
  if (!isBurst) return { [`${part}.b-half`]: 'open' };
  const end = random.chance(0.5) ? 'a' : 'b';
  return {
    ...leakChanges(part, end === 'a' ? 0.1 : 0.9, near(20, 0.8, random)),
    [`${part}.${end === 'a' ? 'b' : 'a'}-half`]: 'open',
  };
}

/** A joint of 2.6 to 28 Ω, evenly spread in its logarithm. */
export const burntJoint = (branch: string, random: Random): Record<string, BranchChange> => ({
  [branch]: { ohm: Math.exp(Math.log(2.6) + random.next() * Math.log(28 / 2.6)) },
});
