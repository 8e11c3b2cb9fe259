import { and, asc, count, eq, gt, inArray, max, sql, type AnyColumn } from 'drizzle-orm';
import type { Entry } from '../core/job-file';
import { orUnavailable, type Database, type FirmTransaction } from './client';
import type { Job } from './jobs';
import { packEntries, type PackedEntries } from './packed-entries';
import { lastRestoreId } from './restores';
import { isOpenAt, type Standing } from '../core/job-diagnosis/standing';
import { entries } from './schema';

/** The whole logbook. */
export async function readEntries(transaction: FirmTransaction, jobId: string): Promise<Entry[]> {
  const [row] = await transaction
    .select({ all: inOrder(entries.body, entries.sequence) })
    .from(entries)
    .where(eq(entries.jobId, jobId));
  return row?.all ?? [];
}

/** How many entries a job has: a logbook only grows, and each is numbered. */
export async function countEntries(transaction: FirmTransaction, jobId: string): Promise<number> {
  const [last] = await transaction
    .select({ sequence: max(entries.sequence) })
    .from(entries)
    .where(eq(entries.jobId, jobId));
  return last?.sequence ?? 0;
}

/** The same of several jobs in one question; one without entries is not among them. */
export async function countEntriesOfEach(
  transaction: FirmTransaction,
  jobIds: readonly string[],
): Promise<ReadonlyMap<string, number>> {
  if (jobIds.length === 0) return new Map();
  const rows = await transaction
    .select({ jobId: entries.jobId, last: sql<number>`max(${entries.sequence})` })
    .from(entries)
    .where(inArray(entries.jobId, [...jobIds]))
    .groupBy(entries.jobId);
  return new Map(rows.map(({ jobId, last }) => [jobId, last]));
}

/** The whole logbooks of several jobs in one question; one without entries is not among them. */
export async function readLogbooks(
  transaction: FirmTransaction,
  jobIds: readonly string[],
): Promise<ReadonlyMap<string, readonly Entry[]>> {
  if (jobIds.length === 0) return new Map();
  const rows = await transaction
    .select({ jobId: entries.jobId, all: inOrder(entries.body, entries.sequence) })
    .from(entries)
    .where(inArray(entries.jobId, [...jobIds]))
    .groupBy(entries.jobId);
  return new Map(rows.map(({ jobId, all }) => [jobId, all ?? []]));
}

/** Everybody who wrote in a job's logbook. */
export async function readWriters(
  transaction: FirmTransaction,
  jobId: string,
): Promise<ReadonlySet<string>> {
  const rows = await transaction
    .selectDistinct({ by: sql<string | null>`${entries.body}->>'by'` })
    .from(entries)
    .where(eq(entries.jobId, jobId));
  return new Set(rows.flatMap(({ by }) => by ?? []));
}

/** What came to a job after its first so many entries: as the JSON of a list, how many they are, and which backup was put back last. */
export async function readEntriesAfter(
  transaction: FirmTransaction,
  jobId: string,
  after: number,
  most: number,
): Promise<{ readonly entries: string; readonly found: number; readonly restored?: string }> {
  const part = transaction
    .select({ body: entries.body, sequence: entries.sequence })
    .from(entries)
    .where(and(eq(entries.jobId, jobId), gt(entries.sequence, after)))
    .orderBy(asc(entries.sequence))
    .limit(most)
    .as('part');
  const [row] = await transaction
    .select({
      all: sql<string | null>`${inOrder(part.body, part.sequence)}::text`,
      found: count(),
      restored: lastRestoreId,
    })
    .from(part);
  return {
    entries: row?.all ?? '[]',
    found: row?.found ?? 0,
    restored: row?.restored ?? undefined,
  };
}

/** Bodies as one value: ten thousand rows are ten thousand times read from the wire. */
const inOrder = (body: AnyColumn, sequence: AnyColumn) =>
  sql<Entry[] | null>`json_agg(${body} order by ${sequence})`;

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
export const appendEntries = (
  transaction: FirmTransaction,
  organisationId: string,
  jobId: string,
  added: readonly Entry[],
): Promise<void> => appendPacked(transaction, organisationId, jobId, packEntries(added));

/** The same of entries that are ready to be stored. */
export async function appendPacked(
  transaction: FirmTransaction,
  organisationId: string,
  jobId: string,
  { count, text }: PackedEntries,
): Promise<void> {
  if (count === 0) return;
  const before = await countEntries(transaction, jobId);
  // One value however many there are: the statement is written and planned once.
  await transaction.execute(sql`
    insert into entries (organisation_id, id, job_id, sequence, at, kind, body)
    select ${organisationId}::uuid, (each->>'id')::uuid, ${jobId}::uuid, ${before} + place, (each->>'at')::timestamptz, each->'body'->>'kind', each->'body'
    from jsonb_array_elements(${text}::jsonb) with ordinality as list(each, place)`);
  // Told to every server once this is committed, and by them to every device that has the job open.
  await transaction.execute(sql`select pg_notify(${entriesChannel}, ${jobId})`);
}

/** What the caller knows of a job, and what it makes of it. */
export interface QuickAppend {
  readonly jobId: string;
  /** How many entries it has. */
  readonly knownCount: number;
  readonly knownConstraints: Job['constraints'];
  /** Technicians whose permission for live work the entries rest on. */
  readonly relied: readonly string[];
  readonly added: readonly Entry[];
  readonly standing: Standing;
}

/**
 * Appends in one statement, without a transaction around it, and tells nobody (`tell.ts`). Gives false where the job is not as
 * the caller knows it.
 * @throws DatabaseUnavailable, or what the database says of an id that is taken.
 */
export async function appendQuickly(
  database: Database,
  { jobId, knownCount, knownConstraints, relied, added, standing }: QuickAppend,
): Promise<boolean> {
  const result = await orUnavailable(() =>
    database.$client.query<{ done: boolean }>({
      name: 'append-entries',
      text: 'select append_entries($1, $2, $3, $4, $5, $6, $7) as done',
      values: [
        jobId,
        knownCount,
        JSON.stringify(knownConstraints),
        relied,
        packEntries(added).text,
        JSON.stringify(standing),
        isOpenAt(standing),
      ],
    }),
  );
  return result.rows[0]?.done === true;
}

/** Where jobs that got entries are told. */
export const entriesChannel = 'ohmmeter_entries';
