import { setTimeout as pause } from 'node:timers/promises';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import pg from 'pg';
import { connect, type Database } from '../../src/database/client';
import { applicationUrl, migrateDatabase } from '../../src/database/migrate';

/** A database of its own for a test file, made and migrated in a tenth of a second, dropped afterwards. */
export interface TestDatabase {
  readonly name: string;
  /** Connected as the application role, as the server is. */
  readonly database: Database;
  readonly owner: pg.Pool;
  readonly ownerUrl: string;
  /** Lets the installation work for one more firm, which only the owner may. */
  serve(organisationId: string): Promise<void>;
  /** Ends every connection from here, so that another can be made in its likeness. */
  leave(): Promise<void>;
  drop(): Promise<void>;
}

const serverUrl = () => {
  const url = process.env.OHMMETER_OWNER_DATABASE_URL;
  if (!url) throw new Error('No PostgreSQL to test against. Run ./ohmmeter test.');
  return url;
};

/** Empty, or with all that the database named has in it, which nobody may be connected to. */
export async function makeTestDatabase(likeness?: string): Promise<TestDatabase> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const server = new pg.Client({ connectionString: serverUrl() });
  await server.connect();
  await server.query(`create database ${name}${likeness ? ` template ${likeness}` : ''}`);
  await server.end();
  const ownerUrl = Object.assign(new URL(serverUrl()), { pathname: `/${name}` }).toString();
  // The role is shared by the whole cluster: a test must not change the password that a running server uses.
  const password = process.env.OHMMETER_APPLICATION_PASSWORD ?? 'test';
  await migrateDatabase(ownerUrl, password, path.resolve('src/database/migrations'));
  const { database, pool } = connect(applicationUrl(ownerUrl, password));
  const owner = new pg.Pool({ connectionString: ownerUrl });
  owner.on('error', () => undefined);
  const leave = async () => {
    if (pool.ended) return;
    await pool.end();
    await owner.end();
  };
  return {
    name,
    database,
    owner,
    ownerUrl,
    async serve(organisationId) {
      await owner.query('insert into served_firms values ($1)', [organisationId]);
    },
    leave,
    async drop() {
      await leave();
      const client = new pg.Client({ connectionString: serverUrl() });
      await client.connect();
      await dropped(client, name);
      await client.end();
    },
  };
}

/** Nobody but its owner may be sent away from a database: where its housekeeping is just at work there, it is waited for. */
async function dropped(client: pg.Client, name: string, tries = 20): Promise<void> {
  try {
    await client.query(`drop database if exists ${name} with (force)`);
  } catch (error) {
    const isAtWork = (error as { readonly code?: string }).code === '42501';
    if (!isAtWork || tries <= 1) throw error;
    await pause(250);
    await dropped(client, name, tries - 1);
  }
}
