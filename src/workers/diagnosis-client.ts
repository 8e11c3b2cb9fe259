import { wrap, type Remote } from 'comlink';
import type { Entry, JobFile } from '@/core/job-file';
import type { DiagnosisService, SentJob } from './diagnosis.worker';

export type { PictureAnswer, Preview } from './diagnosis.worker';

let service: Remote<DiagnosisService> | undefined;

/** The engine in its own thread, started at the first use and kept for the life of the page. */
export function diagnosisService(): Remote<DiagnosisService> {
  service ??= wrap<DiagnosisService>(
    new Worker(new URL('./diagnosis.worker.ts', import.meta.url), { type: 'module' }),
  );
  return service;
}

/** What the thread holds of the logbook that was sent last. */
let held: readonly Entry[] = [];

/**
 * A job on its way to the thread: of its logbook only what the thread does not hold yet. It must be sent, and with nothing
 * sent in between: the thread goes by the order.
 */
export function toThread(job: JobFile): SentJob {
  const { entries } = job;
  let base = 0;
  while (base < held.length && held[base]?.id === entries[base]?.id) base++;
  held = entries;
  return { head: { ...job, entries: [] }, base, added: entries.slice(base) };
}
