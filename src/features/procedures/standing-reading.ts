import { effectiveEntries, type Entry, type JobFile } from '@/core/job-file';

/** After it a part reads as another one did. */
const isFitted = (entry: Entry): boolean =>
  entry.kind === 'part'
    ? entry.action === 'fitted'
    : entry.kind === 'action' && entry.action === 'replace';

/**
 * A reading that was taken before and may stand for the one that a step asks for: of the unit as it is now, not as it was
 * before a part was fitted.
 * @param since Where the step reads after work or a wait: when that began.
 */
export function standingReading(job: JobFile, check: string, since: string | undefined) {
  const entries = effectiveEntries(job.entries);
  const fitted = entries.findLastIndex(isFitted);
  const found = entries.findLast(
    (each, index) =>
      index > fitted &&
      each.kind === 'reading' &&
      each.check === check &&
      (since === undefined || Date.parse(each.at) >= Date.parse(since)),
  );
  return found?.kind === 'reading' ? found : undefined;
}
