import type { ApplianceFamily, FamilyParameters, FamilyPlate } from '../appliances';
import type { Belief, CompiledFamily, Course } from '../diagnosis';
import type { JobState, WalkedEntry } from '../job-file';

/** What an answer is computed from, for everything that looks closer. */
export interface OpenDiagnosis {
  readonly family: ApplianceFamily;
  readonly parameters: FamilyParameters;
  readonly tables: CompiledFamily;
  /** How the repairs that were done may have gone, that all held in front. */
  readonly courses: readonly Course[];
  /** The unit as it was met, if all repairs held. */
  readonly belief: Belief;
  /** The belief about what still stands, once the repairs are taken out of it. */
  readonly standing: Belief;
  readonly state: JobState;
  readonly walked: readonly WalkedEntry[];
  readonly plate: FamilyPlate;
}
