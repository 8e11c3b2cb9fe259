/**
 * Measures how fast the bench answers: a key to its digit, a digit to what it would mean, Enter to the next check. Works on
 * the production build over a database of its own, with the demo data, and leaves nothing behind. Prints medians and 95th
 * percentiles; docs/benchmarks/response.md keeps them with date and machine. After ./ohmmeter demo:
 *   OHMMETER_OWNER_DATABASE_URL="$(bash scripts/postgres-cluster.sh start)" node --import tsx scripts/measure-response.ts
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { startServer } from '../tests/e2e/server';

// The application's role is shared by every database of the cluster: its password stays.
process.env.OHMMETER_APPLICATION_PASSWORD ??= readFileSync(
  path.resolve(import.meta.dirname, '../.ohmmeter/application-password'),
  'utf8',
).trim();
const server = await startServer({ demo: true });
const address = server.url;
const rounds = 12;

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const times = {
  'key to digit': [] as number[],
  'key to meaning': [] as number[],
  'skip to next check': [] as number[],
};

await page.goto(`${address}/call`);
await page.getByRole('button', { name: 'No hot water' }).click();
await page.getByLabel('Customer', { exact: true }).fill('Response');
await page.getByLabel('Address').fill('1 Measure Street');
await page.getByLabel('Upper watts').fill('4500');
await page.getByRole('button', { name: 'Open the job' }).click();
await page.locator('main[aria-busy=false] [data-check]').waitFor();

for (let round = 0; round < rounds; round++) {
  const keypad = page.getByRole('group', { name: 'Keypad' });
  if ((await keypad.count()) > 0) {
    times['key to digit'].push(await timed(page, '7', 'output'));
    times['key to meaning'].push(await timed(page, '3', 'section[aria-labelledby=suspects-title]'));
  }
  const check = await page.locator('[data-check]').getAttribute('data-check');
  times['skip to next check'].push(
    await page.evaluate(async (present) => {
      const skip = [...document.querySelectorAll('button')].find(
        (each) => each.textContent === 'Skip',
      );
      const start = performance.now();
      skip!.click();
      while (
        document.querySelector('[data-check]')?.getAttribute('data-check') === present ||
        document.querySelector('main')?.getAttribute('aria-busy') !== 'false'
      ) {
        await new Promise((resolve) => setTimeout(resolve, 1));
      }
      return performance.now() - start;
    }, check),
  );
  if ((await page.locator('[data-check]').count()) === 0) break;
}
await browser.close();
await server.stop();

for (const [what, values] of Object.entries(times)) {
  const sorted = [...values].sort((one, other) => one - other);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;
  console.log(
    `${what}: median ${at(0.5).toFixed(0)} ms, 95 % ${at(0.95).toFixed(0)} ms, of ${sorted.length}`,
  );
}

/** From the press of a key to the first change of text in a part of the page. */
function timed(on: Page, key: string, part: string): Promise<number> {
  return on.evaluate(
    async ([digit, selector]) => {
      const target = document.querySelector(selector!)!;
      const before = target.textContent;
      const button = [...document.querySelectorAll('[aria-label=Keypad] button')].find(
        (each) => each.textContent === digit,
      ) as HTMLButtonElement;
      const start = performance.now();
      button.click();
      while (target.textContent === before && performance.now() - start < 3000) {
        await new Promise((resolve) => setTimeout(resolve, 1));
      }
      return performance.now() - start;
    },
    [key, part],
  );
}
