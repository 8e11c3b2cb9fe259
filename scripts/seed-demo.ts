/** Makes the demo data: an invented firm in an invented town. Its readings come from simulated units, not from a list. */
import { connect, installationOrganisation } from '../src/database/client';
import { seedDemoData } from '../src/server/demo/seed';
import { NotTheDemo, refuseOwnFirm, throwDemoAway } from '../src/server/demo/own-firm';

const applicationUrl = process.env.OHMMETER_APPLICATION_DATABASE_URL;
const ownerUrl = process.env.OHMMETER_OWNER_DATABASE_URL;
if (!applicationUrl || !ownerUrl) throw new Error('run this by ./ohmmeter demo');

const { database, pool } = connect(applicationUrl);
const owner = connect(ownerUrl);
try {
  if (process.argv.includes('--anew')) await throwDemoAway(owner.database, database);
  else await refuseOwnFirm(database);
  if (!(await installationOrganisation(database))) await seedDemoData(database, new Date());
} catch (error) {
  if (!(error instanceof NotTheDemo)) throw error;
  console.error(`ohmmeter: ${error.message}`);
  process.exitCode = 1;
} finally {
  await owner.pool.end();
  await pool.end();
}
