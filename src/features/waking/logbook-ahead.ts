/** A long logbook that the page asked for ahead of its code. */
export interface LogbookAhead {
  readonly jobId: string;
  /** How many entries it had then. */
  readonly count: number;
  /** Each part by the number of entries before it. */
  readonly parts: Map<number, Promise<Response>>;
}

/** A part is a third of a megabyte, and the way to the server may be a bad one. */
export const partPatienceMilliseconds = 60_000;

declare global {
  interface Window {
    ohmmeterLogbookAhead?: LogbookAhead;
  }
}

/**
 * Runs in the page ahead of its code: a long logbook that this device does not have is asked for as soon as its place is read.
 * It stands in the page as text, so it may use nothing outside itself but what it is given.
 */
function askAhead(store: string, table: string, patience: number): void {
  const watch = new MutationObserver(() => look());
  const look = () => {
    const place = document.querySelector<HTMLElement>('[data-long-logbook]');
    if (place || document.readyState !== 'loading') watch.disconnect();
    if (place) askFor(place);
  };
  watch.observe(document, { subtree: true, childList: true });

  function askFor(place: HTMLElement) {
    const jobId = place.dataset.longLogbook!;
    const [count, atOnce] = [Number(place.dataset.count), Number(place.dataset.atOnce)];
    const ask = () => {
      // Its code was quicker.
      if (window.ohmmeterLogbookAhead) return;
      const parts = new Map<number, Promise<Response>>();
      for (let after = 0; after < count; after += atOnce) {
        const part = fetch(`/api/jobs/${jobId}/entries?after=${after}`, {
          cache: 'no-store',
          signal: AbortSignal.timeout(patience),
        });
        // Whoever takes it hears of what goes wrong.
        part.catch(() => undefined);
        parts.set(after, part);
      }
      window.ohmmeterLogbookAhead = { jobId, count, parts };
    };
    try {
      const opening = indexedDB.open(store);
      // There is none yet, and making one is left to the page's code.
      opening.onupgradeneeded = () => opening.transaction!.abort();
      opening.onerror = ask;
      opening.onsuccess = () => {
        const database = opening.result;
        const isThere = database.objectStoreNames.contains(table);
        if (!isThere) ask();
        else {
          const known = database.transaction(table).objectStore(table).getKey(jobId);
          known.onsuccess = () => {
            if (known.result === undefined) ask();
          };
        }
        // Once what was asked is answered.
        database.close();
      };
    } catch {
      ask();
    }
  }
}

/** It as the page has it. */
export const scriptForLogbook = (): string =>
  `(${String(askAhead)})("ohmmeter","jobs",${partPatienceMilliseconds})`;

/** The part after so many entries, if the page asked for it; each is given once. */
export async function partAhead(
  jobId: string,
  count: number,
  after: number,
): Promise<Response | undefined> {
  const ahead = window.ohmmeterLogbookAhead;
  // A logbook that has grown since has a longer last part.
  if (ahead?.jobId !== jobId || ahead.count !== count) return undefined;
  const part = ahead.parts.get(after);
  ahead.parts.delete(after);
  // What went wrong is asked for again.
  const response = await part?.catch(() => undefined);
  return response?.ok ? response : undefined;
}

/**
 * Whoever reads the logbook has what it needs. What nobody takes is not read to its end, and not begun any more: a browser has a
 * few connections to a server, and each would be held.
 */
export function dropAhead(jobId: string): void {
  const none: LogbookAhead = { jobId, count: 0, parts: new Map() };
  const ahead = (window.ohmmeterLogbookAhead ??= none);
  // Of another job, which its page still reads.
  if (ahead.jobId !== jobId) return;
  for (const part of ahead.parts.values()) {
    void part.then((response) => response.body?.cancel()).catch(() => undefined);
  }
  ahead.parts.clear();
}
