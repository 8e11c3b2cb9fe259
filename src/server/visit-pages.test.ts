import { once } from 'node:events';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, it, vi } from 'vitest';
import { visitPages } from './visit-pages';

const jobId = '01a22173-34e4-7468-91cf-21bf15ff273a';

it('the pages of a job and of the day are asked for one after the other, and a broken one keeps no other from it', async () => {
  const asked: string[] = [];
  let open = 0;
  let mostOpen = 0;
  const server = createServer((request, response) => {
    mostOpen = Math.max(mostOpen, ++open);
    asked.push(`${request.method} ${request.url}`);
    setTimeout(() => {
      open -= 1;
      if (request.url === '/call') response.destroy();
      else if (request.url?.endsWith('/events')) {
        response.writeHead(200, { 'content-type': 'text/event-stream' }).write(':\n');
      } else response.writeHead(500).end('no');
    }, 20);
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  // As the framework's own fetch does, which keeps the other branch.
  const plain = fetch;
  vi.stubGlobal('fetch', async (...asking: Parameters<typeof fetch>) => {
    const answer = await plain(...asking);
    const [own, kept] = answer.body?.tee() ?? [];
    void kept
      ?.getReader()
      .read()
      .catch(() => undefined);
    return new Response(own, answer);
  });
  try {
    await visitPages(`http://127.0.0.1:${port}`, jobId);
  } finally {
    vi.unstubAllGlobals();
    server.closeAllConnections();
    server.close();
  }
  expect(asked.slice(0, 3)).toEqual(['GET /', 'GET /call', `GET /jobs/${jobId}`]);
  expect(asked).toContain(`GET /jobs/${jobId}/repair`);
  expect(asked).toContain(`GET /api/jobs/${jobId}/events`);
  expect(asked.at(-1)).toBe('POST /api/job-files');
  expect(mostOpen).toBe(1);
});

it('nothing is asked without an address, and nothing breaks where nobody answers', async () => {
  await expect(visitPages(undefined, jobId)).resolves.toBeUndefined();
  await expect(visitPages('http://127.0.0.1:9', jobId)).resolves.toBeUndefined();
});
