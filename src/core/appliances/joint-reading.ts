/** What several readings come to that were taken to be judged together. */
export interface JointVerdict {
  readonly isGood: boolean;
  /** As one sentence, without its number; with temperatures and differences in it where it has any. */
  readonly words: string | readonly JointWord[];
  /** What they have in common, as a difference, where that is a number. */
  readonly kelvin?: number;
}

/** A piece of a sentence, or a number that is shown in the reader's units. */
export type JointWord = string | { readonly celsius: number } | { readonly kelvin: number };

/** Checks whose readings say more together than each alone. */
export interface JointReading {
  readonly id: string;
  readonly title: string;
  /** In the order that the judge takes them. */
  readonly checks: readonly string[];
  /** What was done once that changes them: what was read before it and after it does not belong together. */
  readonly changedBy?: readonly string[];
  /** @param values a number of each check, in its kept unit. */
  judge(values: readonly number[]): JointVerdict;
}
