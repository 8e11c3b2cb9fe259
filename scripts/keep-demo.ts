/**
 * Works out the jobs of the demo anew and keeps them in src/server/demo/kept-jobs.json, after a change of the demo, of the
 * engine or of its figures. Needs a PostgreSQL to work in: see scripts/measure-load.ts.
 */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { keyOf, type KeptJob } from '../src/server/demo/kept';
import { seedDemoData } from '../src/server/demo/seed';
import { makeTestDatabase } from '../tests/database/test-database';

const test = await makeTestDatabase();
const kept: KeptJob[] = [];
try {
  await seedDemoData(test.database, new Date('2026-03-04T15:00:00Z'), (job, worked) => {
    kept.push({ key: keyOf(job.demo), openedAt: job.openedAt.toISOString(), ...worked });
  });
} finally {
  await test.drop();
}
const lines = kept.map(
  ({ entries, ...about }) =>
    `${JSON.stringify(about).slice(0, -1)},"entries":[\n${entries.map((each) => JSON.stringify(each)).join(',\n')}\n]}`,
);
const file = path.resolve(import.meta.dirname, '../src/server/demo/kept-jobs.json');
writeFileSync(file, `[\n${lines.join(',\n')}\n]\n`);
console.log(`${kept.length} jobs are kept`);
