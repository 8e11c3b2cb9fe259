/** The package has types for this file under a name that TypeScript does not look for. */
declare module 'comlink/dist/esm/node-adapter.mjs' {
  import type { Endpoint } from 'comlink';
  import type { MessagePort, Worker } from 'node:worker_threads';
  export default function nodeEndpoint(thread: Worker | MessagePort): Endpoint;
}
