import { expect, test, type Page } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { isRestored, type Entry, type JobFile } from '../../src/core/job-file';
import { andEntered, baseUrl, currentCheck, openJob } from './technician';
import { asInstallation } from '../../src/database/client';
import { listUnsettled } from '../../src/database/jobs';
import { startServer } from './server';
import '../../src/features/waking/logbook-ahead';
import { electricStorageTwoElement } from '../../src/core/appliances/electric-storage-two-element';
import { emptyJob, provedDead } from '../plates';

/** What the server does is the same on every screen: runs once, at a desk. */
test('a database stopped in the middle of a job loses nothing', async ({ page, browser }) => {
  const server = await startServer({ demo: true });
  try {
    const name = new URL(server.test.ownerUrl).pathname.slice(1);
    await page.goto(server.url);
    await page
      .getByRole('link', { name: /Otter Lane Laundry/ })
      .first()
      .click();
    await currentCheck(page);
    const admin = new URL(server.test.ownerUrl);
    admin.pathname = '/postgres';
    const { default: pg } = await import('pg');
    const client = new pg.Client({ connectionString: admin.toString() });
    await client.connect();
    await client.query(`alter database ${name} allow_connections false`);
    await client.query(
      'select pg_terminate_backend(pid) from pg_stat_activity where datname = $1',
      [name],
    );

    await page.getByRole('button', { name: 'Skip', exact: true }).click();
    await expect(page.getByText('1 kept on this device')).toBeVisible();
    // A device that was never here has nothing of its own to show.
    const context = await browser.newContext();
    const other = await context.newPage();
    await other.goto(server.url);
    await expect(other.getByRole('heading', { name: 'This page could not be read' })).toBeVisible();
    await context.close();

    await client.query(`alter database ${name} allow_connections true`);
    await client.end();
    await expect(page.getByText(/kept on this device/)).toHaveCount(0, { timeout: 20_000 });
    // What the job stands at follows, worked out by the server's thread.
    // That thread gives way to every other: where three browsers work it waits long.
    await expect
      .poll(
        () => asInstallation(server.test.database, (transaction) => listUnsettled(transaction, 1)),
        { timeout: 90_000 },
      )
      .toEqual([]);
  } finally {
    await server.stop();
  }
});

test('what came after a backup is sent again by the devices that have it', async ({ page }) => {
  const server = await startServer({ demo: true });
  const skip = () =>
    andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());
  const entriesOf = async (id: string) => {
    const response = await page.request.get(`${server.url}/api/jobs/${id}/file`);
    if (!response.ok()) return [];
    const { entries } = (await response.json()) as JobFile;
    return entries.map((each) => (isRestored(each) ? 'restored' : each.id));
  };
  const sql = async (...statements: string[]) => {
    const { default: pg } = await import('pg');
    const client = new pg.Client({
      connectionString: process.env.OHMMETER_OWNER_DATABASE_URL,
    });
    await client.connect();
    for (const each of statements) await client.query(each);
    await client.end();
  };
  const { name } = server.test;
  try {
    // By then the device knows which backup the server has: none.
    const isPrepared = page.waitForResponse(/for-device.jobs/);
    await page.goto(server.url);
    await isPrepared;
    await page
      .getByRole('link', { name: /Otter Lane Laundry/ })
      .first()
      .click();
    await currentCheck(page);
    const old = page.url().split('/').at(-1)!;
    await skip();
    await expect.poll(() => entriesOf(old)).toHaveLength(1);
    await server.restart(() => sql(`create database ${name}_saved template ${name}`));

    // Another device switches it on, which this one hears of, and keeps.
    const { id: heard, at } = { id: newId(), at: new Date().toISOString() };
    const switchedOn = await page.request.post(`${server.url}/api/jobs/${old}/entries`, {
      headers: { origin: server.url },
      data: { entries: [{ id: heard, at, kind: 'action', action: 'power-on' }] },
    });
    expect(switchedOn.ok()).toBe(true);
    await expect.poll(() => keptEntryCount(page, old), { timeout: 20_000 }).toBe(2);
    const before = await entriesOf(old);
    expect(before).toHaveLength(2);
    // A job that the backup knows nothing of.
    const { id: fresh } = (await (
      await page.request.post(`${server.url}/api/job-files`, {
        data: emptyJob({ site: { customer: 'Called after the backup' } }),
        headers: { origin: server.url },
      })
    ).json()) as { id: string };
    await page.goto(`${server.url}/jobs/${fresh}`);
    await currentCheck(page);
    await skip();
    await expect.poll(async () => (await entriesOf(fresh)).length).toBe(1);
    const ofFresh = await entriesOf(fresh);

    // Somebody is at a bench meanwhile: it hears of it by itself.
    await server.restart(async () => {
      await sql(`drop database ${name}`, `alter database ${name}_saved rename to ${name}`);
      const { default: pg } = await import('pg');
      const client = new pg.Client({ connectionString: server.test.ownerUrl });
      await client.connect();
      await client.query('insert into restores default values');
      await client.end();
    });
    // What comes only now was written before the backup was put back: no proof of that time holds.
    const withBackup = [before[0], 'restored', ...before.slice(1)];
    await expect.poll(() => entriesOf(old), { timeout: 20_000 }).toEqual(withBackup);
    await expect
      .poll(() => entriesOf(fresh), { timeout: 20_000 })
      .toEqual(['restored', ...ofFresh]);
    await expect(page.getByText(/kept on this device/)).toHaveCount(0);
    // What the server lost it does not know again by anybody's word: that line offers no correction, every other one does.
    const lines = page
      .getByRole('list', { name: 'Logbook, oldest first' })
      .getByRole('listitem')
      .filter({ hasNotText: /^\S+Call:/ });
    await expect(lines.filter({ hasText: 'Backup put back' })).toHaveCount(1);
    await expect(lines.filter({ hasText: 'Backup put back' }).getByRole('button')).toHaveCount(0);
    await expect(lines.getByRole('button')).toHaveCount(1);
    await page.goto(server.url);
    await expect(page.getByRole('link', { name: /Called after the backup/ })).toHaveCount(1);
  } finally {
    await server.stop();
  }
});

