/**
 * Measures the bench on a phone of a quarter of this machine's speed (Chromium's own throttle): what a cold and a warm visit
 * carry and take, a key to its paint, and the next check with a long logbook. A database of its own, the production build.
 *   OHMMETER_OWNER_DATABASE_URL="$(bash scripts/postgres-cluster.sh start)" node --import tsx scripts/measure-phone.ts
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { quantileOf } from '../src/core/benchmark/statistics';
import { startServer } from '../tests/e2e/server';

process.env.OHMMETER_APPLICATION_PASSWORD ??= readFileSync(
  path.resolve(import.meta.dirname, '../.ohmmeter/application-password'),
  'utf8',
).trim();

const slower = 4;
const entriesInLogbook = 200;
const visits = 5;
const server = await startServer({ demo: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu'],
});
const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
const headers = { 'content-type': 'application/json', origin: server.url };

async function slowPage(context: Awaited<ReturnType<typeof browser.newContext>>): Promise<Page> {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  return page;
}

/** Milliseconds until the check stands there and a tap is answered, and what came over the wire. */
async function visit(page: Page, address: string) {
  const bytes = { script: 0, font: 0 };
  page.on('response', (response) => {
    const kind = response.request().resourceType();
    if ((kind === 'script' || kind === 'font') && !response.fromServiceWorker()) {
      void response.body().then(
        (body) => (bytes[kind] += body.length),
        () => undefined,
      );
    }
  });
  const from = performance.now();
  await page.goto(address, { waitUntil: 'commit' });
  await page.locator('[data-check] h2').first().waitFor();
  const shown = performance.now() - from;
  await page.waitForFunction(
    () => document.querySelector('main')?.getAttribute('aria-busy') === 'false',
  );
  return { shown, usable: performance.now() - from, bytes };
}

const line = (what: string, values: number[], unit = 'ms') =>
  console.log(
    `${what}: median ${quantileOf(values, 0.5).toFixed(0)} ${unit}, 95 % ${quantileOf(values, 0.95).toFixed(0)} ${unit}`,
  );

try {
  const known = (await (await fetch(`${server.url}/api/for-device`)).json()) as {
    jobs: { job: { id: string; standing: { stage: string } }; unit: { family: string } }[];
  };
  // The readings below are of its checks.
  const id = known.jobs.find(
    ({ job, unit }) =>
      unit.family === 'electric-storage-two-element' && job.standing.stage === 'diagnose',
  )!.job.id;
  const address = `${server.url}/jobs/${id}`;
  // The server's own first visit is not the phone's.
  await (await fetch(address)).text();

  const cold = { shown: [] as number[], usable: [] as number[] };
  const warm = { shown: [] as number[], usable: [] as number[] };
  for (let k = 0; k < visits; k++) {
    const context = await browser.newContext(phone);
    const page = await slowPage(context);
    const first = await visit(page, address);
    cold.shown.push(first.shown);
    cold.usable.push(first.usable);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForTimeout(2500);
    if (k === 0)
      console.log(
        `cold visit: ${(first.bytes.script / 1000).toFixed(0)} kB of script and ${(first.bytes.font / 1000).toFixed(0)} kB of fonts, unpacked`,
      );
    const again = await visit(await slowPage(context), address);
    warm.shown.push(again.shown);
    warm.usable.push(again.usable);
    await context.close();
  }
  line('cold visit, the check shown', cold.shown);
  line('cold visit, usable', cold.usable);
  line('warm visit, the check shown', warm.shown);
  line('warm visit, usable', warm.usable);

  for (let k = 0; k < entriesInLogbook; k++) {
    const entry = {
      id: newId(),
      at: new Date().toISOString(),
      kind: 'reading',
      check: 'upper-element-ohms',
      value: { ohm: 12.5 + (k % 10) / 10 },
    };
    await (
      await fetch(`${address.replace('/jobs/', '/api/jobs/')}/entries`, {
        method: 'POST',
        headers,
        body: JSON.stringify({ entries: [entry] }),
      })
    ).text();
  }
  const context = await browser.newContext(phone);
  const page = await slowPage(context);
  await visit(page, `${address}?check=lower-element-ohms`);
  await page.waitForTimeout(3000);
  const ask = page.getByRole('button', { name: 'Type what the meter shows' });
  await ask
    .or(page.getByRole('group', { name: 'Keypad' }))
    .first()
    .waitFor();
  if (await ask.isVisible()) await ask.click();
  const keys: number[] = [];
  for (let k = 0; k < 30; k++) {
    keys.push(
      await page.evaluate(
        async (name) => {
          const button = [
            ...document.querySelectorAll<HTMLButtonElement>(
              '[role=group][aria-label=Keypad] button',
            ),
          ].find((each) => each.textContent?.trim() === name)!;
          const from = performance.now();
          button.click();
          await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
          return performance.now() - from;
        },
        String(1 + (k % 9)),
      ),
    );
    if (k % 3 === 2) await page.keyboard.press('Escape');
    await page.waitForTimeout(120);
  }
  line('a key to the paint after it, with 200 entries', keys);
  await page.goto(address);
  await page.locator('main[aria-busy=false]').waitFor();
  await page.waitForTimeout(3000);
  const next: number[] = [];
  for (let k = 0; k < 8; k++) {
    // By the page's own clock: a tap by the driver takes a slow page a tenth of a second and more before it is one.
    next.push(
      await page.evaluate(async () => {
        const main = document.querySelector('main')!;
        const before = document.querySelector<HTMLElement>('[data-check]')?.dataset.check;
        const from = performance.now();
        [...document.querySelectorAll('button')]
          .find((each) => each.textContent?.trim() === 'Skip')!
          .click();
        while (
          main.getAttribute('aria-busy') !== 'false' ||
          document.querySelector<HTMLElement>('[data-check]')?.dataset.check === before
        ) {
          await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
        }
        return performance.now() - from;
      }),
    );
    await page.waitForTimeout(400);
    if ((await page.locator('[data-check]').count()) === 0) break;
  }
  line('skip to the next check, with 200 entries', next);
} finally {
  await browser.close();
  await server.stop();
}
