/**
 * Measures the bench on a phone of a quarter of this machine's speed (Chromium's own throttle): what a cold and a warm visit
 * carry and take, a key to its paint, and the next check with a long logbook. A database of its own, the production build.
 *   OHMMETER_OWNER_DATABASE_URL="$(bash scripts/postgres-cluster.sh start)" node --import tsx scripts/measure-phone.ts
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { v7 as newId } from 'uuid';
import { quantileOf } from '../src/core/benchmark/statistics';
import { startServer } from '../tests/e2e/server';
import { plainBrowser, type PlainPage } from './plain-browser';

process.env.OHMMETER_APPLICATION_PASSWORD ??= readFileSync(
  path.resolve(import.meta.dirname, '../.ohmmeter/application-password'),
  'utf8',
).trim();

const slower = 4;
const entriesInLogbook = 200;
const visits = 5;
/** After so many milliseconds a visit is over, and what the page noted is read. */
const longestVisit = 8000;
const server = await startServer({ demo: true });
const browser = await plainBrowser({ width: 390, height: 844, slower, isPhone: true });
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));
const hasWorker = 'navigator.serviceWorker.controller !== null';
const headers = { 'content-type': 'application/json', origin: server.url };

/** Notes in the page itself when the check stands there and when a tap is answered. */
const stopwatch = `{
  const seen = (window.seenAfter = {});
  const look = () => {
    seen.shown ??= document.querySelector('[data-check] h2') ? performance.now() : undefined;
    const isAwake = document.documentElement?.dataset.awake !== undefined;
    const isFree = document.querySelector('main')?.getAttribute('aria-busy') === 'false';
    seen.usable ??= isAwake && isFree ? performance.now() : undefined;
  };
  new MutationObserver(look).observe(document, {
    subtree: true, childList: true, attributes: true, attributeFilter: ['aria-busy', 'data-awake'],
  });
}`;

/** Taps a key as soon as the check stands there, long before the page's code answers, and notes when it is painted. */
const earlyKey = `{
  const seen = (window.seenAfter ??= {});
  const watch = new MutationObserver(() => {
    if (!document.querySelector('[data-check] h2') || !document.querySelector('[data-types="1"]')) return;
    watch.disconnect();
    requestAnimationFrame(() => {
      document.querySelector('[data-opens-keypad]')?.click();
      document.querySelector('[data-types="1"]').click();
      const look = () => requestAnimationFrame(() => setTimeout(() => {
        const display = document.querySelector('[data-typed-display]');
        const text = display?.getAttribute('data-typed-early') ?? display?.textContent ?? '';
        const isAwake = document.documentElement.dataset.awake !== undefined;
        if (text.startsWith('1')) seen.typed = { at: performance.now(), isAwake };
        else look();
      }));
      look();
    });
  });
  watch.observe(document, { subtree: true, childList: true });
}`;

interface SeenAfter {
  shown: number;
  usable: number;
  /** Of a key that was tapped at once: when it was seen, and whether the page's code answered by then. */
  typed?: { at: number; isAwake: boolean };
}

/** Milliseconds by the page's own clock from a key of the keypad to the paint after it. */
const tapKey = `async (name) => {
  const button = [...document.querySelectorAll('[role=group][aria-label=Keypad] button')]
    .find((each) => each.textContent?.trim() === name);
  const from = performance.now();
  button.click();
  await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  return performance.now() - from;
}`;

const clearKeys = `void [1, 2, 3].forEach(() => document.querySelector('[data-types="delete"]').click())`;

/** The same from a skip to the next check. */
const skip = `async () => {
  const main = document.querySelector('main');
  const check = () => document.querySelector('[data-check]')?.dataset.check;
  const before = check();
  const from = performance.now();
  [...document.querySelectorAll('button')]
    .find((each) => each.textContent?.trim() === 'Skip')
    .click();
  while (main.getAttribute('aria-busy') !== 'false' || check() === before) {
    await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  }
  return performance.now() - from;
}`;

