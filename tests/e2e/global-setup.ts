import { makeTestDatabase } from '../database/test-database';
import { seedDemoData } from '../../src/server/demo/seed';
import { startServer } from './server';

/** The demo data is put in once; every server has a copy of its own. One server for all tests; each test opens jobs of its own. */
export default async function setUp(): Promise<() => Promise<void>> {
  const demo = await makeTestDatabase();
  await seedDemoData(demo.database, new Date());
  await demo.leave();
  process.env.OHMMETER_TEST_DEMO = demo.name;
  const server = await startServer({ demo: true });
  process.env.OHMMETER_TEST_URL = server.url;
  return async () => {
    await server.stop();
    await demo.drop();
  };
}
