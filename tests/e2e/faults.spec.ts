import { expect, test } from '@playwright/test';
import { andEntered, currentCheck, baseUrl, openJob, openLimits, sentJob } from './technician';

// These go on without a server: the service worker has to be there.
test.use({ serviceWorkers: 'allow' });

test.describe('a network that is gone', () => {
  test('entries are kept on the device, survive a reload and go by themselves later', async ({
    page,
  }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'No signal' });
    await currentCheck(page);
    await page.route('**/api/jobs/*/entries', (route) => route.abort());
    for (let k = 0; k < 2; k++) {
      await andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());
    }
    await expect(page.getByText('2 kept on this device')).toBeVisible();
    await page.reload();
    await expect(page.getByText('2 kept on this device')).toBeVisible();
    await page.unroute('**/api/jobs/*/entries');
    expect((await sentJob(page, jobId)).entries).toHaveLength(2);
  });

  test('an answer that is lost on its way back does not double the entry', async ({ page }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Lost answer' });
    await currentCheck(page);
    let dropped = false;
    await page.route('**/api/jobs/*/entries', async (route) => {
      if (dropped) return route.continue();
      dropped = true;
      await route.fetch();
      return route.abort();
    });
    await andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());
    await expect.poll(() => dropped).toBe(true);
    expect((await sentJob(page, jobId)).entries).toHaveLength(1);
    // It was sent again before the device let go of it, and that made no second one.
    await expect(page.getByText(/kept on this device/)).toHaveCount(0, { timeout: 15_000 });
    expect((await sentJob(page, jobId)).entries).toHaveLength(1);
  });

  test('of two limits set quickly the later one holds, however late the first arrives', async ({
    page,
  }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Two limits' });
    await currentCheck(page);
    const constraints = `**/api/jobs/${jobId}/constraints`;
    const bodies: string[] = [];
    let letGo = () => {};
    const held = new Promise<void>((resolve) => (letGo = resolve));
    await page.route(constraints, async (route) => {
      bodies.push(route.request().postData() ?? '');
      if (bodies.length === 1) await held;
      return route.continue();
    });
    const limits = await openLimits(page);
    await limits.getByRole('button', { name: 'usual', exact: true }).click();
    await limits.getByRole('button', { name: 'none', exact: true }).click();
    await expect.poll(() => bodies.length).toBe(1);
    letGo();
    await expect
      .poll(async () => (await sentJob(page, jobId)).constraints)
      .toMatchObject({ order: 'usual', liveWork: false });
    expect(bodies.map((each) => JSON.parse(each) as unknown)).toMatchObject([
      { order: 'usual', liveWork: true },
      { order: 'usual', liveWork: false },
    ]);

    // What the server never took counts here all the same, and goes with the next opening.
    await page.unroute(constraints);
    await page.route(constraints, (route) => route.abort());
    await limits.getByRole('button', { name: 'worked out', exact: true }).click();
    await expect(limits.getByRole('button', { name: 'worked out', exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await page.reload();
    await page.unroute(constraints);
    await page.reload();
    await expect
      .poll(async () => (await sentJob(page, jobId)).constraints)
      .toMatchObject({ order: 'computed', liveWork: false });
  });
});

test.describe('a call with a bad plate', () => {
  test('is told at the field, and nothing is lost', async ({ page }) => {
    await page.goto(`${baseUrl()}/call`);
    await page.getByRole('button', { name: 'No hot water' }).click();
    await page.getByLabel('Customer', { exact: true }).fill('Plate');
    await page.getByLabel('Address').fill('5 Test Lane');
    for (const [typed, message] of [
      ['', /What does the plate say/],
      ['0', /on a plate are/],
      ['lots', /is not a number/],
      ['-4500', /never below zero/],
      ['1e9', /above what a power can be/],
      ['240 V', /unit of another quantity/],
      ['4,500', /without the comma/],
    ] as const) {
      await page.getByLabel('Upper watts').fill(typed);
      await page.getByRole('button', { name: 'Open the job' }).click();
      await expect(page.locator('#problem-watt-upper')).toContainText(message);
      await expect(page.getByLabel('Customer', { exact: true })).toHaveValue('Plate');
    }
    await page.reload();
    await expect(page.getByLabel('Customer', { exact: true })).toHaveValue('Plate');
    await expect(page.getByLabel('Upper watts')).toHaveValue('4,500');
  });

  test('is told of a field that is tucked away: it is opened', async ({ page }) => {
    await page.goto(`${baseUrl()}/call`);
    await page.getByRole('button', { name: 'No hot water' }).click();
    await page.getByLabel('Customer', { exact: true }).fill('Tucked');
    await page.getByLabel('Address').fill('6 Test Lane');
    await page.getByLabel('Upper watts').fill('4500');
    const more = page.getByText('Make, model, serial, age and more');
    await more.click();
    await page.getByLabel('Installed').fill('spring');
    await more.click();
    await expect(page.getByLabel('Installed')).toBeHidden();
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page.locator('#problem-installed')).toContainText('A year, a month or a day');
    await expect(page.getByLabel('Installed')).toBeFocused();
    await page.getByLabel('Installed').fill('05/2019');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page).toHaveURL(/\/jobs\//);
  });

  test('expected ohms and amps appear as the plate is typed', async ({ page }) => {
    await page.goto(`${baseUrl()}/call`);
    await page.getByLabel('Upper watts').fill('5500');
    await expect(page.getByRole('status')).toContainText('10.5 Ω');
    await expect(page.getByRole('status')).toContainText('22.9 A');
  });
});

