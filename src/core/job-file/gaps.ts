import type { Entry } from './generated/job-types';
import { inOrder } from './in-order';

/** A backup took the place of the logbook: what was done since that backup may be missing before this entry, or still come. */
export const isRestored = (entry: Entry): boolean =>
  entry.kind === 'action' && entry.action === 'restored';

/** What was done before this entry may be missing: a backup was put back, or the job came as a file, and may go on elsewhere. */
export const isGap = (entry: Entry): boolean =>
  isRestored(entry) || (entry.kind === 'action' && entry.action === 'brought-in');

/** The last thing that somebody did on a job: nobody was at the unit when a backup or a file took its place. */
export const lastByHand = (entries: readonly Entry[]): Entry | undefined =>
  inOrder(entries).findLast((each) => !isGap(each));
