import type { Entry } from './generated/job-types';

/** A backup took the place of the logbook: what was done since that backup may be missing before this entry, or still come. */
export const isRestored = (entry: Entry): boolean =>
  entry.kind === 'action' && entry.action === 'restored';
