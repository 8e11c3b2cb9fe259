import { performance } from 'node:perf_hooks';
import { setTimeout as pause } from 'node:timers/promises';
import { asFirm, DatabaseUnavailable, type Database } from '../database/client';
import { settleStandingOf } from '../database/jobs';
import { NotFound } from './errors';
import { logFault } from './log';
import { readJobFile } from './read-job';
import { settleServed } from './service-due';
import { inThread } from './threads';

/**
 * Works out what jobs stand at, beside the requests and in a thread of its own: an entry is stored long before its answer is
 * known. A job that is asked for again while it waits is worked out once, as it is then.
 */

/** The server is busy when it works for more than this share of the time; then it rests between two jobs, so many times as long. */
const busyShare = 0.25;
const restTimes = 9;

interface Wanted {
  readonly database: Database;
  readonly organisationId: string;
  readonly jobId: string;
}

interface Queue {
  readonly waiting: Map<string, Wanted>;
  running?: Promise<void>;
}

const global = globalThis as { ohmmeterStandings?: Queue };

/** One queue a process: a server may load this file more than once. */
const queue = (): Queue => (global.ohmmeterStandings ??= { waiting: new Map() });

/** Asks for what a job stands at to be worked out. Gives at once; what goes wrong leaves it unsettled, for the next start. */
export function settleStanding(database: Database, organisationId: string, jobId: string): void {
  const own = queue();
  own.waiting.set(jobId, { database, organisationId, jobId });
  if (!own.running) run(own);
}

function run(own: Queue): void {
  own.running = settleAll(own).finally(() => {
    own.running = undefined;
    // What was asked for between the last look and now.
    if (own.waiting.size > 0) run(own);
  });
}

/** Waits until all that was asked for is worked out. */
export const settled = async (): Promise<void> => {
  while (queue().running) await queue().running;
};

async function settleAll({ waiting }: Queue): Promise<void> {
  for (;;) {
    const next = waiting.values().next().value;
    if (!next) return;
    waiting.delete(next.jobId);
    const from = performance.eventLoopUtilization();
    const began = performance.now();
    try {
      await settle(next);
    } catch (error) {
      // A job that is gone stands at nothing; without a database it is left unsettled, for the next start.
      if (!(error instanceof DatabaseUnavailable || error instanceof NotFound)) {
        logFault('what a job stands at could not be worked out', error);
      }
    }
    // Where requests come thick and fast they go first: what is asked for meanwhile is worked out once.
    if (performance.eventLoopUtilization(from).utilization > busyShare)
      await pause(restTimes * (performance.now() - began), undefined, { ref: false });
  }
}

async function settle({ database, organisationId, jobId }: Wanted): Promise<void> {
  const job = await asFirm(database, organisationId, (transaction) =>
    readJobFile(transaction, jobId),
  );
  const standing = await inThread('background', (service) => service.standingOf(job));
  await asFirm(database, organisationId, async (transaction) => {
    await settleStandingOf(transaction, jobId, standing);
    if (job.unit.id !== undefined) {
      await settleServed(transaction, job.unit.id, standing.served ?? {});
    }
  });
}
