import { once } from 'node:events';
import { createServer, request, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, test, type Page } from '@playwright/test';
import { seededRandom, simulatedTwoElement, simulateUnit } from '../../src/core/simulation';
import { demoJobs } from '../../src/server/demo/firm';
import { emptyJob, plate4500 } from '../plates';
import { startServer, type TestServer } from './server';
import {
  answerCheck,
  currentCheck,
  fillCall,
  isPhone,
  jobOnDevice,
  proveDead,
  putBack,
  repairAsTold,
  workOut,
} from './technician';

// These go on without a server: the service worker has to be there.
test.use({ serviceWorkers: 'allow' });

/** The production build with its service worker, and no server from the first tap on. */

test.describe.configure({ mode: 'serial' });

let server: TestServer;
test.beforeAll(async () => {
  server = await startServer({ demo: true });
});
test.afterAll(() => server.stop());

/** Opened once, until the device has everything that its pages need. */
async function prepare(page: Page): Promise<void> {
  await page.goto(server.url);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const there = await indexedDB.databases();
        if (!there.some((each) => each.name === 'ohmmeter')) return 0;
        const opening = indexedDB.open('ohmmeter');
        const database = await new Promise<IDBDatabase>((resolve) => {
          opening.onsuccess = () => resolve(opening.result);
        });
        const counting = database.transaction('jobs').objectStore('jobs').count();
        const count = await new Promise<number>((resolve) => {
          counting.onsuccess = () => resolve(counting.result);
        });
        database.close();
        return navigator.serviceWorker.controller ? count : 0;
      }),
    )
    .toBeGreaterThanOrEqual(openJobs);
}

const openJobs = demoJobs.filter(({ until }) => until.stage !== 'closed').length;

test('pages that were opened before open again', async ({ page, context }) => {
  await prepare(page);
  const unseen = await page.request.post(`${server.url}/api/job-files`, {
    data: emptyJob({ site: { customer: 'Never seen here' } }),
    headers: { origin: server.url },
  });
  const { id: unseenId } = (await unseen.json()) as { id: string };
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText('No connection. These are the open jobs')).toBeVisible();
  await expect(page.getByText('Nobody has said yet who works on this device')).toBeVisible();
  await page.getByRole('searchbox').fill('kettle');
  await page.getByRole('searchbox').press('Enter');
  await expect(page.getByRole('link', { name: /Kettle Corner/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Quarry|Falkner/ })).toHaveCount(0);
  await page.getByRole('link', { name: /Kettle Corner/ }).click();
  expect(await currentCheck(page)).toBeDefined();
  const bench = page.url();
  await page.goto(`${bench}/report`);
  await expect(page.getByRole('heading', { name: 'Test and repair report' })).toBeVisible();
  await page.goto(`${bench}/repair`);
  await expect(page.getByRole('heading', { name: 'Proof, settings, closing' })).toBeVisible();
  // A procedure needs no signal: begun, put down, taken up again.
  await page.goto(`${bench}/procedures`);
  await page.getByRole('button', { name: 'Start: Find a noise' }).click();
  await page.getByRole('button', { name: 'Hums, buzzes' }).click();
  await expect(page.getByRole('heading', { name: 'When is it heard?' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'When is it heard?' })).toBeVisible();
  // What was written here since is on its list: gas that was smelled above all.
  await page.goto(server.url);
  const listed = page.getByRole('link', { name: /Dunstan Rell/ });
  await expect(listed).toContainText('Smell for gas');
  await listed.click();
  await page.getByRole('button', { name: 'Gas smelled' }).click();
  await expect(page.getByText('Everybody out')).toBeVisible();
  await page.goto(server.url);
  await expect(listed).toContainText('Gas: make it safe, nothing else');
  await page.goto(`${server.url}/jobs/${unseenId}`);
  await expect(page.getByRole('heading', { name: 'Not on this device' })).toBeVisible();
  // It comes by itself once the server is there again.
  await context.setOffline(false);
  expect(await currentCheck(page)).toBeDefined();
});

