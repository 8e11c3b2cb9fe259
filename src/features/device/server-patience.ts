/** A server that says nothing for so long is taken not to answer. */
export const serverPatienceMilliseconds = 15_000;
