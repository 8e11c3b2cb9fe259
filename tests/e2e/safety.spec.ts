import { expect, test, type Page } from '@playwright/test';
import {
  baseUrl,
  currentCheck,
  doSteps,
  enterElsewhere,
  isAwake,
  jobOnDevice,
  openJob,
  openLimits,
  pressKeys,
  proveDead,
  sentJob,
} from './technician';

/** What could hurt somebody, tried through the interface with what goes wrong around it. */

const makeSafe = async (page: Page, options?: Parameters<typeof proveDead>[1]) => {
  await page.getByRole('button', { name: 'Make safe' }).click();
  await proveDead(page, options);
};

const refuseAll = () => {
  const refuse = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  IDBObjectStore.prototype.add = refuse;
  IDBObjectStore.prototype.put = refuse;
};

/** This browser's own store refuses everything from now on, as one that is full or switched off. */
const refuseStore = (page: Page) => page.evaluate(refuseAll);

test('what neither the device nor the server takes stands where it was typed', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Nowhere to keep it' });
  await currentCheck(page);
  await page.route('**/api/jobs/*/entries', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.addInitScript(refuseAll);
  const open = async (at: string) => {
    await page.goto(`${baseUrl()}/jobs/${jobId}${at}`);
    await isAwake(page);
  };
  await test.step('a setting of the sheet', async () => {
    await open('/settings');
    const field = page
      .getByLabel(/ as found$/)
      .and(page.locator('input'))
      .first();
    await field.fill('120');
    await field.press('Enter');
    await expect(page.getByText(/^Not entered: neither/)).toBeVisible();
    await expect(field).toHaveValue('120');
  });
  await test.step('a dial on the repair page, and the reason of a closing', async () => {
    await open('/repair');
    const field = page.getByLabel(/ as left$/).first();
    await field.fill('122');
    await field.press('Enter');
    await expect(page.getByText(/^Not entered: neither/)).toBeVisible();
    await expect(field).toHaveValue('122');
    const reason = page.getByLabel(/^Reason/);
    await reason.fill('nobody at home');
    await page.getByRole('button', { name: 'Close, not repaired' }).click();
    await expect(page.getByText(/^Not closed: neither/)).toBeVisible();
    await expect(reason).toHaveValue('nobody at home');
  });
  await test.step('a temperature, whose log is begun once it can be', async () => {
    await open('/temperatures');
    await page.getByRole('button', { name: /Read$/ }).first().click();
    const dialog = page.getByRole('dialog');
    for (const each of ['1', '1', '8']) {
      await dialog.getByRole('button', { name: each, exact: true }).click();
    }
    await dialog.getByRole('button', { name: /^Enter/ }).click();
    await expect(dialog.getByText(/^Not entered: neither/)).toBeVisible();
    await page.unroute('**/api/jobs/*/entries');
    await dialog.getByRole('button', { name: /^Enter/ }).click();
    await expect(dialog).toHaveCount(0);
    const logs = async () =>
      (await sentJob(page, jobId)).entries.flatMap((each) => (each.kind === 'log' ? [each] : []));
    await expect.poll(logs).toMatchObject([{ phase: 'started' }, { phase: 'samples' }]);
  });
});

