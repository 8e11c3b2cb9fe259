import { expect, test, type Page } from '@playwright/test';
import { baseUrl, currentCheck, jobOnDevice, openJob, proveDead, sentJob } from './technician';

/** A store that answers nobody: another page of this browser holds it, until it is let go. */
async function holdStore(page: Page): Promise<() => Promise<void>> {
  const holder = await page.context().newPage();
  await holder.goto(`${baseUrl()}/codes`);
  await holder.evaluate(
    (rounds) =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('ohmmeter');
        opening.onsuccess = () => {
          const stores = [...opening.result.objectStoreNames];
          const held = opening.result.transaction(stores, 'readwrite').objectStore('entries');
          let isHeld = true;
          const hold = () => {
            // A store is held by asking on; asked without a rest, the browser has no time for anything else.
            for (let k = 0; k < rounds; k++) Math.sqrt(k);
            if (isHeld) held.count().onsuccess = hold;
            else opening.result.close();
          };
          (window as unknown as { letGo: () => void }).letGo = () => (isHeld = false);
          hold();
          resolve();
        };
      }),
    // Some hundredths of a second; not by a clock, which a test may have stopped.
    10_000_000,
  );
  return () => holder.evaluate(() => (window as unknown as { letGo: () => void }).letGo());
}

const noServer = (page: Page) =>
  page.route('**/api/jobs/*/entries', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
const skip = (page: Page) => page.getByRole('button', { name: 'Skip', exact: true });

test('without a server a slow store is waited for, and told so', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Slow store' });
  const first = await currentCheck(page);
  await noServer(page);
  const letGo = await holdStore(page);
  await skip(page).click();
  // The check that is done stands there until then, and takes no tap: that is said where the next one will stand.
  const working = page.locator('[data-check]').getByText('Working out what is next');
  await expect(working).toBeVisible();
  await expect(page.getByText(/Not entered yet: this device’s store is slow/)).toBeVisible();
  await letGo();
  await expect(working).toHaveCount(0);
  await expect(page.locator(`[data-check="${first}"]`)).toHaveCount(0);
  await expect(page.getByText(/Not entered yet/)).toHaveCount(0);
  expect((await jobOnDevice(page, jobId)).entries).toHaveLength(1);
});

test('what is tapped again while a slow store is waited for is entered once', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Tapped again' });
  await currentCheck(page);
  await page.getByRole('button', { name: /Make safe/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Make safe' });
  await dialog.getByRole('button', { name: 'not tried', exact: true }).click();
  for (const point of await dialog.getByRole('button', { name: /: 0 V$/ }).all()) {
    await point.click();
  }
  await noServer(page);
  const letGo = await holdStore(page);
  const enter = dialog.getByRole('button', { name: 'Enter what was read' });
  await enter.click();
  // Later than two taps of one hand in a glove.
  await page.waitForTimeout(1200);
  await enter.click();
  await letGo();
  await expect(dialog.getByText(/it proves nothing/)).toBeVisible();
  const { entries } = await jobOnDevice(page, jobId);
  expect(entries.map((each) => each.kind === 'action' && each.action)).toEqual([
    'power-off',
    'proved-dead',
  ]);
});

test('what a silent store was given up for is not kept behind anybody’s back', async ({ page }) => {
  await page.clock.install();
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Given up' });
  const first = await currentCheck(page);
  await noServer(page);
  const letGo = await holdStore(page);
  await skip(page).click();
  // While a finger is on the screen nothing is said that would move what is under it.
  const place = (await skip(page).boundingBox())!;
  await page.mouse.move(place.x + place.width / 2, place.y + place.height / 2);
  await page.mouse.down();
  await page.clock.runFor(4000);
  expect(await skip(page).boundingBox()).toEqual(place);
  await expect(page.getByText(/Not entered yet/)).toHaveCount(0);
  await page.mouse.move(0, 0);
  await page.mouse.up();
  await page.clock.runFor(1500);
  await expect(page.getByText(/Not entered yet/)).toBeVisible();
  await page.clock.runFor(21_000);
  await expect(page.getByText(/NOT entered: this device’s store does not answer/)).toBeVisible();
  await letGo();
  // Whatever comes after it has been kept: what came before would be there by then.
  await skip(page).click();
  await expect(page.getByText(/NOT entered/)).toHaveCount(0);
  await expect(page.locator(`[data-check="${first}"]`)).toHaveCount(0);
  expect((await jobOnDevice(page, jobId)).entries).toHaveLength(1);
  await page.unroute('**/api/jobs/*/entries');
  await page.clock.runFor(5000);
  expect((await sentJob(page, jobId)).entries).toHaveLength(1);
});

test('a page that is opened while the store is silent says so, and goes on without a proof from before', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Silent at first' });
  await currentCheck(page);
  await page.getByRole('button', { name: 'Make safe' }).click();
  await proveDead(page);
  const before = (await sentJob(page, jobId)).entries.length;
  const letGo = await holdStore(page);
  await page.reload();
  await expect(
    page.getByText(/own store does not answer; entries go straight to the server/),
  ).toBeVisible();
  // What may have ended the proof is not seen.
  await expect(page.getByText('Off, not proved dead')).toBeVisible();
  await expect(page.getByText(/prove dead again before you touch anything/)).toBeVisible();
  await expect(page.getByText(/^proved dead \d/)).toHaveCount(0);
  await skip(page).click();
  await expect(async () => {
    const file = await page.request.get(`${baseUrl()}/api/jobs/${jobId}/file`);
    const { entries } = (await file.json()) as { entries: unknown[] };
    expect(entries).toHaveLength(before + 1);
  }).toPass();
  // That an entry went straight silences nothing of it.
  await expect(page.getByText(/prove dead again before you touch anything/)).toBeVisible();
  await letGo();
  await expect(page.getByText(/does not answer/)).toHaveCount(0);
  await expect(page.getByText(/^proved dead \d/)).toBeVisible();
});

test('what a try found live is not forgotten while the store is silent', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Live and silent' });
  await currentCheck(page);
  await page.getByRole('button', { name: 'Make safe' }).click();
  await proveDead(page, { volts: '118' });
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText('NOT dead: 118 V')).toBeVisible();
  await sentJob(page, jobId);
  const letGo = await holdStore(page);
  await page.reload();
  await expect(page.getByText(/own store does not answer/)).toBeVisible();
  await expect(page.getByText('NOT dead: 118 V')).toBeVisible();
  await letGo();
});

test('a report and the list of what is kept say that the store is silent', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Silent report' });
  await currentCheck(page);
  const letGo = await holdStore(page);
  const missing = page.getByText(/What this device has not sent may be missing/);
  await page.goto(`${baseUrl()}/jobs/${jobId}/report`);
  await expect(missing).toBeVisible();
  await page.goto(`${baseUrl()}/waiting`);
  await expect(page.getByText(/own store does not answer/)).toBeVisible();
  await letGo();
  await expect(page.getByText('Nothing waits: the server has everything.')).toBeVisible();
  await expect(page.getByText(/own store does not answer/)).toHaveCount(0);
});
