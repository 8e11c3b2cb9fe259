import { diagnoseJob, leadingSet, type DiagnosisOptions } from '../job-diagnosis';
import type { Strategy } from './runs';
import type { Benched } from './units';

/** What Ohmmeter does: its next check, and its verdict where it has decided. */
export function engineStrategy(
  { parameters }: Benched,
  depth: NonNullable<DiagnosisOptions['depth']> = 'rollout',
  brief = true,
): Strategy {
  return (job) => {
    const open = diagnoseJob(job, { parameters, depth, brief });
    const leading = leadingSet(open);
    const { next } = open.answer;
    return next ? { check: next.check, leading } : leading;
  };
}
