import { familyOfJob, type ApplianceFamily } from '../appliances';
import { foldEntries, walkEntries, type Entry, type JobFile, type JobState } from '../job-file';
import { compiledFor } from './tables';
import { observableOfEntry } from './evidence';
import { goodReading, isGoodResult, type GoodReading } from './expect';

/** A check that proves the repair, and what it gave since. */
export interface ProofItem {
  readonly check: string;
  readonly entry?: Entry;
  readonly good?: boolean;
}

/** The proving checks of the last repair, with the last result of each that was taken after it. */
export function proofOf(job: JobFile): readonly ProofItem[] {
  const family = familyOfJob(job);
  const { repairsDone } = foldEntries(job.entries, family.catalogue);
  const repair = repairsDone.at(-1);
  if (repair === undefined) return [];
  const after = walkEntries(job.entries, family.catalogue).filter(
    ({ before }) => before.repairsDone.length === repairsDone.length,
  );
  return family.proofChecksFor(repair).map((check) => {
    const taken = after.findLast(
      ({ entry }) =>
        (entry.kind === 'reading' || entry.kind === 'observation') && entry.check === check,
    );
    if (!taken) return { check };
    const good = goodOf(family, job, taken.entry, taken.before);
    return { check, entry: taken.entry, good: good && isGoodResult(good, taken.entry) };
  });
}

/** What a good unit shows for the entry's check in its state; undefined for entries that are no results. */
export function goodOf(
  family: ApplianceFamily,
  job: Pick<JobFile, 'unit' | 'site'>,
  entry: Entry,
  before: JobState,
): GoodReading | undefined {
  if (entry.kind !== 'reading' && entry.kind !== 'observation') return undefined;
  if (entry.check !== undefined && !family.isCheckId(entry.check)) return undefined;
  const observable = observableOfEntry(family, entry, before);
  return observable && goodReading(compiledFor(family, family.plateOf(job)), observable);
}
