import type { UnitSystem } from '@/core/quantities';
import type { JobRecord } from '@/features/record/use-job-record';
import type { FirmPrices } from '@/core/replacement';
import type { FirmIntervals } from '@/core/service';
import type { BenchAnswer } from '@/core/job-diagnosis';

/** What a firm asks for, and how often it serves what comes due. */
export interface FirmTerms {
  readonly prices: FirmPrices;
  readonly intervals: FirmIntervals;
}

/** What every stage of a repair is given. */
export interface StageProps {
  readonly record: JobRecord;
  readonly answer: BenchAnswer;
  /** False while the answer is a first look, or of the logbook before its last entries: nobody acts on it yet. */
  readonly isSettled: boolean;
  readonly system: UnitSystem;
  readonly firm: FirmTerms;
}
