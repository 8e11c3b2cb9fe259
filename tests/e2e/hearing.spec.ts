import { expect, test } from '@playwright/test';
import {
  andEntered,
  baseUrl,
  currentCheck,
  enterElsewhere,
  openJob,
  proveDead,
  sentJob,
} from './technician';

test('a connection that is lost without a word is told of, and taken up again @desk', async ({
  page,
}) => {
  await page.clock.install();
  await openJob(page, { kind: 'no-hot-water', customer: 'In the cellar' });
  await currentCheck(page);
  const deaf = page.getByText('what others do is not seen');
  await expect(deaf).toHaveCount(0);
  // What is open stays open, and says nothing more; nothing new gets through.
  const out = /\/api\/jobs\/[^/]+\/(events|entries)/;
  await page.route(out, (route) => route.abort());
  await page.clock.runFor(41_000);
  await expect(deaf).toBeVisible();
  await page.unroute(out);
  await page.clock.runFor(41_000);
  await expect(deaf).toHaveCount(0);
});

test('who is chosen in one tab works in all of them, and is told there @desk', async ({
  page,
  context,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'For two' });
  await currentCheck(page);
  const skip = () =>
    andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());
  await skip();
  const today = await context.newPage();
  await today.goto(baseUrl());
  const who = today.getByRole('combobox', { name: 'Technician' });
  const present = await who.inputValue();
  // The last by name: another test adds somebody to the list, and takes them off again.
  const other = who.locator(`option:not([value="${present}"])`).last();
  const [id, name] = [(await other.getAttribute('value'))!, (await other.textContent())!];
  // A choice that does not arrive holds on the device, and is told; whatever is asked next carries it to the server.
  await today.route('**/api/technician', (route) => route.abort());
  await who.selectOption(id);
  await expect(today.getByText(/^Written down\. The server does not answer/)).toBeVisible();
  await expect(page.getByText(`${name} works on this device now`)).toBeVisible();
  await today.reload();
  await expect(who).toHaveValue(id);
  await today.unroute('**/api/technician');
  await who.selectOption(present);
  await expect(who).toHaveValue(present);
  await expect(page.getByText(`${name} works on this device now`)).toHaveCount(0);
  await who.selectOption(id);
  await expect(who).toHaveValue(id);
  await expect(page.getByText(`${name} works on this device now`)).toBeVisible();
  // Whoever chose is not told of it as if another tab had.
  await expect(today.getByText('works on this device now')).toHaveCount(0);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await skip();
  const { entries } = await sentJob(page, jobId);
  expect(entries.map(({ by }) => by)).toEqual([present, id]);
});

test('a tap while what somebody else entered is worked out is done after it, and never to another check @desk', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Between two' });
  await currentCheck(page);
  /** Somebody else's entry comes, and Skip is tapped twice in the moment in which the answer to it is worked out. */
  const tapIntoEntry = async (check: string) => {
    const tapped = page.evaluate(
      () =>
        new Promise<string | undefined>((resolve) => {
          const main = document.querySelector('main')!;
          const skip = [...document.querySelectorAll('button')].find(
            (each) => each.textContent?.trim() === 'Skip',
          )!;
          const watch = new MutationObserver(() => {
            if (main.getAttribute('aria-busy') !== 'true') return;
            watch.disconnect();
            resolve(document.querySelector<HTMLElement>('[data-check]')?.dataset.check);
            skip.click();
            skip.click();
          });
          watch.observe(main, { attributes: true, attributeFilter: ['aria-busy'] });
        }),
    );
    await enterElsewhere(page, jobId, { kind: 'skip', check, reason: 'cannot' });
    return tapped;
  };
  const entered = async () =>
    (await sentJob(page, jobId)).entries.flatMap((each) =>
      each.kind === 'skip' ? [[each.check, each.reason]] : [],
    );
  const first = await tapIntoEntry('lower-element-ohms');
  await expect.poll(entered).toEqual([
    ['lower-element-ohms', 'cannot'],
    [first, 'skipped'],
  ]);
  const next = await currentCheck(page);
  expect(next).not.toBe(first);
  // The other one has done what stands here: the tap was for that, and not for what comes after it.
  expect(await tapIntoEntry(next!)).toBe(next);
  await expect(page.getByText('the check that stands here now')).toBeVisible();
  expect(await currentCheck(page)).not.toBe(next);
  expect(await entered()).toHaveLength(3);
});

test('what is asked about the steps of a check is not said of the check that comes in its place @desk', async ({
  page,
}) => {
  const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Asked too late' });
  await currentCheck(page);
  await page.getByRole('button', { name: 'Make safe' }).click();
  await proveDead(page);
  const skip = () =>
    andEntered(page, () => page.getByRole('button', { name: 'Skip', exact: true }).click());
  const keypad = page.getByRole('group', { name: 'Keypad' });
  const step = page.locator('[data-check] li button');
  let check = await currentCheck(page);
  // The first one that is proposed with a step before it, and read with a meter.
  for (let k = 0; k < 8 && ((await step.count()) === 0 || !(await keypad.isVisible())); k++) {
    await skip();
    check = await currentCheck(page);
  }
  await keypad.getByRole('button', { name: '9', exact: true }).click();
  await page.getByRole('button', { name: /^Enter/ }).click();
  const asked = page.getByRole('button', { name: 'Done: enter it' });
  await expect(asked).toBeVisible();
  await enterElsewhere(page, jobId, { kind: 'skip', check, reason: 'cannot' });
  await expect(asked).toHaveCount(0);
  await expect(page.getByText('the check that stands here now')).toBeVisible();
  const { entries } = await sentJob(page, jobId);
  expect(entries.at(-1)).toMatchObject({ kind: 'skip', reason: 'cannot' });
  expect(entries.some(({ kind }) => kind === 'reading')).toBe(false);
});