test.describe('a job file that is no job file', () => {
  // Each names a customer whom no other test has: all of them work in one firm, side by side.
  const customer = 'Customer of a refused file';
  const good = emptyJob({ site: { customer } });
  const large = emptyJob({ site: { customer: `${customer}${'x'.repeat(10 * 1024 * 1024)}` } });
  const files: [string, string, RegExp][] = [
    ['an unknown key', JSON.stringify({ ...good, mood: 'good' }), /\/mood/],
    ['a wrong version', JSON.stringify({ ...good, version: 7 }), /version 7/],
    ['broken JSON', JSON.stringify(good).replace('"entries"', 'oops'), /JSON/],
    ['10 MB', JSON.stringify(large), /10\.0 MB.*at most 5 MB/],
  ];
  for (const [what, text, message] of files) {
    test(`with ${what} is refused with the reason, and nothing is half imported`, async ({
      page,
    }) => {
      await page.goto(baseUrl());
      await page
        .getByLabel('Job file to import')
        .first()
        .setInputFiles({
          name: 'job.json',
          mimeType: 'application/json',
          buffer: Buffer.from(text),
        });
      await expect(page.getByRole('dialog')).toContainText(message);
      await page.getByRole('button', { name: 'Close' }).click();
      await page.reload();
      await expect(page.getByText(customer)).toHaveCount(0);
    });
  }

  test('a good one opens as a job, and brings no proof of dead with it', async ({ page }) => {
    const off = { id: newId(), at: new Date(Date.now() - 60_000).toISOString() };
    const proof = { id: newId(), at: new Date(Date.now() - 30_000).toISOString() };
    const file = emptyJob({
      site: { customer: 'From a file' },
      entries: [
        { ...off, kind: 'action', action: 'power-off' },
        { ...proof, ...provedDead(electricStorageTwoElement) } as Entry,
      ],
    });
    await page.goto(baseUrl());
    await page
      .getByLabel('Job file to import')
      .first()
      .setInputFiles({
        name: 'job.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify(file)),
      });
    await page.waitForURL(/\/jobs\//);
    await currentCheck(page);
    // And says why, where it is looked for.
    await expect(page.getByText('Power ON', { exact: true })).toBeVisible();
    await expect(page.getByText('it came as a file since')).toBeVisible();
    const logbook = page.getByRole('list', { name: 'Logbook, oldest first' });
    await expect(logbook).toContainText('Came as a file: gaps possible');
  });

  test('one whose answer was lost is brought in again as the same job', async ({ page }) => {
    await page.goto(baseUrl());
    let lost: { id: string } | undefined;
    await page.route('**/api/job-files', async (route) => {
      const answer = await route.fetch();
      lost = (await answer.json()) as { id: string };
      await route.abort();
    });
    const choose = () =>
      page
        .getByLabel('Job file to import')
        .first()
        .setInputFiles({
          name: 'job.json',
          mimeType: 'application/json',
          buffer: Buffer.from(JSON.stringify(emptyJob({ site: { customer: 'From a lost file' } }))),
        });
    await choose();
    await expect(page.getByRole('dialog')).toContainText('it will not be there twice');
    await page.getByRole('button', { name: 'Close' }).click();
    await page.unroute('**/api/job-files');
    await choose();
    await page.waitForURL(/\/jobs\//);
    expect(page.url()).toContain(lost!.id);
  });
});

function longFile(count: number): JobFile {
  const entries = Array.from({ length: count }, (_, k) => ({
    id: newId(),
    at: new Date(Date.UTC(2026, 0, 1) + k * 1000).toISOString(),
    kind: 'reading',
    check: 'upper-element-ohms',
    value: { ohm: 12 + k / count },
  }));
  return emptyJob({ entries: entries as Entry[] });
}

async function bringInLong(page: Page, count: number): Promise<string> {
  const headers = { origin: baseUrl() };
  const file = longFile(count);
  const taken = await page.request.post(`${baseUrl()}/api/job-files`, { headers, data: file });
  return ((await taken.json()) as { id: string }).id;
}

const isWorkedOut = (page: Page) => expect(page.locator('main[aria-busy=false]')).toBeVisible();

/** How many parts of the logbook that were asked for ahead of the page's code are not taken. */
const leftAhead = (page: Page) => page.evaluate(() => window.ohmmeterLogbookAhead?.parts.size);

test('a logbook that is too long for its page comes in parts, once, and is worked out', async ({
  page,
}) => {
  const count = 2600;
  const id = await bringInLong(page, count);
  const asked: string[] = [];
  // Of this job: a device also fetches the logbooks of other open ones, whoever brought them in.
  const part = new RegExp(`/jobs/${id}/entries\\?after=(\\d+)`);
  page.on('request', (request) => {
    const [, after] = part.exec(request.url()) ?? [];
    if (after !== undefined) asked.push(after);
  });
  await page.goto(`${baseUrl()}/jobs/${id}`);
  await isWorkedOut(page);
  expect(asked.slice(0, 2)).toEqual(['0', '2000']);
  expect(asked.filter((after) => Number(after) < count)).toHaveLength(2);
  expect(await leftAhead(page)).toBe(0);
  // The newest stands in the logbook, so that the parts were put together in their order.
  await expect(page.getByText(/13\.0/).first()).toBeVisible();
  await test.step('its last lines are drawn, at their end, and more of them when they are asked for', async () => {
    const logbook = page.getByRole('list', { name: 'Logbook, oldest first' });
    await page.getByRole('button', { name: '2500 earlier' }).waitFor();
    const fromEnd = () =>
      logbook.evaluate((list) => list.scrollWidth - list.clientWidth - list.scrollLeft);
    await expect.poll(fromEnd).toBeLessThan(2);
    // The call, the way to the rest, the lines themselves.
    await expect(logbook.getByRole('listitem')).toHaveCount(102);
    await page.getByRole('button', { name: '2500 earlier' }).click();
    await expect(logbook.getByRole('listitem')).toHaveCount(202);
    await expect(page.getByRole('button', { name: '2400 earlier' })).toBeVisible();
  });
  // The second time the device has it, and asks only for what came since.
  await expect.poll(async () => (await keptEntryCount(page, id)) ?? 0).toBe(count);
  asked.length = 0;
  await page.reload();
  await isWorkedOut(page);
  await expect.poll(() => [...new Set(asked)]).toEqual([String(count)]);
  await test.step('its report draws the ends of it at once, and all of it where it is printed', async () => {
    await page.goto(`${baseUrl()}/jobs/${id}/report`);
    const rows = page.getByRole('table').locator('tbody tr');
    await expect(page.getByRole('button', { name: /^Show the 2,200 readings/ })).toBeVisible();
    await expect(rows).toHaveCount(401);
    await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
    await expect(rows).toHaveCount(count);
    await page.reload();
    await page.getByRole('button', { name: /^Show the 2,200 readings/ }).click();
    await expect(rows).toHaveCount(count);
  });
});

test('a long logbook that is scrolled before all of it is drawn stays where it is', async ({
  page,
}) => {
  const id = await bringInLong(page, 600);
  // A hand that is quicker than any test: as soon as its first lines have been painted.
  await page.addInitScript(() => {
    const watch = new MutationObserver(() => {
      const list = document.querySelector('ol[aria-label^="Logbook"]');
      if (!list || list.childElementCount > 50) return;
      watch.disconnect();
      setTimeout(() => list.scrollBy(-200, 0), 50);
    });
    watch.observe(document, { subtree: true, childList: true });
  });
  await page.goto(`${baseUrl()}/jobs/${id}`);
  const logbook = page.getByRole('list', { name: 'Logbook, oldest first' });
  await expect(logbook.getByRole('listitem')).toHaveCount(102);
  const fromEnd = await logbook.evaluate(
    (list) => list.scrollWidth - list.clientWidth - list.scrollLeft,
  );
  expect(Math.abs(fromEnd - 200)).toBeLessThan(2);
});

test('a part of a long logbook that did not come is asked for again', async ({ page }) => {
  const id = await bringInLong(page, 600);
  const asked: string[] = [];
  await page.route(/entries\?after=0/, async (route) => {
    asked.push(route.request().url());
    if (asked.length === 1) await route.abort();
    else await route.continue();
  });
  await page.goto(`${baseUrl()}/jobs/${id}`);
  await isWorkedOut(page);
  expect(asked).toHaveLength(2);
  await expect.poll(() => keptEntryCount(page, id)).toBe(600);
});

const keptEntryCount = (page: Page, jobId: string) =>
  page.evaluate(
    (id) =>
      new Promise<number | undefined>((resolve) => {
        const opening = indexedDB.open('ohmmeter');
        opening.onsuccess = () => {
          const asking = opening.result.transaction('jobs').objectStore('jobs').get(id);
          asking.onsuccess = () => {
            const kept = asking.result as
              { entryCount?: number; job: { entries?: unknown[] } } | undefined;
            opening.result.close();
            resolve(kept?.entryCount ?? kept?.job.entries?.length);
          };
        };
      }),
    jobId,
  );

test.describe('the door', () => {
  test('answers this machine only, and takes changes from its own pages only', async ({
    request,
  }) => {
    const foreign = await request.get(baseUrl(), { headers: { host: 'ohmmeter.example' } });
    expect(foreign.status()).toBe(421);
    const crossSite = await request.post(`${baseUrl()}/api/jobs`, {
      headers: { origin: 'http://evil.example' },
      data: {},
    });
    expect(crossSite.status()).toBe(403);
    const noOrigin = await request.post(`${baseUrl()}/api/jobs`, { data: {} });
    expect(noOrigin.status()).toBe(403);
  });

  test('lets no script in that it did not send itself', async ({ page }) => {
    const violations: string[] = [];
    page.on('console', (message) => {
      if (/Content Security Policy/i.test(message.text())) violations.push(message.text());
    });
    const response = await page.goto(baseUrl());
    expect(response!.headers()['content-security-policy']).toMatch(
      /script-src 'self' 'nonce-[^']+' 'strict-dynamic'/,
    );
    expect(response!.headers()['content-security-policy']).not.toContain('unsafe-eval');
    await openJob(page, { kind: 'no-hot-water', customer: 'Policy' });
    await currentCheck(page);
    expect(violations).toEqual([]);
  });

  test('shows what is not there as not there', async ({ page }) => {
    await page.goto(`${baseUrl()}/jobs/018f0000-0000-7000-8000-00000000dead`);
    await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
  });
});

test('an empty installation is set up in one page', async ({ page }) => {
  const server = await startServer({ demo: false });
  try {
    await page.goto(server.url);
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(page.locator('form').getByRole('alert')).toContainText('What is the firm called?');
    await page.getByLabel('Firm').fill('New Firm');
    await page.getByLabel('Technician').fill('N. One');
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(page.getByRole('link', { name: 'Take the first call' })).toBeVisible();
  } finally {
    await server.stop();
  }
});

test('tables come from the server, and without it the device works out its own', async ({
  page,
}) => {
  const answers: number[] = [];
  page.on('response', (each) => {
    if (each.url().includes('/tables')) answers.push(each.status());
  });
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Tables' });
  await currentCheck(page);
  await expect.poll(() => answers).toEqual([200]);
  await andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());
  const withTables = await currentCheck(page);

  await page.route('**/api/jobs/*/tables*', (route) => route.abort());
  await openJob(page, { kind: 'no-hot-water', customer: 'No tables' });
  expect(page.url()).not.toContain(jobId);
  await page.reload();
  await currentCheck(page);
  await andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());
  expect(await currentCheck(page)).toBe(withTables);
  expect(answers).toEqual([200]);
});

test('a page comes in one piece, drawn for the screen that asks for it', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Drawn for' });
  const drawnFor = async (headers: Record<string, string>) => {
    const html = await (await fetch(`${baseUrl()}/jobs/${jobId}`, { headers })).text();
    expect(html).toContain('aria-label="Keypad"');
    // What stood in such a place would be shown a third of a second after the rest of its page.
    expect(html).not.toContain('<template id="B:');
    return html.includes('aria-label="Suspects, most likely first"');
  };
  expect(await drawnFor({ 'sec-ch-ua-mobile': '?0' })).toBe(true);
  expect(await drawnFor({ 'sec-ch-ua-mobile': '?1' })).toBe(false);
});
