import { expect, test, type Page } from '@playwright/test';
import { familyOf } from '../../src/core/appliances/all';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../../src/core/simulation';
import { sampleUnit } from '../sample-unit';
import { isSound } from './soundness';
import { baseUrl, isAwake, isPhone, openJob, sentJob, workOut } from './technician';

/** A heat pump with its cylinder: a sensor pushed home and seen in the log, a mixing valve opened to its scald margin. */

const family = familyOf('heat-pump-cylinder')!;
const plate = family.plateOf(sampleUnit(family, { heatPump: '8000' }));
const simulated = simulatedFamilyOf(family.id);

const open = (page: Page, kind: string, customer: string) =>
  openJob(page, {
    kind,
    customer: `${customer} ${isPhone(page)}`,
    family: family.title,
    plate: { typed: { 'Heat, BTU/h': '27300' }, chosen: ['230 V'] },
  });

/** What its controller keeps, once a minute for half an hour: the sensor is pushed after a quarter of one. */
function controllerLog(): Buffer {
  const unit = simulated.inTime(plate, seededRandom(6), ['buffer-sensor.out-of-pocket']);
  const lines = ['Time;Buffer shown °C;Buffer probe °C;Flow °C'];
  for (let minute = 0; minute < 30; minute++) {
    if (minute === 15) unit.act({ kind: 'repair', repair: 'push-buffer-sensor-home' });
    const clock = `2026-03-02 09:${String(minute).padStart(2, '0')}:00`;
    const row = ['readout-buffer', 'buffer', 'flow-pipe'] as const;
    lines.push([clock, ...row.map((place) => unit.celsius(place).toFixed(1))].join(';'));
    unit.advance(60);
  }
  return Buffer.from(lines.join('\n'));
}

test('a buffer sensor out of its pocket is found, pushed home, and seen in the log @phone', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const unit = simulateUnit(simulated, plate, seededRandom(5), {
    faults: ['buffer-sensor.out-of-pocket'],
  });
  const jobId = await open(page, 'other', 'Pocket');
  await workOut(page, jobId, unit);
  await page.goto(`${baseUrl()}/jobs/${jobId}/repair`);
  await expect(page.getByText('Push the buffer sensor home').first()).toBeVisible();
  // Nobody pushes a sensor before what is shown and what is there are on the record.
  const checks = (await sentJob(page, jobId)).entries.flatMap((each) =>
    each.kind === 'reading' || each.kind === 'observation' ? [each.check] : [],
  );
  const pushed = checks.indexOf('buffer-sensor-push');
  if (pushed >= 0) {
    expect(checks.slice(0, pushed)).toContain('display-buffer-temperature');
    expect(checks.slice(0, pushed)).toContain('contact-buffer-temperature');
  }
  await page.goto(`${baseUrl()}/jobs/${jobId}/temperatures`);
  await isAwake(page);
  await page.getByRole('button', { name: 'From a file' }).click();
  await page.getByLabel('CSV or text, as the logger writes it').setInputFiles({
    name: 'controller.csv',
    mimeType: 'text/csv',
    buffer: controllerLog(),
  });
  await expect(page.getByText(/controller.csv: 30 readings over/)).toBeVisible();
  const columns = {
    'Buffer shown °C': 'readout-buffer',
    'Buffer probe °C': 'buffer',
    'Flow °C': 'flow-pipe',
  };
  for (const [title, place] of Object.entries(columns)) {
    await page.getByRole('combobox', { name: title, exact: true }).selectOption(place);
  }
  await page.getByRole('button', { name: 'Take it into the job' }).click();
  const told = page.getByRole('list', { name: 'Sensors against their water' });
  await expect(told).toContainText('Buffer sensor');
  await expect(told).toContainText('it went in');
  await isSound(page);
  await page.goto(`${baseUrl()}/jobs/${jobId}/report`);
  await expect(page.getByRole('list', { name: 'Sensors against their water' })).toContainText(
    'it went in',
  );
});

