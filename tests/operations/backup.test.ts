import { execFileSync } from 'node:child_process';
import {
  chmodSync,
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect } from '../../src/database/client';
import { applicationUrl, migrateDatabase } from '../../src/database/migrate';
import { setUpFirm } from '../../src/server/set-up-firm';

/** A database of its own in a folder of its own, destroyed and put back from its backup. */

let root: string;
let script: string;
const run = (...words: string[]) =>
  execFileSync('bash', [script, ...words], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'pipe'],
  }).trim();
/** Roles belong to a cluster: the one that is destroyed takes them with it. */
const password = 'of-this-test';

beforeAll(() => {
  root = mkdtempSync(path.join(tmpdir(), 'ohmmeter-backup-'));
  chmodSync(root, 0o755);
  mkdirSync(path.join(root, 'scripts'));
  script = path.join(root, 'scripts/postgres-cluster.sh');
  copyFileSync('scripts/postgres-cluster.sh', script);
});
afterAll(() => {
  run('stop');
  rmSync(root, { recursive: true, force: true });
});

async function putBack(file: string) {
  const aside = run('read-backup', file);
  await migrateDatabase(aside, password, path.resolve('src/database/migrations'));
  // Kept by the second in which it was put aside.
  await new Promise((resolve) => setTimeout(resolve, 1100));
  run('put-in-place');
}

async function firmsOf(ownerUrl: string): Promise<string[]> {
  const { database, pool } = connect(applicationUrl(ownerUrl, password));
  try {
    const { rows } = await database.$client
      .query<{ name: string }>(
        `select set_config('ohmmeter.organisation', installation_organisation()::text, false);`,
      )
      .then(() => database.$client.query<{ name: string }>('select name from organisations'));
    return rows.map((each) => each.name);
  } finally {
    await pool.end();
  }
}

describe('a backup', () => {
  it('brings everything back after the database was destroyed, and whoever reads it is as limited as before', async () => {
    const url = run('start');
    await migrateDatabase(url, password, path.resolve('src/database/migrations'));
    const { database, pool } = connect(applicationUrl(url, password));
    await setUpFirm(database, {
      name: 'Firm that was saved',
      address: '',
      unitSystem: 'us',
      timeZone: 'UTC',
      technician: 'Somebody',
      liveWork: false,
      gasWork: false,
    });
    await pool.end();
    const file = path.join(root, 'saved.backup');
    run('backup', file);
    expect(readdirSync(root)).not.toContain('saved.backup.part');

    run('stop');
    rmSync(path.join(root, '.ohmmeter'), { recursive: true });
    run('start');
    await putBack(file);
    await putBack(file);
    const again = run('start');
    // A start is no restore.
    await migrateDatabase(again, password, path.resolve('src/database/migrations'));
    expect(await firmsOf(again)).toEqual(['Firm that was saved']);
    const owner = new pg.Client({ connectionString: again });
    await owner.connect();
    // The second began with what the backup knew: it is told of once, too.
    const { rowCount } = await owner.query('select from restores');
    expect(rowCount).toBe(1);
    const { rows: kept } = await owner.query(
      `select from pg_database where datname like 'ohmmeter_before_%' and datallowconn`,
    );
    expect(kept).toHaveLength(2);
    const { rows } = await owner.query(
      `select rolname, rolsuper, rolbypassrls from pg_roles where rolname in ('ohmmeter_app', 'ohmmeter_schema') order by 1`,
    );
    await owner.end();
    expect(rows).toEqual([
      { rolname: 'ohmmeter_app', rolsuper: false, rolbypassrls: false },
      { rolname: 'ohmmeter_schema', rolsuper: false, rolbypassrls: false },
    ]);
  }, 120_000);

  it.each([
    ['no backup at all', 'something else'],
    ['empty', ''],
  ])(
    'that is %s changes nothing',
    async (_, text) => {
      const before = await firmsOf(run('start'));
      const file = path.join(root, 'other.backup');
      writeFileSync(file, text);
      expect(() => run('read-backup', file)).toThrow(/is no backup/);
      expect(await firmsOf(run('start'))).toEqual(before);
    },
    60_000,
  );
});

describe('a restore that was cut off', () => {
  it('before the backup took its place leaves what there was, once it is started again', async () => {
    const url = run('start');
    const before = await firmsOf(url);
    // Nobody closes the database that it is connected to.
    const owner = new pg.Client({ connectionString: url.replace(/ohmmeter$/, 'postgres') });
    await owner.connect();
    await owner.query('alter database ohmmeter allow_connections false');
    await owner.end();
    expect(await firmsOf(run('start'))).toEqual(before);
  }, 60_000);

  it('whose backup cannot take its place changes nothing', async () => {
    const before = await firmsOf(run('start'));
    // Nothing was read: only one of the two names can be changed.
    expect(() => run('put-in-place')).toThrow(/Nothing was changed/);
    expect(await firmsOf(run('url'))).toEqual(before);
  }, 60_000);
});

describe('a database', () => {
  it('that a newer version has changed is left alone, in words', async () => {
    const url = run('start');
    const owner = new pg.Client({ connectionString: url });
    await owner.connect();
    await owner.query(
      `insert into drizzle.__drizzle_migrations (hash, created_at) values ('of a later version', 9999999999999)`,
    );
    await owner.end();
    await expect(
      migrateDatabase(url, password, path.resolve('src/database/migrations')),
    ).rejects.toThrow(/newer version of Ohmmeter.*Nothing was changed/);
  }, 60_000);
});