test('a proof of dead runs out by itself when nobody has written for hours', async ({ page }) => {
  await page.clock.install();
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Left alone' });
  await currentCheck(page);
  await makeSafe(page);
  await sentJob(page, jobId);
  await page.clock.runFor('03:50:00');
  await expect(page.getByText(/^proved dead/)).toBeVisible();
  await page.clock.runFor('00:15:00');
  await expect(page.getByText('Off, not proved dead')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Prove dead', exact: true })).toBeVisible();
});

test('a proof of dead runs out on every page of a job that stands open', async ({
  page,
  browser,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Left open' });
  await currentCheck(page);
  await makeSafe(page);
  await sentJob(page, jobId);
  for (const address of ['settings', 'temperatures', 'procedures', 'repair']) {
    await test.step(address, async () => {
      const context = await browser.newContext();
      const left = await context.newPage();
      await left.clock.install();
      await left.goto(`${baseUrl()}/jobs/${jobId}/${address}`);
      await isAwake(left);
      await expect(left.getByText(/^proved dead/)).toBeVisible();
      await left.clock.runFor('04:05:00');
      await expect(left.getByText('Off, not proved dead')).toBeVisible();
      await context.close();
    });
  }
});

test('what is read for a proof outlives a reload, not being put away, ten minutes, or who switches on', async ({
  page,
}) => {
  await page.clock.install();
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Called away' });
  await currentCheck(page);
  const dialog = page.getByRole('dialog', { name: 'Make safe' });
  const zeros = dialog.getByRole('button', { name: /: 0 V$/ });
  const field = dialog.getByLabel('Across, limit 1 to 3', { exact: true });
  const open = () => page.getByRole('button', { name: 'Make safe' }).click();
  await open();
  await dialog.getByRole('button', { name: 'before and after' }).click();
  for (const each of await zeros.all()) await each.click();
  await page.reload();
  await currentCheck(page);
  await open();
  await expect(field).toHaveValue('0');
  await page.clock.fastForward('11:00');
  await dialog.getByRole('button', { name: 'Enter what was read' }).click();
  await expect(dialog.getByRole('alert')).toContainText('read every point anew');
  await expect(field).toHaveValue('');
  await zeros.first().click();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await open();
  await expect(field).toHaveValue('');
  // Nor what another person switched on meanwhile, wherever.
  await dialog.getByRole('button', { name: 'before and after' }).click();
  for (const each of await zeros.all()) await each.click();
  const main = page.getByRole('main', { includeHidden: true });
  const before = Number(await main.getAttribute('data-entries'));
  await enterElsewhere(page, jobId, { kind: 'action', action: 'power-on' });
  await expect(main).toHaveAttribute('data-entries', String(before + 1));
  // Told at once, and not entered either.
  await expect(dialog.getByRole('alert')).toContainText('It was switched on since');
  await dialog.getByRole('button', { name: 'Enter what was read' }).click();
  await expect(dialog.getByRole('alert')).toContainText('or this was read a while ago');
  // Nor is it gone on with what was read on either side of that.
  await dialog.getByRole('button', { name: 'before and after' }).click();
  await zeros.nth(0).click();
  await zeros.nth(1).click();
  await enterElsewhere(page, jobId, { kind: 'action', action: 'power-on' });
  await expect(main).toHaveAttribute('data-entries', String(before + 2));
  await zeros.nth(2).click();
  await expect(field).toHaveValue('');
  await expect(page.getByText(/^proved dead/)).toHaveCount(0);
});

test('what one person proved dead is not proved for who opens the job after them', async ({
  page,
  browser,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Two at one heater' });
  await currentCheck(page);
  await makeSafe(page);
  await sentJob(page, jobId);
  const context = await browser.newContext();
  const theirs = await context.newPage();
  const known = await theirs.request.get(`${baseUrl()}/api/for-device`);
  const { technicians, technicianId } = (await known.json()) as {
    technicians: { id: string }[];
    technicianId: string;
  };
  const choose = (id: string) =>
    theirs.request.post(`${baseUrl()}/api/technician`, {
      headers: { origin: baseUrl() },
      data: { id },
    });
  const other = technicians.find(({ id }) => id !== technicianId)!;
  expect((await choose(other.id)).ok()).toBe(true);
  // Before any code of the page is there, as after it.
  const sent = await theirs.request.get(`${baseUrl()}/jobs/${jobId}`);
  expect(await sent.text()).toMatch(/Off, not proved dead[^]*Power off and prove dead/);
  for (const address of ['settings', 'temperatures', 'procedures', 'repair', '']) {
    await test.step(address, async () => {
      await theirs.goto(`${baseUrl()}/jobs/${jobId}/${address}`);
      await isAwake(theirs);
      await expect(theirs.getByText('proved by another person')).toBeVisible();
      await expect(theirs.getByText(/^proved dead/)).toHaveCount(0);
    });
  }
  await currentCheck(theirs);
  const prove = theirs.getByRole('button', { name: 'Power off and prove dead' });
  await expect(prove).toBeVisible();
  // Who proved it has not lost it by that: nobody has written anything.
  await expect(page.getByText(/^proved dead/)).toBeVisible();
  expect((await choose(technicianId)).ok()).toBe(true);
  await theirs.reload();
  await currentCheck(theirs);
  await expect(theirs.getByText(/^proved dead/)).toBeVisible();
  await expect(prove).toHaveCount(0);
  // Gone back to, a page is as it was, for whoever had the device then: it looks who has it now, once its code is there.
  await expect(async () => {
    for (const id of [technicianId, other.id]) {
      expect((await choose(id)).ok()).toBe(true);
      await theirs.evaluate(() =>
        window.dispatchEvent(new PageTransitionEvent('pageshow', { persisted: true })),
      );
    }
    await expect(theirs.getByText(/^Somebody else works on this device now/)).toBeVisible({
      timeout: 1000,
    });
  }).toPass();
  await expect(theirs.getByText('proved by another person')).toBeVisible();
  await expect(prove).toBeVisible();
  await context.close();
});

test('a phone whose clock is an hour ahead shows what was switched on after it', async ({
  page,
  browser,
}) => {
  await page.clock.install({ time: Date.now() + 3_600_000 });
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Clock ahead' });
  await currentCheck(page);
  await page.clock.runFor(5000);
  await expect(page.getByRole('link', { name: /Clock 1 h ahead/ })).toBeVisible();
  await makeSafe(page);
  await sentJob(page, jobId);
  const context = await browser.newContext();
  const other = await context.newPage();
  await other.goto(`${baseUrl()}/jobs/${jobId}?check=supply-volts`);
  await expect(other.getByText(/^proved dead/)).toBeVisible();
  await currentCheck(other);
  await doSteps(other);
  await expect(other.getByText('Power ON', { exact: true })).toBeVisible();
  await page.clock.runFor(5000);
  await expect(page.getByText('Power ON', { exact: true })).toBeVisible();
  await expect(page.getByText(/^proved dead/)).toHaveCount(0);
  // What is entered here now is stamped after what is known, whatever this clock says.
  const { entries } = await sentJob(other, jobId);
  const at = entries.map((each) => Date.parse(each.at));
  expect([...at].sort((one, before) => one - before)).toEqual(at);
  await context.close();
});

test('a phone whose clock is days ahead proves nothing that anybody believes, and is told so', async ({
  page,
}) => {
  await page.clock.install({ time: Date.now() + 3 * 24 * 3_600_000 });
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Days ahead' });
  await currentCheck(page);
  // Nobody waits to see it believed here: it may be refused first.
  await makeSafe(page, { volts: '0' });
  await page.clock.runFor(2000);
  await expect(page.getByText(/not taken by the server/)).toBeVisible();
  await expect(page.getByText(/^proved dead/)).toHaveCount(0);
  await page.goto(`${baseUrl()}/waiting`);
  await expect(page.getByText(/the clock of this device is wrong/).first()).toBeVisible();
  const file = await page.request.get(`${baseUrl()}/api/jobs/${jobId}/file`);
  expect(((await file.json()) as { entries: unknown[] }).entries).toEqual([]);
});

test('what is switched on after a proof counts after it, though the clock was set back and nothing was sent', async ({
  page,
}) => {
  await page.clock.install();
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Clock set back' });
  const unsent = '**/api/jobs/*/entries';
  await page.route(unsent, (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await currentCheck(page);
  await makeSafe(page);
  await expect(page.getByText(/^proved dead/)).toBeVisible();
  await page.clock.setSystemTime(Date.now() - 3_600_000);
  await page.goto(`${baseUrl()}/jobs/${jobId}?check=supply-volts`);
  await currentCheck(page);
  await doSteps(page);
  await expect(page.getByText('Power ON', { exact: true })).toBeVisible();
  await page.unroute(unsent);
  const { entries } = await sentJob(page, jobId);
  const order = entries.flatMap((each) => (each.kind === 'action' ? [each.action] : []));
  expect(order.indexOf('proved-dead')).toBeGreaterThanOrEqual(0);
  expect(order.indexOf('power-on')).toBeGreaterThan(order.indexOf('proved-dead'));
  await expect(page.getByText('Power ON', { exact: true })).toBeVisible();
  await expect(page.getByText(/^proved dead/)).toHaveCount(0);
});

test('a proof that the device cannot keep goes straight to the server, and is said', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'No store' });
  await currentCheck(page);
  await refuseStore(page);
  await makeSafe(page, { volts: '118' });
  await expect(
    page.getByRole('dialog', { name: 'Make safe' }).getByRole('alert').first(),
  ).toContainText('NOT dead');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText(/This device keeps nothing/)).toBeVisible();
  await expect(page.getByText('NOT dead: 118 V')).toBeVisible();
  const { entries } = await sentJob(page, jobId);
  expect(entries.at(-1)).toMatchObject({ action: 'proved-dead' });
});

test('a proof that neither device nor server keeps is none, and stays typed', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Nobody keeps' });
  await currentCheck(page);
  await refuseStore(page);
  await page.route('**/api/jobs/*/entries', (route) => route.abort());
  await page.getByRole('button', { name: 'Make safe' }).click();
  const dialog = page.getByRole('dialog', { name: 'Make safe' });
  await proveDead(page, { volts: '0' });
  await expect(dialog.getByRole('alert')).toContainText('counts as not proved dead');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText(/NOT entered: this device could not keep it/)).toBeVisible();
  await expect(page.getByText(/^proved dead/)).toHaveCount(0);
  await page.unroute('**/api/jobs/*/entries');
  expect((await sentJob(page, jobId)).entries).toEqual([]);
});

