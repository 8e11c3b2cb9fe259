import type { Quantity } from '../quantities';
import type { Entry, LiftedEnd } from './generated/job-types';

export interface NamedFact {
  /** It ends with another person, with leaving, or after hours without a word. */
  readonly lapses: boolean;
  /** Making it so opens the gas way or lights something. */
  readonly opensGas?: boolean;
  /** The one check whose result makes it so: nobody just says it. */
  readonly shownBy?: string;
}

export interface NamedProcedure {
  readonly steps: ReadonlySet<string>;
  readonly work?: 'gasWork';
}

/** What the record needs to know of a family: its names, and what its checks imply. */
export interface FamilyCatalogue {
  readonly family: string;
  readonly terminals: ReadonlySet<string>;
  readonly conductors: Readonly<Record<string, readonly [string, string]>>;
  readonly repairs: ReadonlySet<string>;
  readonly faults: ReadonlySet<string>;
  readonly covers: ReadonlySet<string>;
  /** Settings by id: the quantity that each stands in, or the values that it may have. */
  readonly settings: ReadonlyMap<string, SettingKind>;
  /** Points that something is read at by their name, each with what may be read there. */
  readonly points: ReadonlyMap<string, readonly Quantity[]>;
  /** Of these, what is read with the gas way open or something lit: gas work. */
  readonly gasPoints: ReadonlySet<string>;
  /** What may be read between two terminals, and round a conductor; the usual one first. */
  readonly readable: {
    readonly between: readonly Quantity[];
    readonly around: readonly Quantity[];
  };
  /** Controls by their key in an entry's state, each with its positions; those of the first version have keys of their own. */
  readonly controls: ReadonlyMap<string, readonly string[]>;
  /** What its control may have seen where it shows a code. */
  readonly sights: ReadonlySet<string>;
  /** Facts of access beside covers. */
  readonly facts: ReadonlyMap<string, NamedFact>;
  /** Dials by id, and the key of each in an entry's state. */
  readonly dials: ReadonlyMap<string, string>;
  /** Values that each question of the call may be answered with. */
  readonly answers: ReadonlyMap<string, readonly string[]>;
  /** Where volts are tried before the unit counts as dead. */
  readonly deadPoints: readonly (readonly [string, string])[];
  /** Keys that a plate of this family must have, and every key that it may have. */
  readonly plate: { readonly required: readonly string[]; readonly known: ReadonlySet<string> };
  /** Whether radiators hang on it that can be balanced. */
  readonly heatsRadiators?: boolean;
  /** Whether a mixing valve sits on its hot water. */
  readonly mixesHotWater?: boolean;
  /** The check that a sheet of burners belongs to, where there are any. */
  readonly burnerCheck?: string;
  check(id: string): CatalogueCheck | undefined;
  /** Procedures, each with its steps and the permission that it takes. */
  readonly procedures: ReadonlyMap<string, NamedProcedure>;
  /** Services that come due. */
  readonly services: ReadonlySet<string>;
  /** What an entry changes of the unit's controls and facts, beside its power and its lifted wires. */
  effectsOf(entry: Entry): readonly Effect[];
}

/** A control put to a position, a fact of access made so or not, or something done once and for all. */
export type Effect =
  | { readonly control: string; readonly to: string }
  | { readonly fact: string; readonly so: boolean }
  | { readonly done: string };

export type SettingKind =
  | {
      readonly quantity: Quantity;
      /** What it can stand at, in its kept unit; anything where not said. */
      readonly range?: readonly [least: number, most: number];
    }
  | { readonly values: readonly string[] };

export interface CatalogueCheck {
  readonly kind: 'reading' | 'observation' | 'series' | 'code';
  readonly quantity?: Quantity;
  /** Values of an observation. */
  readonly values?: readonly string[];
  /** Keys of a reading that gives several values. */
  readonly valueKeys?: readonly string[];
  /** Of these, what may be left out. */
  readonly optionalKeys?: readonly string[];
  /** What each of them is of, where it is not the check's own quantity. */
  readonly valueQuantities?: Readonly<Record<string, Quantity>>;
  readonly power?: 'on' | 'off';
  readonly lifted?: readonly LiftedEnd[];
  /** Hands or probes are near live parts. */
  readonly isLive: boolean;
  /** The gas way is opened, or something burns: gas work. */
  readonly isGasWork?: boolean;
  /** Taking it switches the power off and on. */
  readonly cyclesPower?: boolean;
}
