/**
 * Drives an installation of its own through hard times while technicians write, and counts what was acknowledged against what
 * is stored: processes killed with -9, or a disk that is full and freed again. Loopback only, in a folder of its own, which is
 * removed. Usage, after a build:
 *   node --import tsx scripts/drive-faults.ts kill 20        # so many kills, at most 200
 *   node --import tsx scripts/drive-faults.ts full 3         # the disk filled so often, at most 20; as root, who may mount
 */
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import {
  chmodSync,
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statfsSync,
} from 'node:fs';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { v7 as newId } from 'uuid';
import { connect } from '../src/database/client';
import { applicationUrl, migrateDatabase } from '../src/database/migrate';
import { setUpFirm } from '../src/server/set-up-firm';
import { emptyJob } from '../tests/plates';

const [mode = '', roundsText = ''] = process.argv.slice(2);
const rounds = Number(roundsText);
const mostRounds = mode === 'kill' ? 200 : 20;
if (!['kill', 'full'].includes(mode) || !(rounds >= 1 && rounds <= mostRounds)) {
  console.error('usage: drive-faults.ts kill ROUNDS | full ROUNDS');
  process.exit(2);
}

const repository = path.resolve(import.meta.dirname, '..');
const folder = mkdtempSync(path.join(tmpdir(), 'ohmmeter-faults-'));
chmodSync(folder, 0o755);
if (mode === 'full')
  execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=220m,mode=755', 'tmpfs', folder]);
mkdirSync(path.join(folder, 'scripts'));
const script = path.join(folder, 'scripts/postgres-cluster.sh');
copyFileSync(path.join(repository, 'scripts/postgres-cluster.sh'), script);
const cluster = (word: string) =>
  execFileSync('bash', [script, word], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  }).trim();
const password = 'of-this-drive';

const ownerUrl = cluster('start');
await migrateDatabase(ownerUrl, password, path.join(repository, 'src/database/migrations'));
const { database, pool } = connect(applicationUrl(ownerUrl, password));
await setUpFirm(database, {
  name: 'Hard times',
  address: '',
  unitSystem: 'us',
  timeZone: 'UTC',
  technician: 'Somebody',
  liveWork: true,
  gasWork: true,
});

const port = await freePort();
const url = `http://127.0.0.1:${port}`;
let app: ChildProcess | undefined;
async function startApp(): Promise<void> {
  app = spawn('node', ['dist/server.mjs', String(port)], {
    cwd: repository,
    stdio: 'ignore',
    env: {
      ...process.env,
      NODE_ENV: 'production',
      OHMMETER_HOME: repository,
      OHMMETER_LOGS: path.join(folder, 'logs'),
      OHMMETER_APPLICATION_DATABASE_URL: applicationUrl(ownerUrl, password),
      OHMMETER_OWNER_DATABASE_URL: '',
    },
  });
  for (let tries = 0; tries < 150; tries++) {
    if (
      await fetch(`${url}/api/health`).then(
        (r) => r.ok,
        () => false,
      )
    )
      return;
    await pause(200);
  }
  throw new Error('the application does not start');
}
const headers = { 'content-type': 'application/json', origin: url };
const post = (address: string, body: unknown) =>
  fetch(`${url}${address}`, {
    method: 'POST',
    headers,
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(20_000),
  });

const acknowledged = new Set<string>();
let retries = 0;
let isOver = false;
const answers = new Map<number, number>();

/** Writes until it is over; what was not acknowledged is sent again, as a device does. */
async function write(jobId: string): Promise<void> {
  while (!isOver) {
    const id = newId();
    const entry = {
      id,
      at: new Date().toISOString(),
      kind: 'skip',
      check: 'supply-volts',
      reason: 'skipped',
    };
    while (!acknowledged.has(id)) {
      const status = await post(`/api/jobs/${jobId}/entries`, { entries: [entry] }).then(
        async (answer) => {
          await answer.text();
          return answer.status;
        },
        () => 0,
      );
      answers.set(status, (answers.get(status) ?? 0) + 1);
      if (status === 200) acknowledged.add(id);
      else {
        retries += 1;
        if (isOver) return;
        await pause(300);
      }
    }
    await pause(50);
  }
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  server.close();
  if (address === null || typeof address === 'string') throw new Error('no port');
  return address.port;
}

