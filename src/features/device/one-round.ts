/**
 * Makes of a piece of work one that runs once at a time: asked for while it runs, it runs once more afterwards, so that
 * nothing that came meanwhile is left out. It ends when nobody asks any more, or with the first round that fails.
 */
export function oneRoundAtATime(work: () => Promise<void>): () => Promise<void> {
  let isRunning = false;
  let isWanted = false;
  return async () => {
    isWanted = true;
    if (isRunning) return;
    isRunning = true;
    try {
      while (isWanted) {
        isWanted = false;
        await work();
      }
    } finally {
      isRunning = false;
    }
  };
}
