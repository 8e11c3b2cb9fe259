/** Makes the demo data: an invented firm in an invented town. Its readings come from simulated units, not from a list. */
import { sql } from 'drizzle-orm';
import { seedDemoData } from '../src/server/demo/seed';
import { connect, installationOrganisation } from '../src/database/client';

const applicationUrl = process.env.OHMMETER_APPLICATION_DATABASE_URL;
const ownerUrl = process.env.OHMMETER_OWNER_DATABASE_URL;
if (!applicationUrl || !ownerUrl) throw new Error('run this by ./ohmmeter demo');

if (process.argv.includes('--anew')) {
  const owner = connect(ownerUrl);
  await owner.database.execute(
    sql`truncate entries, search_words, code_packs, jobs, units, sites, customers, technicians, organisations, served_firms`,
  );
  await owner.pool.end();
}

const { database, pool } = connect(applicationUrl);
try {
  if (!(await installationOrganisation(database))) await seedDemoData(database, new Date());
} finally {
  await pool.end();
}
