import { expect, test, type Page } from '@playwright/test';
import { violationsOn } from './soundness';
import {
  answerCheck,
  currentCheck,
  isPhone,
  openJob,
  openLimits,
  proveDead,
  sentJob,
} from './technician';
import { electricStorageTwoElement } from '../../src/core/appliances/electric-storage-two-element';
import { seededRandom, simulatedTwoElement, simulateUnit } from '../../src/core/simulation';
import { plate4500 } from '../plates';

/** The wiring picture as an instrument: set it, touch any two terminals, enter what the meter shows. */
async function openPicture(page: Page) {
  const name = isPhone(page) ? 'Picture' : 'Touch any two';
  await page.getByRole('button', { name, exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Wiring picture' });
  await expect(dialog.getByRole('heading', { name: 'Wiring picture' })).toBeVisible();
  return dialog;
}

const terminal = (dialog: ReturnType<Page['getByRole']>, name: string) =>
  dialog
    .getByRole('group', { name: /^Wiring picture\./ })
    .getByRole('button', { name: new RegExp(`^${name},`) });

test('any two terminals tell what to expect, and what is read there counts', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Probe' });
  await currentCheck(page);
  await page.getByRole('button', { name: 'Make safe' }).click();
  await proveDead(page);
  const dialog = await openPicture(page);
  await terminal(dialog, 'upper element a').click();
  await expect(dialog.getByText('A on upper element a. Now the second.')).toBeVisible();
  await terminal(dialog, 'upper element b').click();
  await expect(
    dialog.getByRole('heading', { name: 'upper element a to upper element b' }),
  ).toBeVisible();
  await expect(dialog.getByText(/expect 12\.\d Ω/)).toBeVisible();
  await expect(dialog.getByRole('row', { name: /Upper element/ }).first()).toContainText('OL');

  await dialog.getByLabel('The meter shows').fill('nonsense');
  await dialog.getByRole('button', { name: 'Enter', exact: true }).click();
  await expect(dialog.getByRole('alert')).toContainText('not a number');
  await dialog.getByLabel('The meter shows').fill('OL');
  await dialog.getByRole('button', { name: 'Enter', exact: true }).click();
  await expect
    .poll(async () => (await sentJob(page, jobId)).entries.at(-1))
    .toMatchObject({
      kind: 'reading',
      between: ['upper-element.a', 'upper-element.b'],
      quantity: 'resistance',
      value: { overRange: true },
      state: { power: 'off' },
    });
  await dialog.getByRole('button', { name: 'Close', exact: true }).click();
  const suspects = isPhone(page)
    ? page.getByRole('button', { name: 'Suspects and reasons' })
    : page.getByRole('list', { name: 'Suspects, most likely first' });
  await expect(suspects).toContainText('Upper element');
});

test('ohms on two terminals wait until the power is proved off @phone', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Probe live' });
  await currentCheck(page);
  const dialog = await openPicture(page);
  await dialog.getByRole('group', { name: 'Breaker' }).getByRole('button', { name: 'off' }).click();
  await terminal(dialog, 'limit 1').click();
  await terminal(dialog, 'limit 2').click();
  await dialog.getByLabel('The meter shows').fill('0.3');
  await dialog.getByRole('button', { name: 'Enter', exact: true }).click();
  await expect(dialog.getByRole('alert')).toContainText('prove dead first');
  await expect(dialog.getByLabel('The meter shows')).toHaveValue('0.3');
  expect((await sentJob(page, jobId)).entries).toHaveLength(0);
});