test('what was answered for one kind of heater is not said of another that is chosen after it', async ({
  page,
}) => {
  await page.goto(`${baseUrl()}/call`);
  const choose = (name: string) => page.getByRole('button', { name, exact: true });
  await choose('Trips the breaker').click();
  await choose('sudden').click();
  await page.getByLabel('Upper watts').fill('5500');
  await choose('Boiler with zones').click();
  await page.getByLabel('Customer', { exact: true }).fill('Late');
  await page.getByLabel('Address').fill('5 Test Lane');
  await page.getByLabel('Input, BTU/h', { exact: true }).fill('102000');
  await choose('Open the job').click();
  await expect(page.getByText('Choose what is wrong')).toBeVisible();
  // Who changes back finds what was said.
  await choose('Electric, two elements').click();
  await expect(page.getByLabel('Upper watts')).toHaveValue('5500');
  await expect(choose('sudden')).toHaveAttribute('aria-pressed', 'true');
  await choose('Boiler with zones').click();
  await expect(page.getByLabel('Input, BTU/h', { exact: true })).toHaveValue('102000');
  await choose('No hot water').click();
  await choose('Open the job').click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  const job = await sentJob(page, page.url().split('/').at(-1)!);
  expect(job.complaint).toMatchObject({ kind: 'no-hot-water', answers: {} });
});

test('wiring and protection of a unit reach its job file', async ({ page }) => {
  await page.goto(`${baseUrl()}/call`);
  await page.getByRole('button', { name: 'No hot water' }).click();
  await page.getByLabel('Customer', { exact: true }).fill('Supply');
  await page.getByLabel('Address').fill('5 Test Lane');
  await page.getByRole('button', { name: '208 V, two legs of three' }).click();
  await page.getByLabel('Upper watts').fill('4500');
  await expect(page.getByRole('status')).toContainText('on 208 V');
  await page.getByText(/^Make, model/).click();
  await page.getByRole('button', { name: 'both at once' }).click();
  await page
    .getByRole('group', { name: 'Guarded by an RCD or GFCI?' })
    .getByRole('button', { name: 'yes' })
    .click();
  await page.getByRole('button', { name: 'Open the job' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  const job = await sentJob(page, page.url().split('/').at(-1)!);
  expect(job.unit.plate).toMatchObject({ wiring: 'simultaneous', rated: { volt: 240 } });
  expect(job.site?.supply).toMatchObject({
    nominal: { volt: 208 },
    residualCurrentDevice: true,
  });
});
