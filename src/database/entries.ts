import { and, asc, eq, gt, inArray, max, sql } from 'drizzle-orm';
import type { Entry } from '../core/job-file';
import type { FirmTransaction } from './client';
import { entries } from './schema';

export async function readEntries(transaction: FirmTransaction, jobId: string): Promise<Entry[]> {
  const rows = await transaction
    .select({ body: entries.body })
    .from(entries)
    .where(eq(entries.jobId, jobId))
    .orderBy(asc(entries.sequence));
  return rows.map((each) => each.body);
}

/** What came to a job after its first so many entries. */
export async function readEntriesAfter(
  transaction: FirmTransaction,
  jobId: string,
  count: number,
): Promise<Entry[]> {
  const rows = await transaction
    .select({ body: entries.body })
    .from(entries)
    .where(and(eq(entries.jobId, jobId), gt(entries.sequence, count)))
    .orderBy(asc(entries.sequence));
  return rows.map((each) => each.body);
}

/** The stored ones among the given ids, each with the job it belongs to. */
export async function readEntriesById(
  transaction: FirmTransaction,
  ids: readonly string[],
): Promise<{ id: string; jobId: string; body: Entry }[]> {
  if (ids.length === 0) return [];
  return transaction
    .select({ id: entries.id, jobId: entries.jobId, body: entries.body })
    .from(entries)
    .where(inArray(entries.id, [...ids]));
}

/** Appends in the given order. The job's row must be locked. */
export async function appendEntries(
  transaction: FirmTransaction,
  organisationId: string,
  jobId: string,
  added: readonly Entry[],
): Promise<void> {
  if (added.length === 0) return;
  const [last] = await transaction
    .select({ sequence: max(entries.sequence) })
    .from(entries)
    .where(eq(entries.jobId, jobId));
  const first = (last?.sequence ?? 0) + 1;
  await transaction.insert(entries).values(
    added.map((body, index) => ({
      organisationId,
      id: body.id,
      jobId,
      sequence: first + index,
      at: new Date(body.at),
      kind: body.kind,
      body,
    })),
  );
  // Told to every server once this is committed, and by them to every device that has the job open.
  await transaction.execute(sql`select pg_notify(${entriesChannel}, ${jobId})`);
}

/** Where jobs that got entries are told. */
export const entriesChannel = 'ohmmeter_entries';
