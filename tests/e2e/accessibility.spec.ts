import { expect, test, type Page } from '@playwright/test';
import { isWithinScreen, violationsOn } from './soundness';
import { baseUrl, currentCheck, isPhone } from './technician';

/** The views on the demo data, in both themes: axe finds nothing, and everything to touch is large enough. */
const views = [
  { name: 'Today', open: '' },
  { name: 'New call', open: '/call' },
  { name: 'Bench', job: /Morten Quist/, path: '' },
  { name: 'Wiring picture', job: /Bea Falkner/, path: '', sheet: 'picture' },
  { name: 'Why this check', job: /Bea Falkner/, path: '', sheet: 'why' },
  { name: 'Bench, one element', job: /The Kettle Corner/, path: '' },
  { name: 'Kept on this device', job: /Morten Quist/, path: '', sheet: 'waiting' },
  { name: 'Repair', job: /Halloway/, path: '/repair' },
  { name: 'Procedures', job: /Odile Marchbanks/, path: '/procedures' },
  { name: 'A step', job: /Odile Marchbanks/, path: '/procedures', sheet: 'step' },
  { name: 'Temperatures', job: /Ottilie Brackenridge/, path: '/temperatures' },
  { name: 'Settings', job: /Ottilie Brackenridge/, path: '/settings' },
  { name: 'Combustion', job: /Petra Okonjo/, path: '/combustion' },
  { name: 'Heating curve', job: /Petra Okonjo/, path: '/settings' },
  { name: 'Radiators', job: /Dunstan Rell/, path: '/balancing' },
  { name: 'Bench, heat pump', job: /Oda Marchbanks/, path: '' },
  { name: 'Mixing valve', job: /Lionel Strake/, path: '/mixing' },
  { name: 'Sensors', open: '/sensors' },
  { name: 'Service and prices', open: '/service' },
  { name: 'Who works here', open: '/technicians' },
  { name: 'Report', job: /1001 Otter Lane/, path: '/report' },
] as const;

const themes = ['light', 'dark'] as const;
const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
/** What another theme changes. */
const ofColours = ['color-contrast', 'link-in-text-block'];

for (const view of views) {
  test(`${view.name} in both themes`, async ({ page }) => {
    await openView(page, view);
    await page.evaluate(() => document.fonts.ready);
    // Colours are the same on a phone: there the light ones alone are looked at.
    for (const theme of isPhone(page) ? (['light'] as const) : themes) {
      await test.step(theme, async () => {
        await page.emulateMedia({ colorScheme: theme });
        const asked = theme === 'light' ? { tags } : { rules: ofColours };
        expect(await violationsOn(page, asked)).toEqual([]);
      });
    }
    if (isPhone(page)) {
      expect(await smallTargetsOn(page)).toEqual([]);
      await isWithinScreen(page);
    }
  });
}

async function openView(page: Page, view: (typeof views)[number]): Promise<void> {
  if ('open' in view) {
    await page.goto(`${baseUrl()}${view.open}`);
    // The code of a family may still be on its way.
    await page.getByRole('main').waitFor();
    return;
  }
  await page.goto(`${baseUrl()}${await addressOf(page, view.job.source)}${view.path}`);
  if (view.path === '') await currentCheck(page);
  else await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  if (!('sheet' in view)) return;
  if (view.sheet === 'waiting') {
    await page.route('**/api/jobs/*/entries', (route) =>
      route.fulfill({ status: 422, json: { message: 'No such thing here.' } }),
    );
    await page.getByRole('button', { name: 'Skip', exact: true }).click();
    await expect(page.getByText('1 not taken by the server')).toBeVisible();
    await page.goto(`${baseUrl()}/waiting`);
    await expect(page.getByRole('button', { name: 'Strike' })).toBeVisible();
    return;
  }
  if (view.sheet === 'step') {
    await page.getByRole('button', { name: 'Start: Light a pilot' }).click();
    await page.getByRole('button', { name: 'No smell', exact: true }).click();
    await page.getByRole('button', { name: 'Dry', exact: true }).click();
    for (const text of [/Tank full/, /Knob to off/]) {
      await expect(page.getByRole('heading', { name: text })).toBeVisible();
      await page.getByRole('button', { name: 'Done', exact: true }).click();
    }
    await expect(page.getByRole('timer')).toBeVisible();
    return;
  }
  const why = page.getByRole('button', { name: /Why this one/ });
  const picture = page.getByRole('button', {
    name: isPhone(page) ? 'Picture' : 'Touch any two',
    exact: true,
  });
  await (view.sheet === 'why' ? why : picture).click();
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible();
  if (view.sheet === 'picture') await page.getByText('Terminals as a table').click();
}

/** The address of the one job that Today finds by these words. */
async function addressOf(page: Page, words: string): Promise<string> {
  const found = await page.request.get(`${baseUrl()}/?find=${encodeURIComponent(words)}`);
  return /href="(\/jobs\/[0-9a-f-]{36})/.exec(await found.text())![1]!;
}

/** What is to be touched and is less than 44 px high. */
function smallTargetsOn(page: Page): Promise<{ text: string; height: number }[]> {
  return page.evaluate(() =>
    [
      ...document.querySelectorAll<HTMLElement>(
        'button, a, select, input:not([type=file]):not([type=checkbox]), summary',
      ),
    ]
      .filter((each) => each.offsetParent !== null && !each.closest('.sr-only'))
      .map((each) => ({
        text: (each.textContent ?? '').slice(0, 30),
        height: each.getBoundingClientRect().height,
      }))
      .filter((each) => each.height > 0 && each.height < 43.5),
  );
}
