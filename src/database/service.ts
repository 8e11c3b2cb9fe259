import { and, asc, eq, gt, isNotNull, lte } from 'drizzle-orm';
import { laterOf, type LastServed } from '../core/service';
import type { FirmTransaction } from './client';
import { knownUnits, type KnownUnit, type Unit } from './customers';
import { organisations, units } from './schema';
import type { Organisation } from './technicians';

/** Writes what a job says of when services were last done on its unit; what other jobs said later stays. */
export async function updateServed(
  transaction: FirmTransaction,
  unitId: string,
  served: LastServed,
  nextDueOf: (unit: Unit) => Date | undefined,
): Promise<void> {
  const [unit] = await transaction.select().from(units).where(eq(units.id, unitId));
  if (!unit) return;
  const both = { ...unit, served: laterOf(unit.served, served) };
  const nextDue = nextDueOf(both) ?? null;
  const isNew =
    nextDue?.getTime() !== unit.nextDue?.getTime() ||
    Object.entries(both.served).some(([id, at]) => unit.served[id] !== at);
  // Most entries serve nothing: the row is left alone.
  if (!isNew) return;
  await transaction.update(units).set({ served: both.served, nextDue }).where(eq(units.id, unitId));
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
): Promise<Unit[]> {
  return transaction
    .select()
    .from(units)
    .where(and(isNotNull(units.nextDue), gt(units.id, after)))
    .orderBy(asc(units.id))
    .limit(most);
}

export async function updateNextDue(
  transaction: FirmTransaction,
  unitId: string,
  nextDue: Date | undefined,
): Promise<void> {
  await transaction
    .update(units)
    .set({ nextDue: nextDue ?? null })
    .where(eq(units.id, unitId));
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
