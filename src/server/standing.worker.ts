import { parentPort } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { standingOf } from './standing-of';

const service = { standingOf };

export type StandingService = typeof service;

expose(service, nodeEndpoint(parentPort!));
