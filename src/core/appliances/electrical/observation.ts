import type { SolvedCircuit } from '../../circuit';
import type { Prediction } from '../../diagnosis/model';
import type { Plate } from './plate';
import type { UnitState } from '../kit/unit-state';
import type { UnitHypothesis } from './unit-hypothesis';
import type { WaterView } from './water';

/** The unit's circuit under any hypothesis in any state. */
export interface UnitView {
  readonly plate: Plate;
  solve(hypothesis: UnitHypothesis, state: UnitState): SolvedCircuit;
  /** What its circuit does to its water, in time. */
  readonly water: WaterView;
}

/** What is seen, heard or felt: of the unit whatever its state, or in the state that it is in. */
export type Observation = ((hypothesis: UnitHypothesis) => Prediction) | StateObservation;

export interface StateObservation {
  /** Equal for states in which it is the same observation: the same again is a repeat, not a second witness. */
  keyOf(state: UnitState): string;
  predict(hypothesis: UnitHypothesis, state: UnitState, unit: UnitView): Prediction;
}
