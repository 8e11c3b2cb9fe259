/**
 * Measures how many technicians the server carries: each saves a reading a second on a job of their own, for so many seconds,
 * over a database of its own on the loopback. Prints the milliseconds from the request to the answer: of the first twenty
 * seconds, in which a server that has just been started compiles its own code, and of what comes after. Usage, after a build:
 *   OHMMETER_OWNER_DATABASE_URL="$(bash scripts/postgres-cluster.sh start)" node --import tsx scripts/measure-load.ts 200 60
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { v7 as newId } from 'uuid';
import { quantileOf } from '../src/core/benchmark/statistics';
import type { Entry } from '../src/core/job-file';
import { asInstallation } from '../src/database/client';
import { appendQuickly } from '../src/database/entries';
import { listUnsettled } from '../src/database/jobs';
import { readKnownJob } from '../src/server/read-job';
import { startServer } from '../tests/e2e/server';

const [technicians = 50, seconds = 30] = process.argv.slice(2).map(Number);
if (!(technicians >= 1 && technicians <= 500 && seconds >= 1 && seconds <= 600)) {
  console.error('usage: measure-load.ts TECHNICIANS SECONDS (at most 500, and 600)');
  process.exit(2);
}
process.env.OHMMETER_APPLICATION_PASSWORD ??= readFileSync(
  path.resolve(import.meta.dirname, '../.ohmmeter/application-password'),
  'utf8',
).trim();

const coldSeconds = 20;
const clients = 10;
const bareMilliseconds = 10_000;

/** Readings that a job may have in any order, of a unit that is good. */
const readings = [
  ['upper-element-ohms', { ohm: 12.9 }],
  ['lower-element-ohms', { ohm: 13.1 }],
  ['supply-volts', { volt: 239 }],
  ['upper-element-amps', { ampere: 18.4 }],
  ['outlet-first', { celsius: 48 }],
] as const;

const server = await startServer({ demo: true });
const headers = { 'content-type': 'application/json', origin: server.url };
const post = (url: string, body: unknown) =>
  fetch(`${server.url}${url}`, { method: 'POST', headers, body: JSON.stringify(body) });

try {
  const { technicianId } = (await (await fetch(`${server.url}/api/for-device`)).json()) as {
    technicianId: string;
  };
  const call = (k: number) => ({
    technicianId,
    complaint: { kind: 'no-hot-water', words: '', answers: {} },
    newUnit: {
      family: 'electric-storage-two-element',
      customer: `Load ${k}`,
      address: `${k} Load Street`,
      make: '',
      model: '',
      serial: '',
      installed: '',
      supply: 'split-240',
      plate: { rated: { volt: 240 }, elements: { upper: { watt: 4500 }, lower: { watt: 4500 } } },
    },
  });
  const jobs: string[] = [];
  for (let k = 0; k < technicians; k++) {
    const answer = await post('/api/jobs', call(k));
    if (!answer.ok) throw new Error(`a job was not opened: ${await answer.text()}`);
    jobs.push(((await answer.json()) as { id: string }).id);
  }
  // What opening them has asked for is worked out first.
  for (let unsettled = 1; unsettled > 0; await pause(500)) {
    unsettled =
      (await asInstallation(server.test.database, (transaction) => listUnsettled(transaction, 1)))
        ?.length ?? 0;
  }

  const coldMilliseconds: number[] = [];
  const milliseconds: number[] = [];
  /** The same by the ten seconds in which each was sent. */
  const byPart: number[][] = [];
  const failures = new Map<string, number>();
  const save = async (job: string, round: number) => {
    const [check, value] = readings[Math.abs(round) % readings.length]!;
    const entry = { id: newId(), at: new Date().toISOString(), kind: 'reading', check, value };
    const from = performance.now();
    const answer = await post(`/api/jobs/${job}/entries`, { entries: [entry] }).catch(
      (error: unknown) => String(error),
    );
    const took = performance.now() - from;
    if (round < 0) coldMilliseconds.push(took);
    else milliseconds.push(took);
    if (round >= 0) (byPart[Math.floor((from - began) / 10_000)] ??= []).push(took);
    const failure = typeof answer === 'string' ? answer : answer.ok ? '' : `${answer.status}`;
    if (failure) failures.set(failure, (failures.get(failure) ?? 0) + 1);
  };
  const began = performance.now() + coldSeconds * 1000;
  await Promise.all(
    jobs.map(async (job, k) => {
      // Spread over the second, as people are.
      await pause((k / technicians) * 1000);
      for (let round = -coldSeconds; round < seconds; round++) {
        const due = began + (k / technicians + round) * 1000;
        await pause(Math.max(0, due - performance.now()));
        await save(job, round);
      }
    }),
  );
  const took = (performance.now() - began) / 1000;
  const figuresOf = (all: number[]) =>
    [0.5, 0.95, 0.99, 1].map((each) => quantileOf(all, each).toFixed(0));
  const cold = figuresOf(coldMilliseconds);
  const figures = figuresOf(milliseconds);
  console.log(
    `first ${coldSeconds} s: median ${cold[0]} ms, 95 % ${cold[1]} ms, 99 % ${cold[2]} ms, most ${cold[3]} ms\n` +
      `${technicians} technicians, ${seconds} s: ${milliseconds.length} entries in ${took.toFixed(0)} s; ` +
      `median ${figures[0]} ms, 95 % ${figures[1]} ms, 99 % ${figures[2]} ms, most ${figures[3]} ms; ` +
      `99 % by ten seconds: ${byPart.map((each) => quantileOf(each, 0.99).toFixed(0)).join(' ')}; ` +
      `failures: ${failures.size === 0 ? 'none' : JSON.stringify(Object.fromEntries(failures))}`,
  );
  await bare(jobs.slice(0, clients));
} finally {
  await server.stop();
}

/** The same statement in the same sitting, without a server in between: as fast as PostgreSQL takes it. */
async function bare(jobs: readonly string[]): Promise<void> {
  const { database } = server.test;
  const milliseconds: number[] = [];
  const began = performance.now();
  await Promise.all(
    jobs.map(async (jobId) => {
      const known = (await asInstallation(database, (transaction) =>
        readKnownJob(transaction, jobId),
      ))!;
      let count = known.job.entries.length;
      while (performance.now() - began < bareMilliseconds) {
        const at = new Date().toISOString();
        const entry = { id: newId(), at, kind: 'skip', check: 'supply-volts', reason: 'cannot' };
        const from = performance.now();
        const isDone = await appendQuickly(database, {
          jobId,
          knownCount: count,
          knownConstraints: known.job.constraints ?? {},
          relied: [],
          added: [entry as Entry],
          standing: { ...known.standing, entryCount: count + 1 },
        });
        milliseconds.push(performance.now() - from);
        if (!isDone) throw new Error('the statement was not done');
        count += 1;
      }
    }),
  );
  const seconds = (performance.now() - began) / 1000;
  console.log(
    `the same statement by ${jobs.length} clients: ${(milliseconds.length / seconds).toFixed(0)} a second, ` +
      `median ${quantileOf(milliseconds, 0.5).toFixed(1)} ms, 99 % ${quantileOf(milliseconds, 0.99).toFixed(1)} ms`,
  );
}
