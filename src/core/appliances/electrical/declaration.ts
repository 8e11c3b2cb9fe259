import type { DeadPoint, FamilyWords } from '../appliance-family';
import type { Drawing } from '../drawing';
import type { CheckWords, Question, Repair } from '../family';
import type { Topology } from './circuit-of';
import type { FaultMode } from './faults';
import type { UnitHypothesis } from './unit-hypothesis';
import type { FamilyNames } from '../kit/names';
import type { Observation } from './observation';
import type { FamilyParameters } from '../kit/parameters';
import type { Plate } from './plate';
import type { Situation, Trial } from './situation';
import type { Thermostat } from './state';
import type { UnitView } from './observation';
import type { TankGeometry } from './tank-geometry';

/** Everything that a family of electric heaters declares: data, and one function for the thermal situation. */
export interface ElectricalDeclaration extends Topology {
  readonly title: string;
  readonly names: FamilyNames;
  readonly parameters: FamilyParameters;
  readonly elements: readonly ElementPart[];
  readonly thermostats: readonly Thermostat[];
  readonly supplies: readonly SupplyChoice[];
  readonly usualVolumeLitre: number;
  readonly tank: TankGeometry;
  readonly faultModes: readonly FaultMode[];
  /** How the unit may stand when the technician arrives: shares that sum to 1. */
  readonly situations: (trial: Trial) => readonly Situation[];
  readonly coldCelsius: number;
  /** Where a dial is thought to stand if nobody read it, turned fully up, and at its lowest mark. */
  readonly dialCelsius: { readonly usual: number; readonly high: number; readonly low: number };
  readonly checks: Readonly<Record<string, CheckWords>>;
  /** What a look, a press, a wait or a tap shows. Tables are common practice. */
  readonly observations: Readonly<Record<string, Observation>>;
  readonly questions: Readonly<Record<string, Question>>;
  /** Kinds of complaint that the call offers for this family, the commonest first. */
  readonly askedComplaints: readonly string[];
  /** What the user of the unit would say. Tables are common practice; a value without a share gets of what is left. */
  readonly answers: Readonly<
    Record<
      string,
      (hypothesis: UnitHypothesis, plate: Plate, unit: UnitView) => Readonly<Record<string, number>>
    >
  >;
  readonly repairs: Readonly<Record<string, Repair>>;
  readonly words: FamilyWords;
  readonly drawing: Drawing;
  /** Where volts are tried before it counts as dead: across, and each leg to earth or tank. */
  readonly deadPoints: readonly DeadPoint[];
  /** What a look at the dials would have said, from their settings in the order of the thermostats. */
  readonly dialsLook?: (celsius: readonly number[]) => string;
  /** Checks in the order that practice takes them. */
  readonly usualOrder: readonly string[];
}

export interface ElementPart {
  readonly id: 'upper' | 'lower' | 'only';
  readonly part: string;
  readonly label: string;
}

/** A supply that the family is met on. */
export interface SupplyChoice {
  readonly id: string;
  readonly label: string;
  readonly system: Plate['supply'];
  readonly nominalVolt: number;
  /** Volts that the plate of such a unit usually gives. */
  readonly plateVolt: number;
}
