/**
 * Gives changed job files to the three commands and to the import, and counts what must not be: a crash, an import of a half,
 * an answer that takes longer than two seconds. The files are the demo's jobs, each changed in a few places as a slip of the
 * hand, a broken disk or somebody curious would. Usage:
 *   OHMMETER_OWNER_DATABASE_URL="$(bash scripts/postgres-cluster.sh start)" node --import tsx scripts/mutate-files.ts 50000 [SEED]
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { diagnose, expectIn, validate } from '../src/cli/commands';
import { families } from '../src/core/appliances/all';
import { asInstallation } from '../src/database/client';
import { listJobs } from '../src/database/jobs';
import { listTechnicians } from '../src/database/technicians';
import { seedDemoData } from '../src/server/demo/seed';
import { NotFound, Refused } from '../src/server/errors';
import { importJob, readImport } from '../src/server/import-job';
import { readJobFile } from '../src/server/read-job';
import { makeTestDatabase } from '../tests/database/test-database';
import { fileChanger } from './changed-files';

const [count = 0, seed = 1] = process.argv.slice(2).map(Number);
if (!(count >= 1 && count <= 200_000)) {
  console.error('usage: mutate-files.ts FILES [SEED] (at most 200000)');
  process.exit(2);
}
process.env.OHMMETER_APPLICATION_PASSWORD ??= readFileSync(
  path.resolve(import.meta.dirname, '../.ohmmeter/application-password'),
  'utf8',
).trim();

const { random, pick, changed } = fileChanger(seed);

const checks = families.flatMap((each) => each.checkIds);
const slowest = { milliseconds: 0, what: '' };
/** What took too long, and for which family's unit. */
const slow = new Map<string, number>();
const crashes: string[] = [];
const counts = { read: 0, answered: 0, imported: 0, importRefused: 0, slow: 0 };

function judgeTime(what: string, text: string, milliseconds: number): void {
  if (milliseconds > slowest.milliseconds) Object.assign(slowest, { milliseconds, what });
  if (milliseconds <= 2000) return;
  counts.slow += 1;
  const named = `${what} of ${/"family":"([^"]*)"/.exec(text)?.[1]}`;
  slow.set(named, (slow.get(named) ?? 0) + 1);
  // Kept, to be timed by itself: whether the file was slow or the machine is not to be seen from here.
  writeFileSync(path.join(tmpdir(), `ohmmeter-slow-${seed}-${counts.slow}.json`), text);
  console.log(`${milliseconds.toFixed(0)} ms: ${named}`);
}

function timed<T>(what: string, text: string, work: () => T): T | undefined {
  const from = performance.now();
  try {
    return work();
  } catch (error) {
    crashes.push(`${what}: ${String(error).slice(0, 200)} in ${text.slice(0, 200)}`);
    return undefined;
  } finally {
    judgeTime(what, text, performance.now() - from);
  }
}

const test = await makeTestDatabase();
try {
  await seedDemoData(test.database, new Date());
  const demo = (await asInstallation(test.database, async (transaction) => {
    const jobs = await listJobs(transaction);
    const texts: string[] = [];
    for (const { job } of jobs) texts.push(JSON.stringify(await readJobFile(transaction, job.id)));
    return {
      texts,
      technician: (await listTechnicians(transaction)).find((each) => each.liveWork)!,
    };
  }))!;
  const rowsNow = async () =>
    (await asInstallation(test.database, async (transaction) => {
      const result = await transaction.execute<Record<string, number>>(
        `select (select count(*) from jobs)::int as jobs, (select count(*) from units)::int as units, (select count(*) from sites)::int as sites, (select count(*) from customers)::int as customers`,
      );
      return result.rows[0]!;
    }))!;
  const before = await rowsNow();
  for (let k = 0; k < count; k++) {
    const text = changed(pick(demo.texts));
    const valid = timed('validate', text, () => validate(text));
    if (valid?.ok) {
      counts.read += 1;
      if (timed('diagnose', text, () => diagnose(text))?.ok) counts.answered += 1;
      timed('expect', text, () => expectIn(text, pick(checks)));
    }
    // Refused files are brought in too, some of them: the answer must be the same.
    if (!valid?.ok && random() > 0.2) continue;
    const from = performance.now();
    try {
      const read = await readImport(text, demo.technician);
      await asInstallation(test.database, (transaction, organisationId) =>
        importJob(transaction, organisationId, demo.technician.id, read),
      );
      counts.imported += 1;
    } catch (error) {
      if (error instanceof Refused || error instanceof NotFound) counts.importRefused += 1;
      else
        crashes.push(
          `import: ${String(error).slice(0, 300)} ${String((error as Error).cause).slice(0, 200)} in ${text.slice(0, 200)}`,
        );
    }
    judgeTime('import', text, performance.now() - from);
    if ((k + 1) % 5000 === 0)
      console.log(`${k + 1}: ${JSON.stringify(counts)}, ${crashes.length} crashes`);
  }
  const after = await rowsNow();
  const half = Object.keys(before).filter(
    (each) => after[each]! - before[each]! !== counts.imported,
  );
  console.log(
    `${count} files, seed ${seed}: ${JSON.stringify(counts)}; slowest ${slowest.what} ${slowest.milliseconds.toFixed(0)} ms`,
  );
  for (const [what, times] of slow) console.log(`over 2 s: ${what}, ${times} times`);
  console.log(
    `${crashes.length} crashes; half imports: ${half.length === 0 ? 'none' : half.join(', ')}`,
  );
  for (const each of crashes.slice(0, 10)) console.log(each);
  process.exitCode = crashes.length + half.length === 0 ? 0 : 1;
} finally {
  await test.drop();
}
