import { expect, test, type Page } from '@playwright/test';
import { familyOf } from '../../src/core/appliances/all';
import { fromKept, numberOf, shownUnit } from '../../src/core/quantities';
import { simulatedFamilyOf, seededRandom, simulateUnit } from '../../src/core/simulation';
import { sampleUnit } from '../sample-unit';
import { startServer, type TestServer } from './server';
import { isSound, violationsOn } from './soundness';
import {
  baseUrl,
  isPhone,
  keysOf,
  openJob,
  openLimits,
  pressKeys,
  proveDead,
  sentJob,
  workOut,
} from './technician';

/** Units that warm their water as it runs: found from what is seen with a tap open, mended, proved. */

test.describe.configure({ mode: 'serial' });

const boiler = familyOf('combi-boiler')!;
const instantaneous = familyOf('tankless-gas')!;
const plates = {
  'combi-boiler': { chosen: [], typed: { 'Input, BTU/h': '90000' } },
  'tankless-gas': { chosen: [], typed: { 'Input, BTU/h': '150000' } },
} as const;

let server: TestServer;
let before: string | undefined;

test.beforeAll(async () => {
  server = await startServer({ demo: true, bench: true });
  before = process.env.OHMMETER_TEST_URL;
  process.env.OHMMETER_TEST_URL = server.url;
});
test.afterAll(async () => {
  process.env.OHMMETER_TEST_URL = before;
  await server.stop();
});

const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();
const firstSuspect = (page: Page) =>
  page.getByRole('region', { name: 'Suspects and what they do' }).getByRole('row').nth(1);

/** Follows flow, return and outlet of the simulated unit through two minutes at an open tap, four times as fast. */
async function watchTap(page: Page): Promise<void> {
  const follow = [
    'Flow pipe with the thermometer 1',
    'Return pipe with the thermometer 2',
    'Outlet with the infrared',
  ];
  for (const each of follow) await press(page, `Follow ${each}`);
  await press(page, '4');
  await page.waitForTimeout(2500);
  await press(page, 'Open its tap');
  await page.waitForTimeout(26_000);
  await press(page, 'Shut its tap');
  await page.waitForTimeout(1500);
  await press(page, '1');
  for (const each of follow) await press(page, `Let go ${each}`);
  await press(page, 'No longer followed');
}

const level = (page: Page, title: string) =>
  page
    .getByRole('region', { name: 'Proof of the repair' })
    .getByRole('listitem')
    .filter({ hasText: title });

/** Goes through a procedure up to a step, as hands would on which everything is in order. Gives what its steps said. */
async function walkTo(page: Page, end: RegExp): Promise<string[]> {
  const said: string[] = [];
  for (let k = 0; k < 60; k++) {
    const heading = page.getByRole('heading', { level: 2 }).first();
    const text = (await heading.textContent()) ?? '';
    said.push(text);
    if (end.test(text)) return said;
    await takeStep(page);
    await expect(heading).not.toHaveText(text);
  }
  throw new Error(`it never came to ${String(end)}: ${said.join(' / ')}`);
}

async function takeStep(page: Page): Promise<void> {
  const dead = page.getByRole('alert').getByRole('button', { name: 'Prove dead' });
  if (await dead.isVisible()) {
    await dead.click();
    await proveDead(page);
  }
  const keypad = page.getByRole('group', { name: 'Keypad' });
  if (await keypad.isVisible()) {
    for (const key of ['1', '7'])
      await keypad.getByRole('button', { name: key, exact: true }).click();
    await page.getByRole('button', { name: /^Enter/ }).click();
    return;
  }
  const otherWay = page.getByRole('button', { name: 'Leave it out', exact: true });
  if (await otherWay.isVisible()) return otherWay.click();
  const isIn = page.getByRole('button', { name: 'It is in' });
  if (await isIn.isVisible()) {
    for (const each of await page.getByRole('button', { name: /: Yes$/ }).all()) await each.click();
    return isIn.click();
  }
  const found = page.getByRole('group', { name: 'What you found' });
  if (await found.isVisible()) {
    await found.getByRole('button').first().click();
    return;
  }
  const begin = page.getByRole('button', { name: 'Begin', exact: true });
  if (await begin.isVisible()) {
    await begin.click();
    await page.getByLabel(/why is it enough/).fill('three minutes by the wall');
  }
  await page.getByRole('button', { name: 'Done', exact: true }).click();
}

