/** How long a test waits for what comes by itself: a machine that others use may stand still for seconds. */
export const patience = { timeout: 30_000 };
