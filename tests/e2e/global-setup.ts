import { startServer } from './server';

/** One server with the demo data for all tests; each test opens jobs of its own. */
export default async function setUp(): Promise<() => Promise<void>> {
  const server = await startServer({ demo: true });
  process.env.OHMMETER_TEST_URL = server.url;
  return () => server.stop();
}
