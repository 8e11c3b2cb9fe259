import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';

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
    await migrate(drizzle(client), { migrationsFolder });
  } finally {
    await client.end();
  }
}

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
