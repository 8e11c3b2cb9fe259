/** Tells open pages that the server's logbooks are no longer the ones that they have counted. */
export const restoredEvent = 'ohmmeter-restored';
