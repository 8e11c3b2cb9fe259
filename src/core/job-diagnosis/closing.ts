import type { Entry, JobFile, StatusEntry } from '../job-file';
import type { OpenDiagnosis } from './open-diagnosis';
import { proofOf } from './proof';

/** Why a job may not be closed so, in words; undefined where it may. The same on the screen and on the server. */
export function closingProblem(
  open: OpenDiagnosis,
  job: JobFile,
  { status, reason }: Pick<StatusEntry, 'status' | 'reason'>,
): string | undefined {
  const isClosing = status === 'closed-repaired' || status === 'closed-not-repaired';
  const { lifted, repairsDone } = open.state;
  if (isClosing && lifted.length > 0) {
    return `${lifted.length} ${lifted.length === 1 ? 'wire is' : 'wires are'} still lifted. Put ${lifted.length === 1 ? 'it' : 'them'} back, or note why, before closing.`;
  }
  if (reason !== undefined && reason.trim() !== '') return undefined;
  if (status === 'closed-repaired') {
    if (repairsDone.length === 0) {
      return 'No repair is done on this job. Say here why it is closed as repaired.';
    }
    const proof = proofOf(open, job);
    if (proof.verdict === 'contradicted') {
      return 'A reading since the repair is not what a good unit shows. Put it right, take it again, or say here why the job is closed with it.';
    }
    return proof.verdict === 'proved'
      ? undefined
      : 'No proving reading is right yet. Take one, or say here why the job is closed without it.';
  }
  return status === 'closed-not-repaired' || status === 'waiting-for-part'
    ? 'Say why, in a few words: the next one to come reads it.'
    : undefined;
}

/** The job as it stood before an entry was made: what a rule about that entry is judged by. */
export const jobBefore = (job: JobFile, entry: Entry): JobFile => ({
  ...job,
  entries: job.entries.slice(
    0,
    job.entries.findIndex((each) => each.id === entry.id),
  ),
});
