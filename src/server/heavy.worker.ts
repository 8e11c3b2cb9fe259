import '../core/appliances/all';
import { constants, setPriority } from 'node:os';
import path from 'node:path';
import { parentPort, workerData } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { heavy } from './heavy';
import { keepTables } from './stored-tables';
import { openTableStore } from './table-store';
import type { ThreadData } from './threads';

const { name, buildId } = workerData as ThreadData;

// Where nobody waits for what is worked out: on Linux this is the nice value of this thread alone.
if (name === 'background' || name === 'warming') setPriority(constants.priority.PRIORITY_LOW);

const home = process.env.OHMMETER_HOME;
if (home) keepTables(openTableStore(path.join(home, '.ohmmeter', 'tables'), buildId));

expose(heavy, nodeEndpoint(parentPort!));
