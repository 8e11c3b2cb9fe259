/** Tells open pages that the server's logbooks are no longer the ones that they have counted. */
export const restoredEvent = 'ohmmeter-restored';

/** Told where a page heard of a backup that was put back, or may have been. */
export const restoreHeardEvent = 'ohmmeter-restore-heard';

/** In the place of a backup's id: the server does not know a job that is open here. */
export const jobUnknown = 'job unknown';

let heard: string | undefined;

/** Which backup the server said last that it has; undefined where it never said any. */
export const heardRestore = (): string | undefined => heard;

export function hearRestore(id: string | undefined): void {
  if (id === undefined || id === heard) return;
  heard = id;
  window.dispatchEvent(new Event(restoreHeardEvent));
}