test('a blocked plate exchanger is found from the race of the flow, exchanged, and proved by the slow climb @phone', async ({
  page,
}) => {
  test.setTimeout(300_000);
  const plate = boiler.plateOf(sampleUnit(boiler, { input: '26400' }));
  await server.hands!({ do: 'new', family: boiler.id, plate, faults: ['plate.blocked'], seed: 3 });
  const jobId = await openJob(page, {
    kind: 'lukewarm',
    customer: `Plates ${isPhone(page)}`,
    family: boiler.title,
    plate: plates['combi-boiler'],
  });
  await page.goto(`${baseUrl()}/jobs/${jobId}/temperatures`);
  await watchTap(page);
  await expect(firstSuspect(page)).toContainText('Plate exchanger (plates', {
    timeout: 60_000,
  });
  // Nobody has had a meter in the hand.
  const { entries } = await sentJob(page, jobId);
  expect(entries.filter(({ kind }) => kind === 'reading' || kind === 'observation')).toEqual([]);

  await page.goto(`${baseUrl()}/jobs/${jobId}/repair`);
  await page.getByRole('button', { name: 'Act on this verdict' }).click();
  await expect(page.getByRole('button', { name: 'Repair is done' })).toBeVisible();
  await page.goto(`${baseUrl()}/jobs/${jobId}/procedures`);
  await press(page, 'Start: Clean or change the plate exchanger');
  await press(page, 'Start now');
  const walked = await walkTo(page, /Two minutes with the tap open/);
  // Both stages of the leak check, with the pressure on for as long as it takes.
  expect(walked.filter((text) => /drips/i.test(text))).toHaveLength(3);
  await page.getByRole('button', { name: /Put it down/ }).click();
  await page.goto(`${baseUrl()}/jobs/${jobId}/repair`);
  await page.getByRole('button', { name: 'Repair is done' }).click();
  await expect(page.getByText('One of these must now be right')).toBeVisible();
  await server.hands!({ do: 'act', action: { kind: 'repair', repair: 'service-plate-exchanger' } });

  await page.goto(`${baseUrl()}/jobs/${jobId}/temperatures`);
  await expect(level(page, 'Its flow climbs slowly')).toContainText('not seen yet');
  await watchTap(page);
  await expect(level(page, 'Its flow climbs slowly')).toContainText(': seen', { timeout: 60_000 });
});

test('a choked hose is found from flow and return at an open tap @desk', async ({ page }) => {
  test.setTimeout(200_000);
  const plate = boiler.plateOf(sampleUnit(boiler, { input: '26400' }));
  await server.hands!({ do: 'new', family: boiler.id, plate, faults: ['hose.choked'], seed: 5 });
  const jobId = await openJob(page, {
    kind: 'lukewarm',
    customer: `Hose ${isPhone(page)}`,
    family: boiler.title,
    plate: plates['combi-boiler'],
  });
  await page.goto(`${baseUrl()}/jobs/${jobId}/temperatures`);
  await watchTap(page);
  await expect(firstSuspect(page)).toContainText('Primary hose', { timeout: 60_000 });
  // On the bench the picture has what was read apart from what the model says.
  await page.goto(`${baseUrl()}/jobs/${jobId}`);
  await page.getByRole('button', { name: isPhone(page) ? 'Picture' : 'Touch a point' }).click();
  const dialog = page.getByRole('dialog', { name: boiler.drawing.title });
  await dialog.getByText('Points as a table').click();
  const row = dialog.getByRole('row', { name: /^flow pipe/ });
  await expect(row.getByRole('cell').nth(1)).toHaveText(/°F/);
  await dialog.getByRole('button', { name: 'Touch flow pipe' }).click();
  await expect(dialog.getByText('Primary hose').first()).toBeVisible();
  await isSound(page);
});

test('crossed lines at an instantaneous heater are found without a meter @desk', async ({
  page,
}) => {
  test.setTimeout(200_000);
  const unit = simulateUnit(
    simulatedFamilyOf(instantaneous.id),
    instantaneous.plateOf(sampleUnit(instantaneous, { input: '44000' })),
    seededRandom(4),
    { faults: ['lines.reversed'] },
  );
  const jobId = await openJob(page, {
    kind: unit.complaint.kind,
    customer: `Crossed ${isPhone(page)}`,
    family: instantaneous.title,
    plate: plates['tankless-gas'],
  });
  const limits = await openLimits(page);
  await limits
    .getByRole('group', { name: 'At hand' })
    .getByRole('button', { name: /meter/i })
    .first()
    .click();
  await page.keyboard.press('Escape');
  const taken = await workOut(page, jobId, unit);
  expect(taken.filter((each) => /volts|ohms|amps/.test(each))).toEqual([]);
  await page.getByRole('link', { name: 'Repair', exact: true }).first().click();
  await page.getByRole('button', { name: 'Act on this verdict' }).click();
  const { entries } = await sentJob(page, jobId);
  const verdict = entries.findLast((each) => each.kind === 'verdict');
  expect(unit.repairs).toContain(verdict?.kind === 'verdict' ? verdict.repair : undefined);
});