test('in a cellar too somebody else takes the device: under their own name, and not on a proof of dead that is not theirs @phone', async ({
  page,
  context,
}) => {
  await prepare(page);
  const who = page.getByLabel('Technician');
  await who.selectOption('Ines Aldous');
  await expect(who.locator(':checked')).toHaveText('Ines Aldous');
  const imported = await page.request.post(`${server.url}/api/job-files`, {
    data: emptyJob({ site: { customer: 'Handed over' } }),
    headers: { origin: server.url },
  });
  const { id: jobId } = (await imported.json()) as { id: string };
  const address = `${server.url}/jobs/${jobId}`;
  await page.goto(address);
  await currentCheck(page);
  await expect(() => jobOnDevice(page, jobId)).toPass();
  await context.setOffline(true);
  await page.reload();
  await currentCheck(page);
  await page.getByRole('button', { name: 'Make safe' }).click();
  await proveDead(page);
  await expect(page.getByText(/^proved dead .* by Ines/)).toBeVisible();
  const otherTab = await context.newPage();
  await otherTab.goto(address);
  await expect(otherTab.getByText(/^proved dead .* by Ines/)).toBeVisible();

  await page.goto(server.url);
  // The page is loaded again, and comes from the device.
  const loaded = page.waitForEvent('load');
  await who.selectOption('Wren Oduya');
  await loaded;
  await expect(who.locator(':checked')).toHaveText('Wren Oduya');
  await page.goto(address);
  for (const each of [page, otherTab]) {
    await expect(each.getByText('proved by another person')).toBeVisible();
    await expect(each.getByText(/^proved dead/)).toHaveCount(0);
  }
  await currentCheck(page);
  await page.getByRole('button', { name: 'Skip', exact: true }).click();

  await context.setOffline(false);
  const idOf = async (name: string) => {
    const session = await (await page.request.get(`${server.url}/api/for-device`)).json();
    const { technicians, technicianId } = session as {
      technicians: { id: string; name: string }[];
      technicianId: string;
    };
    return { id: technicians.find((each) => each.name === name)!.id, technicianId };
  };
  const wren = await idOf('Wren Oduya');
  // The server hears of it with whatever it is asked first.
  expect(wren.technicianId).toBe(wren.id);
  const ines = await idOf('Ines Aldous');
  await expect(async () => {
    const file = await page.request.get(`${address.replace('/jobs/', '/api/jobs/')}/file`);
    const { entries } = (await file.json()) as { entries: { kind: string; by: string }[] };
    expect(entries.at(-1)).toMatchObject({ kind: 'skip', by: wren.id });
    const before = entries.slice(0, -1);
    expect(before.length).toBeGreaterThan(0);
    for (const each of before) expect(each).toMatchObject({ kind: 'action', by: ines.id });
  }).toPass();
  await page.goto(server.url);
  await expect(who.locator(':checked')).toHaveText('Wren Oduya');
});

test('a whole job, from the call to the report, is sent when the network is back @phone', async ({
  page,
  context,
}) => {
  test.setTimeout(240_000);
  const unit = simulateUnit(simulatedTwoElement, plate4500, seededRandom(102), {
    faults: ['lower-thermostat.never-closes'],
  });
  await prepare(page);
  await context.setOffline(true);
  await page.getByRole('link', { name: 'New call' }).click();
  await expect(page.getByRole('heading', { name: 'New call' })).toBeVisible();
  const jobId = await fillCall(page, { kind: unit.complaint.kind, customer: 'Deep Cellar' });
  await workOut(page, jobId, unit, jobOnDevice);
  await page.getByRole('link', { name: 'To the repair' }).click();
  await repairAsTold(page);
  unit.repair(unit.repairs);
  const proof = page.getByRole('link', { name: /under load|clamp|Supply, limit/ }).first();
  await proof.click();
  await answerCheck(page, jobId, (await currentCheck(page))!, unit, jobOnDevice);
  await page.goto(`${server.url}/jobs/${jobId}/repair`);
  await putBack(page);
  await page.getByLabel('Upper dial as left').fill('122');
  await page.getByLabel('Lower dial as left').fill('122');
  await page.getByLabel('Lower dial as left').press('Enter');
  await page.getByRole('button', { name: 'Close: repaired and proved' }).click();
  await page.getByRole('link', { name: 'To the report' }).click();
  await expect(page.getByRole('heading', { name: /Repaired, and the repair held/ })).toBeVisible();
  const onDevice = await jobOnDevice(page, jobId);
  expect(onDevice.job.number).toBe('new');

  await page.goto(server.url);
  await expect(page.getByRole('link', { name: /Deep Cellar/ })).toContainText(
    `Closed, ${onDevice.entries.length} entries`,
  );
  const kept = page.getByText(/\d+ kept on this device/);
  await expect(kept).toBeVisible();
  await page.goto(`${server.url}/waiting`);
  await expect(page.getByRole('listitem')).toHaveCount(onDevice.entries.length);

  await context.setOffline(false);
  await expect(page.getByText('Nothing waits: the server has everything.')).toBeVisible({
    timeout: 30_000,
  });
  const response = await page.request.get(`${server.url}/api/jobs/${jobId}/file`);
  const sent = (await response.json()) as typeof onDevice;
  expect(sent.entries).toEqual(onDevice.entries);
  expect(Number(sent.job.number)).toBeGreaterThan(1000);
  expect(sent.unit.plate).toEqual(onDevice.unit.plate);
  expect(sent.constraints).toMatchObject({ ...onDevice.constraints });
  if (isPhone(page)) return;
  await page.goto(`${server.url}/jobs/${jobId}/report`);
  await expect(page.getByText(sent.job.number!, { exact: true }).first()).toBeVisible();
});

