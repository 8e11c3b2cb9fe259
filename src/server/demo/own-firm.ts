import { sql } from 'drizzle-orm';
import { asInstallation, type Database } from '../../database/client';
import { readOrganisation } from '../../database/technicians';
import { demoFirm } from './firm';

/** The data is a firm's own. */
export class NotTheDemo extends Error {
  override name = 'NotTheDemo';
}

/**
 * The demo comes with a simulated unit, whose readings are nobody's to have in a firm's own jobs.
 * @throws NotTheDemo where the installation is another firm's.
 */
export async function refuseOwnFirm(application: Database): Promise<void> {
  const firm = await asInstallation(application, (transaction) => readOrganisation(transaction));
  if (!firm || firm.name === demoFirm.name) return;
  throw new NotTheDemo(
    `The data here is that of ${firm.name}, and not the demo's. Nothing was changed. ./ohmmeter start goes on with it; the demo wants a checkout of its own.`,
  );
}

/**
 * Throws the demo firm away, with all that was done in it.
 * @param owner connected as the owner of the tables, who alone may.
 * @throws NotTheDemo where the installation is another firm's: nothing was changed.
 */
export async function throwDemoAway(owner: Database, application: Database): Promise<void> {
  await refuseOwnFirm(application);
  await owner.execute(
    sql`truncate entries, search_words, code_packs, jobs, units, sites, customers, technician_changes, technicians, organisations, served_firms`,
  );
}
