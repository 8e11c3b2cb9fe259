import { familyOfJob } from '../core/appliances/all';
import { diagnoseJob } from '../core/job-diagnosis';
import { recorded, standingFromRecord, type Standing } from '../core/job-diagnosis/standing';
import { lastVerdict, readLogbook, type JobFile } from '../core/job-file';
import { stopNow } from '../core/job-diagnosis/stop';
import { serviceTold } from '../core/service';

/** What a job stands at, worked out from its file. */
export function standingOf(job: JobFile): Standing {
  const { answer, state } = diagnoseJob(job);
  const stored = lastVerdict(state)?.suspects;
  return {
    ...recorded(job.entries.length, state, answer.decided),
    service: serviceTold(job, familyOfJob(job)),
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
  const family = familyOfJob(job);
  const { walked, state } = readLogbook(job.entries, family.catalogue);
  return standingFromRecord(state, job.entries.length, before, stopNow(family, job, walked));
}
