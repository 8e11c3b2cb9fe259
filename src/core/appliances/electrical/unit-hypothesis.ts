import type { Hypothesis } from '../../diagnosis/model';
import type { BranchChanges } from './circuit-of';
import type { FaultVariant } from './faults';
import type { Situation } from './situation';

/** A hypothesis about this unit: what is broken, how, and how the unit stands because of it. */
export interface UnitHypothesis extends Hypothesis {
  readonly changes: BranchChanges;
  readonly spread: Readonly<Record<string, number>>;
  readonly supply?: FaultVariant['supply'];
  readonly dialCelsius: Readonly<Record<string, number>>;
  readonly situation: Situation;
  /** Equal where the circuit is equal, whatever the situation. */
  readonly circuit: number;
}
