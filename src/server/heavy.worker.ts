import '../core/appliances/all';
import { constants, setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { heavy } from './heavy';

// Where nobody waits for what is worked out: on Linux this is the nice value of this thread alone.
if (workerData === 'background') setPriority(constants.priority.PRIORITY_LOW);

expose(heavy, nodeEndpoint(parentPort!));