/** Milliseconds from the request of the page until the check stands there and a tap is answered, and whether a worker served. */
async function visit(page: PlainPage, address: string) {
  await page.open(address);
  await pause(longestVisit);
  return page.read<SeenAfter & { isKept: boolean; bytes: Record<string, number> }>(`({
    ...window.seenAfter,
    isKept: ${hasWorker},
    bytes: Object.fromEntries(['js', 'woff2'].map((kind) => [
      kind,
      performance.getEntriesByType('resource')
        .filter((each) => new URL(each.name).pathname.endsWith('.' + kind))
        .reduce((sum, each) => sum + each.decodedBodySize, 0),
    ])),
  })`);
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
  /** What is opened many times a day: the browser's compiled code is whole by then. */
  const later: number[] = [];
  for (let k = 0; k < visits; k++) {
    const profile = await browser.profile();
    const page = await profile.page(stopwatch);
    const first = await visit(page, address);
    cold.shown.push(first.shown);
    cold.usable.push(first.usable);
    if (k === 0) {
      const [script, font] = ['js', 'woff2'].map((kind) => (first.bytes[kind]! / 1000).toFixed(0));
      console.log(`cold visit: ${script} kB of script and ${font} kB of fonts, unpacked`);
    }
    // The service worker takes the application in.
    await page.until(hasWorker);
    await page.close();
    // The browser keeps the compiled code after the second time: what is measured is the third and the fourth.
    for (const round of [2, 3, 4, 5, 6, 7]) {
      const visited = await profile.page(stopwatch);
      const { shown, usable, isKept } = await visit(visited, address);
      if (!isKept) throw new Error('the service worker has not taken over');
      if (round > 4) later.push(usable);
      else if (round > 2) {
        warm.shown.push(shown);
        warm.usable.push(usable);
      }
      await visited.close();
    }
    await profile.close();
  }
  line('cold visit, the check shown', cold.shown);
  line('cold visit, usable', cold.usable);
  line('warm visit, the check shown', warm.shown);
  line('warm visit, usable', warm.usable);
  line('the fifth to seventh visit, usable', later);

  const typed = { cold: [] as number[], warm: [] as number[] };
  for (let k = 0; k < visits; k++) {
    const profile = await browser.profile();
    for (const round of [1, 2, 3]) {
      const page = await profile.page(earlyKey);
      const { typed: key } = await visit(page, `${address}?check=lower-element-ohms`);
      if (!key) throw new Error('the key that was tapped was not seen');
      if (key.isAwake) console.log('a key came after the code of its page');
      if (round !== 2) typed[round === 1 ? 'cold' : 'warm'].push(key.at);
      if (round === 1) await page.until(hasWorker);
      await page.close();
    }
    await profile.close();
  }
  line('cold visit, a key that is tapped at once is seen', typed.cold);
  line('warm visit, a key that is tapped at once is seen', typed.warm);

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
  const profile = await browser.profile();
  const page = await profile.page(stopwatch);
  await visit(page, `${address}?check=lower-element-ohms`);
  await pause(3000);
  await page.until(`document.querySelector('[data-opens-keypad], [data-types="1"]')`);
  await page.read(`document.querySelector('[data-opens-keypad]')?.click()`);
  const keys: number[] = [];
  for (let k = 0; k < 30; k++) {
    keys.push(await page.read<number>(`(${tapKey})('${1 + (k % 9)}')`));
    // Nobody types thirty figures.
    if (k % 3 === 2) await page.read(clearKeys);
    await pause(120);
  }
  line('a key to the paint after it, with 200 entries', keys);
  await page.open(address);
  await page.until(`document.querySelector('main[aria-busy=false]')`);
  await pause(3000);
  const next: number[] = [];
  for (let k = 0; k < 8; k++) {
    next.push(await page.read<number>(`(${skip})()`));
    await pause(400);
    if (!(await page.read<boolean>(`document.querySelector('[data-check]') !== null`))) break;
  }
  line('skip to the next check, with 200 entries', next);
} finally {
  await browser.close();
  await server.stop();
}
