import { expect, test, type Page } from '@playwright/test';
import { familyOf } from '../../src/core/appliances/all';
import { isSound } from './soundness';
import {
  baseUrl,
  chooseCheck,
  currentCheck,
  doSteps,
  enterAnswer,
  isAwake,
  isPhone,
  openJob,
  sentJob,
} from './technician';

/** Flue gas, sensors and the heating curve as instruments of their own. */

const family = familyOf('system-boiler')!;
const open = (page: Page, customer: string) =>
  openJob(page, {
    kind: 'lukewarm',
    customer: `${customer} ${isPhone(page)}`,
    family: family.title,
    plate: { typed: { 'Input, BTU/h': '82000' }, chosen: ['natural gas', '230 V'] },
  });

const file = (name: string, text: string) => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(text),
});

test('an analyser’s file is read in, mapped, judged beside its limits, and stops where it must @desk', async ({
  page,
}) => {
  const jobId = await open(page, 'Printout');
  await page.goto(`${baseUrl()}/jobs/${jobId}/combustion`);
  const bring = () => page.getByRole('button', { name: 'Bring in a printout' }).click();
  const dialog = page.getByRole('dialog');
  await bring();
  await dialog.locator('input').setInputFiles(file('list.csv', 'name;street\nA;B\n'));
  await expect(dialog.getByRole('alert')).toContainText('Nothing was entered');

  // ANSI Z21 practice: 100 ppm at 5 % is 131 without air.
  const rows = ['O2;5,0;%', 'CO;100;ppm', 'T flue;55;°C', 'T air;20;°C', 'Mystery;100;ppm'];
  await dialog.locator('input').setInputFiles(file('flue.csv', rows.join('\n')));
  await expect(dialog.getByRole('row', { name: /CO, free of air/ })).toContainText('131 ppm');
  // What was said to be two things at once is not taken.
  const mystery = dialog.getByLabel('What "Mystery" is');
  await mystery.selectOption('carbonMonoxide');
  await expect(dialog.getByRole('button', { name: /Two figures/ })).toBeDisabled();
  await mystery.selectOption('');
  await dialog.getByRole('button', { name: 'Take it into the job' }).click();
  await expect(page.getByRole('heading', { name: /^High fire, .*, as found$/ })).toBeVisible();
  await expect(page.getByLabel('What the figures point to')).toContainText('burner ports or crack');
  expect((await sentJob(page, jobId)).entries.at(-1)).toMatchObject({
    kind: 'reading',
    check: 'combustion-analysis',
    values: { oxygen: { percent: 5 }, flueTemperature: { celsius: 55 } },
  });
  await isSound(page);

  await bring();
  await dialog.locator('input').setInputFiles(file('bad.csv', 'O2;5,0;%\nCO;900;ppm\n'));
  await expect(dialog.getByRole('alert')).toContainText('appliance off now');
  await dialog.getByRole('button', { name: 'Take it into the job' }).click();
  await page.goto(`${baseUrl()}/jobs/${jobId}`);
  await expect(page.getByText(/carbon monoxide/i).first()).toBeVisible();
  await page.goto(`${baseUrl()}/jobs/${jobId}/report`);
  await expect(page.getByRole('heading', { name: 'Combustion' })).toBeVisible();
  await expect(page.getByRole('row', { name: /stopped/ })).toContainText('900 ppm');
});

