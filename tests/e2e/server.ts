import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { tcpLines } from '../../src/instruments/tcp-lines';
import { serveBench } from '../../src/simulated-bench/serve';
import { applicationUrl } from '../../src/database/migrate';
import { makeTestDatabase, type TestDatabase } from '../database/test-database';

const root = path.resolve(import.meta.dirname, '../..');

const asApplication = (ownerUrl: string) =>
  applicationUrl(ownerUrl, process.env.OHMMETER_APPLICATION_PASSWORD ?? 'test');

export interface TestServer {
  /** Hands on the simulated unit, where there is one. */
  readonly hands?: (order: object) => Promise<Record<string, unknown>>;
  readonly url: string;
  readonly test: TestDatabase;
  /** Where it writes its log. */
  readonly logs: string;
  /** Stops it, lets something be done to its database, to which nobody is connected then, and starts it anew. */
  restart(meanwhile: () => Promise<void>): Promise<void>;
  stop(): Promise<void>;
}

/** The production build on a free port, over a database of its own with or without the demo data. */
export async function startServer({
  demo,
  bench = false,
  warmJobs = 0,
}: {
  demo: boolean;
  /** A simulated unit with its instruments beside it. */
  bench?: boolean;
  /** How many of its jobs the server looks through before anybody asks, as it does in use. */
  warmJobs?: number;
}): Promise<TestServer> {
  const prepared = process.env.OHMMETER_TEST_DEMO;
  const test = await makeTestDatabase(demo ? prepared : undefined);
  // The tests have the demo data ready to be copied; who measures has not.
  if (demo && prepared === undefined) await seedByItself(test);
  const port = await freePort();
  const logs = mkdtempSync(path.join(tmpdir(), 'ohmmeter-logs-'));
  const simulated = bench ? await simulatedBench() : undefined;
  const begin = () =>
    spawn('node', ['dist/server.mjs', String(port)], {
      cwd: root,
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        ...simulated?.environment,
        NODE_ENV: 'production',
        // Each test opens jobs of its own, on plates of its own.
        OHMMETER_WARM_JOBS: String(warmJobs),
        OHMMETER_HOME: root,
        OHMMETER_LOGS: logs,
        OHMMETER_APPLICATION_DATABASE_URL: asApplication(test.ownerUrl),
      },
    });
  let child = begin();
  const end = async () => {
    child.kill();
    if (child.exitCode === null) await once(child, 'exit');
  };
  const url = `http://127.0.0.1:${port}`;
  await answers(`${url}/api/health`);
  return {
    url,
    test,
    logs,
    hands: simulated?.hands,
    async restart(meanwhile) {
      await end();
      await test.leave();
      await meanwhile();
      child = begin();
      await answers(`${url}/api/health`);
    },
    async stop() {
      simulated?.close();
      await end();
      await test.drop();
      rmSync(logs, { recursive: true, force: true });
    },
  };
}

/** The simulated bench on five free ports in a row. */
async function simulatedBench() {
  // Below those that the kernel gives to whoever connects to somebody: of them one is in use at any moment.
  const first = 20_000 + Math.floor(Math.random() * 12_000);
  const close = await serveBench(first);
  const lines = tcpLines('127.0.0.1', first);
  const at = (k: number) => `127.0.0.1:${first + k}`;
  return {
    close() {
      lines.close();
      close();
    },
    hands: async (order: object) =>
      JSON.parse((await lines.ask(JSON.stringify(order)))!) as Record<string, unknown>,
    environment: {
      OHMMETER_SIMULATED_BENCH: at(0),
      OHMMETER_INSTRUMENTS: `meter@${at(1)} clamp@${at(2)} thermometer@${at(3)} infrared@${at(4)}`,
    },
  };
}

/**
 * Makes the demo data in a process of its own: it fills hundreds of megabytes with the engine's tables, which would be swept
 * in the middle of what is measured.
 */
async function seedByItself({ ownerUrl }: TestDatabase): Promise<void> {
  const seeding = spawn('node', ['--import', 'tsx', 'scripts/seed-demo.ts'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      OHMMETER_OWNER_DATABASE_URL: ownerUrl,
      OHMMETER_APPLICATION_DATABASE_URL: asApplication(ownerUrl),
    },
  });
  const [code] = (await once(seeding, 'exit')) as [number | null];
  if (code !== 0) throw new Error(`the demo data could not be made (${code})`);
}

async function answers(url: string): Promise<void> {
  for (let tries = 0; tries < 150; tries++) {
    try {
      if ((await fetch(url)).ok) return;
    } catch {
      // Not up yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error(`nothing answers at ${url}`);
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  server.close();
  await once(server, 'close');
  if (address === null || typeof address === 'string') throw new Error('no port');
  return address.port;
}
