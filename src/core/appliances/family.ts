/** What a technician sees of an appliance family: words, questions, repairs and where parts are drawn. */

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
  readonly steps: readonly string[];
  readonly cautions: readonly string[];
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
  /** Its box or element on the wiring picture. */
  readonly drawnPart?: string;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Where the parts of the wiring picture sit. Everything it shows of their state comes from the model. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly terminals: Readonly<Record<string, DrawnTerminal>>;
  /** Ways of the conductors, corner by corner, between their two terminals. */
  readonly routes: Readonly<Record<string, readonly (readonly [number, number])[]>>;
  /** Where a conductor passes over another without touching it. */
  readonly hops: readonly (Point & { readonly conductor: string })[];
  /** Where conductors join away from a screw. */
  readonly joints: readonly Point[];
  readonly contacts: readonly DrawnContact[];
  /** Poles of the breaker, each drawn to the left of the point that it feeds. */
  readonly breakers: readonly { readonly branch: string; readonly to: string }[];
  readonly boxes: readonly DrawnBox[];
  readonly tank: {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  };
  readonly elements: readonly DrawnElement[];
  readonly lamps?: readonly DrawnLamp[];
}

export interface DrawnTerminal extends Point {
  /** The mark on the part, drawn beside the screw. */
  readonly mark: string;
  /** Spoken and written in full. */
  readonly name: string;
  readonly markAt: 'above' | 'below' | 'left' | 'right';
}

/** A terminal in one line: where, its mark, its name. */
export const drawnTerminal = (
  x: number,
  y: number,
  mark: string,
  name: string,
  markAt: DrawnTerminal['markAt'] = 'above',
): DrawnTerminal => ({ x, y, mark, name, markAt });

export interface DrawnContact {
  readonly branch: string;
  readonly from: string;
  readonly to: string;
  /** A changeover has one blade: where this side is open, the blade lies on the other. */
  readonly sharesBlade?: boolean;
  /** Another contact in the same body: the one blade stands open where either does. */
  readonly alsoOpen?: string;
}

export interface DrawnBox {
  readonly part: string;
  readonly label: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Where its label stands: inside at the foot unless said. */
  readonly labelAt?: 'top' | 'bottom' | 'under';
}

export interface DrawnLamp extends Point {
  readonly branch: string;
  readonly label: string;
}

export interface DrawnElement {
  readonly part: string;
  readonly label: string;
}
