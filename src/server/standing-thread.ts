import { existsSync } from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import type { JobFile } from '../core/job-file';
import type { Standing } from '../database/standing';
import { standingOf } from './standing-of';
import type { StandingService } from './standing.worker';

/** Bundled by scripts/build-workers.mjs beside the production build. */
const workerFile = () => path.join(process.cwd(), 'dist', 'standing-worker.mjs');

interface Thread {
  readonly service: Remote<StandingService>;
  /** Rejects when the thread ends, so that nobody waits for an answer that will not come. */
  readonly ended: Promise<never>;
}

const global = globalThis as { ohmmeterStandingThread?: Thread };

/**
 * What a job stands at, worked out in a thread of its own. In this one where it is not the production build that runs: the
 * bundle may then be older than the code.
 */
export async function standingInThread(job: JobFile): Promise<Standing> {
  if (process.env.NODE_ENV !== 'production' || !existsSync(workerFile())) return standingOf(job);
  const thread = (global.ohmmeterStandingThread ??= startThread());
  return Promise.race([thread.service.standingOf(job), thread.ended]);
}

function startThread(): Thread {
  const worker = new Worker(workerFile());
  worker.unref();
  const ended = new Promise<never>((_, reject) => {
    const end = (error?: unknown) => {
      global.ohmmeterStandingThread = undefined;
      reject(error instanceof Error ? error : new Error('the thread of the standings has ended'));
    };
    worker.once('error', end);
    worker.once('exit', end);
  });
  // Told to whoever waits; nobody may be waiting.
  ended.catch(() => undefined);
  return { service: wrap<StandingService>(nodeEndpoint(worker)), ended };
}
