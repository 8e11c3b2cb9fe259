import { createServer } from 'node:http';
import next from 'next';
import { everywhere } from '../door';
import { giveBuildFile, isForBuildFile } from './build-files';
import { logFault } from './log';
import { jobOfEntries, takeByTheShortWay } from './short-way';

/**
 * The server of the production build: everything goes to the framework, but what is written with every reading, and the
 * files of the build. Usage, by ./ohmmeter and the tests: node dist/server.mjs PORT
 */

const hostname = '127.0.0.1';
const port = Number(process.argv[2]);
/**
 * A connection on which nobody has asked anything for so long is closed, in milliseconds. A technician takes less from one
 * reading to the next: what is entered would go out on a connection that is being closed at that moment, and wait.
 */
const longestIdle = 65_000;
/** Whoever is being answered when the server is told to stop has so long for it, in milliseconds. */
const longestFarewell = 1000;

process.env.OHMMETER_ADDRESS = `http://${hostname}:${port}`;
const application = next({ dev: false, hostname, port });
const answer = application.getRequestHandler();
await application.prepare();

// A request that ends badly ends alone: the others are gone on with.
process.on('unhandledRejection', (reason) => logFault('a promise was broken', reason));
process.on('uncaughtException', (error) => logFault('an error was caught by nobody', error));

const server = createServer((request, response) => {
  if (request.method === 'TRACE') {
    // It would show a page what only the browser may know; the framework stumbles over it.
    response.writeHead(405, { ...everywhere, allow: 'GET, HEAD, POST, PUT, DELETE' }).end();
    return;
  }
  const byTheFramework = () => void answer(request, response);
  if (isForBuildFile(request)) {
    giveBuildFile(request, response, byTheFramework);
    return;
  }
  const jobId = jobOfEntries(request);
  if (jobId === undefined) byTheFramework();
  else void takeByTheShortWay(jobId, request, response);
});
server.keepAliveTimeout = longestIdle;
server.on('error', (error) => {
  // Not by the console: that is the log's, which writes no words.
  process.stderr.write(`ohmmeter: the server cannot listen: ${error.message}\n`, () =>
    process.exit(1),
  );
});
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), longestFarewell);
  });
}
server.listen(port, hostname);
