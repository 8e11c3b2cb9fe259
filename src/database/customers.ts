import { and, asc, desc, eq, inArray } from 'drizzle-orm';
import type { FirmTransaction } from './client';
import { customers, sites, units } from './schema';
import { hasWords } from './search';

export type Customer = typeof customers.$inferSelect;
export type Site = typeof sites.$inferSelect;
export type Unit = typeof units.$inferSelect;

/** A customer with a site and the unit there, as a new call offers them. */
export interface KnownUnit {
  readonly customer: Customer;
  readonly site: Site;
  readonly unit: Unit;
}

/** Every unit with its house and its customer, to be narrowed down. */
export function knownUnits(transaction: FirmTransaction) {
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
    );
}

/** Units that every word begins a word of; the newest first where no word is asked for. Ids are given in order of time. */
export async function findUnits(
  transaction: FirmTransaction,
  words: readonly string[],
  most: number,
): Promise<KnownUnit[]> {
  const found = await transaction
    .select({ id: units.id })
    .from(units)
    .where(hasWords('unit', units, words))
    .orderBy(desc(units.organisationId), desc(units.id))
    .limit(most);
  if (found.length === 0) return [];
  return knownUnits(transaction)
    .where(
      inArray(
        units.id,
        found.map((each) => each.id),
      ),
    )
    .orderBy(asc(customers.name), asc(units.id));
}

export async function readUnit(
  transaction: FirmTransaction,
  id: string,
): Promise<KnownUnit | undefined> {
  return (await knownUnits(transaction).where(eq(units.id, id)))[0];
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
