import { asc, eq, sql } from 'drizzle-orm';
import type { FirmTransaction } from './client';
import { organisations, technicians } from './schema';

export type Organisation = typeof organisations.$inferSelect;
export type Technician = typeof technicians.$inferSelect;

/** Sets up a firm. The first of an installation is served by it from now on; another one only where the owner says so. */
export async function insertOrganisation(
  transaction: FirmTransaction,
  row: typeof organisations.$inferInsert,
): Promise<void> {
  await transaction.execute(sql`select serve_first_firm(${row.id})`);
  await transaction.insert(organisations).values(row);
}

export async function readOrganisation(
  transaction: FirmTransaction,
): Promise<Organisation | undefined> {
  return (await transaction.select().from(organisations).limit(1))[0];
}

export async function updateSchools(
  transaction: FirmTransaction,
  id: string,
  schools: Organisation['schools'],
): Promise<void> {
  await transaction.update(organisations).set({ schools }).where(eq(organisations.id, id));
}

export async function insertTechnician(
  transaction: FirmTransaction,
  row: typeof technicians.$inferInsert,
): Promise<void> {
  await transaction.insert(technicians).values(row);
}

export async function updateTechnician(
  transaction: FirmTransaction,
  id: string,
  said: Pick<Technician, 'name' | 'licence' | 'liveWork' | 'gasWork'>,
): Promise<void> {
  await transaction.update(technicians).set(said).where(eq(technicians.id, id));
}

export async function listTechnicians(transaction: FirmTransaction): Promise<Technician[]> {
  return transaction.select().from(technicians).orderBy(asc(technicians.name));
}

export async function readTechnician(
  transaction: FirmTransaction,
  id: string,
): Promise<Technician | undefined> {
  return (await transaction.select().from(technicians).where(eq(technicians.id, id)))[0];
}
