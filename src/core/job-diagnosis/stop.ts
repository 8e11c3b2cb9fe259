import type { ApplianceFamily, Stop } from '../appliances';
import { emptyState, type Entry, type JobFile, type WalkedEntry } from '../job-file';

/**
 * What ends the diagnosis, by the order of the clock or by the order of receipt: a device whose clock is slow must not put
 * smelled gas before a sniff that found none. Entries stand in the job in the order in which they were received.
 */
export function stopNow(
  family: ApplianceFamily,
  job: Pick<JobFile, 'complaint' | 'entries' | 'unit'>,
  walked: readonly WalkedEntry[],
): Stop | undefined {
  const place = new Map(job.entries.map(({ id }, index) => [id, index]));
  const byReceipt = [...walked].sort(
    (one, other) => place.get(one.entry.id)! - place.get(other.entry.id)!,
  );
  return family.stopOf(job, walked) ?? family.stopOf(job, byReceipt);
}

/**
 * What entries end the diagnosis by, taken by themselves: told the moment they come, before anything is worked out. That they
 * show an earlier danger to be over is not seen here.
 */
export const stopAmong = (
  family: ApplianceFamily,
  { unit }: Pick<JobFile, 'unit'>,
  entries: readonly Entry[],
): Stop | undefined =>
  family.stopOf(
    { unit, complaint: undefined },
    entries.map((entry) => ({ entry, before: emptyState })),
  );
