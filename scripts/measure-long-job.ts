/**
 * Measures a job of many entries: bringing it in, its page until it can be worked with, one entry more, and what a small
 * request of somebody else waits meanwhile. A database of its own, the production build, the real browser. Usage:
 *   OHMMETER_OWNER_DATABASE_URL="$(bash scripts/postgres-cluster.sh start)" node --import tsx scripts/measure-long-job.ts 10000
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { v7 as newId } from 'uuid';
import { quantileOf } from '../src/core/benchmark/statistics';
import type { Entry } from '../src/core/job-file';
import { startServer } from '../tests/e2e/server';
import { emptyJob } from '../tests/plates';
import { plainBrowser } from './plain-browser';

const count = Number(process.argv[2] ?? 10_000);
if (!(count >= 1 && count <= 20_000)) {
  console.error('usage: measure-long-job.ts ENTRIES (at most 20000)');
  process.exit(2);
}
process.env.OHMMETER_APPLICATION_PASSWORD ??= readFileSync(
  path.resolve(import.meta.dirname, '../.ohmmeter/application-password'),
  'utf8',
).trim();

const readings = [
  ['upper-element-ohms', 'ohm', 12.9],
  ['lower-element-ohms', 'ohm', 13.1],
  ['supply-volts', 'volt', 239],
  ['upper-element-amps', 'ampere', 18.4],
  ['outlet-first', 'celsius', 48],
] as const;

/** Each of another value, so that nothing is the same twice. */
function reading(k: number): Entry {
  const [check, unit, usual] = readings[k % readings.length]!;
  const at = new Date(Date.UTC(2026, 0, 1) + k * 1000).toISOString();
  const value = { [unit]: usual * (0.9 + (0.2 * k) / count) };
  return { id: newId(), at, kind: 'reading', check, value } as Entry;
}

// As a server is that was started a minute ago: the newest jobs are looked through.
const server = await startServer({ demo: true, warmJobs: 8 });
const headers = { 'content-type': 'application/json', origin: server.url };
const post = (url: string, body: string) =>
  fetch(`${server.url}${url}`, { method: 'POST', headers, body });

/** Notes in the page itself, from its request on, when its bench answers. */
const workedOut = `new MutationObserver(() => {
  if (document.documentElement?.dataset.awake === undefined) return;
  if (!document.querySelector('main[aria-busy=false]')) return;
  window.workedOutAfter ??= performance.now();
}).observe(document, { subtree: true, childList: true, attributes: true })`;

/** What a small request waits while something else is done. */
async function whileOthersAsk(work: () => Promise<void>): Promise<string> {
  const waits: number[] = [];
  let isDone = false;
  const asking = (async () => {
    while (!isDone) {
      const from = performance.now();
      await (await fetch(`${server.url}/api/health`)).text();
      waits.push(performance.now() - from);
      // Often enough to meet any wait that is felt, and seldom enough not to be what is waited for.
      await pause(20);
    }
  })();
  const from = performance.now();
  await work();
  const took = performance.now() - from;
  isDone = true;
  await asking;
  return `${took.toFixed(0)} ms; others waited ${quantileOf(waits, 0.5).toFixed(0)} ms at the median, ${Math.max(...waits).toFixed(0)} ms at most`;
}

try {
  await pause(60_000);
  const browser = await plainBrowser({ width: 1280, height: 800, slower: 1, isPhone: false });
  const profile = await browser.profile();
  // Whoever brings a job in has the list of jobs open, and no more of this job than anybody else.
  const list = await profile.page();
  await list.open(server.url);
  await list.until('document.documentElement.dataset.awake !== undefined');
  await pause(6000);
  await list.close();
  const file = JSON.stringify(
    emptyJob({ entries: Array.from({ length: count }, (_, k) => reading(k)) }),
  );
  let id = '';
  const imported = await whileOthersAsk(async () => {
    const answer = await post('/api/job-files', file);
    if (!answer.ok) throw new Error(await answer.text());
    id = ((await answer.json()) as { id: string }).id;
  });
  console.log(`${count} entries, ${(file.length / 1e6).toFixed(1)} MB, brought in: ${imported}`);

  const page = await profile.page(workedOut);
  for (const visit of ['first', 'second', 'third']) {
    let usable = 0;
    const opened = await whileOthersAsk(async () => {
      await page.open(`${server.url}/jobs/${id}`);
      await page.until('window.workedOutAfter');
      usable = await page.read<number>('window.workedOutAfter');
    });
    console.log(
      `page, ${visit} visit, until it is worked out: ${usable.toFixed(0)} ms by its own clock; with the driver ${opened}`,
    );
    // The service worker takes in the application meanwhile.
    await pause(6000);
  }
  await browser.close();

  const milliseconds: number[] = [];
  const added = await whileOthersAsk(async () => {
    for (let k = 0; k < 50; k++) {
      const from = performance.now();
      const entry = { ...reading(k), at: new Date().toISOString() };
      const answer = await post(`/api/jobs/${id}/entries`, JSON.stringify({ entries: [entry] }));
      if (!answer.ok) throw new Error(await answer.text());
      milliseconds.push(performance.now() - from);
      await pause(20);
    }
  });
  console.log(
    `50 entries more: the first ${milliseconds[0]!.toFixed(0)} ms, then median ${quantileOf(milliseconds.slice(1), 0.5).toFixed(0)} ms, 95 % ${quantileOf(milliseconds.slice(1), 0.95).toFixed(0)} ms; all ${added}`,
  );
} finally {
  await server.stop();
}
