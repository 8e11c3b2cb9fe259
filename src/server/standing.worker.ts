import { constants, setPriority } from 'node:os';
import { parentPort } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { standingOf } from './standing-of';

// Nobody waits for what is worked out here: on Linux this is the nice value of this thread alone.
setPriority(constants.priority.PRIORITY_LOW);

const service = { standingOf };

export type StandingService = typeof service;

expose(service, nodeEndpoint(parentPort!));
