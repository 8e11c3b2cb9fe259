import { expect, test, type Locator, type Page } from '@playwright/test';
import {
  andEntered,
  baseUrl,
  currentCheck,
  doSteps,
  isAwake,
  openJob,
  openLimits,
  pressKeys,
  proveDead,
  sentJob,
} from './technician';

// These go on without a server: the service worker has to be there.
test.use({ serviceWorkers: 'allow' });

/** A page that was made before what is now known of its job, and comes up after it. */

const skip = (page: Page) =>
  andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());

/** How many entries of its own the device keeps, and how many of the job as the server has it. */
const onDevice = (page: Page, jobId: string) =>
  page.evaluate(async (id) => {
    const opening = indexedDB.open('ohmmeter');
    const database = await new Promise<IDBDatabase>((resolve) => {
      opening.onsuccess = () => resolve(opening.result);
    });
    const asked = async <T>(request: IDBRequest<T>) =>
      new Promise<T>((resolve) => {
        request.onsuccess = () => resolve(request.result);
      });
    const own = await asked(database.transaction('entries').objectStore('entries').count());
    const kept = (await asked(database.transaction('jobs').objectStore('jobs').get(id))) as
      { job: { entries: unknown[] } } | undefined;
    database.close();
    return { own, kept: kept?.job.entries.length };
  }, jobId);

test(
  'one gone back to without a server has what came since it was made',
  { tag: '@desk' },
  async ({ page, context }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Back' });
    await currentCheck(page);
    await skip(page);
    await skip(page);
    await expect.poll(() => onDevice(page, jobId)).toEqual({ own: 0, kept: 2 });
    await page.getByRole('link', { name: 'Repair', exact: true }).first().click();
    await page.waitForURL('**/repair');
    await context.setOffline(true);
    await page.goBack();
    await currentCheck(page);
    await expect(page.locator('main[data-entries="2"]')).toBeVisible();
    await page.waitForTimeout(1500);
    expect(await onDevice(page, jobId)).toEqual({ own: 0, kept: 2 });
  },
);

test(
  'a proof that was ended since is not believed on one gone back to',
  { tag: '@desk' },
  async ({ page, context }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Proof, back' });
    await currentCheck(page);
    await page.getByRole('button', { name: 'Make safe' }).click();
    await proveDead(page);
    await expect.poll(() => onDevice(page, jobId)).toMatchObject({ own: 0 });
    // A page of the server, which was made while the proof held.
    await page.goto(`${baseUrl()}/jobs/${jobId}?check=supply-volts`);
    await currentCheck(page);
    await expect(page.getByText(/^proved dead \d/)).toBeVisible();
    await doSteps(page);
    await pressKeys(page, '239');
    await andEntered(page, () => page.getByRole('button', { name: /^Enter/ }).click());
    await expect(page.getByText(/^proved dead \d/)).toHaveCount(0);
    const { entries } = await sentJob(page, jobId);
    await expect.poll(() => onDevice(page, jobId)).toEqual({ own: 0, kept: entries.length });
    await page.getByRole('link', { name: 'Repair', exact: true }).first().click();
    await page.waitForURL('**/repair');
    await context.setOffline(true);
    await page.goBack();
    await currentCheck(page);
    await expect(page.locator(`main[data-entries="${entries.length}"]`)).toBeVisible();
    await expect(page.getByText(/^proved dead \d/)).toHaveCount(0);
  },
);

test(
  'what may be done stays as it was set, on a page that is gone back to',
  { tag: '@desk' },
  async ({ page, context }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Limits, back' });
    await currentCheck(page);
    const order = (at: Locator) => at.getByRole('button', { name: 'usual', exact: true });
    await order(await openLimits(page)).click();
    await expect.poll(async () => (await sentJob(page, jobId)).constraints?.order).toBe('usual');
    await page.evaluate(() => navigator.serviceWorker.ready);
    await expect.poll(() => page.evaluate(() => !!navigator.serviceWorker.controller)).toBe(true);
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Repair', exact: true }).first().click();
    await page.waitForURL('**/repair');
    await page.goBack();
    await currentCheck(page);
    await expect(order(await openLimits(page))).toHaveAttribute('aria-pressed', 'true');
    // Nor does the device have it otherwise, once the server has it.
    await page.waitForTimeout(1000);
    await context.setOffline(true);
    await page.reload();
    await currentCheck(page);
    await expect(order(await openLimits(page))).toHaveAttribute('aria-pressed', 'true');
  },
);

test(
  'a report that was on its way while an entry came is read again',
  { tag: '@desk' },
  async ({ page }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'On its way' });
    await currentCheck(page);
    let asked = 0;
    let loaded = 0;
    page.on('request', (request) => {
      if (request.isNavigationRequest() && request.url().endsWith('/report')) loaded++;
    });
    let isMade = false;
    let letGo = (): void => undefined;
    const held = new Promise<void>((resolve) => {
      letGo = resolve;
    });
    await page.route(`**/jobs/${jobId}/report?_rsc=*`, async (route) => {
      if (asked++ > 0) return route.continue();
      const response = await route.fetch();
      isMade = true;
      await held;
      return route.fulfill({ response });
    });
    await page.getByRole('link', { name: 'Report', exact: true }).first().click();
    await expect.poll(() => isMade).toBe(true);
    await skip(page);
    await expect.poll(() => onDevice(page, jobId)).toEqual({ own: 0, kept: 1 });
    letGo();
    await page.waitForURL('**/report');
    // Or the framework took the whole page anew, which has the entry as well.
    await expect.poll(() => asked + loaded).toBe(2);
    await expect(page.getByText(/not in this report/)).toHaveCount(0);
  },
);

test(
  'a report that is gone back to without a server says what it lacks',
  { tag: '@desk' },
  async ({ page, context }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Report, back' });
    await currentCheck(page);
    await page.getByRole('link', { name: 'Report', exact: true }).first().click();
    await page.waitForURL('**/report');
    await page.getByRole('link', { name: 'Bench', exact: true }).click();
    await currentCheck(page);
    await skip(page);
    await expect.poll(() => onDevice(page, jobId)).toEqual({ own: 0, kept: 1 });
    await context.setOffline(true);
    await page.goBack();
    await page.waitForURL('**/report');
    await expect(page.getByText('1 not in this report yet')).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/not in this report/)).toHaveCount(0);
  },
);

test(
  'the list of jobs is read again when it is gone back to',
  { tag: '@desk' },
  async ({ page, context }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Listed first' });
    const first = page.locator(`a[href="/jobs/${jobId}"]`);
    await page.goto(baseUrl());
    await isAwake(page);
    await first.click();
    await page.waitForURL('**/jobs/*');
    await currentCheck(page);
    const call = { kind: 'no-hot-water', customer: 'Listed later' };
    const laterId = await openJob(await context.newPage(), call);
    // Without the server the old list stays.
    await context.setOffline(true);
    await page.goBack();
    await expect(first).toBeVisible();
    await page.waitForTimeout(1000);
    await expect(first).toBeVisible();
    await context.setOffline(false);
    await expect(page.locator(`a[href="/jobs/${laterId}"]`)).toBeVisible();
  },
);
