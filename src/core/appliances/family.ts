/** What a technician reads of an appliance family: checks, questions and repairs. */

import type { CodePack, CodeSights } from '../codes';
import type { Caution } from '../procedures/caution';

export type { Caution, CautionSign } from '../procedures/caution';

/** A check as the technician meets it. Probe points, state and quantity are those of the family's names.json. */
export interface CheckWords {
  readonly label: string;
  /** What to do, verb first. */
  readonly doThis: string;
  /** Covers that have to be off, by the family's cover id. */
  readonly covers: readonly string[];
  /** Other wires may stay lifted without changing what is read. */
  readonly standsAlone?: boolean;
  /** Words for the values of an observation. */
  readonly answers?: Readonly<Record<string, string>>;
  readonly instrument?: Instrument;
  /** Taken when a reading of this check, repeated, still fits nothing. */
  readonly explainedBy?: readonly string[];
  readonly caution?:
    | 'live'
    | 'hot-water'
    | 'press-once'
    | 'reclose'
    | 'test-voltage'
    | 'gas'
    | 'flame'
    | 'carbon-monoxide'
    | 'hot-metal';
}

/** Codes of a family's control, on a display or as a light that blinks: evidence by what the control saw. */
export interface FamilyCodes extends CodeSights {
  /** The check whose result a code is. */
  readonly check: string;
  /** What it is where nothing is shown. */
  readonly none: string;
  /** How it says so where nobody brought another pack. Invented. */
  readonly pack: CodePack;
}

/** Kinds of instrument that a check may need. */
export const instrumentKinds = [
  'multimeter',
  'clamp',
  'thermometer',
  'insulation-tester',
  'non-contact-tester',
  'manometer',
  'combustion-analyser',
] as const;

export type Instrument = (typeof instrumentKinds)[number];

export interface Question {
  readonly ask: string;
  readonly values: readonly string[];
  /** Words for the values, where they are not the kinds of a complaint. */
  readonly words?: Readonly<Record<string, string>>;
}

export interface Repair {
  /** The suspect in the technician's words, as a noun: "Lower element". */
  readonly suspect: string;
  /** The repair as an order: "Replace the lower element". */
  readonly order: string;
  readonly parts: readonly string[];
  /** What kind of part the first of them is, where it must match the unit. */
  readonly fits?: string;
  readonly steps: readonly string[];
  readonly cautions: readonly Caution[];
  /** Wires that come off for it, as conductor and screw. */
  readonly wires: readonly { readonly wire: string; readonly end: string }[];
  /** Any one of these, taken afterwards and good, proves the repair. */
  readonly proof: readonly string[];
  readonly minutes: number;
  /** Where it ends the trouble and may leave its cause: look again after so many days, unless each of these was seen. */
  readonly recheck?: {
    readonly days: number;
    readonly why: string;
    /** Checks that tell the same, any one of them, each with its result on a good part. */
    readonly unless: readonly Readonly<Record<string, string>>[];
  };
  /** Checks that show the part itself, where no meter can be put on its terminals. */
  readonly shownBy?: readonly string[];
  /** Its box, element or symbol on the picture. */
  readonly drawnPart?: string;
}
