import { sql } from 'drizzle-orm';
import type { FirmTransaction } from './client';

/** A backup that took the place of what was here. */
export interface Restore {
  readonly id: string;
  readonly at: string;
}

/** Which the last one was, for a statement that asks for more. */
export const lastRestoreId = sql<
  string | null
>`(select id from restores order by restored_at desc limit 1)`;

/** The last one; undefined where there never was any. */
export async function lastRestore(transaction: FirmTransaction): Promise<Restore | undefined> {
  const { rows } = await transaction.execute<{ id: string; at: Date }>(
    sql`select id, restored_at as at from restores order by restored_at desc limit 1`,
  );
  return rows[0] && { id: rows[0].id, at: new Date(rows[0].at).toISOString() };
}