test('dials, breaker and water change what carries current, by keyboard and as a table', async ({
  page,
}) => {
  await openJob(page, { kind: 'no-hot-water', customer: 'Current' });
  await currentCheck(page);
  const dialog = await openPicture(page);
  const press = async (group: string, name: string) => {
    const button = dialog
      .getByRole('group', { name: group })
      .getByRole('button', { name, exact: true });
    await button.focus();
    await page.keyboard.press('Enter');
    await expect(button).toHaveAttribute('aria-pressed', 'true');
  };
  await dialog.getByRole('button', { name: 'Drawn with the leading suspect' }).click();
  await press('Breaker', 'on');
  await dialog.getByText('Terminals as a table').click();
  const row = (name: string) =>
    dialog.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) });
  // A good heater as found is warm at neither thermostat only if the water is cold.
  await dialog.getByRole('slider', { name: /upper/ }).fill('15');
  await dialog.getByRole('slider', { name: /lower/ }).fill('15');
  await expect(row('upper element a')).toContainText(/1[89]\.\d A/);
  await expect(row('lower element a')).not.toContainText(' A');
  await dialog.getByRole('slider', { name: /upper/ }).fill('80');
  await expect(row('lower element a')).toContainText(/1[89]\.\d A/);
  await press('Limit', 'tripped');
  await expect(row('limit 2')).toContainText('dead');
  await expect(row('limit 1')).toContainText('live');
  await dialog.getByRole('button', { name: 'Back to how it stands' }).click();

  await terminal(dialog, 'limit 1').focus();
  await page.keyboard.press('Space');
  await expect(terminal(dialog, 'limit 1')).toHaveAttribute('aria-pressed', 'true');
});

test('why this check, the order, and what may be done, are one tap away', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Why' });
  const first = await currentCheck(page);
  await page.getByRole('button', { name: /Why this one/ }).click();
  const why = page.getByRole('dialog');
  await expect(why.getByText('What each suspect would show')).toBeVisible();
  const usual = await why.getByText(/In the usual order, which would go on with/).textContent();
  await expect(why.getByText('Next best')).toBeVisible();
  await why
    .getByRole('button', { name: /min to a verdict/ })
    .first()
    .click();
  await expect(page.locator('[data-check]')).not.toHaveAttribute('data-check', first!);

  const limits = await openLimits(page);
  await limits
    .getByRole('group', { name: 'Order of checks' })
    .getByRole('button', { name: 'usual' })
    .click();
  await limits
    .getByRole('group', { name: 'Live work' })
    .getByRole('button', { name: 'none' })
    .click();
  await expect
    .poll(async () => (await sentJob(page, jobId)).constraints)
    .toMatchObject({ order: 'usual', liveWork: false });
  await limits.getByRole('button', { name: 'Close', exact: true }).click();
  await page.reload();
  const check = await currentCheck(page);
  const { checks, usualOrder } = electricStorageTwoElement;
  expect(usualOrder).toContain(check);
  expect(checks[check!]!.caution).not.toBe('live');
  expect(usual).toMatch(/min/);
});

test('a verdict says what it rests on', { tag: '@desk' }, async ({ page }) => {
  const unit = simulateUnit(simulatedTwoElement, plate4500, seededRandom(101), {
    faults: ['upper-element.open'],
  });
  const jobId = await openJob(page, { kind: unit.complaint.kind, customer: 'Reasons' });
  for (let taken = 0; taken < 25; taken++) {
    const check = await currentCheck(page);
    if (!check) break;
    await answerCheck(page, jobId, check, unit);
  }
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict.getByText('Why this verdict')).toBeVisible();
  await expect(verdict.getByText(/Most of it rests on/)).toHaveText(/rests on .+(\d|OL)/);
  // An open element found by volts and paths alone: before it is ordered, a probe should touch it.
  const job = await sentJob(page, jobId);
  const isRead = job.entries.some(
    (each) =>
      each.kind === 'reading' && each.check?.startsWith('upper-element') && !each.value?.volt,
  );
  const unread = verdict.getByText(/nothing was read on this one itself/);
  await expect(unread).toHaveCount(isRead ? 0 : 1);
  if (isRead) return;
  await unread.getByRole('button').click();
  expect(await currentCheck(page)).toMatch(/^upper-element/);
});

/** A finger, as the browser sees it: two of them come closer. */
async function pinch(page: Page, x: number, y: number) {
  const session = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number) =>
    session.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        type === 'touchEnd'
          ? []
          : [
              { x: x - apart, y, id: 0 },
              { x: x + apart, y, id: 1 },
            ],
    });
  await send('touchStart', 20);
  for (let apart = 25; apart <= 80; apart += 5) await send('touchMove', apart);
  await send('touchEnd', 80);
}

