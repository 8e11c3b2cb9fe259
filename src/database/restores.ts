import { sql } from 'drizzle-orm';
import type { FirmTransaction } from './client';

/** Which backup last took the place of what was here; undefined where none ever did. */
export async function lastRestore(transaction: FirmTransaction): Promise<string | undefined> {
  const { rows } = await transaction.execute<{ id: string }>(
    sql`select id from restores order by restored_at desc limit 1`,
  );
  return rows[0]?.id;
}
