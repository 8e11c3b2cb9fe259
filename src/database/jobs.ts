import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { FirmTransaction } from './client';
import { customers, jobs, sites, technicians, units } from './schema';
import { hasWords } from './search';
import { isOpenAt, type Standing } from '../core/job-diagnosis/standing';

export type Job = typeof jobs.$inferSelect;

export type JobWithUnit = NonNullable<Awaited<ReturnType<typeof readJob>>>;

const columns = {
  job: jobs,
  unit: units,
  site: sites,
  customer: customers,
  technician: technicians,
};

function jobsWithUnits(transaction: FirmTransaction) {
  return transaction
    .select(columns)
    .from(jobs)
    .innerJoin(units, and(eq(units.organisationId, jobs.organisationId), eq(units.id, jobs.unitId)))
    .innerJoin(
      sites,
      and(eq(sites.organisationId, units.organisationId), eq(sites.id, units.siteId)),
    )
    .innerJoin(
      customers,
      and(eq(customers.organisationId, sites.organisationId), eq(customers.id, sites.customerId)),
    )
    .innerJoin(
      technicians,
      and(
        eq(technicians.organisationId, jobs.organisationId),
        eq(technicians.id, jobs.technicianId),
      ),
    );
}

export async function readJob(transaction: FirmTransaction, id: string) {
  return (await jobsWithUnits(transaction).where(eq(jobs.id, id)))[0];
}

/** Those of the given jobs that are there, in the given order. */
export async function readJobs(transaction: FirmTransaction, ids: readonly string[]) {
  if (ids.length === 0) return [];
  const rows = await jobsWithUnits(transaction).where(inArray(jobs.id, [...ids]));
  const byId = new Map(rows.map((each) => [each.job.id, each]));
  return ids.flatMap((id) => byId.get(id) ?? []);
}

/** Which jobs a list shows: those that every word of a question begins a word of, so many at a time. */
export interface JobQuestion {
  readonly isOpen?: boolean;
  /** Words as core/search makes them; none finds all. */
  readonly words?: readonly string[];
  readonly most?: number;
  readonly from?: number;
}

/** Newest first; where open and closed ones are asked for together, the open ones before. */
export async function listJobs(
  transaction: FirmTransaction,
  { isOpen, words = [], most = 200, from = 0 }: JobQuestion = {},
) {
  const order =
    isOpen === undefined
      ? [desc(jobs.isOpen), desc(jobs.openedAt), desc(jobs.id)]
      : [desc(jobs.openedAt), desc(jobs.id)];
  const found = transaction
    .select({ id: jobs.id })
    .from(jobs)
    .where(
      and(isOpen === undefined ? undefined : eq(jobs.isOpen, isOpen), hasWords('job', jobs, words)),
    )
    .orderBy(...order)
    .limit(most)
    .offset(from);
  // The page's jobs first, then what belongs to each: joined before, every job of the firm would be.
  return readJobs(
    transaction,
    (await found).map((each) => each.id),
  );
}

/** Of those that words find, no more than `mostCounted` and one of each kind. */
export interface JobCounts {
  readonly open: number;
  /** Of the open ones; undefined where not all of them were counted. */
  readonly waiting: number | undefined;
  readonly closed: number;
}

/** Jobs that words find are counted up to here: they may be all that a firm ever had. */
export const mostCounted = 1000;

/** How many jobs of each kind the question finds. */
export async function countJobs(
  transaction: FirmTransaction,
  words: readonly string[] = [],
): Promise<JobCounts> {
  const found = hasWords('job', jobs, words);
  const isAll = words.length === 0;
  const open = transaction
    .select({ stage: sql<string>`${jobs.standing}->>'stage'`.as('stage') })
    .from(jobs)
    .where(and(eq(jobs.isOpen, true), found));
  const closed = transaction
    .select({ one: sql`1`.as('one') })
    .from(jobs)
    .where(and(eq(jobs.isOpen, false), found));
  const openCounted = (isAll ? open : open.limit(mostCounted + 1)).as('counted');
  const closedCounted = (isAll ? closed : closed.limit(mostCounted + 1)).as('counted');
  const [ofOpen] = await transaction
    .select({
      open: sql<number>`count(*)::int`,
      waiting: sql<number>`(count(*) filter (where ${openCounted.stage} = 'waiting'))::int`,
    })
    .from(openCounted);
  const [ofClosed] = await transaction
    .select({ closed: sql<number>`count(*)::int` })
    .from(closedCounted);
  const isCutOff = !isAll && (ofOpen?.open ?? 0) > mostCounted;
  return {
    open: ofOpen?.open ?? 0,
    waiting: isCutOff ? undefined : (ofOpen?.waiting ?? 0),
    closed: ofClosed?.closed ?? 0,
  };
}

/** Locks the job's row until the transaction ends, so that entries get their sequence one batch at a time. */
export async function lockJob(transaction: FirmTransaction, id: string): Promise<boolean> {
  const rows = await transaction
    .select({ id: jobs.id })
    .from(jobs)
    .where(eq(jobs.id, id))
    .for('update');
  return rows.length > 0;
}

/** Of the same call sent twice at once the second waits for the first, and then finds it. */
export async function lockCall(transaction: FirmTransaction, id: string): Promise<void> {
  await transaction.execute(sql`select pg_advisory_xact_lock(hashtext(${id}))`);
}

export async function insertJob(
  transaction: FirmTransaction,
  row: Omit<typeof jobs.$inferInsert, 'number'> & { number?: number },
): Promise<number> {
  // One number at a time for a firm: two calls opened at once must not get the same.
  await transaction.execute(sql`select pg_advisory_xact_lock(hashtext(${row.organisationId}))`);
  const [last] = await transaction
    .select({ number: jobs.number })
    .from(jobs)
    .orderBy(desc(jobs.number))
    .limit(1);
  const number = row.number ?? Math.max(last?.number ?? 0, 1000) + 1;
  await transaction.insert(jobs).values({ ...row, number });
  return number;
}

export async function updateConstraints(
  transaction: FirmTransaction,
  id: string,
  constraints: Job['constraints'],
): Promise<void> {
  await transaction.update(jobs).set({ constraints }).where(eq(jobs.id, id));
}

const standingColumns = (standing: Standing) => ({
  standing,
  isOpen: isOpenAt(standing),
});

/** Writes what was worked out, unless entries came meanwhile: then it is worked out again anyway. */
export async function settleStandingOf(
  transaction: FirmTransaction,
  id: string,
  standing: Standing,
): Promise<void> {
  await transaction
    .update(jobs)
    .set(standingColumns(standing))
    .where(
      and(eq(jobs.id, id), sql`(${jobs.standing}->>'entryCount')::int = ${standing.entryCount}`),
    );
}

/** Jobs whose standing was left unsettled, by a server that stopped before it was worked out. */
export async function listUnsettled(transaction: FirmTransaction, most: number): Promise<string[]> {
  const rows = await transaction
    .select({ id: jobs.id })
    .from(jobs)
    .where(sql`${jobs.standing}->>'isSettled' = 'false'`)
    .limit(most);
  return rows.map(({ id }) => id);
}

export async function updateStanding(
  transaction: FirmTransaction,
  id: string,
  standing: Standing,
): Promise<void> {
  await transaction.update(jobs).set(standingColumns(standing)).where(eq(jobs.id, id));
}
