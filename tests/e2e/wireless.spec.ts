import { expect, test, type Page } from '@playwright/test';
import { familyOf } from '../../src/core/appliances/all';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../../src/core/simulation';
import { sampleUnit } from '../sample-unit';
import { isSound } from './soundness';
import {
  baseUrl,
  chooseCheck,
  enterAnswer,
  isAwake,
  isPhone,
  openJob,
  workOut,
} from './technician';

/** A wireless control of a cylinder: its sum, its radio, its restarts, through the interface. */

const family = familyOf('wireless-cylinder-control')!;

const open = (page: Page, kind: string, customer: string) =>
  openJob(page, {
    kind,
    customer: `${customer} ${isPhone(page)}`,
    family: family.title,
    plate: { typed: {}, chosen: ['two zone valves', '230 V'] },
  });

async function read(page: Page, check: string, value: number): Promise<void> {
  await chooseCheck(page, family.checks[check]!.label);
  await enterAnswer(page, family, check, { kind: 'number', value });
}

test('a cylinder that does not call is explained as no fault, with its sum @desk', async ({
  page,
}) => {
  await open(page, 'no-hot-water', 'Sum');
  await isAwake(page);
  await read(page, 'display-stored-temperature', 54);
  await read(page, 'display-setpoint', 60);
  await read(page, 'display-differential', 10);
  if (isPhone(page)) {
    await page.getByRole('button', { name: 'Suspects and reasons', exact: true }).click();
  }
  const sum = page.getByRole('list', { name: 'Judged together' });
  await expect(sum).toContainText('it calls below 122 °F');
  await expect(sum).toContainText('not a fault, no call is right until it has cooled');
  await isSound(page);
});

test('a receiver that hung is found, and restarted by its procedure @phone', async ({ page }) => {
  test.setTimeout(240_000);
  const unit = simulateUnit(
    simulatedFamilyOf(family.id),
    family.plateOf(sampleUnit(family, {})),
    seededRandom(4),
    { faults: ['receiver.hung'] },
  );
  const jobId = await open(page, 'no-hot-water', 'Hung');
  await workOut(page, jobId, unit);
  await page.goto(`${baseUrl()}/jobs/${jobId}/repair`);
  await expect(page.getByText('Restart the receivers').first()).toBeVisible();
  await page.goto(`${baseUrl()}/jobs/${jobId}/procedures`);
  await page.getByRole('button', { name: 'Start: Receivers off for two minutes' }).click();
  await expect(page.getByText(/Write down what both lights do/)).toBeVisible();
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
  ).toBeLessThanOrEqual(0);
});
