import { wrap, type Remote } from 'comlink';
import type { DiagnosisService } from './diagnosis.worker';

export type { PictureAnswer, Preview } from './diagnosis.worker';

let service: Remote<DiagnosisService> | undefined;

/** The engine in its own thread, started at the first use and kept for the life of the page. */
export function diagnosisService(): Remote<DiagnosisService> {
  service ??= wrap<DiagnosisService>(
    new Worker(new URL('./diagnosis.worker.ts', import.meta.url), { type: 'module' }),
  );
  return service;
}
