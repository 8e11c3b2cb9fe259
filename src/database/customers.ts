import { and, asc, eq } from 'drizzle-orm';
import type { FirmTransaction } from './client';
import { customers, sites, units } from './schema';

export type Customer = typeof customers.$inferSelect;
export type Site = typeof sites.$inferSelect;
export type Unit = typeof units.$inferSelect;

/** A customer with a site and the unit there, as a new call offers them. */
export interface KnownUnit {
  readonly customer: Customer;
  readonly site: Site;
  readonly unit: Unit;
}

export async function listKnownUnits(transaction: FirmTransaction): Promise<KnownUnit[]> {
  return transaction
    .select({ customer: customers, site: sites, unit: units })
    .from(units)
    .innerJoin(
      sites,
      and(eq(sites.organisationId, units.organisationId), eq(sites.id, units.siteId)),
    )
    .innerJoin(
      customers,
      and(eq(customers.organisationId, sites.organisationId), eq(customers.id, sites.customerId)),
    )
    .orderBy(asc(customers.name));
}

export async function insertCustomer(
  transaction: FirmTransaction,
  row: typeof customers.$inferInsert,
): Promise<void> {
  await transaction.insert(customers).values(row);
}

export async function insertSite(
  transaction: FirmTransaction,
  row: typeof sites.$inferInsert,
): Promise<void> {
  await transaction.insert(sites).values(row);
}

export async function insertUnit(
  transaction: FirmTransaction,
  row: typeof units.$inferInsert,
): Promise<void> {
  await transaction.insert(units).values(row);
}
