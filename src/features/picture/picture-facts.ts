import type { ApplianceFamily } from '@/core/appliances';
import {
  effectiveEntries,
  misplacedWires,
  withWire,
  type JobFile,
  type JobState,
} from '@/core/job-file';
import { terminalName } from '@/features/record/words';

/** What the record knows for the wiring picture. */

/** What the picture writes beside its parts, from the plate: watts of an element. */
export const wattsOf = (
  family: ApplianceFamily,
  job: Pick<JobFile, 'unit' | 'site'>,
): Readonly<Record<string, number>> => family.drawnRatings(family.plateOf(job));

/** Colours of conductors as they were noted, the last note counting; and where one sits on a terminal that it does not belong on. */
export function coloursOf({ entries }: Pick<JobFile, 'entries'>): Record<string, string> {
  const noted = effectiveEntries(entries).filter((each) => each.kind === 'wire');
  const colours = Object.fromEntries(
    noted.flatMap(({ wire, colour }) => (colour ? [[wire, colour] as const] : [])),
  );
  const wires = noted.reduce<JobState['wires']>(withWire, {});
  for (const { wire, backOn } of misplacedWires({ wires })) {
    colours[wire] = [colours[wire], `WRONG, on ${terminalName(backOn!)}`]
      .filter(Boolean)
      .join(', ');
  }
  return colours;
}