test('of air nothing follows: no loss, no efficiency, nothing right @desk', async ({ page }) => {
  const jobId = await open(page, 'Air');
  await page.goto(`${baseUrl()}/jobs/${jobId}/combustion`);
  await isAwake(page);
  await page.getByRole('button', { name: 'Bring in a printout' }).click();
  const dialog = page.getByRole('dialog');
  await dialog
    .locator('input')
    .setInputFiles(file('air.csv', 'O2;20,6;%\nCO;0;ppm\nT flue;24;°C\nT air;18;°C\n'));
  await expect(dialog.getByText(/No flame: the probe breathed air/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Take it into the job' }).click();
  await expect(page.getByText(/20.6 % oxygen is air/)).toBeVisible();
  await expect(page.getByText(/by Siegert/)).toHaveCount(0);
  await page.goto(`${baseUrl()}/jobs/${jobId}/report`);
  await expect(page.getByRole('row', { name: /no flame/ })).toContainText('air, of which nothing');
});

test('burners are looked at one by one, and the worst of them is the finding @phone', async ({
  page,
}) => {
  const jobId = await open(page, 'Burners');
  await page.goto(`${baseUrl()}/jobs/${jobId}/combustion`);
  const add = page.getByRole('button', { name: 'Burner', exact: true });
  await add.click();
  await add.click();
  // Nobody has it out before the gas is sniffed for and the power proved off.
  await expect(page.getByText(/Still to do: .*prove dead/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Enter:/ })).toHaveCount(0);
  await page.getByRole('link', { name: /Do it on the bench/ }).click();
  await currentCheck(page);
  await chooseCheck(page, family.checks['gas-smell-sniff']!.label);
  await enterAnswer(page, family, 'gas-smell-sniff', { kind: 'outcome', outcome: 'none' });
  await chooseCheck(page, 'Burner out');
  await doSteps(page);
  await page.goto(`${baseUrl()}/jobs/${jobId}/combustion`);
  await expect(page.getByRole('button', { name: 'Enter: sound' })).toBeVisible();
  await page.getByLabel('Burner 2: crack').selectOption('hairline');
  await page.getByLabel('Burner 2: where the crack is').fill('4 o’clock');
  // What was filled in is there again.
  await page.reload();
  await expect(page.getByLabel('Burner 2: crack')).toHaveValue('hairline');
  await isSound(page);
  await page.getByRole('button', { name: /^Enter: cracked/ }).click();
  await expect(page.getByLabel('Burner 1: crack')).toHaveCount(0);
  expect((await sentJob(page, jobId)).entries.at(-1)).toMatchObject({
    check: 'burner-inspection',
    value: 'cracked-or-closed',
    burners: [
      { burner: 1, crack: 'none' },
      { burner: 2, crack: 'hairline', where: '4 o’clock' },
    ],
  });
  await page.goto(`${baseUrl()}/jobs/${jobId}/report`);
  await expect(page.getByText(/burner 2: .*crack hairline \(4 o’clock\)/)).toBeVisible();
});

test('a sensor is judged by its ohms at one temperature and at two, without a job @phone', async ({
  page,
}) => {
  await page.goto(`${baseUrl()}/sensors`);
  await page.getByLabel('Kind of sensor').selectOption('pt1000');
  const [at, ohms] = [page.getByLabel('Temperature beside it'), page.getByLabel('Ohms read')];
  // IEC 60751: 1385.1 Ω at 100 °C.
  await at.first().fill('100 C');
  await expect(page.getByText(/Right would be/).first()).toContainText('1.39 kΩ');
  await ohms.first().fill('OL');
  await expect(page.getByText(/^Open:/)).toBeVisible();
  await ohms.first().fill('1424');
  await expect(page.getByText(/^Off: it reads 18\.\d °F too hot/)).toBeVisible();
  await at.nth(1).fill('20 C');
  await ohms.nth(1).fill('1117');
  await expect(page.getByLabel('From both')).toContainText('it has drifted');
  await ohms.nth(1).fill('-5');
  await expect(page.getByText('A resistance is never below zero')).toBeVisible();
  // What was typed is there again.
  await page.reload();
  await expect(ohms.first()).toHaveValue('1424');
  await isSound(page);
});

test('the heating curve is moved by keys and by hand, and written down as left', async ({
  page,
}) => {
  const jobId = await open(page, 'Curve');
  await page.goto(`${baseUrl()}/jobs/${jobId}/settings`);
  const cold = page.getByRole('slider', { name: /^Coldest day/ });
  await expect(cold).toHaveAttribute('aria-valuetext', '149 °F at 14 °F outdoors');
  await cold.press('ArrowUp');
  await expect(cold).toHaveAttribute('aria-valuetext', '150 °F at 14 °F outdoors');
  const box = (await cold.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 60, { steps: 4 });
  await page.mouse.up();
  await expect(cold).not.toHaveAttribute('aria-valuetext', /^150/);
  const shown = Number(/^\d+/.exec((await cold.getAttribute('aria-valuetext'))!)![0]);
  expect(shown).toBeLessThan(148);
  await page.getByLabel('Why the curve was left so').selectOption('customers-wish');
  await page.getByRole('button', { name: 'Write down as left' }).click();
  await expect(page.getByRole('button', { name: 'Write down as left' })).toHaveCount(0);
  const kept = (await sentJob(page, jobId)).entries.find(
    (each) => each.kind === 'setting' && each.setting === 'curve-supply-at-design',
  );
  expect(kept).toMatchObject({ as: 'left', why: 'customers-wish' });
  await isSound(page);
});
