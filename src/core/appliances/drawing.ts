/** Where the parts of an appliance are drawn. */

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Where the parts of the picture sit. Everything it shows of their state comes from the model. */
export interface Drawing {
  /** What the picture is of: "Wiring picture". */
  readonly title: string;
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
  /** None where it stores no water. */
  readonly tank?: {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  };
  /** Other vessels of water, each by the id under which the picture has its temperature. */
  readonly vessels?: readonly DrawnVessel[];
  readonly elements: readonly DrawnElement[];
  readonly lamps?: readonly DrawnLamp[];
  /** Ways of gas, water, air and flue gas, drawn beneath everything else in this order. */
  readonly paths?: readonly DrawnPath[];
  readonly symbols?: readonly DrawnSymbol[];
  /** Where a change of the model is seen, by what comes before the dot of its element. */
  readonly places?: Readonly<Record<string, Point>>;
  /** Places where something is read by the name of the place: a test port, an outlet, a meter. */
  readonly points?: Readonly<Record<string, DrawnTerminal>>;
  /** The point at which each place of a log is, where one is drawn. */
  readonly placePoints?: Readonly<Record<string, string>>;
}

export type Medium = 'gas' | 'cold-water' | 'hot-water' | 'air' | 'flue-gas';

/** A way that something takes, corner by corner. Where it ends in nothing it ends in a symbol or a part. */
export interface DrawnPath {
  readonly id: string;
  /** Spoken and written in full: "gas to the pilot". */
  readonly name: string;
  readonly medium: Medium;
  readonly corners: readonly (readonly [number, number])[];
  /** A duct instead of a pipe. */
  readonly isWide?: boolean;
}

export type SymbolKind =
  | 'flame'
  | 'burner'
  | 'valve'
  | 'knob'
  | 'hood'
  | 'filter'
  | 'light'
  | 'meter'
  | 'tap'
  | 'tip'
  | 'pump'
  | 'fan'
  | 'mixer'
  | 'pocket';

/** A thing with a state of its own: a flame that burns, a valve that stands open. */
export interface DrawnSymbol extends Point {
  readonly id: string;
  readonly kind: SymbolKind;
  /** Spoken, and written beside it where `labelAt` says so. */
  readonly name: string;
  readonly labelAt?: DrawnTerminal['markAt'];
  /** How large against a usual one. */
  readonly scale?: number;
  /** The control that a finger on it turns, by its key: its positions are those of the picture's controls. */
  readonly control?: string;
}

export interface DrawnTerminal extends Point {
  /** The mark on the part, drawn beside the screw. */
  readonly mark: string;
  /** Spoken and written in full. */
  readonly name: string;
  readonly markAt: 'above' | 'below' | 'left' | 'right';
}

/** A terminal or a named point in one line: where, its mark, its name. */
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

export interface DrawnVessel extends Point {
  readonly id: string;
  readonly label: string;
  readonly width: number;
  readonly height: number;
}

export interface DrawnLamp extends Point {
  readonly branch: string;
  readonly label: string;
}

export interface DrawnElement {
  readonly part: string;
  readonly label: string;
}
