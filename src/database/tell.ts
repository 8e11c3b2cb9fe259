import { setTimeout as pause } from 'node:timers/promises';
import type { Database } from './client';
import { entriesChannel } from './entries';

/** Where entries come thick and fast, those of so long are told of together. Nobody sees the difference. */
const restMilliseconds = 50;
/** Without a database nobody hears anything; it is tried again so often. */
const retryMilliseconds = 1000;

interface Teller {
  /** Jobs that got entries, and nobody has been told yet. */
  readonly untold: Set<string>;
  isTelling: boolean;
}

const tellers = new WeakMap<Database, Teller>();

/**
 * Tells every server, and by them every device that has the job open, that entries came to it: after they are stored, and all
 * jobs of a moment at once. PostgreSQL lets one transaction that notifies commit at a time; in the transaction of the entries
 * each would wait for the disk of all before it. Gives at once.
 */
export function tellOfEntries(database: Database, jobId: string): void {
  const own = tellers.get(database) ?? { untold: new Set<string>(), isTelling: false };
  tellers.set(database, own);
  own.untold.add(jobId);
  if (!own.isTelling) void tellAll(database, own);
}

async function tellAll(database: Database, own: Teller): Promise<void> {
  own.isTelling = true;
  while (own.untold.size > 0 && !database.$client.ended) {
    const jobs = [...own.untold];
    own.untold.clear();
    try {
      // A notice is not stored: nobody waits for the disk.
      await database.$client.query({
        name: 'tell-of-entries',
        text: "select set_config('synchronous_commit', 'off', true), pg_notify($1, job) from unnest($2::text[]) as jobs(job)",
        values: [entriesChannel, jobs],
      });
      await pause(restMilliseconds, undefined, { ref: false });
    } catch {
      for (const each of jobs) own.untold.add(each);
      await pause(retryMilliseconds, undefined, { ref: false });
    }
  }
  own.isTelling = false;
}
