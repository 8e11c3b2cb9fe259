import { diagnoseJob } from '../core/job-diagnosis';
import { lastVerdict, type JobFile, type JobState } from '../core/job-file';
import type { Stage, Standing } from '../database/standing';

/** What a job stands at, worked out from its file. */
export function standingOf(job: JobFile): Standing {
  const { answer, state } = diagnoseJob(job);
  const stored = lastVerdict(state)?.suspects;
  return {
    stage: stageOf(job, state, answer.decided),
    entryCount: job.entries.length,
    // Once acted on, the verdict is the one that was acted on; later proof does not rewrite it.
    suspects: (stored ?? answer.suspects)
      .slice(0, 4)
      .filter((each) => each.probability >= 0.01)
      .map(({ repair, probability }) => ({ repair, probability })),
    decided: answer.decided || stored !== undefined,
    next: answer.next ? { check: answer.next.check, minutes: answer.next.minutes } : undefined,
    reason: state.status?.reason,
    recheckBy: state.status?.recheckBy,
    warning: answer.warnings[0]?.text,
    liftedWires: state.lifted.length,
  };
}

function stageOf(job: JobFile, state: JobState, decided: boolean): Stage {
  const status = state.status?.status;
  if (status === 'closed-repaired' || status === 'closed-not-repaired') return 'closed';
  if (status === 'waiting-for-part') return 'waiting';
  // A second verdict after a first repair is a verdict again.
  if (state.repairsDone.length > 0 && !state.verdict) return 'proof';
  if (status === 'repairing') return 'repair';
  if (decided || state.verdict) return 'verdict';
  return job.entries.length === 0 ? 'call' : 'diagnose';
}
