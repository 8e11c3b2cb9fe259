import type { StoreTrouble } from '@/features/device/store';

/** What is told where this device's own store, or the server, does not do its part for a job. */

export const notKept =
  'NOT entered: this device could not keep it (its storage is full or closed), and the server has not taken it. Write it down, free some room, then enter it again.';
export const keptByServer =
  'This device keeps nothing: its storage is full, closed or slow. Entries go straight to the server. Stay where there is a signal, and free some room.';

export const notKeptInTime =
  'NOT entered: this device’s store does not answer, and the server has not taken it. Write it down; close other tabs of Ohmmeter, then enter it again.';
export const perhapsKept =
  'This device’s store does not answer, and the server has not taken it. It may still be kept: look in the logbook before you enter it again.';
export const takenAfterAll =
  'What was told as not entered has reached the server after all: it stands in the logbook. Do not enter it again.';
export const slowToKeep =
  'Not entered yet: this device’s store is slow to answer, and the server has not taken it. Leave it as it is.';
/** What may be missing where the store was not read. The last line is for whoever relies on a proof. */
const notRead =
  'What was entered on this device and has not reached the server is not shown. Power may have been on since: prove dead again before you touch anything.';
const refused = `This device’s own store cannot be read; entries go straight to the server. ${notRead}`;
const silent = `This device’s own store does not answer; entries go straight to the server. ${notRead}`;

const closed =
  'This device’s own store cannot be read any more; entries go straight to the server. What another tab enters is not seen here until it is sent.';

/** How the reading of what this device keeps of a job went: `closed` where it was read, and then no more. */
export type Reading = 'begun' | 'read' | 'closed' | StoreTrouble;

/** What may be missing is unknown: a proof of dead that was there when the page was opened counts for nothing. */
export const isUnread = (reading: Reading): boolean =>
  reading === 'silent' || reading === 'refused';

export const troubleOfReading: Readonly<Record<Reading, string | undefined>> = {
  begun: undefined,
  read: undefined,
  silent,
  refused,
  closed,
};

/**
 * What is told of two troubles at once: of what may be missing nothing is silenced by an entry that went straight to the server,
 * which that says too.
 * @param ofEntry what became of the last entry.
 */
export const toldTrouble = (ofEntry: string | undefined, reading: Reading): string | undefined =>
  ofEntry === undefined || (ofEntry === keptByServer && isUnread(reading))
    ? troubleOfReading[reading]
    : ofEntry;
