import type { JobState, ProcedureRun } from '@/core/job-file';
import type { Procedure } from '@/core/procedures';
import type { UnitSystem } from '@/core/quantities';
import type { JobRecord } from '@/features/record/use-job-record';

export interface RunnerProps {
  readonly record: JobRecord;
  readonly state: JobState;
  readonly procedure: Procedure;
  readonly run: ProcedureRun;
  readonly system: UnitSystem;
  onProveDead(): void;
  /** Goes to another run, or to the list. */
  onOpen(run: string | undefined): void;
}
