/**
 * What the engine needs to know of an appliance family. The engine knows no heater; a family knows no planning.
 */
export interface FamilyModel<O extends Observable = Observable> {
  readonly hypotheses: readonly Hypothesis[];
  /** Unknown values that several readings share, such as an element's true ohms; each on a narrow grid. */
  readonly unknowns: readonly SharedUnknown[];
  /** Repair by fault id. */
  readonly repairOf: Readonly<Record<string, string>>;
  /** What the observable would show under the hypothesis at that index. */
  predict(hypothesisIndex: number, observable: O): Prediction;
  /** The hypothesis that stands after the repairs are done: the same one without their faults. */
  afterRepairs(hypothesisIndex: number, repairs: readonly string[]): number;
  /** Index of the hypothesis that nothing is wrong. */
  readonly healthyIndex: number;
}

export interface Hypothesis {
  readonly id: string;
  /** None for a good unit, one, or two. */
  readonly faults: readonly string[];
  /** The repairs that end it, the one to do first in front. */
  readonly repairs: readonly string[];
  /** Prior weight, relative. */
  readonly weight: number;
}

export interface SharedUnknown {
  readonly id: string;
  /** Natural logarithm of true over nominal, at each grid point, with its share. */
  readonly points: readonly { readonly logRatio: number; readonly share: number }[];
}

/** Something that can be looked at or measured, in a stated state. Equal keys mean equal predictions. */
export interface Observable {
  readonly key: string;
}

export type Prediction = QuantityPrediction | OutcomePrediction;

export interface QuantityPrediction {
  readonly kind: 'quantity';
  readonly meter: MeterModel;
  /** In kept units, at nominal values of the shared unknowns. */
  readonly value: number;
  /** ∂value/∂(log ratio) for each shared unknown, in the order of `unknowns`. */
  readonly gradients: readonly number[];
  /** Variance from everything that is not shared, in kept units squared; without the meter's own error. */
  readonly variance: number;
  /** True where the terminal hangs free, so that a meter shows whatever it picks up. */
  readonly floats: boolean;
}

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
  /** The largest value that a slipped or misread reading may show. */
  readonly most: number;
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

/** A check that could be done next, with what it costs from where the technician stands. */
export interface Candidate<O extends Observable = Observable> {
  readonly checkId: string;
  readonly observable: O;
  readonly minutes: number;
  /** Minutes of the above that open the access it needs. */
  readonly accessMinutes: number;
  /** Danger, priced in minutes. */
  readonly hazardMinutes: number;
  readonly errorRate: number;
}