test('the whole unit is seen at once, and two taps, two fingers or a button come closer', async ({
  page,
}) => {
  await openJob(page, { kind: 'no-hot-water', customer: 'Whole unit' });
  await currentCheck(page);
  const dialog = await openPicture(page);
  const drawn = dialog.getByRole('group', { name: /^Wiring picture\./ });
  const { width } = page.viewportSize()!;
  for (const each of await drawn.getByRole('button').all()) {
    const box = (await each.boundingBox())!;
    expect(box.x).toBeGreaterThanOrEqual(0);
    expect(box.x + box.width).toBeLessThanOrEqual(width);
  }
  const widthOf = async (name: string) => (await terminal(dialog, name).boundingBox())!.width;
  const whole = await widthOf('limit 1');
  await dialog.getByRole('button', { name: 'Closer' }).click();
  await expect.poll(() => widthOf('limit 1')).toBeGreaterThan(1.5 * whole);
  await dialog.getByRole('button', { name: 'Whole unit' }).click();
  await expect.poll(() => widthOf('limit 1')).toBeCloseTo(whole, 0);

  const box = (await drawn.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  if (isPhone(page)) {
    await page.touchscreen.tap(x, y);
    await page.touchscreen.tap(x, y);
  } else {
    await page.mouse.dblclick(x, y);
  }
  await expect.poll(() => widthOf('limit 1')).toBeGreaterThan(2 * whole);
  await dialog.getByRole('button', { name: 'Whole unit' }).click();
  if (isPhone(page)) {
    await pinch(page, x, y);
    await expect.poll(() => widthOf('limit 1')).toBeGreaterThan(2 * whole);
  }
  // A terminal that the keyboard reaches is brought into sight.
  await dialog.getByRole('button', { name: 'Closer' }).click();
  await terminal(dialog, 'limit 1').focus();
  const seen = (await terminal(dialog, 'limit 1').boundingBox())!;
  expect(seen.x + seen.width / 2).toBeGreaterThan(box.x);
  expect(seen.x + seen.width / 2).toBeLessThan(box.x + box.width);
});

test('gas, water and flames are touched, turned and read on the picture of a gas heater', async ({
  page,
}) => {
  const jobId = await openJob(page, {
    kind: 'no-hot-water',
    customer: 'Gas picture',
    family: 'Gas, standing pilot',
    plate: {
      chosen: ['electronic, status light'],
      typed: { 'Input, BTU/h': '39900', Gallons: '40' },
    },
  });
  await currentCheck(page);
  await page
    .getByRole('button', { name: isPhone(page) ? 'Picture' : 'Touch a point', exact: true })
    .click();
  const dialog = page.getByRole('dialog', { name: 'Heater picture' });
  const drawn = dialog.getByRole('group', { name: /^Heater picture\./ });
  await drawn.getByRole('button', { name: /^gas cock, open/ }).press('Enter');
  await expect(drawn.getByRole('button', { name: /^gas cock, shut/ })).toBeVisible();
  await dialog.getByText('Valves, flames and ways as a table').click();
  await expect(dialog.getByRole('row', { name: /gas to the valve/ })).toContainText(
    'nothing in it',
  );
  await expect(dialog.getByRole('row', { name: /^pilot/ })).toContainText('out');
  await dialog.getByRole('button', { name: 'Back to how it stands' }).click();

  await drawn.getByRole('button', { name: 'cold water pressure' }).press('Enter');
  await expect(dialog.getByRole('heading', { name: 'cold water pressure' })).toBeVisible();
  await dialog.getByRole('textbox', { name: 'It reads' }).fill('52');
  await dialog.getByRole('button', { name: 'Enter', exact: true }).click();
  await expect
    .poll(async () => (await sentJob(page, jobId)).entries.at(-1))
    .toMatchObject({ kind: 'reading', point: 'cold-pressure', quantity: 'pressure' });
  await dialog.getByText('Points as a table').click();
  expect(await violationsOn(page, { within: '[role=dialog]' })).toEqual([]);
  await dialog.getByRole('button', { name: 'Touch manifold port' }).click();
  await expect(dialog.getByRole('heading', { name: 'manifold port' })).toBeVisible();
});
