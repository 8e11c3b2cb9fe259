import type { RowClasses } from './observable-table';

/** One or more entries that say the same thing about the same observable, weighed once. */
export interface Contribution extends RowClasses {
  readonly entryIds: readonly string[];
  readonly checkId: string;
  readonly observableKey: string;
  /** Likelihood of the result in every outcome class, with the chance of a wrong reading in it. */
  readonly likelihoodOfClass: Float64Array;
  /** Density of the result if it has nothing to do with the unit, and the part of the likelihood that comes from that. */
  readonly wrongDensity: number;
  readonly wrongPart: number;
  /** What it says for a fault that is in no list, against all that is. */
  readonly unlistedDecibans: number;
  /** How many repairs had been done when it was taken. */
  readonly repairsBefore: number;
  /** How many different results this observable has been given. */
  readonly rivals: number;
  readonly taken: number;
}
