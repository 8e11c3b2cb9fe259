import { familyOfJob } from '../core/appliances/all';
import { closingProblem, openDiagnosis, proofOf, stopNow, walkedOf } from '../core/job-diagnosis';
import {
  beginFold,
  entryProblems,
  stateOfFold,
  type Entry,
  type JobFile,
  type JobFileProblem,
  type JobState,
  type RunningFold,
  type StatusEntry,
} from '../core/job-file';

/** What a whole logbook comes to when entries are added to it. */
export interface CheckedLogbook {
  /** Of the added ones, counted from the first of them. */
  readonly problems: readonly JobFileProblem[];
  readonly fold: RunningFold;
  readonly state: JobState;
}

/** Checks the entries after the first so many against all that came before them. */
export function checkLogbook(job: JobFile, earlierCount: number): CheckedLogbook {
  const { catalogue } = familyOfJob(job);
  const fold = beginFold(job.entries, catalogue);
  return {
    problems: [
      ...ofFresh(entryProblems(job.entries, catalogue), earlierCount),
      ...badClosings(job, earlierCount),
    ],
    fold,
    state: stateOfFold(fold),
  };
}

/** Whether the engine may be asked about these entries: whoever others wait for has it done in a thread. */
export const mayAskEngine = (entries: readonly Entry[]): boolean =>
  entries.some((each) => statusOf(each)?.status === 'closed-repaired');

/** The status that an entry sets, by itself or as a correction. */
function statusOf(each: Entry): StatusEntry | undefined {
  const entry = each.kind === 'correction' ? each.entry : each;
  return entry?.kind === 'status' ? entry : undefined;
}

/** Of problems in the whole logbook, those of the fresh entries, counted from the first of them. */
const ofFresh = (problems: readonly JobFileProblem[], earlierCount: number): JobFileProblem[] =>
  problems.flatMap(({ pointer, message }) => {
    const [, index = '', rest = ''] = /^\/entries\/(\d+)(.*)$/.exec(pointer) ?? [];
    const place = Number(index) - earlierCount;
    return place >= 0 ? [{ pointer: `/entries/${place}${rest}`, message }] : [];
  });

/** Closings that a bad proof, a lifted wire or a missing reason bars. */
function badClosings(job: JobFile, earlierCount: number): JobFileProblem[] {
  return job.entries.slice(earlierCount).flatMap((each, index) => {
    const closing = statusOf(each);
    if (!closing) return [];
    const before = { ...job, entries: job.entries.slice(0, earlierCount + index) };
    const { walked, state } = walkedOf(before);
    const given = {
      state,
      get proof() {
        return proofOf(openDiagnosis(before), before);
      },
      stop: stopNow(familyOfJob(before), before, walked),
    };
    const message = closingProblem(given, closing);
    return message ? [{ pointer: `/entries/${index}/reason`, message }] : [];
  });
}
