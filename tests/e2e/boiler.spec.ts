import { expect, test, type Page } from '@playwright/test';
import { familyOf } from '../../src/core/appliances/all';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../../src/core/simulation';
import { sampleUnit } from '../sample-unit';
import { isSound } from './soundness';
import {
  andEntered,
  baseUrl,
  chooseCheck,
  currentCheck,
  doSteps,
  enterAnswer,
  isAwake,
  isPhone,
  openJob,
  openLimits,
  proveDead,
  workOut,
} from './technician';

/** Boilers with zones and a cylinder: the chain, the sequence, the analysis and the sheet, through the interface. */

const family = familyOf('system-boiler')!;
const plate = { typed: { 'Input, BTU/h': '82000' }, chosen: ['natural gas', '230 V'] };

const open = (page: Page, kind: string, customer: string) =>
  openJob(page, {
    kind,
    customer: `${customer} ${isPhone(page)}`,
    family: family.title,
    plate,
  });

const simulated = (fault: string, seed: number) =>
  simulateUnit(
    simulatedFamilyOf(family.id),
    family.plateOf(sampleUnit(family, { input: '24000' })),
    seededRandom(seed),
    { faults: [fault] },
  );

const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

/** Suspects stand beside the check at a desk, and behind a button on a phone. */
async function leads(page: Page, suspect: string): Promise<void> {
  await isAwake(page);
  if (isPhone(page)) await press(page, 'Suspects and reasons');
  await expect(
    page.getByRole('list', { name: 'Suspects, most likely first' }).getByRole('listitem').first(),
  ).toContainText(suspect, { timeout: 30_000 });
}

/** What a gas engineer has with him. */
async function equip(page: Page): Promise<void> {
  const limits = await openLimits(page);
  for (const each of ['manometer', 'combustion analyser']) {
    await limits.getByRole('button', { name: each, exact: true }).click();
  }
  await page.keyboard.press('Escape');
  await expect(limits).toHaveCount(0);
}

test('a burnt joint is found along the chain, and its panel exchanged for one laid out otherwise @phone', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const unit = simulated('zone-panel.supply-burnt', 2);
  const jobId = await open(page, 'dead-display', 'Chain');
  await workOut(page, jobId, unit);
  await page.goto(`${baseUrl()}/jobs/${jobId}/repair`);
  await expect(page.getByText(/^Replace the zone relay panel/).first()).toBeVisible();
  await press(page, 'Act on this verdict');
  await page.goto(`${baseUrl()}/jobs/${jobId}/procedures`);
  await press(page, 'Start: Exchange the zone panel');
  await press(page, 'Done');
  // The next step has a button of the same name: pressed before it stands there, it is the one of before, pressed twice.
  await expect(page.getByRole('heading', { level: 2 }).first()).toContainText('proved dead');
  const dead = page.getByRole('alert').getByRole('button', { name: 'Prove dead' });
  if (await dead.isVisible()) {
    await dead.click();
    await proveDead(page);
  }
  await press(page, 'Done');
  const ends = family.repairs['replace-zone-panel']!.wires;
  for (let left = ends.length; left > 0; left--) {
    await page.getByPlaceholder('label').first().fill(`wire ${left}`);
    await page
      .getByRole('button', { name: /: lift$/ })
      .first()
      .click();
    await expect(page.getByRole('button', { name: /: lift$/ })).toHaveCount(left - 1);
  }
  await press(page, 'All noted and off');
  await press(page, 'Done');
  await page
    .getByRole('button', { name: 'It is in' })
    .or(page.getByRole('button', { name: 'Done', exact: true }))
    .first()
    .click();
  // The new panel has the thermostat of zone 1 on other screws.
  await page.getByRole('button', { name: 'Other terminals on the new part' }).nth(2).click();
  await page.getByLabel(/terminal on the new part/).fill('T1 R');
  await press(page, 'Map');
  const back = page.getByRole('button', { name: /: back on / });
  await expect(page.getByRole('button', { name: /: back on T1 R/ })).toBeVisible();
  for (let left = ends.length; left > 0; left--) {
    await back.first().click();
    await expect(back).toHaveCount(left - 1);
  }
  await press(page, 'All back and confirmed');
  await expect(page.getByRole('heading', { level: 2 }).first()).toContainText('tugged');
  await isSound(page);
});

test('a cracked burner is named from its flue gas, and proved by looking at it @desk', async ({
  page,
}) => {
  await open(page, 'noise', 'Crack');
  // The way to the burner opens only where no gas was smelled.
  expect(await currentCheck(page)).toBe('gas-smell-sniff');
  await enterAnswer(page, family, 'gas-smell-sniff', { kind: 'outcome', outcome: 'none' });
  await equip(page);
  await chooseCheck(page, 'Combustion analysis');
  await doSteps(page);
  // Much oxygen and much carbon monoxide: the flame lifts, or is cold.
  await enterAnswer(page, family, 'combustion-analysis', {
    kind: 'values',
    values: {
      oxygen: 7.6,
      carbonMonoxide: 240,
      flueTemperature: 52,
      airTemperature: 18,
      returnTemperature: 38,
      ambientCarbonMonoxide: 0,
    },
  });
  await chooseCheck(page, 'Burner out');
  await doSteps(page);
  await andEntered(page, () =>
    page
      .getByRole('group', { name: 'What you found' })
      .getByRole('button', { name: /^Cracked/ })
      .click(),
  );
  await leads(page, 'Burner');
});

test('a cylinder that stays cold by its own limit is a setting, and no fault @phone', async ({
  page,
}) => {
  const jobId = await open(page, 'lukewarm', 'Limit');
  await page.goto(`${baseUrl()}/jobs/${jobId}/settings`);
  const set = async (name: string, text: string) => {
    await page.getByLabel(name, { exact: true }).fill(text);
    await page.getByLabel(name, { exact: true }).press('Enter');
  };
  await set('Cylinder setpoint as found', '60 C');
  await set('Cylinder high limit as found', '60 C');
  await expect(page.getByText(/Not a fault: the setpoint of .* sits/)).toBeVisible();
  await set('Burner waits at a heating call as found', '9');
  await expect(page.getByText('Not a fault: the start delay is set to 9 min.')).toBeVisible();
  await set('Burner waits at a heating call as found', '0');
  await isSound(page);
  await page.goto(`${baseUrl()}/jobs/${jobId}`);
  await leads(page, 'Settings');
});

test('a lockout is followed to the step where the sequence stops @phone', async ({ page }) => {
  const jobId = await open(page, 'code', 'Lockout');
  await page.goto(`${baseUrl()}/jobs/${jobId}/procedures`);
  await press(page, 'Start: Watch the sequence');
  await press(page, 'Done');
  await page
    .getByRole('group', { name: 'What you found' })
    .getByRole('button', { name: 'Spark, no flame', exact: true })
    .click();
  await isSound(page);
  await page.goto(`${baseUrl()}/jobs/${jobId}`);
  await equip(page);
  await chooseCheck(page, 'Gas valve in the trial');
  await doSteps(page);
  await enterAnswer(page, family, 'gas-valve-volts', { kind: 'number', value: 24.6 });
  await chooseCheck(page, 'Gas pressure at high fire');
  await leads(page, 'Gas valve');
  await isSound(page);
});
