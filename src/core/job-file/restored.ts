import type { Entry } from './generated/job-types';
import { inOrder } from './in-order';

/** A backup took the place of the logbook: what was done since that backup may be missing before this entry, or still come. */
export const isRestored = (entry: Entry): boolean =>
  entry.kind === 'action' && entry.action === 'restored';

/** The last thing that somebody did on a job: nobody was at work when a backup was put back. */
export const lastByHand = (entries: readonly Entry[]): Entry | undefined =>
  inOrder(entries).findLast((each) => !isRestored(each));