/** The server takes what is posted, and its answer is lost on the way back. */
const loseAnswers = (page: Page) =>
  page.route('**/api/jobs/*/entries', async (route) => {
    if (route.request().method() !== 'POST') return route.continue();
    await route.fetch();
    await route.abort();
  });

test('what was told as not entered, and the server has, is told so when it is heard of', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Answer lost' });
  await currentCheck(page);
  await refuseStore(page);
  await loseAnswers(page);
  await page.getByRole('button', { name: 'Skip', exact: true }).click();
  await expect(page.getByText(/has reached the server after all/)).toBeVisible();
  expect((await sentJob(page, jobId)).entries).toHaveLength(1);
});

test('what was told as not entered is one entry when it is entered once more', async ({ page }) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Entered once more' });
  // Nothing is heard of what the server has.
  await page.route('**/api/jobs/*/events*', (route) => route.abort());
  await page.route('**/api/jobs/*/entries?*', (route) => route.abort());
  await page.reload();
  await currentCheck(page);
  await refuseStore(page);
  await loseAnswers(page);
  const skip = page.getByRole('button', { name: 'Skip', exact: true });
  await skip.click();
  await expect(page.getByText(/NOT entered/)).toBeVisible();
  await page.unroute('**/api/jobs/*/entries');
  await skip.click();
  await expect(page.getByText(/NOT entered/)).toHaveCount(0);
  expect((await sentJob(page, jobId)).entries).toHaveLength(1);
});

