import { expect, test, type Page } from '@playwright/test';
import { baseUrl, currentCheck, openJob, sentJob } from './technician';

/** What a desk has and a phone has not: room for everything at once, and a keyboard. Runs at 1280x800 only. */
test('at a desk the whole bench is there at once, without scrolling the page', async ({ page }) => {
  await openJob(page, { kind: 'no-hot-water', customer: 'Desk' });
  await currentCheck(page);
  for (const part of [
    page
      .getByRole('group', { name: 'Keypad' })
      .or(page.getByRole('group', { name: 'What you found' })),
    page.getByRole('img', { name: /^Wiring picture/ }),
    page.getByRole('heading', { name: 'Suspects' }),
    page.getByRole('heading', { name: 'Logbook' }),
  ]) {
    await expect(part.first()).toBeInViewport();
  }
  const overflow = await page.evaluate(
    () => document.documentElement.scrollHeight - window.innerHeight,
  );
  expect(overflow).toBeLessThanOrEqual(0);
});

test('the keyboard alone suffices', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Keys' });
  await currentCheck(page);
  await tabTo(page, /^Other check$/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Upper element, screw to screw$/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Power off and prove dead$/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^before and after$/);
  await page.keyboard.press('Enter');
  for (let point = 0; point < 3; point++) {
    await tabTo(page, /^0 V$/);
    await page.keyboard.press('Enter');
  }
  await tabTo(page, /^Enter what was read$/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^proved dead/)).toBeVisible();
  for (const step of [/^Take the upper cover off/, /^Lift the wire/]) {
    await tabTo(page, step);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: step })).toHaveCount(0);
  }
  await page.locator('body').click({ position: { x: 480, y: 240 } });
  await page.keyboard.type('o');
  await expect(page.getByLabel('typed reading')).toContainText('OL');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('12.9');
  await page.keyboard.press('Enter');
  await expect
    .poll(async () => (await sentJob(page, jobId)).entries.at(-1))
    .toMatchObject({ value: { ohm: 12.9 } });
});

test('the report of a job with ten readings prints on one sheet, on either side of the ocean', async ({
  page,
}) => {
  await page.goto(baseUrl());
  const href = await page.getByRole('link', { name: /1001 Otter Lane/ }).getAttribute('href');
  await page.goto(`${baseUrl()}${href!.replace(/\/(repair|report)$/, '')}/report`);
  await expect(page.getByRole('heading', { name: 'Readings' })).toBeVisible();
  expect(await page.getByRole('row').count()).toBeGreaterThan(7);
  for (const format of ['A4', 'Letter']) {
    const printed = (await page.pdf({ format })).toString('latin1');
    expect(printed.match(/\/Type\s*\/Page\b/g), format).toHaveLength(1);
  }
});

async function tabTo(page: Page, name: RegExp) {
  for (let k = 0; k < 90; k++) {
    await page.keyboard.press('Tab');
    const text = await page.evaluate(() => (document.activeElement?.textContent ?? '').trim());
    if (name.test(text)) return;
  }
  throw new Error(`the keyboard does not reach ${name}`);
}
