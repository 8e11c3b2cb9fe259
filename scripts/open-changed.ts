/**
 * Brings changed job files in over HTTP and opens every page of those that were accepted: what a server takes, it shows. Counts
 * pages that fail or say what no page should. A database of its own, the production build. Usage:
 *   OHMMETER_OWNER_DATABASE_URL="$(bash scripts/postgres-cluster.sh start)" node --import tsx scripts/open-changed.ts 1000 [SEED]
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { startServer } from '../tests/e2e/server';
import { fileChanger, places } from './changed-files';

const [count = 0, seed = 1] = process.argv.slice(2).map(Number);
if (!(count >= 1 && count <= 20_000)) {
  console.error('usage: open-changed.ts FILES [SEED] (at most 20000)');
  process.exit(2);
}
process.env.OHMMETER_APPLICATION_PASSWORD ??= readFileSync(
  path.resolve(import.meta.dirname, '../.ohmmeter/application-password'),
  'utf8',
).trim();

interface ChangedJob {
  entries: unknown[];
  complaint?: unknown;
  unit: object;
}

const { random, pick, changed } = fileChanger(seed);
const pages = [
  '',
  '/repair',
  '/report',
  '/temperatures',
  '/combustion',
  '/settings',
  '/balancing',
  '/mixing',
  '/procedures',
];
const unsaid = /NaN|undefined|\[object|Infinity|went wrong/;
const errorMark = /data-dgst="[^"]/;

/** What a file may well say: other numbers, lines left out, doubled, in another order, or out of another job. */
function mildlyChanged(texts: readonly string[]): string {
  const job = JSON.parse(pick(texts)) as ChangedJob;
  const other = JSON.parse(pick(texts)) as ChangedJob;
  const at = Math.floor(random() * job.entries.length);
  const among = (kind: 'number' | 'string') =>
    pick(places(job).filter(([holder, key]) => typeof holder[key] === kind));
  pick([
    () => {
      const [holder, key] = among('number');
      holder[key] = (holder[key] as number) * pick([0, -1, 1e-3, 0.1, 2, 10, 1000]);
    },
    () => {
      const [[holder, key], [from, other]] = [among('string'), among('string')];
      holder[key] = from[other];
    },
    () => job.entries.splice(at, 1),
    () => job.entries.push(...job.entries.splice(at, 1)),
    () => job.entries.push(...other.entries),
    () => (job.complaint = other.complaint),
    () => (job.unit = other.unit),
  ])();
  return JSON.stringify(job);
}

const server = await startServer({ demo: true });
const headers = { 'content-type': 'application/json', origin: server.url };
try {
  const known = (await (await fetch(`${server.url}/api/for-device`)).json()) as {
    jobs: { job: { id: string } }[];
  };
  const texts: string[] = [];
  for (const { job } of known.jobs)
    texts.push(await (await fetch(`${server.url}/api/jobs/${job.id}/file`)).text());
  const counts = { accepted: 0, refused: 0, pages: 0, failed: 0 };
  const fails = (what: string) => {
    counts.failed += 1;
    console.log(what);
  };
  for (let k = 0; k < count; k++) {
    const text = random() < 0.75 ? mildlyChanged(texts) : changed(pick(texts));
    const brought = await fetch(`${server.url}/api/job-files`, {
      method: 'POST',
      headers,
      body: text,
    });
    const said = await brought.text();
    if (brought.status >= 500) fails(`import ${brought.status}: ${said.slice(0, 200)}`);
    counts[brought.ok ? 'accepted' : 'refused'] += 1;
    if (!brought.ok) continue;
    const { id } = JSON.parse(said) as { id: string };
    for (const page of pages) {
      const opened = await fetch(`${server.url}/jobs/${id}${page}`);
      const html = await opened.text();
      counts.pages += 1;
      const words = html.replace(/<script[\s\S]*?<\/script>/g, ' ').replace(/<[^>]+>/g, ' ');
      // A family has not every page.
      const isThere = opened.status === 200 || opened.status === 404;
      if (!isThere || unsaid.test(words) || errorMark.test(html))
        fails(
          `${opened.status} ${page || 'bench'}: ${unsaid.exec(words)?.[0] ?? ''} ${text.slice(0, 300)}`,
        );
    }
  }
  console.log(`${count} files, seed ${seed}: ${JSON.stringify(counts)}`);
  process.exitCode = counts.failed === 0 ? 0 : 1;
} finally {
  await server.stop();
}
