import { expect, test, type Page } from '@playwright/test';
import type { Entry } from '../../src/core/job-file';
import {
  andEntered,
  baseUrl,
  currentCheck,
  openByForm,
  openJob,
  pressKeys,
  proveDead,
} from './technician';

// These go on without a server: the service worker has to be there.
test.use({ serviceWorkers: 'allow' });

/** What waits on a device: seen from every page, sent from every page, and never gone in silence. */

const skip = (page: Page) =>
  andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());

type Answer = { readonly status: number; readonly json: object } | undefined;

/** Lets the server's place be taken by an answer, for entries of which it is so. */
const answerFor = (page: Page, answer: (entry: Entry) => Answer) =>
  page.route('**/api/jobs/*/entries', (route) => {
    if (route.request().method() !== 'POST') return route.continue();
    const { entries } = route.request().postDataJSON() as { entries: Entry[] };
    const found = entries.map(answer).find((each) => each !== undefined);
    return found ? route.fulfill(found) : route.continue();
  });

const refusal = { status: 422, json: { problem: 'refused', message: 'No such thing here.' } };

const stored = async (page: Page, jobId: string) =>
  (
    (await (await page.request.get(`${baseUrl()}/api/jobs/${jobId}/file`)).json()) as {
      entries: Entry[];
    }
  ).entries;

test('what was kept goes from whichever page is open, and is told there until it has gone @phone', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'From Today' });
  await currentCheck(page);
  await page.route('**/api/jobs/*/entries', (route) => route.abort());
  await skip(page);
  await skip(page);
  await page.goto(baseUrl());
  const note = page.getByRole('link', { name: /2 kept on this device/ });
  await expect(note).toContainText(/since \d\d:\d\d, 1 job/);
  await note.click();
  await expect(page.getByRole('heading', { name: 'Kept on this device' })).toBeVisible();
  await expect(page.getByRole('link', { name: /From Today/ })).toBeVisible();
  await expect(page.getByRole('listitem')).toHaveCount(2);
  await page.goto(baseUrl());
  await page.unroute('**/api/jobs/*/entries');
  await expect.poll(async () => (await stored(page, jobId)).length, { timeout: 15_000 }).toBe(2);
  await expect(note).toHaveCount(0);
});

test('a refused entry holds up no other, and is sent again, or struck and kept @phone', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Refused' });
  await currentCheck(page);
  let first: string | undefined;
  await answerFor(page, ({ id }) => ((first ??= id) === id ? refusal : undefined));
  // What was refused does not count: it is there for a moment only.
  await page.getByRole('button', { name: 'Skip', exact: true }).click();
  await expect(page.getByText('1 not taken by the server')).toBeVisible();
  await expect(page.locator('main[data-entries="0"]')).toBeVisible();
  // At once, and no bounce of the tap before: what was refused can be said again.
  await skip(page);
  await expect.poll(async () => (await stored(page, jobId)).length).toBe(1);

  await page.goto(`${baseUrl()}/waiting`);
  const row = page.getByRole('listitem');
  await expect(row).toHaveCount(1);
  await expect(row).toContainText('Not taken by the server: No such thing here.');
  await row.getByRole('button', { name: 'Strike' }).click();
  await expect(row).toHaveAttribute('data-state', 'struck');
  await page.reload();
  await expect(row).toHaveAttribute('data-state', 'struck');
  await expect(page.getByRole('link', { name: /not taken/ })).toHaveCount(0);
  await page.unroute('**/api/jobs/*/entries');
  await row.getByRole('button', { name: 'Send again' }).click();
  await expect(page.getByText('Nothing waits')).toBeVisible();
  expect(await stored(page, jobId)).toHaveLength(2);
});

test(
  'an entry that the server stumbles over holds up no other',
  { tag: '@desk' },
  async ({ page }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Stumbles' });
    await currentCheck(page);
    let first: string | undefined;
    await answerFor(page, ({ id }) =>
      (first ??= id) === id
        ? { status: 500, json: { message: 'Something unexpected.' } }
        : undefined,
    );
    for (let k = 0; k < 3; k++) await skip(page);
    await expect.poll(async () => (await stored(page, jobId)).length, { timeout: 15_000 }).toBe(2);
    await page.goto(`${baseUrl()}/waiting`);
    await expect(page.getByRole('listitem')).toContainText('Tried, and will be tried again');
  },
);

test(
  'a refused reading is mended on the spot, and goes as what was meant',
  { tag: '@desk' },
  async ({ page }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Mended' });
    await answerFor(page, (entry) =>
      entry.kind === 'reading' && entry.value?.ohm === 3 ? refusal : undefined,
    );
    await page.goto(`${baseUrl()}/jobs/${jobId}?check=upper-element-ohms`);
    await currentCheck(page);
    await page.getByRole('button', { name: 'Make safe' }).click();
    await proveDead(page);
    await pressKeys(page, '3');
    await page.getByRole('button', { name: /^Enter/ }).click();
    const done = page
      .getByRole('dialog')
      .getByRole('button', { name: /done|as it is/i })
      .first();
    if (await done.isVisible()) await done.click();
    await expect(page.getByText('1 not taken by the server')).toBeVisible();
    await page.goto(`${baseUrl()}/waiting`);
    await page.getByRole('button', { name: 'Mend' }).click();
    await page.getByLabel('What the meter showed').fill('lots');
    await page.getByRole('button', { name: 'Send mended reading' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'not a number' })).toBeVisible();
    await page.getByLabel('What the meter showed').fill('12.9');
    await page.getByRole('button', { name: 'Send mended reading' }).click();
    await expect(page.getByText('Nothing waits')).toBeVisible();
    expect((await stored(page, jobId)).at(-1)).toMatchObject({ value: { ohm: 12.9 } });
  },
);

test(
  'a call that the server refuses is kept, and mended in its form',
  { tag: '@desk' },
  async ({ page }) => {
    // One way throughout: a request that is held when a way is taken down goes on to the server as it is.
    let answer: 'none' | 'refusal' | 'own' = 'none';
    await page.route('**/api/jobs', (route) => {
      if (answer === 'none') return route.abort();
      return answer === 'refusal' ? route.fulfill(refusal) : route.continue();
    });
    // Where it goes then is no page of the server's, and may not come up.
    await openByForm(page, { kind: 'no-hot-water', customer: 'Refused call' }).catch(
      () => undefined,
    );
    answer = 'refusal';
    await page.goto(`${baseUrl()}/waiting`);
    await expect(page.getByText('Not taken by the server: No such thing here.')).toBeVisible({
      timeout: 15_000,
    });
    answer = 'own';
    const address = await page.getByRole('link', { name: 'new Refused call' }).getAttribute('href');
    await page.getByRole('button', { name: 'Mend in the call form' }).click();
    await page.getByLabel('Customer', { exact: true }).fill('Mended call');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.waitForURL(`**${address}`);
    await expect(page.getByText(/Mended call, 5 Test Lane/)).toBeVisible();
  },
);
