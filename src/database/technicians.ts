import { asc, desc, eq, sql } from 'drizzle-orm';
import type { FirmTransaction } from './client';
import { organisations, technicianChanges, technicians, type SaidOfTechnician } from './schema';

export type Organisation = typeof organisations.$inferSelect;
export type Technician = typeof technicians.$inferSelect;
export type TechnicianChange = typeof technicianChanges.$inferSelect;
export type { SaidOfTechnician } from './schema';

/**
 * Sets up a firm. The first of an installation is served by it from now on; another one only where the owner says so.
 * @returns false, with nothing written, where this installation does not work for it.
 */
export async function insertOrganisation(
  transaction: FirmTransaction,
  row: typeof organisations.$inferInsert,
): Promise<boolean> {
  await transaction.execute(sql`select serve_first_firm(${row.id})`);
  const { rows } = await transaction.execute<{ served: string | null }>(
    sql`select current_organisation() as served`,
  );
  if (rows[0]?.served !== row.id) return false;
  await transaction.insert(organisations).values(row);
  return true;
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
  said: SaidOfTechnician,
): Promise<void> {
  await transaction.update(technicians).set(said).where(eq(technicians.id, id));
}

/** Of two that say who works here in the same moment, one is done before the other looks. */
export async function lockTechnicians(
  transaction: FirmTransaction,
  organisationId: string,
): Promise<void> {
  await transaction
    .select({ id: organisations.id })
    .from(organisations)
    .where(eq(organisations.id, organisationId))
    .for('no key update');
}

export async function insertTechnicianChange(
  transaction: FirmTransaction,
  row: typeof technicianChanges.$inferInsert,
): Promise<void> {
  await transaction.insert(technicianChanges).values(row);
}

/** What was said of those who work here, the newest first. */
export async function listTechnicianChanges(
  transaction: FirmTransaction,
  most: number,
): Promise<TechnicianChange[]> {
  return transaction
    .select()
    .from(technicianChanges)
    .orderBy(desc(technicianChanges.at))
    .limit(most);
}

/** Those who work here by name, then those who have left. */
export async function listTechnicians(transaction: FirmTransaction): Promise<Technician[]> {
  return transaction
    .select()
    .from(technicians)
    .orderBy(asc(technicians.hasLeft), asc(technicians.name));
}

export async function readTechnician(
  transaction: FirmTransaction,
  id: string,
): Promise<Technician | undefined> {
  return (await transaction.select().from(technicians).where(eq(technicians.id, id)))[0];
}