test('a mixing valve is opened in two steps to its scald margin, each told before it is made @phone', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const jobId = await open(page, 'lukewarm', 'Mixer');
  await page.goto(`${baseUrl()}/jobs/${jobId}/mixing`);
  await isAwake(page);
  await page.getByLabel('Wanted at the tap').fill('47 C');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText('Say whether anyone small, old or frail lives here.')).toBeVisible();
  await page.getByRole('button', { name: 'nobody' }).click();
  await page.getByLabel('The firm’s own limit').fill('48 C');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const next = page.getByRole('region', { name: /./ }).filter({ has: page.locator('#next') });
  await expect(next).toContainText('Tap open for a minute');

  const valve = (eighths: number) => Math.min(39 + 3.9 * eighths, 10 + 0.97 * 40);
  const read = async (eighths: number, given: { hot?: string; cold?: string } = {}) => {
    if (given.hot) await page.getByLabel('Now: hot port').fill(given.hot);
    if (given.cold) await page.getByLabel('Now: cold feed').fill(given.cold);
    await page.getByLabel('Now: mixed port').fill(`${valve(eighths).toFixed(1)} C`);
    await page
      .getByLabel('Now: tap', { exact: true })
      .fill(`${(valve(eighths) - 0.6).toFixed(1)} C`);
    await page.getByRole('button', { name: 'Enter these four' }).click();
    await expect(page.getByLabel('Now: tap', { exact: true })).toHaveValue('');
  };
  // A hot port that is hardly hot tells nothing, and nothing typed is lost.
  await page.getByLabel('Now: hot port').fill('12 C');
  await page.getByLabel('Now: cold feed').fill('10 C');
  await page.getByLabel('Now: mixed port').fill('11 C');
  await page.getByLabel('Now: tap', { exact: true }).fill('11 C');
  await page.getByRole('button', { name: 'Enter these four' }).click();
  await expect(page.getByText(/hardly warmer than the cold/)).toBeVisible();
  await expect(page.getByLabel('Now: hot port')).toHaveValue('12 C');

  await read(0, { hot: '50 C', cold: '10 C' });
  const told: number[] = [];
  for (const step of [1, 2]) {
    await expect(next).toContainText('fewer showers than now');
    const words = (await next.textContent())!;
    const about = /open: about ([\d.]+)\s*°F, give or take/.exec(words);
    told.push((Number(about![1]) - 32) / 1.8);
    await page.getByRole('button', { name: 'Turned, open by an eighth' }).click();
    await expect(page.getByRole('timer')).toContainText('Tap into a basin');
    if (step === 1) await isSound(page);
    await read(step);
  }
  // What was told before each turn, against what was read after it.
  expect(Math.abs(told[0]! - (valve(1) - 0.6))).toBeLessThan(1);
  expect(Math.abs(told[1]! - (valve(2) - 0.6))).toBeLessThan(1);
  await expect(next).toContainText('At the limit of its outlet');
  await page.getByLabel('Cap on and locked').check();
  await page.getByLabel(/^Told: hotter/).check();
  await page.getByLabel('Farthest tap').fill('45 C');
  await page.getByRole('button', { name: 'Left so' }).click();
  await expect(page.getByText('Cap on and locked.')).toBeVisible();
  const { entries } = await sentJob(page, jobId);
  expect(entries.filter(({ kind }) => kind === 'mixing')).toHaveLength(5);
  expect(entries.flatMap((each) => (each.kind === 'reading' ? [each.check] : []))).toEqual([
    'mixer-hot-port-temperature',
    'mixer-mixed-port-temperature',
    'tap-temperature',
    'mixer-step-open-rise',
  ]);
  await page.goto(`${baseUrl()}/jobs/${jobId}/report`);
  await expect(page.getByText(/Left ¼ turn open/)).toBeVisible();
  await expect(page.getByText(/household told/)).toBeVisible();
});
