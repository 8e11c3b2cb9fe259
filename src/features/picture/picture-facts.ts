import type { ApplianceFamily } from '@/core/appliances';
import { effectiveEntries, type JobFile } from '@/core/job-file';

/** What the record knows for the wiring picture. */

/** Watts of each element, from the plate, by part. */
export const wattsOf = (
  { elements }: ApplianceFamily,
  { unit }: Pick<JobFile, 'unit'>,
): Record<string, number> =>
  Object.fromEntries(elements.map(({ id, part }) => [part, unit.plate.elements[id]?.watt ?? 0]));

/** Colours of conductors as they were noted, by conductor: the last note counts. */
export function coloursOf({ entries }: Pick<JobFile, 'entries'>): Record<string, string> {
  return Object.fromEntries(
    effectiveEntries(entries).flatMap((each) =>
      each.kind === 'wire' && each.colour ? [[each.wire, each.colour] as const] : [],
    ),
  );
}
