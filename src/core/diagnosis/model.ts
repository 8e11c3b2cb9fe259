/**
 * What the engine needs to know of an appliance family. The engine knows no heater; a family knows no planning.
 */
export interface FamilyModel<O extends Observable = Observable> {
  readonly hypotheses: readonly Hypothesis[];
  /** Unknown values that several readings share, such as an element's true ohms; each on a narrow grid. */
  readonly unknowns: readonly SharedUnknown[];
  /** Repair by fault id. */
  readonly repairOf: Readonly<Record<string, string>>;
  /** What the observable would show, as a function of the index of a hypothesis. */
  predictor(observable: O): (hypothesisIndex: number) => Prediction;
  /**
   * What may stand after the repairs are done: the same hypothesis without their faults, in one state or in each of those of
   * `statesAfterRepairs`. They may change from one reading to the next: water warms up.
   */
  afterRepairs(hypothesisIndex: number, repairs: readonly string[]): readonly number[];
  /**
   * Shares of the states that a mended unit stands in when something is looked at, or now where nothing is said; they sum
   * to 1. One state where absent.
   */
  statesAfterRepairs?(observable?: O): readonly number[];
  /** Index of the hypothesis that nothing is wrong. */
  readonly healthyIndex: number;
  /** What stands for everything that no hypothesis names: how often a unit has it, and the repair that it is told as. */
  readonly unlisted?: { readonly share: number; readonly repair: string };
  /** Chance that a repair does not end its fault: the new part is bad too, or was fitted wrongly. None where absent. */
  readonly repairFails?: number;
  /** Dangers by name: what each costs under every hypothesis, in minutes. */
  readonly dangers?: Readonly<Record<string, Float64Array>>;
}

export interface Hypothesis {
  readonly id: string;
  /** None for a good unit, one, or two. */
  readonly faults: readonly string[];
  /** The repairs that end it, the one to do first in front. */
  readonly repairs: readonly string[];
  /** Prior weight, relative. */
  readonly weight: number;
  /** How finely the shared unknowns are told apart inside it. */
  readonly grid: 'fine' | 'coarse';
}

export interface SharedUnknown {
  readonly id: string;
  readonly fine: UnknownGrid;
  readonly coarse: UnknownGrid;
}

export interface UnknownGrid {
  /** Natural logarithm of true over nominal, at each grid point, with its share. */
  readonly points: readonly { readonly logRatio: number; readonly share: number }[];
  /** Spread that is left inside a cell of the grid, natural logarithm. */
  readonly within: number;
}

/** Something that can be looked at or measured, in a stated state. Equal keys mean equal predictions. */
export interface Observable {
  readonly key: string;
  /** Asked for by hand, in a state that no plan meets: its table is soon forgotten. */
  readonly isOneOff?: boolean;
  /** How well this result is known beside the meter's own error, in the kept unit: one standard deviation. */
  readonly ownSpread?: number;
}

export type Prediction = QuantityPrediction | OutcomePrediction;

export interface QuantityPrediction {
  readonly kind: 'quantity';
  readonly meter: MeterModel;
  /** In kept units, at nominal values of the shared unknowns. */
  readonly value: number;
  /** ∂value/∂(log ratio) for each shared unknown, in the order of `unknowns`; 0 for those left out at the end. */
  readonly gradients: readonly number[];
  /** Variance from everything that is not shared, in kept units squared; without the meter's own error. */
  readonly variance: number;
  /** True where the terminal hangs free, so that a meter shows whatever it picks up. */
  readonly floats: boolean;
  /** What is read in so many of all readings instead: a contact that comes and goes. */
  readonly otherwise?: { readonly share: number; readonly as: QuantityPrediction };
}

/** What a good unit shows. */
export type GoodReading =
  | {
      readonly kind: 'range';
      readonly nominal: number;
      readonly from: number;
      readonly to: number;
    }
  | { readonly kind: 'over-range' }
  | { readonly kind: 'outcome'; readonly outcome: string };

export interface OutcomePrediction {
  readonly kind: 'outcomes';
  readonly probabilities: Readonly<Record<string, number>>;
}

/** How an instrument errs. */
export interface MeterModel {
  readonly id: string;
  readonly relativeError: number;
  /** Absolute error near zero, in kept units. */
  readonly floor: number;
  /** Above this the meter shows over range; absent where it never does. */
  readonly overRangeAbove?: number;
  /** Full scales of the ranges that it may have been left on without a word, where it shows over range. */
  readonly ranges?: readonly number[];
  /** Shares of its wrong readings that show over range, and nothing; the rest may show anything. */
  readonly wrong: { readonly overRange: number; readonly nearZero: number };
  /** The least and the largest value that a slipped or misread reading may show; nought where no least is said. */
  readonly least?: number;
  readonly most: number;
  /** What usual leads add to every prediction: a good reading is told without it. Nothing where absent. */
  readonly ofLeads?: number;
  /** Spread of what a floating terminal picks up, in kept units; absent where floating means nothing. */
  readonly phantomUpTo?: number;
}

/** A result with everything that its weight depends on. */
export interface Evidence<O extends Observable = Observable> {
  readonly entryId: string;
  readonly checkId: string;
  readonly observable: O;
  readonly result: EvidenceResult;
  /** Repairs done before it was taken. */
  readonly repairsBefore: readonly string[];
  /** Chance that the result is wrong: a slip, a misreading, a mistaken answer. */
  readonly errorRate: number;
}

export type EvidenceResult =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'over-range'; readonly above?: number }
  | { readonly kind: 'outcome'; readonly outcome: string };

/** A check that could be done, with what it costs and what it changes. */
export interface Candidate<O extends Observable = Observable> {
  readonly checkId: string;
  readonly minutes: number;
  /** Minutes of access that it needs from where the technician stands now. */
  readonly accessMinutes: number;
  /** Danger that is there whatever is wrong, priced in minutes. */
  readonly hazardMinutes: number;
  /** Dangers of the model that it runs into, by name: how great each is depends on what is wrong. */
  readonly dangers?: readonly string[];
  readonly errorRate: number;
  readonly need: AccessNeed;
  /** Flags of the world that doing it sets, such as a reset pressed. */
  readonly changes: number;
  /** What it looks at, with the given flags set since now. */
  observableIn(world: number): O;
}

/** A fact about access, such as a cover off: what it takes to make it so, and to undo it. */
export interface AccessFact {
  readonly id: string;
  readonly setMinutes: number;
  readonly clearMinutes: number;
  /** Facts, as bits, that have to be so while this one is changed: a cover comes off with the power off. */
  readonly changedWith?: number;
}

/** Facts of access are counted as bits of one number: more it cannot hold. */
export const mostFacts = 30;

/** Facts, as bits, that a check needs to be so, and that it needs not to be so. */
export interface AccessNeed {
  readonly sets: number;
  readonly clears: number;
}

/** Where planning starts: what could be done, and which facts of access are so. */
export interface PlanStart<O extends Observable = Observable> {
  readonly candidates: readonly Candidate<O>[];
  readonly facts: readonly AccessFact[];
  readonly access: number;
}
