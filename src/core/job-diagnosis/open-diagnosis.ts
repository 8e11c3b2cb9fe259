import type { ApplianceFamily, ElectricalObservable, FamilyParameters, Plate } from '../appliances';
import type { Belief, CompiledFamily } from '../diagnosis';
import type { JobState, WalkedEntry } from '../job-file';

/** What an answer is computed from, for everything that looks closer. */
export interface OpenDiagnosis {
  readonly family: ApplianceFamily;
  readonly parameters: FamilyParameters;
  readonly tables: CompiledFamily<ElectricalObservable>;
  readonly belief: Belief;
  /** The belief about what still stands, once the repairs are taken out of it. */
  readonly standing: Belief;
  readonly state: JobState;
  readonly walked: readonly WalkedEntry[];
  readonly plate: Plate;
}
