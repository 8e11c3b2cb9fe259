import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { readLightPattern } from '../../src/core/codes';
import { families } from '../../src/core/appliances/all';
import { violationsOn } from './soundness';
import { baseUrl, currentCheck, openJob, sentJob } from './technician';

/** Codes: a light that a thumb taps along with, and lists that a firm changes, hands out and brings in. */

const family = families.find((each) => each.id === 'gas-storage-pilot')!;

async function openStatusLight(page: Page, customer: string): Promise<string> {
  const jobId = await openJob(page, {
    kind: 'no-hot-water',
    customer,
    family: family.title,
    plate: {
      chosen: ['electronic, status light'],
      typed: { 'Input, BTU/h': '39900', Gallons: '40' },
    },
  });
  await page.goto(`${baseUrl()}/jobs/${jobId}?check=status-light`);
  await expect.poll(() => currentCheck(page)).toBe('status-light');
  return jobId;
}

/** Steps that the check still needs are done as they are asked. */
async function enterWithSteps(page: Page) {
  const asked = page.getByRole('dialog').getByRole('button', { name: /^Yes|were done|All done/ });
  if (await asked.count()) await asked.first().click();
}

test('a thumb that taps along with the light names the pattern and enters it @phone', async ({
  page,
}) => {
  const jobId = await openStatusLight(page, 'Taps along');
  await page.getByRole('button', { name: 'Tap along with the light' }).click();
  const dialog = page.getByRole('dialog', { name: 'Light pattern' });
  expect(await violationsOn(page, { within: '[role=dialog]' })).toEqual([]);
  const pad = dialog.getByRole('button', { name: 'Tap along' });
  const pattern = readLightPattern('S S L');
  if (pattern.kind !== 'blinks') throw new Error('it blinks');
  await expect(dialog.getByRole('button', { name: 'Enter it' })).toHaveAttribute(
    'aria-disabled',
    'true',
  );
  // A thumb with its own time: a little late each time, and held too long. On a clock of its own: a busy machine shifts no tap.
  let clock = 1000;
  await page.evaluate((at) => {
    document.documentElement.dataset.tapClock = String(at);
  }, clock);
  await page.evaluate(() => {
    for (const kind of ['pointerdown', 'pointerup']) {
      window.addEventListener(
        kind,
        (event) =>
          Object.defineProperty(event, 'timeStamp', {
            value: Number(document.documentElement.dataset.tapClock),
          }),
        true,
      );
    }
  });
  const after = (milliseconds: number) => {
    clock += milliseconds;
    return page.evaluate((at) => {
      document.documentElement.dataset.tapClock = String(at);
    }, clock);
  };
  const box = (await pad.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  for (let k = 0; k < 6; k++) {
    const { onSeconds, offSeconds } = pattern.round[k % 3]!;
    await page.mouse.down();
    await after(onSeconds * 1100 + 20);
    await page.mouse.up();
    await after(Math.max(80, offSeconds * 1000 - 60));
  }
  await expect(dialog.getByText('short, short, long', { exact: true })).toBeVisible();
  await dialog.getByRole('button', { name: 'Enter it' }).click();
  await enterWithSteps(page);
  await expect
    .poll(async () => (await sentJob(page, jobId)).entries.at(-1))
    .toMatchObject({ kind: 'code', code: 'ssl', display: 'short, short, long', saw: 'ssl' });
});

test('a list of codes is copied, refused where it is wrong, kept, used, handed out and brought in @desk', async ({
  page,
}) => {
  await page.goto(`${baseUrl()}/codes`);
  await page.getByRole('link', { name: /^Copy Status light/ }).click();
  await page.getByLabel('Name of the list').fill('Tarn valve lamp');
  await page.getByLabel('For makes or models, with commas').fill('Tarn, Tarn 40');
  const second = page.getByRole('listitem').nth(1);
  await second.getByLabel('Pattern').fill('S X');
  await page.getByRole('button', { name: 'Keep this list' }).click();
  await expect(second.getByRole('alert')).toContainText('"X" is no blink');
  await page.reload();
  await expect(second.getByLabel('Pattern')).toHaveValue('S X');
  await second.getByLabel('Pattern').fill('S/5');
  await second.getByLabel('Shows').fill('a wink every 5 s');
  expect(await violationsOn(page)).toEqual([]);
  await page.getByRole('button', { name: 'Keep this list' }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Tarn valve lamp' });
  await expect(row).toBeVisible();
  expect(await violationsOn(page)).toEqual([]);

  const download = page.waitForEvent('download');
  await row.getByRole('link', { name: /^Hand out/ }).click();
  const file = readFileSync(await (await download).path(), 'utf8');
  expect(JSON.parse(file)).toMatchObject({ id: 'tarn-valve-lamp', makes: ['Tarn', 'Tarn 40'] });

  const input = page.getByLabel('List of codes to import');
  const give = (text: string) =>
    input.setInputFiles({
      name: 'codes.json',
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
  await give(file.replace('"saw":"s4"', '"saw":"nothing such"'));
  await expect(page.getByRole('dialog')).toContainText('/codes/1/saw');
  await page.getByRole('button', { name: 'Close' }).click();
  await give(
    file.replace('tarn-valve-lamp', 'harrow-lamp').replace('Tarn valve lamp', 'Harrow lamp'),
  );
  await expect(page.getByRole('link', { name: 'Change Harrow lamp' })).toBeVisible();

  const jobId = await openStatusLight(page, 'By another list');
  await page.getByLabel('By the list of').selectOption('Tarn valve lamp');
  await page.getByRole('button', { name: 'A wink every 5 s' }).click();
  await enterWithSteps(page);
  await expect
    .poll(async () => (await sentJob(page, jobId)).entries.at(-1))
    .toMatchObject({ kind: 'code', code: 's4', pack: 'tarn-valve-lamp', saw: 's4' });
  await page.goto(`${baseUrl()}/jobs/${jobId}/report`);
  await expect(page.getByText('a wink every 5 s').first()).toBeVisible();
});