/** Processes of the cluster in the folder, and of no other; the postmaster first. */
function postgresProcesses(): number[] {
  const data = path.join(folder, '.ohmmeter/postgres/data');
  const found = execFileSync(
    'bash',
    ['-c', `find /proc -maxdepth 2 -name cwd -lname "${data}" 2>/dev/null | cut -d/ -f3`],
    { encoding: 'utf8' },
  );
  const master = Number(readFileSync(path.join(data, 'postmaster.pid'), 'utf8').split('\n')[0]);
  const all = found.split('\n').filter(Boolean).map(Number);
  return [master, ...all.filter((each) => each !== master)];
}
const kill9 = (pid: number | undefined) => {
  try {
    if (pid) process.kill(pid, 'SIGKILL');
  } catch {
    // Gone already.
  }
};

/** Processor seconds that a process has used. */
const cpuSeconds = (pid: number): number => {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
  return (Number(fields[11]) + Number(fields[12])) / 100;
};

try {
  await startApp();
  const technicianId = (
    (await (await fetch(`${url}/api/for-device`)).json()) as { technicianId: string }
  ).technicianId;
  const jobs: string[] = [];
  for (let k = 0; k < 4; k++) {
    const answer = await post('/api/jobs', {
      technicianId,
      complaint: { kind: 'no-hot-water', words: '', answers: {} },
      newUnit: {
        customer: `Writer ${k}`,
        address: 'Street',
        family: 'electric-storage-two-element',
        supply: 'split-240',
        plate: emptyJob().unit.plate,
      },
    });
    jobs.push(((await answer.json()) as { id: string }).id);
  }
  const writing = jobs.map(write);

  for (let round = 0; round < rounds; round++) {
    await pause(800 + Math.random() * 1200);
    if (mode === 'kill') {
      const what = (['server', 'postgres', 'both', 'postmaster'] as const)[round % 4]!;
      if (what === 'server' || what === 'both') kill9(app?.pid);
      if (what === 'postgres' || what === 'both') postgresProcesses().forEach(kill9);
      if (what === 'postmaster') kill9(postgresProcesses()[0]);
      await pause(300);
      if (what !== 'server') cluster('start');
      if (what === 'server' || what === 'both') await startApp();
    } else {
      const filler = path.join(folder, 'filler');
      execFileSync('bash', ['-c', `dd if=/dev/zero of=${filler} bs=64k 2>/dev/null || true`]);
      const free = statfsSync(folder);
      const before = acknowledged.size;
      const cpu = cpuSeconds(app!.pid!);
      await pause(8000);
      const used = cpuSeconds(app!.pid!) - cpu;
      const reading = await Promise.all(
        ['/', `/jobs/${jobs[0]}`, `/api/jobs/${jobs[0]}/file`].map((each) =>
          fetch(`${url}${each}`).then(
            (r) => r.status,
            () => 0,
          ),
        ),
      );
      const whileFull = acknowledged.size - before;
      rmSync(filler);
      const from = performance.now();
      const at = acknowledged.size;
      while (acknowledged.size < at + 4 && performance.now() - from < 60_000) await pause(100);
      console.log(
        `full ${round + 1}: ${free.bavail} blocks free; in 8 s ${whileFull} acknowledged, reading answered ${reading.join(', ')}, the server used ${((used / 8) * 100).toFixed(0)} % of a core; freed, it goes on after ${((performance.now() - from) / 1000).toFixed(1)} s`,
      );
    }
  }
  await pause(4000);
  isOver = true;
  await Promise.all(writing);
  const stored: string[] = [];
  let gaps = 0;
  for (const id of jobs) {
    const file = (await (await fetch(`${url}/api/jobs/${id}/file`)).json()) as {
      entries: { id: string }[];
    };
    stored.push(...file.entries.map((each) => each.id));
    const after = (await (
      await fetch(`${url}/api/jobs/${id}/entries?after=${file.entries.length - 1}`)
    ).json()) as { entries: unknown[] };
    // Counted by sequence: with a gap there would be another than the last.
    if (file.entries.length > 0 && after.entries.length !== 1) gaps += 1;
  }
  const kept = new Set(stored);
  const missing = [...acknowledged].filter((each) => !kept.has(each)).length;
  console.log(
    `${rounds} rounds of ${mode}: ${acknowledged.size} acknowledged, ${missing} missing, ${stored.length - kept.size} doubled, ${gaps} gaps; ${retries} sent again; answers ${JSON.stringify(Object.fromEntries(answers))}`,
  );
  process.exitCode = missing + gaps + (stored.length - kept.size) === 0 ? 0 : 1;
} finally {
  app?.kill();
  await pool.end().catch(() => undefined);
  try {
    cluster('stop');
  } catch {
    // Stopped already.
  }
  if (mode === 'full') execFileSync('umount', ['-l', folder]);
  rmSync(folder, { recursive: true, force: true });
}
