import type { UnitSystem } from '@/core/quantities';
import type { JobRecord } from '@/features/record/use-job-record';
import type { BenchAnswer } from '@/core/job-diagnosis';

/** What every stage of a repair is given. */
export interface StageProps {
  readonly record: JobRecord;
  readonly answer: BenchAnswer;
  readonly system: UnitSystem;
}
