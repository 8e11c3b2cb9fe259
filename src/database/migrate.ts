import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { readFileSync } from 'node:fs';
import path from 'node:path';

/** Any number; the same for everyone who migrates. */
const migrationLock = 0x0e3;

/**
 * Makes the application role with the given password and brings the schema up to date, one migrator at a time.
 * @param ownerUrl a role that may create roles and owns the database.
 */
export async function migrateDatabase(
  ownerUrl: string,
  applicationPassword: string,
  migrationsFolder: string,
): Promise<void> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [migrationLock]);
    await client.query(`
      do $$ begin
        create role ohmmeter_app nosuperuser nobypassrls nocreatedb nocreaterole;
      exception when duplicate_object then null;
      end $$`);
    await setPassword(client, applicationPassword);
    await refuseNewer(client, migrationsFolder);
    await migrate(drizzle(client), { migrationsFolder });
    await tellOfRestore(client);
  } finally {
    await client.end();
  }
}

/** A database that a newer version has changed is left alone: what this version would write into it nobody knows. */
async function refuseNewer(client: pg.Client, migrationsFolder: string): Promise<void> {
  const { rows: tables } = await client.query<{ there: boolean }>(
    `select to_regclass('drizzle.__drizzle_migrations') is not null as there`,
  );
  if (!tables[0]?.there) return;
  const { rows } = await client.query<{ latest: string | null }>(
    'select max(created_at)::text as latest from drizzle.__drizzle_migrations',
  );
  const journal = JSON.parse(
    readFileSync(path.join(migrationsFolder, 'meta/_journal.json'), 'utf8'),
  ) as { entries: { when: number }[] };
  const known = Math.max(...journal.entries.map((each) => each.when));
  if (Number(rows[0]?.latest ?? 0) <= known) return;
  throw new Error(
    'The database was brought up to date by a newer version of Ohmmeter than this one. Nothing was changed. Start the newer version again, or restore a backup from before it.',
  );
}

/**
 * A backup that is about to take the place of what is here carries a table that says so, and is told of once: that ends the
 * proofs of before, and by it the devices know that they have to send what came after the backup.
 */
const tellOfRestore = (client: pg.Client) =>
  client.query(`
    do $$ begin
      if to_regclass('public.put_back') is not null then
        insert into public.restores default values;
        drop table public.put_back;
      end if;
    end $$`);

const mostTries = 10;

/** Roles belong to the whole cluster, and the lock above to one database: another migrator may be at the same role. */
async function setPassword(client: pg.Client, password: string): Promise<void> {
  for (let tries = 1; ; tries++) {
    try {
      await client.query(
        `alter role ohmmeter_app login password ${client.escapeLiteral(password)}`,
      );
      return;
    } catch (error) {
      const isMeanwhile = /tuple concurrently updated/.test(String(error));
      if (!isMeanwhile || tries === mostTries) throw error;
    }
  }
}

/** The owner's address with the application role in it. */
export function applicationUrl(ownerUrl: string, applicationPassword: string): string {
  const url = new URL(ownerUrl);
  url.username = 'ohmmeter_app';
  url.password = applicationPassword;
  return url.toString();
}
