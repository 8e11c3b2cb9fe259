import { expect, test, type Page } from '@playwright/test';
import { baseUrl, currentCheck, openJob } from './technician';

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
    await page.locator('html[data-awake]').waitFor();
  };
}

test('a tap before the page answers is done once it does, and once only', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Early tap' });
  // The server has its answer ready, and gives it with the page.
  await currentCheck(page);
  const wake = await slowCode(page);
  await page.goto(`${baseUrl()}/jobs/${jobId}`, { waitUntil: 'commit' });
  const why = page.getByRole('button', { name: /Why this one/ });
  const reasons = page.getByRole('button', { name: /Order, live work/ });
  // Who sees nothing happen taps again: both would open and close it.
  await why.click();
  await why.click();
  await expect(reasons).toBeHidden();
  await wake();
  await expect(reasons).toBeVisible();
});

test('where the code of a family does not come, the page says so and can be tapped', async ({
  page,
}) => {
  const jobId = await openJob(page, {
    kind: 'no-hot-water',
    customer: 'No code',
    family: 'Gas, instantaneous',
    plate: { chosen: [], typed: { 'Input, BTU/h': '150000' } },
  });
  await currentCheck(page);
  await page.route('**/_next/static/**/*.js', async (route) => {
    const response = await route.fetch();
    const isFamily = (await response.text()).includes('cross-connection.mixer');
    await (isFamily ? route.abort() : route.fulfill({ response }));
  });
  await page.goto(`${baseUrl()}/jobs/${jobId}`);
  await expect(page.getByRole('heading', { name: 'This page could not be read' })).toBeVisible();
  await page.unrouteAll();
  await page.getByRole('button', { name: 'Try again' }).click();
  expect(await currentCheck(page)).toBeDefined();
});
