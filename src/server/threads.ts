import { existsSync } from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { buildId } from '../build-id';
import { heavy, type Heavy } from './heavy';

/**
 * One for what a page would like to have, one for what a change cannot do without, one for what nobody waits for, and one that
 * is there after a start only.
 */
export type ThreadName = 'answers' | 'checks' | 'background' | 'warming';

/** What a thread is told at its start. */
export interface ThreadData {
  readonly name: ThreadName;
  readonly buildId: string;
}

/** Bundled by scripts/build-server.mjs beside the production build. */
const workerFile = () => path.join(process.cwd(), 'dist', 'heavy-worker.mjs');

interface Thread {
  readonly worker: Worker;
  readonly service: Remote<Heavy>;
  /** Rejects when the thread ends, so that nobody waits for an answer that will not come. */
  readonly ended: Promise<never>;
}

const global = globalThis as { ohmmeterThreads?: Map<ThreadName, Thread> };

/** Only the production build has threads: beside other code the bundle may be older than it. */
export const hasThreads = (): boolean =>
  process.env.NODE_ENV === 'production' && existsSync(workerFile());

/**
 * Does heavy work in a thread of its own. In this one where it is not the production build that runs: the bundle may then be
 * older than the code.
 */
export async function inThread<T>(
  name: ThreadName,
  work: (service: Remote<Heavy> | Heavy) => T | Promise<T>,
): Promise<T> {
  if (!hasThreads()) return work(heavy);
  const threads = (global.ohmmeterThreads ??= new Map<ThreadName, Thread>());
  const thread = threads.get(name) ?? startThread(threads, name);
  return Promise.race([work(thread.service), thread.ended]);
}

function startThread(threads: Map<ThreadName, Thread>, name: ThreadName): Thread {
  const worker = new Worker(workerFile(), { workerData: { name, buildId } satisfies ThreadData });
  worker.unref();
  const ended = new Promise<never>((_, reject) => {
    const end = (error?: unknown) => {
      threads.delete(name);
      reject(error instanceof Error ? error : new Error(`the thread "${name}" has ended`));
    };
    worker.once('error', end);
    worker.once('exit', end);
  });
  // Told to whoever waits; nobody may be waiting.
  ended.catch(() => undefined);
  const thread = { worker, service: wrap<Heavy>(nodeEndpoint(worker)), ended };
  threads.set(name, thread);
  return thread;
}

/** Ends a thread that is not needed any more, with all that it remembers; what it is still at is given up. */
export async function endThread(name: ThreadName): Promise<void> {
  await global.ohmmeterThreads?.get(name)?.worker.terminate();
}
