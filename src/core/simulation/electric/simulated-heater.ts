import type { BranchChange, Topology } from '../../appliances/electrical/circuit-of';
import type { Plate } from '../../appliances/electrical/plate';
import type { UnitState } from '../../appliances/kit/unit-state';
import type { Thermostat } from '../../appliances/electrical/state';
import type { FamilyNames } from '../../appliances/kit/names';
import type { SolvedCircuit } from '../../circuit';
import type { Random } from '../random';
import type { Complaint, SimulatedFault } from '../simulated-family';
import type { DrawnTank, LivedWater } from '../tank/lived-water';

/**
 * What a family tells its simulated units: how faults come out in values, and what water, looks and customers do.
 * Written apart from what the diagnosis believes: none of its likelihoods or tables is used here.
 */
export interface SimulatedHeater {
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
  /** Faults that no list of the engine has, each with the repair that mends it. */
  readonly strangeFaults: Readonly<Record<string, string>>;
  drawFault(id: string, random: Random): FaultDetails;
  /** What the faulty unit has done to its water by the time the technician comes. */
  settle(unit: SettlingUnit, random: Random): Water;
  look(check: string, unit: LookedAt, random: Random): string;
  /** Water temperature that a check reads, in °C. */
  outlet(check: string, unit: LookedAt, random: Random): number;
  complain(faults: ReadonlySet<string>, water: Water, lived: LivedWater, random: Random): Complaint;
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

export type HeaterFault = FaultDetails & SimulatedFault;

export interface Water {
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  readonly limitTripped: boolean;
  /** What goes again as soon as the power is on. */
  readonly trips?: 'breaker' | 'residual-current';
  /** Where each dial was left, in °C, by thermostat. */
  readonly dialCelsius: Readonly<Record<string, number>>;
}

export interface SettlingUnit {
  readonly faults: readonly HeaterFault[];
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
  readonly details: readonly HeaterFault[];
  readonly water: Water;
  readonly state: UnitState;
  readonly circuit: SolvedCircuit;
  /** Where the technician's meter begins to beep. */
  readonly beepOhm: number;
  /** The tank as it stands with what is set now, to be drawn of and waited for. */
  readonly drawn: () => DrawnTank;
}
