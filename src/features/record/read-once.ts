import type { ApplianceFamily } from '@/core/appliances';
import { goThroughEntries, type Entry, type LogbookRead } from '@/core/job-file';

/** By the array of the entries, which is another one with every entry that comes. */
const read = new WeakMap<readonly Entry[], LogbookRead>();

/** A job's logbook, gone through once for everything that its pages ask of it: a long one takes a phone a second. */
export function readOnce(
  entries: readonly Entry[],
  { catalogue }: Pick<ApplianceFamily, 'catalogue'>,
): LogbookRead {
  const known = read.get(entries);
  if (known) return known;
  const now = goThroughEntries(entries, catalogue);
  read.set(entries, now);
  return now;
}
