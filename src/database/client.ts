import { isMainThread } from 'node:worker_threads';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { sql } from 'drizzle-orm';
import pg from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema> & { readonly $client: pg.Pool };
/** A transaction in which the firm is set: everything it sees and writes is that firm's. */
export type FirmTransaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** The database did not answer. What was to be saved is still where it was typed. */
export class DatabaseUnavailable extends Error {
  override name = 'DatabaseUnavailable';
}

/** Nobody waits for longer than this: a statement, a lock that another holds, a transaction that its holder forgot. */
export interface Patience {
  readonly statementMilliseconds: number;
  readonly lockMilliseconds: number;
  readonly idleMilliseconds: number;
}

const usualPatience: Patience = {
  statementMilliseconds: 15_000,
  lockMilliseconds: 5000,
  idleMilliseconds: 20_000,
};

const mostConnections = 10;

export function connect(
  url: string,
  { statementMilliseconds, lockMilliseconds, idleMilliseconds }: Patience = usualPatience,
): { database: Database; pool: pg.Pool } {
  const pool = new pg.Pool({
    connectionString: url,
    max: mostConnections,
    // What was once connected stays so: on a disk that is full a new connection may be refused, and reading goes on by these.
    min: isMainThread ? mostConnections : 1,
    connectionTimeoutMillis: 4000,
    statement_timeout: statementMilliseconds,
    lock_timeout: lockMilliseconds,
    idle_in_transaction_session_timeout: idleMilliseconds,
  });
  // A connection that breaks is replaced at the next use, idle or not; without listeners it would end the process.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  return { pool, database: drizzle(pool, { schema }) };
}

/** So many are connected before anybody asks: as many as read at one moment where a firm is small. */
const readyConnections = 4;

/** Connects ahead, so that whoever reads on a disk that has become full finds a connection. */
export async function connectAhead({ $client: pool }: Database): Promise<void> {
  const clients = await Promise.allSettled(
    Array.from({ length: readyConnections }, () => pool.connect()),
  );
  for (const each of clients) if (each.status === 'fulfilled') each.value.release();
}

const global = globalThis as { ohmmeterDatabase?: Database };

/** The application's own connection, as the application role. One pool a process, also across reloads in development. */
export function applicationDatabase(): Database {
  if (!global.ohmmeterDatabase) {
    const url = process.env.OHMMETER_APPLICATION_DATABASE_URL;
    if (!url)
      throw new DatabaseUnavailable('No database is set. Start Ohmmeter with ./ohmmeter start.');
    global.ohmmeterDatabase = connect(url).database;
  }
  return global.ohmmeterDatabase;
}

/**
 * Runs work in one transaction as the given firm.
 * @throws DatabaseUnavailable where the server cannot be reached or went away in the middle: nothing was saved then.
 */
export async function asFirm<T>(
  database: Database,
  organisationId: string,
  work: (transaction: FirmTransaction) => Promise<T>,
): Promise<T> {
  return orUnavailable(() =>
    database.transaction(async (transaction) => {
      await transaction.execute(
        sql`select set_config('ohmmeter.organisation', ${organisationId}, true)`,
      );
      return work(transaction);
    }),
  );
}

/**
 * Runs work in one transaction as the firm of this installation. Undefined before it is set up.
 * @throws DatabaseUnavailable as `asFirm` does.
 */
export async function asInstallation<T>(
  database: Database,
  work: (transaction: FirmTransaction, organisationId: string) => Promise<T>,
): Promise<T | undefined> {
  return orUnavailable(() =>
    database.transaction(async (transaction) => {
      const { rows } = await transaction.execute<{ id: string }>(
        sql`select set_config('ohmmeter.organisation', coalesce(installation_organisation()::text, ''), true) as id`,
      );
      const id = rows[0]?.id;
      return id ? work(transaction, id) : undefined;
    }),
  );
}

/** The firm of this installation, or undefined before it is set up. */
export async function installationOrganisation(database: Database): Promise<string | undefined> {
  const result = await orUnavailable(() =>
    database.execute<{ id: string | null }>(sql`select installation_organisation() as id`),
  );
  return result.rows[0]?.id ?? undefined;
}

/** @throws DatabaseUnavailable where the work found no database, or lost it. */
export async function orUnavailable<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (isConnectionError(error)) {
      throw new DatabaseUnavailable('The database does not answer.', { cause: error });
    }
    throw error;
  }
}

/**
 * Node's own network errors, PostgreSQL's classes 57P (shutting down) and 08 (connection), its waits that were too long
 * (57014, 55P03, 25P03), and pg's ends of connection.
 */
function isConnectionError(error: unknown): boolean {
  for (let each = error; each instanceof Error; each = each.cause) {
    const { code } = each as { code?: string };
    if (code && /^(ECONN|EPIPE|ENOTFOUND|ETIMEDOUT|57P|57014|55P03|25P03|08)/.test(code))
      return true;
    if (connectionLost.test(each.message)) return true;
  }
  return false;
}

const connectionLost =
  /Connection terminated|not queryable|timeout exceeded when trying to connect|not currently accepting connections/i;