test('what waits on a device that keeps nothing any more is sent before what goes straight', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Store lost meanwhile' });
  await currentCheck(page);
  const post = '**/api/jobs/*/entries';
  await page.route(post, (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  const skip = page.getByRole('button', { name: 'Skip', exact: true });
  await skip.click();
  await expect(page.getByText('1 kept on this device')).toBeVisible();
  // The job itself is kept a moment after its page was opened.
  const known = () =>
    jobOnDevice(page, jobId).then(
      ({ entries }) => entries.map(({ id }) => id),
      () => [],
    );
  await expect.poll(known).toHaveLength(1);
  const [first] = await known();
  await currentCheck(page);
  await refuseStore(page);
  await page.unroute(post);
  await skip.click();
  await expect(page.getByText(/This device keeps nothing/)).toBeVisible();
  const onServer = await page.request.get(`${baseUrl()}/api/jobs/${jobId}/file`);
  const sent = ((await onServer.json()) as { entries: { id: string }[] }).entries;
  expect(sent).toHaveLength(2);
  expect(sent[0]!.id).toBe(first);
});

test('a limit that the device cannot keep goes straight to the server, or is said to be nowhere', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Limit, no store' });
  await currentCheck(page);
  await refuseStore(page);
  const dialog = await openLimits(page);
  await dialog.getByRole('button', { name: 'usual', exact: true }).click();
  await expect.poll(async () => (await sentJob(page, jobId)).constraints?.order).toBe('usual');
  await page.route('**/api/jobs/*/constraints', (route) => route.abort());
  await dialog.getByRole('button', { name: 'worked out', exact: true }).click();
  await expect(dialog.getByRole('alert')).toContainText(
    'Neither this device nor the server has it',
  );
  await expect(dialog.getByRole('button', { name: 'usual', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a step tapped again and again is ticked at once, and entered once', async ({ page }) => {
  const jobId = await openJob(
    page,
    { kind: 'no-hot-water', customer: 'Tapped twice' },
    '?check=upper-element-ohms',
  );
  await currentCheck(page);
  await makeSafe(page);
  await expect(page.getByText(/^proved dead/)).toBeVisible();
  await currentCheck(page);
  const step = page.locator('[data-check] li button').first();
  const words = (await step.textContent())!;
  // All in one turn of the page, before any answer can come.
  await step.evaluate((button: HTMLButtonElement) => {
    for (let k = 0; k < 4; k++) button.click();
  });
  await page.locator('[data-check] li button', { hasText: words }).waitFor({ state: 'detached' });
  const { entries } = await sentJob(page, jobId);
  expect(entries.slice(entries.findIndex((each) => 'proverTried' in each) + 1)).toHaveLength(1);
});

test('Enter pressed twice enters once', async ({ page }) => {
  const jobId = await openJob(
    page,
    { kind: 'no-hot-water', customer: 'Twice' },
    '?check=upper-element-ohms',
  );
  await currentCheck(page);
  await doSteps(page);
  await pressKeys(page, '12.8');
  await page.getByRole('button', { name: /^Enter/ }).dblclick();
  await currentCheck(page);
  const { entries } = await sentJob(page, jobId);
  expect(entries.filter((each) => each.kind === 'reading')).toHaveLength(1);
});
