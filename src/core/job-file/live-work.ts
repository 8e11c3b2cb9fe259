import type { FamilyCatalogue } from './catalogue';
import type { Entry, JobFile } from './generated/job-types';
import { powerShownBy } from './power-shown';
import { quantityOf } from './quantity';
import type { JobFileProblem } from './problem';

/** Whether taking this result put hands or probes near live parts. Proving a unit dead is no live work: everybody must. */
export function isLiveWork(entry: Entry, catalogue: FamilyCatalogue): boolean {
  switch (entry.kind) {
    case 'correction':
      return entry.entry !== null && isLiveWork(entry.entry, catalogue);
    case 'reading':
    case 'observation':
    case 'series': {
      const check = entry.check === undefined ? undefined : catalogue.check(entry.check);
      if (check) return check.isLive;
      if (entry.kind === 'observation') return false;
      const quantity = quantityOf(entry, catalogue);
      if (quantity === 'voltage-ac' || quantity === 'current-ac') return true;
      return quantity !== 'temperature' && powerShownBy(entry, catalogue) === 'on';
    }
    default:
      return false;
  }
}

/** Live results by somebody who has no permission for live work, each with its place. */
export function liveWorkProblems(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
  isAllowed: (entry: Entry) => boolean,
): JobFileProblem[] {
  return entries.flatMap((each, index) =>
    isLiveWork(each, catalogue) && !isAllowed(each)
      ? [
          {
            pointer: `/entries/${index}${placeOf(each)}`,
            message:
              'This is a live reading, and this technician has no permission for live work. Choose a dead check.',
          },
        ]
      : [],
  );
}

function placeOf(entry: Entry): string {
  if (entry.kind === 'correction') return `/entry${entry.entry ? placeOf(entry.entry) : ''}`;
  return 'check' in entry && entry.check !== undefined ? '/check' : '/quantity';
}

/**
 * Whether live work may be proposed on a job: what was set for it; where nothing was, as its people may. A file that says
 * nothing of either is planned with it.
 */
export function liveWorkAllowed({ constraints, people }: Pick<JobFile, 'constraints' | 'people'>) {
  return constraints?.liveWork ?? !(people ?? []).some((each) => each.liveWork === false);
}
