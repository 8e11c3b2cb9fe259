import { readdirSync, readFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { everywhere } from '../../src/door';
import { emptyJob } from '../plates';
import { startServer, type TestServer } from './server';

/** Wrong requests, each with its 4xx and its words; and a log in which none of them is found. */

test.describe.configure({ mode: 'serial' });

const secret = 'Secret-Person';
let server: TestServer;
let jobId: string;
let technicianId: string;
test.beforeAll(async () => {
  server = await startServer({ demo: true });
  const known = (await (await fetch(`${server.url}/api/for-device`)).json()) as {
    jobs: { job: { id: string } }[];
    technicianId: string;
  };
  jobId = known.jobs[0]!.job.id;
  technicianId = known.technicianId;
});
test.afterAll(() => server.stop());

const send = (address: string, body: unknown, method = 'POST') =>
  fetch(`${server.url}${address}`, {
    method,
    headers: { 'content-type': 'application/json', origin: server.url },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });

const entry = (change: object = {}) => ({
  id: newId(),
  at: new Date().toISOString(),
  kind: 'reading',
  check: 'upper-element-ohms',
  value: { ohm: 12.8 },
  ...change,
});
const entries = (...list: object[]) => ({ entries: list });
const jobsAt = (...ids: string[]) => `${server.url}/api/for-device/jobs?ids=${ids.join(',')}`;
const nested = (depth: number): string => '['.repeat(depth) + ']'.repeat(depth);
const call = (change: object = {}, unit: object = {}) => ({
  technicianId,
  complaint: { kind: 'no-hot-water', words: secret, answers: {} },
  newUnit: {
    customer: secret,
    address: `5 ${secret} Lane`,
    family: 'electric-storage-two-element',
    supply: 'split-240',
    plate: emptyJob().unit.plate,
    ...unit,
  },
  ...change,
});

test('a wrong request gets its 4xx and its words', async () => {
  const on = (id: string) => `/api/jobs/${id}/entries`;
  const cases: [string, Promise<Response>, number][] = [
    ['a job that is no id', send(on('toString'), entries(entry())), 404],
    ['a job that is not there', send(on(newId()), entries(entry())), 404],
    ['no list', send(on(jobId), { entries: 'all' }), 422],
    ['null', send(on(jobId), 'null'), 422],
    ['no JSON', send(on(jobId), `{"entries": [${secret}`), 422],
    ['an entry without an id', send(on(jobId), entries(entry({ id: undefined }))), 422],
    ['an entry whose id is a word', send(on(jobId), entries(entry({ id: 'toString' }))), 422],
    ['a leap second', send(on(jobId), entries(entry({ at: '2026-06-30T23:59:60Z' }))), 422],
    ['the year 0', send(on(jobId), entries(entry({ at: '0000-01-01T00:00:00Z' }))), 422],
    ['a day that is none', send(on(jobId), entries(entry({ at: '2026-02-30T00:00:00Z' }))), 422],
    ['a day to come', send(on(jobId), entries(entry({ at: '2099-01-01T00:00:00Z' }))), 422],
    ['a note with a NUL', send(on(jobId), entries(entry({ note: `${secret}\0` }))), 422],
    ['half a character', send(on(jobId), `{"entries":[{"note":"${secret}\\ud83d"}]}`), 422],
    ['nesting', send(on(jobId), `{"entries":${nested(5000)}}`), 422],
    ['too many', send(on(jobId), entries(...Array.from({ length: 2001 }, () => entry()))), 422],
    ['too large', send(on(jobId), `"${'x'.repeat(6 * 1024 * 1024)}"`), 413],
    ['an unknown check', send(on(jobId), entries(entry({ check: secret }))), 422],
    ['no technician', send('/api/technician', 'null'), 404],
    ['a technician that is a word', send('/api/technician', { id: secret }), 404],
    ['a call of nobody', send('/api/jobs', call({ technicianId: secret })), 404],
    ['a call with a NUL', send('/api/jobs', call({}, { customer: `${secret}\0` })), 422],
    ['a call with an id that is none', send('/api/jobs', call({ id: secret })), 422],
    ['a call of an unknown unit', send('/api/jobs', call({ knownUnitId: secret })), 404],
    ['a call without a kind', send('/api/jobs', call({ complaint: { words: secret } })), 422],
    ['limits that are none', send(`/api/jobs/${jobId}/constraints`, { mood: secret }, 'PUT'), 422],
    ['limits of no job', send('/api/jobs/toString/constraints', {}, 'PUT'), 404],
    ['schools that are none', send('/api/firm/schools', { mood: secret }, 'PUT'), 422],
    ['a second firm', send('/api/firm', { name: secret }), 422],
    [
      'a file with a NUL',
      send('/api/job-files', JSON.stringify({ ...emptyJob(), note: '\0' })),
      422,
    ],
    ['a file of nesting', send('/api/job-files', `{"x":${nested(5000)}}`), 422],
    ['a method that is none here', send(`/api/jobs/${jobId}/file`, {}, 'DELETE'), 405],
    ['a job file of no job', fetch(`${server.url}/api/jobs/toString/file`), 404],
    ['jobs for a device that are words', fetch(jobsAt(jobId, 'toString')), 422],
    [
      'too many jobs for a device',
      fetch(jobsAt(...Array.from({ length: 11 }, () => newId()))),
      422,
    ],
    ['tables of no job', fetch(`${server.url}/api/jobs/${newId()}/tables`), 404],
    ['entries after a word', fetch(`${server.url}${on(jobId)}?after=${secret}`), 422],
    ['an address that is none', fetch(`${server.url}/jobs/%E0%A4%A`), 400],
  ];
  for (const [what, answer, status] of cases) {
    const response = await answer;
    expect(response.status, what).toBe(status);
    expect((await response.text()).length, what).toBeGreaterThan(status === 405 ? -1 : 10);
  }
});

test('jobs for a device are those that are there, each once', async () => {
  const told = await fetch(jobsAt(jobId, jobId.toUpperCase(), newId()));
  expect(told.status).toBe(200);
  const { jobs, long } = (await told.json()) as { jobs: { job: { id: string } }[]; long: [] };
  expect(jobs.map((each) => each.job.id)).toEqual([jobId]);
  expect(long).toEqual([]);
  const file = await (await fetch(`${server.url}/api/jobs/${jobId}/file`)).json();
  expect(jobs[0]).toEqual(file);
  expect(await (await fetch(jobsAt())).json()).toEqual({ jobs: [], long: [] });
});

test('an id in other letters is the same id', async () => {
  const id = newId();
  const address = `/api/jobs/${jobId.toUpperCase()}/entries`;
  const first = entry({ id: id.toUpperCase() });
  for (const each of [first, first, { ...first, id }]) {
    expect((await send(address, entries(each))).status).toBe(200);
  }
  const other = await send(address, entries({ ...first, value: { ohm: 13 } }));
  expect(other.status).toBe(409);
  const file = (await (await fetch(`${server.url}/api/jobs/${jobId}/file`)).json()) as {
    entries: { id: string }[];
  };
  expect(file.entries.filter((each) => each.id.toLowerCase() === id)).toHaveLength(1);
});

test('entries are answered alike by the short way and by the route of the framework', async () => {
  const short = `/api/jobs/${jobId}/entries`;
  const told = async (address: string, body: string, origin = server.url) => {
    const headers = { 'content-type': 'application/json', origin };
    const response = await fetch(`${server.url}${address}`, { method: 'POST', headers, body });
    const heard = ['content-type', 'cache-control', ...Object.keys(everywhere)];
    return {
      status: response.status,
      headers: heard.map((name) => `${name}: ${response.headers.get(name)}`),
      text: await response.text(),
    };
  };
  const known = JSON.stringify(entries(entry()));
  const changed = known.replace('12.8', '13.8');
  const broken = [`{"entries": [`, 'null', nested(5000), JSON.stringify(entries(entry({ id: 7 })))];
  for (const body of [known, changed, ...broken, `"${'x'.repeat(6 * 1024 * 1024)}"`]) {
    const [one, other] = [await told(short, body), await told(`${short}?long`, body)];
    expect(one, body.slice(0, 60)).toEqual(other);
  }
  const foreign = 'http://example.test';
  expect(await told(short, known, foreign)).toEqual(await told(`${short}?long`, known, foreign));
  // One that is cut in its middle: whoever comes next is answered.
  await new Promise<void>((resolve) => {
    const cut = httpRequest(`${server.url}${short}`, {
      method: 'POST',
      headers: { origin: server.url, 'content-length': 500 },
    });
    cut.on('error', () => resolve());
    cut.write('{"entries":');
    setTimeout(() => cut.destroy(new Error('cut')), 200);
  });
  expect((await told(short, known)).status).toBe(200);
});

test('who sends too much is told so every time, and is not cut off in the middle', async () => {
  const much = `"${'x'.repeat(12 * 1024 * 1024)}"`;
  for (let time = 0; time < 20; time++) {
    const answer = await send(`/api/jobs/${jobId}/entries`, much);
    expect(answer.status).toBe(413);
    expect(await answer.text()).toContain('12.0 MB');
  }
});

test('a method that nobody needs is refused', async () => {
  expect(await statusFor('/', new URL(server.url).host, 'TRACE')).toBe(405);
});

test('a call that is sent again, its answer lost, opens one job', async () => {
  const id = newId();
  const sent = call({ id, openedAt: new Date().toISOString() });
  const answers = await Promise.all([send('/api/jobs', sent), send('/api/jobs', sent)]);
  const again = await send('/api/jobs', { ...sent, id: id.toUpperCase() });
  expect(again.status).toBe(200);
  expect(answers.map((each) => each.status)).toEqual([200, 200]);
  const numbers = await Promise.all(
    [...answers, again].map(async (each) => ((await each.json()) as { number: number }).number),
  );
  expect(new Set(numbers).size).toBe(1);
});

test('files of the build are behind the same door, with the same headers, as pages are', async () => {
  const html = await (await fetch(server.url)).text();
  const [file] = /\/_next\/static\/[^"]+\.js/.exec(html) ?? [];
  for (const address of [
    file!,
    '/',
    '/icon.svg',
    '/service-worker.js',
    '/api/health',
    '/nothing',
  ]) {
    const response = await fetch(`${server.url}${address}`);
    expect(response.headers.get('x-content-type-options'), address).toBe('nosniff');
    expect(response.headers.get('cross-origin-resource-policy'), address).toBe('same-origin');
    expect(response.headers.get('content-security-policy'), address).toContain(
      "default-src 'self'",
    );
    expect(await statusFor(address, 'example.test'), address).toBe(421);
  }
  const given = await fetch(`${server.url}${file}`);
  expect(given.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect(given.headers.get('content-type')).toContain('text/javascript');
  expect((await fetch(`${server.url}${file}`, { method: 'HEAD' })).headers.get('etag')).toBe(
    given.headers.get('etag'),
  );
  for (const outside of ['nothing.js', 'chunks', '..%2fBUILD_ID', '%2e%2e/BUILD_ID', 'a%00b']) {
    const response = await fetch(`${server.url}/_next/static/${outside}`);
    expect(response.status, outside).toBe(404);
    expect(response.headers.get('x-content-type-options'), outside).toBe('nosniff');
  }
  for (const address of [`/api/jobs/${jobId}/entries`, '/api/jobs']) {
    expect(await statusFor(address, 'example.test'), address).toBe(421);
    const foreign = await fetch(`${server.url}${address}`, {
      method: 'POST',
      headers: { origin: 'http://example.test' },
      body: '{}',
    });
    expect(foreign.status, address).toBe(403);
    expect(foreign.headers.get('x-content-type-options')).toBe('nosniff');
  }
  expect((await fetch(`${server.url}/api/jobs/${jobId}/file`)).headers.get('cache-control')).toBe(
    'no-store',
  );
  expect((await fetch(`${server.url}/_next/image?url=%2Ficon.svg&w=64&q=75`)).status).toBe(404);
});

/** As a browser never would: under another name. */
const statusFor = (address: string, host: string, method = 'GET') =>
  new Promise<number>((resolve, reject) => {
    httpRequest(`${server.url}${address}`, { method, headers: { host } }, (response) => {
      response.resume();
      resolve(response.statusCode ?? 0);
    })
      .on('error', reject)
      .end();
  });

test('no log has a word of what was typed, though the database itself is broken', async () => {
  await server.test.owner.query('alter table search_words rename to gone');
  expect((await send('/api/jobs', call())).status).toBe(500);
  await server.test.owner.query('alter table gone rename to search_words');
  await server.test.owner.query('alter table entries rename column body to gone');
  expect((await send(`/api/jobs/${jobId}/entries`, entries(entry({ note: secret })))).status).toBe(
    500,
  );
  expect((await fetch(`${server.url}/jobs/${jobId}`)).status).toBe(500);
  await server.test.owner.query('alter table entries rename column gone to body');
  const file = path.join(server.logs, 'server.log');
  await expect.poll(() => readFileSync(file, 'utf8')).toContain('a request failed');
  for (const each of readdirSync(server.logs)) {
    const text = readFileSync(path.join(server.logs, each), 'utf8');
    expect(text).not.toContain('Secret');
    for (const line of text.split('\n').filter(Boolean)) {
      if (each === 'server.log') expect(JSON.parse(line)).toHaveProperty('what');
    }
  }
});
