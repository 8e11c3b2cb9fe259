import { expect, test, type Page } from '@playwright/test';
import {
  baseUrl,
  currentCheck,
  isAwake,
  isPhone,
  jobOnDevice,
  openJob,
  pressKeys,
  sentJob,
} from './technician';

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
 * device to work it out: without its code there is nothing to be tapped then, and the page is asked for again; so it is where it
 * does not come at all, which a browser whose requests had just begun to be held was seen to do once.
 */
async function openAsleep(page: Page, jobId: string, more = ''): Promise<void> {
  await expect(async () => {
    await page.goto(`${baseUrl()}/jobs/${jobId}${more}`, { waitUntil: 'commit', timeout: 20_000 });
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

/** The device's own store answers after half a second, as on a slow phone: later than the page. */
const slowStore = (page: Page) =>
  page.addInitScript(() => {
    const open = Reflect.get(IDBFactory.prototype, 'open') as IDBFactory['open'];
    IDBFactory.prototype.open = function (...how) {
      const opening = open.apply(this, how);
      let isLate = false;
      opening.addEventListener('success', (event) => {
        if (isLate) return;
        isLate = true;
        event.stopImmediatePropagation();
        setTimeout(() => opening.dispatchEvent(new Event('success')), 500);
      });
      return opening;
    };
  });

test('a check that is skipped before the page and its store answer is skipped then @phone', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Early skip' });
  const first = await currentCheck(page);
  await slowStore(page);
  const wake = await slowCode(page);
  await openAsleep(page, jobId);
  await page.getByRole('button', { name: 'Skip', exact: true }).click();
  await wake();
  await expect(page.locator(`[data-check="${first}"]`)).toHaveCount(0);
  expect((await sentJob(page, jobId)).entries).toMatchObject([{ kind: 'skip', check: first }]);
});

test('what was tapped for a check is not done to another that has come in its place @phone', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Other skip' });
  const first = await currentCheck(page);
  // Kept on this device and not sent: the server's page does not know of it.
  await page.route('**/api/jobs/*/entries', (route) => route.abort());
  await page.getByRole('button', { name: 'Skip', exact: true }).click();
  await expect(page.locator(`[data-check="${first}"]`)).toHaveCount(0);
  await currentCheck(page);
  await slowStore(page);
  const wake = await slowCode(page);
  await openAsleep(page, jobId);
  await expect(page.locator(`[data-check="${first}"]`)).toHaveCount(1);
  await page.getByRole('button', { name: 'Skip', exact: true }).click();
  await wake();
  await expect(page.locator(`[data-check="${first}"]`)).toHaveCount(0);
  await currentCheck(page);
  expect((await jobOnDevice(page, jobId)).entries).toHaveLength(1);
});

test('the code of a family that does not come is asked for until it does, and the tap is done then @desk', async ({
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

const display = (page: Page) => page.getByRole('status', { name: 'typed reading' });

/** What is seen there before the page's code: no text of the page, but drawn all the same. */
const seenEarly = (page: Page) =>
  display(page).evaluate((each) => {
    const { content } = getComputedStyle(each, '::before');
    return content === 'none' ? '' : content.replaceAll('"', '');
  });

/** A job at the winding of its upper element, whose page has come and whose code has not. */
async function asleepAtKeypad(page: Page, customer: string): Promise<() => Promise<void>> {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer });
  await currentCheck(page);
  const wake = await slowCode(page);
  await openAsleep(page, jobId, '?check=upper-element-ohms');
  return wake;
}

test('what is typed before the page answers is seen at once, every key of it, and stands there when it does', async ({
  page,
}) => {
  const wake = await asleepAtKeypad(page, 'Early reading');
  await pressKeys(page, '11.');
  expect(await seenEarly(page)).toBe('11.');
  if (isPhone(page)) await expect(display(page)).toBeInViewport();
  const keypad = page.getByRole('group', { name: 'Keypad' });
  await pressKeys(page, '77');
  await keypad.getByRole('button', { name: 'delete last' }).click();
  // At a desk there are keys of another kind.
  if (!isPhone(page)) await page.keyboard.type('2');
  expect(await seenEarly(page)).toBe(isPhone(page) ? '11.7' : '11.72');
  await wake();
  await expect(display(page)).toHaveText(isPhone(page) ? '11.7Ω' : '11.72Ω');
  expect(await seenEarly(page)).toBe('');
  await expect(keypad.getByRole('button', { name: /^Enter/ })).toHaveText(/Enter11.7/);
  // And the keypad goes on from there.
  await pressKeys(page, '2');
  await expect(display(page)).toHaveText(isPhone(page) ? '11.72Ω' : '11.722Ω');
});

test('what is typed before the page answers is what stands there, whatever was left there before @phone', async ({
  page,
}) => {
  const jobId = await openJob(
    page,
    { kind: 'no-hot-water', customer: 'Left over' },
    '?check=upper-element-ohms',
  );
  await pressKeys(page, '99');
  await expect(display(page)).toHaveText('99Ω');
  const wake = await slowCode(page);
  await openAsleep(page, jobId, '?check=upper-element-ohms');
  await pressKeys(page, '12');
  await wake();
  await expect(display(page)).toHaveText('12Ω');
});

test('what is typed for a check is not handed to another one that has come in its place @phone', async ({
  page,
}) => {
  const wake = await asleepAtKeypad(page, 'Another check');
  await pressKeys(page, '11');
  expect(await seenEarly(page)).toBe('11');
  // As if what the device knows had put another check there before its code came.
  await page
    .getByRole('group', { name: 'Keypad' })
    .evaluate((keypad) => keypad.setAttribute('data-types-for', 'lower-element-ohms'));
  await wake();
  await expect(display(page)).toHaveText('Ω');
  expect(await seenEarly(page)).toBe('');
});
