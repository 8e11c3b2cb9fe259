import type { ApplianceFamily } from '@/core/appliances';
import { effectiveEntries, type JobFile } from '@/core/job-file';

/** What the record knows for the wiring picture. */

/** What the picture writes beside its parts, from the plate: watts of an element. */
export const wattsOf = (
  family: ApplianceFamily,
  job: Pick<JobFile, 'unit' | 'site'>,
): Readonly<Record<string, number>> => family.drawnRatings(family.plateOf(job));

/** Colours of conductors as they were noted, by conductor: the last note counts. */
export function coloursOf({ entries }: Pick<JobFile, 'entries'>): Record<string, string> {
  return Object.fromEntries(
    effectiveEntries(entries).flatMap((each) =>
      each.kind === 'wire' && each.colour ? [[each.wire, each.colour] as const] : [],
    ),
  );
}
