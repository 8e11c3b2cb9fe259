import { and, asc, eq, gt, inArray, isNotNull, lte, sql } from 'drizzle-orm';
import type { JobFile } from '../core/job-file';
import type { LastServed, ServiceHistory, ServiceTold } from '../core/service';
import type { FirmTransaction } from './client';
import { knownUnits, type KnownUnit, type Unit } from './customers';
import { jobs, organisations, units } from './schema';
import type { Organisation } from './technicians';

/** What one job tells of services on its unit. */
export interface KeptTold {
  readonly unitId: string;
  readonly jobId: string;
  readonly told: ServiceTold;
  /** What the file that it came as said of the unit. */
  readonly before: JobFile['unit'] | undefined;
}

/** What every job on the given units tells. */
export async function listTold(
  transaction: FirmTransaction,
  unitIds: readonly string[],
): Promise<KeptTold[]> {
  const rows = await transaction
    .select({
      unitId: jobs.unitId,
      jobId: jobs.id,
      service: sql<ServiceTold | null>`${jobs.standing}->'service'`,
      // As programs kept it before they knew of more.
      served: sql<LastServed | null>`${jobs.standing}->'served'`,
      before: sql<JobFile['unit'] | null>`${jobs.envelope}->'unit'`,
    })
    .from(jobs)
    .where(inArray(jobs.unitId, [...unitIds]));
  return rows.map(({ unitId, jobId, service, served, before }) => ({
    unitId,
    jobId,
    told: service ?? { served: served ?? {} },
    before: before ?? undefined,
  }));
}

/** A unit whose row nobody else writes until this transaction has ended. */
export async function lockUnit(transaction: FirmTransaction, id: string): Promise<void> {
  await transaction
    .select({ id: units.id })
    .from(units)
    .where(eq(units.id, id))
    .for('no key update');
}

export async function updateHistory(
  transaction: FirmTransaction,
  unitId: string,
  { served, circumstances }: ServiceHistory,
  nextDue: Date | undefined,
): Promise<void> {
  await transaction
    .update(units)
    .set({ served, circumstances: [...circumstances], nextDue: nextDue ?? null })
    .where(eq(units.id, unitId));
}

/** Units whose first service is due before a time, the most overdue first. */
export async function listDue(
  transaction: FirmTransaction,
  before: Date,
  most: number,
): Promise<KnownUnit[]> {
  return knownUnits(transaction)
    .where(and(isNotNull(units.nextDue), lte(units.nextDue, before)))
    .orderBy(asc(units.nextDue), asc(units.id))
    .limit(most);
}

/** Units that have something due at all, by id, so many after one: to be worked out anew where the intervals have changed. */
export async function listServed(
  transaction: FirmTransaction,
  after: string,
  most: number,
): Promise<KnownUnit[]> {
  return knownUnits(transaction)
    .where(and(isNotNull(units.nextDue), gt(units.id, after)))
    .orderBy(asc(units.id))
    .limit(most);
}

/** Writes when the first service of each unit is due, all in one statement. */
export async function updateNextDue(
  transaction: FirmTransaction,
  due: readonly (Pick<Unit, 'id'> & { readonly nextDue: Date | undefined })[],
): Promise<void> {
  const ids = due.map(({ id }) => id);
  const times = due.map(({ nextDue }) => nextDue?.toISOString() ?? null);
  await transaction.execute(
    sql`update ${units} set next_due = said.next_due
      from unnest(${sql.param(ids)}::uuid[], ${sql.param(times)}::timestamptz[]) as said (id, next_due)
      where ${units.id} = said.id`,
  );
}

export async function updateFirmService(
  transaction: FirmTransaction,
  id: string,
  { intervals, prices }: Pick<Organisation, 'intervals' | 'prices'>,
): Promise<void> {
  await transaction
    .update(organisations)
    .set({ intervals, prices })
    .where(eq(organisations.id, id));
}
