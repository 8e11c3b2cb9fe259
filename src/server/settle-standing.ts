import { performance } from 'node:perf_hooks';
import { setTimeout as pause } from 'node:timers/promises';
import type { Database } from '../database/client';
import { logFault } from './log';
import { settleJob } from './settle-job';
import { hasThreads, inThread } from './threads';

/**
 * Works out what jobs stand at, beside the requests and in a thread of its own: an entry is stored long before its answer is
 * known. A job that is asked for again while it waits is worked out once, as it is then.
 */

/**
 * A job is left until nothing has come to it for so long, or until the first that came has waited for so long: whoever works on
 * it has the answer on the device. What was brought in is opened next, and its page goes first.
 */
const quietMilliseconds = { 'worked-on': 1500, 'brought-in': 4000 } as const;
const longestMilliseconds = 4000;
export type Coming = keyof typeof quietMilliseconds;

/** The server is busy when it works for more than this share of the time; then it rests between two jobs, so many times as long. */
const busyShare = 0.25;
const restTimes = 9;

interface Wanted {
  readonly database: Database;
  readonly organisationId: string;
  readonly jobId: string;
  /** When it is to be taken, and when it is whatever comes until then, by the clock of this process. */
  readonly dueAt: number;
  readonly latestAt: number;
}

interface Queue {
  readonly waiting: Map<string, Wanted>;
  running?: Promise<void>;
}

const global = globalThis as { ohmmeterStandings?: Queue };

/** One queue a process: a server may load this file more than once. */
const queue = (): Queue => (global.ohmmeterStandings ??= { waiting: new Map() });

/** Asks for what a job stands at to be worked out. Gives at once; what goes wrong leaves it unsettled, for the next start. */
export function settleStanding(
  database: Database,
  organisationId: string,
  jobId: string,
  coming: Coming = 'worked-on',
): void {
  const own = queue();
  const now = performance.now();
  const latestAt = own.waiting.get(jobId)?.latestAt ?? now + longestMilliseconds;
  const dueAt = Math.min(now + quietMilliseconds[coming], latestAt);
  own.waiting.set(jobId, { database, organisationId, jobId, dueAt, latestAt });
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

/** An error that comes out of a thread has its name, not its class. */
const isExpected = (error: unknown): boolean =>
  error instanceof Error && ['DatabaseUnavailable', 'NotFound'].includes(error.name);

const firstDue = (waiting: Queue['waiting']): Wanted | undefined =>
  [...waiting.values()].reduce<Wanted | undefined>(
    (first, each) => (first && first.dueAt <= each.dueAt ? first : each),
    undefined,
  );

async function settleAll({ waiting }: Queue): Promise<void> {
  for (;;) {
    const next = firstDue(waiting);
    if (!next) return;
    const early = next.dueAt - performance.now();
    if (hasThreads() && early > 0) {
      await pause(early, undefined, { ref: false });
      // Something may have come to it meanwhile.
      continue;
    }
    waiting.delete(next.jobId);
    const from = performance.eventLoopUtilization();
    const began = performance.now();
    try {
      await settle(next);
    } catch (error) {
      // A job that is gone stands at nothing; without a database it is left unsettled, for the next start.
      if (!isExpected(error)) {
        logFault('what a job stands at could not be worked out', error);
      }
    }
    // Where requests come thick and fast they go first: what is asked for meanwhile is worked out once. Without threads the
    // work itself is all that was busy.
    if (hasThreads() && performance.eventLoopUtilization(from).utilization > busyShare)
      await pause(restTimes * (performance.now() - began), undefined, { ref: false });
  }
}

/** In a thread of its own from the reading to the writing: a long logbook is not even read on the thread that answers. */
const settle = ({ database, organisationId, jobId }: Wanted): Promise<void> =>
  hasThreads()
    ? inThread('background', (service) => service.settle(organisationId, jobId))
    : settleJob(database, organisationId, jobId);