test('a page that the server cannot make is that of the device, and the server’s when it can @desk', async ({
  page,
}) => {
  await prepare(page);
  const { name, ownerUrl } = server.test;
  const { default: pg } = await import('pg');
  const admin = new pg.Client({
    connectionString: Object.assign(new URL(ownerUrl), { pathname: '/postgres' }).toString(),
  });
  await admin.connect();
  await admin.query(`alter database ${name} allow_connections false`);
  await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [
    name,
  ]);
  try {
    // By a link: what the router is then sent says nothing of the failure but in its middle.
    await page
      .getByRole('link', { name: /Kettle Corner/ })
      .first()
      .click();
    expect(await currentCheck(page)).toBeDefined();
    await page.getByRole('button', { name: 'Skip', exact: true }).click();
    await page
      .getByRole('link', { name: /1 kept on this device\s*The database does not answer/ })
      .click();
    await expect(page.getByRole('heading', { name: 'Kept on this device' })).toBeVisible();
    await expect(page.getByRole('main')).toContainText('The database does not answer.');
  } finally {
    await admin.query(`alter database ${name} allow_connections true`);
    await admin.end();
  }
  await expect(page.getByText('Nothing waits: the server has everything.')).toBeVisible();
});

/** A way to the server that notes what goes through it. */
async function watchedWay() {
  const seen: IncomingMessage[] = [];
  const { port } = new URL(server.url);
  const way = createServer((asked, answer) => {
    seen.push(asked);
    const { method, url, headers } = asked;
    const passed = request({ host: '127.0.0.1', port, method, path: url, headers }, (given) => {
      answer.writeHead(given.statusCode!, given.headers);
      given.pipe(answer);
    });
    passed.on('error', () => answer.destroy());
    asked.pipe(passed);
  });
  way.listen(0, '127.0.0.1');
  await once(way, 'listening');
  return {
    seen,
    url: `http://127.0.0.1:${(way.address() as AddressInfo).port}`,
    end: () => {
      way.close();
      way.closeAllConnections();
    },
  };
}

test('a page and a file are asked for while the service worker still starts, and once @desk', async ({
  page,
}) => {
  const way = await watchedWay();
  try {
    await page.goto(way.url);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await expect
      .poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null))
      .toBe(true);
    const jobPage = (await page
      .getByRole('link', { name: /Kettle Corner/ })
      .first()
      .getAttribute('href'))!;
    const asked = (address: string) =>
      way.seen
        .filter(({ method, url, headers }) => method === 'GET' && url === address && !headers.rsc)
        .map(({ headers }) => headers['service-worker-navigation-preload']);
    await page.goto(`${way.url}${jobPage}`);
    expect(await currentCheck(page)).toBeDefined();
    expect(asked(jobPage)).toEqual(['true']);
    const file = `/api${jobPage}/file`;
    const coming = page.waitForEvent('download');
    // Where it is a download the page stays.
    await page.goto(`${way.url}${file}`).catch(() => undefined);
    expect((await coming).suggestedFilename()).toMatch(/\.json$/);
    expect(asked(file)).toEqual(['true']);
  } finally {
    way.end();
  }
});
