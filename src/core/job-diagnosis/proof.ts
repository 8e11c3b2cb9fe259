import {
  catalogue,
  isCheckId,
  plateOf,
  proofCheckFor,
  repairs,
  type CheckId,
  type RepairId,
} from '../appliances/electric-storage-two-element';
import { foldEntries, walkEntries, type Entry, type JobFile, type JobState } from '../job-file';
import type { OpenDiagnosis } from './diagnose';
import { observableOfEntry } from './evidence';
import { goodReading, isGoodResult, type GoodReading } from './expect';

/** A check that proves the repair, and what it gave since. */
export interface ProofItem {
  readonly check: CheckId;
  readonly entry?: Entry;
  readonly good?: boolean;
}

export const isRepairId = (id: string | undefined): id is RepairId =>
  id !== undefined && id in repairs;

/** The proving checks of the last repair, with the last result of each that was taken after it. */
export function proofOf(job: JobFile): readonly ProofItem[] {
  const open = { plate: plateOf(job) };
  const { repairsDone } = foldEntries(job.entries, catalogue);
  const repair = repairsDone.at(-1);
  if (!isRepairId(repair)) return [];
  const after = walkEntries(job.entries, catalogue).filter(
    ({ before }) => before.repairsDone.length === repairsDone.length,
  );
  return proofCheckFor(repair).map((check) => {
    const taken = after.findLast(
      ({ entry }) =>
        (entry.kind === 'reading' || entry.kind === 'observation') && entry.check === check,
    );
    if (!taken) return { check };
    const good = goodOf(open, taken.entry, taken.before);
    return { check, entry: taken.entry, good: good && isGoodResult(good, taken.entry) };
  });
}

/** What a good unit shows for the entry's check in its state; undefined for entries that are no results. */
export function goodOf(
  open: Pick<OpenDiagnosis, 'plate'>,
  entry: Entry,
  before: JobState,
): GoodReading | undefined {
  if (entry.kind !== 'reading' && entry.kind !== 'observation') return undefined;
  if (entry.check !== undefined && !isCheckId(entry.check)) return undefined;
  const observable = observableOfEntry(entry, before);
  return observable && goodReading(open, observable);
}
