import { familyOfJob } from '../core/appliances/all';
import { diagnoseJob } from '../core/job-diagnosis';
import { foldEntries, lastVerdict, type JobFile, type JobState } from '../core/job-file';
import { servedOn } from '../core/service';
import type { Stage, Standing } from '../database/standing';

/** What a job stands at, worked out from its file. */
export function standingOf(job: JobFile): Standing {
  const { answer, state } = diagnoseJob(job);
  const stored = lastVerdict(state)?.suspects;
  return {
    ...recorded(job.entries.length, state, answer.decided),
    served: servedOn(job, familyOfJob(job)),
    // Once acted on, the verdict is the one that was acted on; later proof does not rewrite it.
    suspects: (stored ?? answer.suspects)
      .slice(0, 4)
      .filter((each) => each.probability >= 0.01)
      .map(({ repair, probability }) => ({ repair, probability })),
    decided: answer.decided || stored !== undefined,
    next: answer.next ? { check: answer.next.check, minutes: answer.next.minutes } : undefined,
    warning: answer.warnings[0]?.text,
    stop: answer.stop?.title,
  };
}

/** The same from the record alone, with the suspects of before: what is stored with the entries, until it is worked out. */
export function standingMeanwhile(job: JobFile, before?: Standing): Standing {
  const state = foldEntries(job.entries, familyOfJob(job).catalogue);
  return standingFromRecord(state, job.entries.length, before);
}

/** The same where the logbook has been folded. */
export function standingFromRecord(
  state: JobState,
  entryCount: number,
  before?: Standing,
): Standing {
  const verdict = lastVerdict(state);
  const decided = verdict !== undefined || (before?.decided ?? false);
  return {
    ...recorded(entryCount, state, decided),
    suspects: before?.suspects ?? [],
    decided,
    next: before?.next,
    // It stands until it is worked out that it does not.
    stop: before?.stop,
    isSettled: false,
  };
}

const recorded = (entryCount: number, state: JobState, decided: boolean) => ({
  stage: stageOf(entryCount, state, decided),
  entryCount,
  reason: state.status?.reason,
  recheckBy: state.status?.recheckBy,
  liftedWires: state.lifted.length,
  parts: [...state.parts]
    .filter(([, action]) => action === 'needed' || action === 'ordered')
    .map(([part, action]) => `${part} (${action})`)
    .slice(0, 6),
});

function stageOf(entryCount: number, state: JobState, decided: boolean): Stage {
  const status = state.status?.status;
  if (status === 'closed-repaired' || status === 'closed-not-repaired') return 'closed';
  if (status === 'waiting-for-part') return 'waiting';
  // A second verdict after a first repair is a verdict again.
  if (state.repairsDone.length > 0 && !state.verdict) return 'proof';
  if (status === 'repairing' || state.verdict) return 'repair';
  if (decided) return 'verdict';
  return entryCount === 0 ? 'call' : 'diagnose';
}