test('a sensor out of step is found by three points at the tap @phone', async ({ page }) => {
  await page.clock.install();
  const unit = simulateUnit(
    simulatedFamilyOf(boiler.id),
    boiler.plateOf(sampleUnit(boiler, { input: '26400' })),
    seededRandom(2),
    { faults: ['tap-sensor.drift'] },
  );
  const jobId = await openJob(page, {
    kind: unit.complaint.kind,
    customer: `Three points ${isPhone(page)}`,
    family: boiler.title,
    plate: plates['combi-boiler'],
  });
  await page.goto(`${baseUrl()}/jobs/${jobId}/procedures`);
  await press(page, 'Start: Three points at the tap');
  // A step is not over with what its dial refused, and enters what stands there.
  await page.getByLabel('Tap as found').fill('95 C');
  await press(page, 'Done');
  await expect(page.getByText(/^It stands between/)).toBeVisible();
  await expect(page.getByText(/^What is typed above is not entered/)).toBeVisible();
  await page.getByLabel('Tap as found').fill('48 C');
  await press(page, 'Done');
  const typed: number[] = [];
  for (const point of ['low', 'middle', 'high'] as const) {
    const check = `tap-test-${point}-difference`;
    const { state } = boiler.check(check);
    const answer = unit.answer(check, { controls: {}, apart: [], done: [], known: {}, ...state });
    await expect(page.getByRole('heading', { level: 2 }).first()).toContainText(
      { low: 'Lowest', middle: '48 °C', high: '60 °C' }[point],
    );
    if (answer.kind === 'outcome' || answer.kind === 'values') {
      throw new Error('a difference is a number');
    }
    // A minute at the open tap, until it stands.
    await press(page, 'Begin');
    await page.clock.runFor('01:05');
    const keys = keysOf('temperature-difference', answer);
    typed.push(Number(keys));
    await pressKeys(page, keys);
    await page.getByRole('button', { name: /^Enter/ }).click();
  }
  await press(page, 'Done');
  await expect(page.getByText('Three points at the tap: gone through')).toBeVisible();
  const { entries } = await sentJob(page, jobId);
  const unitShown = shownUnit('temperature-difference', 'us');
  const kept = entries.flatMap((each) =>
    each.kind === 'reading' && each.check?.startsWith('tap-test-')
      ? [Number(fromKept(numberOf(each.value, 'temperature-difference')!, unitShown).toFixed(2))]
      : [],
  );
  expect(kept).toEqual(typed);
  await expect(page.getByLabel('Judged together')).toContainText('Off by the same at all three');
  await page.goto(`${baseUrl()}/jobs/${jobId}`);
  const lead = isPhone(page)
    ? page.getByRole('button', { name: 'Suspects and reasons' })
    : page.getByRole('complementary').or(page.locator('main'));
  await expect(lead.first()).toContainText('Tap sensor', { timeout: 30_000 });
});

// At a desk the same pages are those of accessibility.spec.ts, of other families.
test('the pages of both families fit their screen, and nothing trips a screen reader @phone', async ({
  page,
}) => {
  const fits = () => {
    const { scrollWidth, clientWidth } = document.documentElement;
    return scrollWidth - clientWidth;
  };
  await page.goto(`${baseUrl()}/call`);
  for (const { title } of [boiler, instantaneous]) {
    await press(page, title);
    expect(await page.evaluate(fits)).toBe(0);
  }
  for (const customer of ['Marlow Quay Flats', 'Sable & Finch Bakery']) {
    await page.goto(baseUrl());
    await page
      .getByRole('link', { name: new RegExp(customer) })
      .first()
      .click();
    await page.waitForURL(/\/jobs\/[0-9a-f-]{36}/);
    const jobId = /jobs\/([0-9a-f-]{36})/.exec(page.url())![1]!;
    for (const path of ['', '/temperatures', '/settings', '/procedures', '/report']) {
      await page.goto(`${baseUrl()}/jobs/${jobId}${path}`);
      await page.locator('main').first().waitFor();
      const found = await violationsOn(page);
      expect(await page.evaluate(fits), path).toBe(0);
      expect(found, path).toEqual([]);
    }
  }
});
