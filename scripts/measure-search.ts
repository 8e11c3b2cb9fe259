/**
 * Measures Today's lists and the choice of known units over many jobs, in the database, as the server asks them. A database
 * of its own, whose rows are made by SQL. Usage:
 *   OHMMETER_OWNER_DATABASE_URL="$(bash scripts/postgres-cluster.sh start)" node --import tsx scripts/measure-search.ts 100000
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { quantileOf } from '../src/core/benchmark/statistics';
import { questionWords } from '../src/core/search';
import { asFirm, type FirmTransaction } from '../src/database/client';
import { findUnits } from '../src/database/customers';
import { countJobs, listJobs } from '../src/database/jobs';
import { setUpFirm } from '../src/server/set-up-firm';
import { makeTestDatabase } from '../tests/database/test-database';

const count = Number(process.argv[2] ?? 100_000);
if (!(count >= 100 && count <= 1_000_000)) {
  console.error('usage: measure-search.ts JOBS (at most 1000000)');
  process.exit(2);
}
process.env.OHMMETER_APPLICATION_PASSWORD ??= readFileSync(
  path.resolve(import.meta.dirname, '../.ohmmeter/application-password'),
  'utf8',
).trim();

const test = await makeTestDatabase();
try {
  const firm = await setUpFirm(test.database, {
    name: 'Large',
    address: '',
    unitSystem: 'us',
    timeZone: 'UTC',
    technician: 'Somebody',
    liveWork: true,
    gasWork: true,
  });
  /** A name of some length for each of so many; some common, some met once. */
  const name = (k: string, of: number) => `substr(md5((${k} % ${of})::text || 'n'), 1, 7)`;
  const plate = `'{"rated":{"volt":240},"elements":{"upper":{"watt":4500},"lower":{"watt":4500}}}'::jsonb`;
  const services = `'{"supply":{"system":"split-phase","nominal":{"volt":240}}}'::jsonb`;
  const uuid = (kind: string, k: string) => `md5('${kind}' || ${k})::uuid`;
  await asFirm(test.database, firm, async (transaction) => {
    const all = (statement: string) => transaction.execute(statement);
    await all('set local statement_timeout = 0');
    const from = `from generate_series(1, ${count}) k`;
    await all(
      `insert into customers (organisation_id, id, name) select '${firm}', ${uuid('c', 'k')}, ${name('k', 20_000)} || ' ' || ${name('k', 700)} ${from}`,
    );
    await all(
      `insert into sites (organisation_id, id, customer_id, address, services) select '${firm}', ${uuid('s', 'k')}, ${uuid('c', 'k')}, k % 300 || ' ' || ${name('k', 900)} || ' Street', ${services} ${from}`,
    );
    await all(
      `insert into units (organisation_id, id, site_id, family, plate, make, model, serial) select '${firm}', ${uuid('u', 'k')}, ${uuid('s', 'k')}, 'electric-storage-two-element', ${plate}, 'Orrin', '50T', 'OT' || k ${from}`,
    );
    await all(`insert into jobs (organisation_id, id, number, unit_id, technician_id, opened_at, time_zone, complaint, constraints, standing, is_open)
      select '${firm}', ${uuid('j', 'k')}, 1000 + k, ${uuid('u', 'k')}, (select id from technicians limit 1), now() - k * interval '7 minutes', 'UTC', '{"kind":"no-hot-water","words":"","answers":{}}', '{}',
      '{"stage":"diagnose","entryCount":0,"suspects":[],"decided":false,"liftedWires":0}', k % 40 = 0 ${from}`);
    for (const [kind, id] of [
      ['unit', 'u'],
      ['job', 'j'],
    ] as const) {
      await all(`insert into search_words (organisation_id, kind, word, subject_id)
        select distinct '${firm}'::uuid, '${kind}', word, ${uuid(id, 'k')} ${from},
        unnest(array[${name('k', 20_000)}, ${name('k', 700)}, ${name('k', 900)}, 'street', (k % 300)::text, 'orrin', '50t', 'ot' || k${kind === 'job' ? `, (1000 + k)::text` : ''}]) word`);
    }
  });
  const { Client } = (await import('pg')).default;
  const owner = new Client({ connectionString: test.ownerUrl });
  await owner.connect();
  await owner.query('vacuum analyze');
  await owner.end();

  const common = await wordOf(700, 5);
  const rare = await wordOf(20_000, 12_345);
  const cases: [string, (transaction: FirmTransaction) => Promise<unknown>][] = [];
  for (const [what, words] of [
    ['nothing', ''],
    ['a rare name', rare],
    ['a common name', common],
    ['a street', `${common} street`],
    ['a number', String(1000 + Math.floor(count / 2))],
    ['a serial', `ot${Math.floor(count / 3)}`],
    ['a word of all', 'street'],
    ['two of all', 'street orr'],
    ['one letter', 's'],
    ['what nobody has', 'zzzz street'],
  ] as const) {
    const asked = questionWords(words);
    cases.push(
      [`Today, open, ${what}`, (t) => listJobs(t, { isOpen: true, words: asked, most: 50 })],
      [`Today, closed, ${what}`, (t) => listJobs(t, { isOpen: false, words: asked, most: 50 })],
      [`Today, counts, ${what}`, (t) => countJobs(t, asked)],
      [`known units, ${what}`, (t) => findUnits(t, asked, 20)],
    );
  }
  cases.push([
    'Today, closed, the last page',
    (t) => listJobs(t, { isOpen: false, most: 50, from: Math.floor(count * 0.97) }),
  ]);
  console.log(`${count} jobs; milliseconds at the median and at most, of 10 each after one`);
  for (const [what, ask] of cases) {
    const milliseconds: number[] = [];
    for (let k = 0; k <= 10; k++) {
      await asFirm(test.database, firm, async (transaction) => {
        const from = performance.now();
        await ask(transaction);
        if (k > 0) milliseconds.push(performance.now() - from);
      });
    }
    console.log(
      `${what}: ${quantileOf(milliseconds, 0.5).toFixed(1)}, ${Math.max(...milliseconds).toFixed(1)}`,
    );
  }
} finally {
  await test.drop();
}

async function wordOf(of: number, k: number): Promise<string> {
  const { rows } = await test.owner.query<{ word: string }>(
    `select substr(md5((${k} % ${of})::text || 'n'), 1, 7) as word`,
  );
  return rows[0]!.word;
}
