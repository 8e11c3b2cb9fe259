import { expect, test, type Page } from '@playwright/test';
import { baseUrl, currentCheck, isAwake, openJob } from './technician';

/** Code that comes long after the page it belongs to, as on a slow phone. */
async function slowCode(page: Page): Promise<() => Promise<void>> {
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/_next/static/**/*.js', async (route) => {
    await held;
    await route.continue();
  });
  return async () => {
    letGo();
    await isAwake(page);
  };
}

const whyOf = (page: Page) => page.getByRole('button', { name: /Why this one/ });

/**
 * The bench with the answer that comes with the page. A server that is busy gives the page without it after a second, for the
 * device to work it out: without its code there is nothing to be tapped then, and the page is asked for again.
 */
async function openAsleep(page: Page, jobId: string): Promise<void> {
  await expect(async () => {
    await page.goto(`${baseUrl()}/jobs/${jobId}`, { waitUntil: 'commit' });
    await whyOf(page).waitFor({ timeout: 4000 });
  }).toPass({ timeout: 60_000 });
}

test('a tap before the page answers is done once it does, and once only', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Early tap' });
  await currentCheck(page);
  const wake = await slowCode(page);
  await openAsleep(page, jobId);
  const why = whyOf(page);
  const reasons = page.getByRole('button', { name: /Order, live work/ });
  // Who sees nothing happen taps again: both would open and close it.
  await why.click();
  await why.click();
  await expect(reasons).toBeHidden();
  await wake();
  await expect(reasons).toBeVisible();
});

test('two buttons that are tapped before the page answers are both done, in their order', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Early taps' });
  await currentCheck(page);
  const wake = await slowCode(page);
  await openAsleep(page, jobId);
  await whyOf(page).click();
  await page.getByRole('button', { name: 'Make safe', exact: true }).click();
  await wake();
  await expect(
    page.getByRole('dialog').getByRole('button', { name: 'Enter what was read' }),
  ).toBeVisible();
  await expect(page.getByText(/Order, live work/)).toHaveCount(1);
});

test('the code of a family that does not come is asked for until it does, and the tap is done then', async ({
  page,
}) => {
  const jobId = await openJob(page, {
    kind: 'no-hot-water',
    customer: 'No code',
    family: 'Gas, instantaneous',
    plate: { chosen: [], typed: { 'Input, BTU/h': '150000' } },
  });
  await currentCheck(page);
  let lost = 0;
  await page.route('**/_next/static/**/*.js', async (route) => {
    const response = await route.fetch();
    const isFamily = (await response.text()).includes('cross-connection.mixer');
    if (isFamily) lost += 1;
    await (isFamily ? route.abort() : route.fulfill({ response }));
  });
  await openAsleep(page, jobId);
  await expect.poll(() => lost).toBeGreaterThan(0);
  await expect(page.locator('html[data-awake]')).toHaveCount(0);
  await whyOf(page).click();
  // A request that is on its way ends as it began: one whose handler is cut short would never be answered.
  await page.unrouteAll({ behavior: 'wait' });
  await isAwake(page);
  await expect(page.getByRole('button', { name: /Order, live work/ })).toBeVisible();
});
