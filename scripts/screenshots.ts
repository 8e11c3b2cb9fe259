/** Takes the README's pictures of the main views from the demo data, at a desk and on a phone. */
import { chromium, type Page } from '@playwright/test';
import path from 'node:path';

const address = process.argv[2];
if (!address) throw new Error('run this by ./ohmmeter screenshots');
const folder = path.resolve(import.meta.dirname, '../docs/screenshots');
const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
});

interface Shot {
  readonly name: string;
  readonly viewport: { readonly width: number; readonly height: number };
  readonly theme?: 'light' | 'dark';
  /** The name of the job's customer on Today, and the page of the job. */
  readonly job?: {
    readonly name: RegExp;
    readonly page:
      | ''
      | `?check=${string}`
      | '/repair'
      | '/report'
      | '/procedures'
      | '/temperatures'
      | '/settings'
      | '/combustion'
      | '/balancing'
      | '/mixing';
  };
  readonly path?: string;
  readonly prepare?: (page: Page) => Promise<void>;
}

const typeReading = async (page: Page) => {
  await page.locator('main[aria-busy=false]').waitFor();
  await page.keyboard.type('12.7');
};

const half = { name: /Bea Falkner/, page: '?check=lower-element-ohms' } as const;
const shots: readonly Shot[] = [
  {
    name: 'today',
    viewport: desk,
    path: '/',
    prepare: async (page) => {
      const present = page.getByRole('button', { name: /^I am / });
      await present.click();
      await present.waitFor({ state: 'detached' });
    },
  },
  {
    name: 'new-call',
    viewport: desk,
    path: '/call',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Runs out soon' }).click();
      await page.getByRole('button', { name: 'sudden' }).click();
      await page.getByRole('button', { name: 'every tap' }).click();
      await page.getByLabel('Customer', { exact: true }).fill('Osk Lindqvist-Hale');
      await page.getByLabel('Address').fill('77 Weir Street');
      await page.getByLabel('Upper watts').fill('4500');
    },
  },
  {
    name: 'temperatures',
    viewport: desk,
    job: { name: /Ottilie Brackenridge/, page: '/temperatures' },
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Draw Lower element/ }).click();
    },
  },
  {
    name: 'radiators',
    viewport: desk,
    job: { name: /Dunstan Rell/, page: '/balancing' },
    prepare: async (page) => {
      await page.getByRole('heading', { name: /^Set \d+ lockshields/ }).waitFor();
    },
  },
  {
    name: 'settings',
    viewport: desk,
    job: { name: /Ottilie Brackenridge/, page: '/settings' },
    prepare: async (page) => {
      await page.getByRole('img', { name: /How soon adult skin burns/ }).waitFor();
    },
  },
  { name: 'bench', viewport: desk, job: half, prepare: typeReading },
  { name: 'bench-phone', viewport: phone, job: half, prepare: typeReading },
  {
    name: 'picture',
    viewport: desk,
    job: half,
    prepare: async (page) => {
      await page.locator('main[aria-busy=false]').waitFor();
      await page.getByRole('button', { name: 'Touch any two' }).click();
      const dialog = page.getByRole('dialog', { name: 'Wiring picture' });
      await dialog.getByRole('button', { name: /^Every wire/ }).click();
      await dialog
        .getByRole('group', { name: 'Breaker' })
        .getByRole('button', { name: 'on', exact: true })
        .click();
      await dialog.getByRole('slider', { name: /upper/ }).fill('20');
      await dialog.getByRole('button', { name: /^upper element a,/ }).click();
      await dialog.getByRole('button', { name: /^upper element b,/ }).click();
      await dialog.getByText('Under each suspect').waitFor();
    },
  },
  {
    name: 'combustion',
    viewport: desk,
    job: { name: /Petra Okonjo-Lindqvist/, page: '/combustion' },
    prepare: async (page) => {
      await page.getByRole('heading', { name: /^High fire/ }).waitFor();
    },
  },
  {
    name: 'mixing',
    viewport: desk,
    job: { name: /Lionel Strake/, page: '/mixing' },
    prepare: async (page) => {
      await page.getByRole('heading', { name: 'One step open' }).waitFor();
    },
  },
  {
    name: 'bench-heat-pump',
    viewport: desk,
    job: { name: /Oda Marchbanks/, page: '' },
    prepare: async (page) => {
      await page.locator('main[aria-busy=false]').waitFor();
    },
  },
  {
    name: 'bench-gas',
    viewport: desk,
    job: { name: /Lintel House Flats/, page: '' },
    prepare: async (page) => {
      await page.locator('main[aria-busy=false]').waitFor();
    },
  },
  {
    name: 'picture-gas',
    viewport: phone,
    job: { name: /Lintel House Flats/, page: '' },
    prepare: async (page) => {
      await page.locator('main[aria-busy=false]').waitFor();
      await page.getByRole('button', { name: 'Picture', exact: true }).click();
      const dialog = page.getByRole('dialog', { name: 'Heater picture' });
      await dialog.getByRole('button', { name: 'gas inlet port' }).press('Enter');
      await dialog.getByText('Under each suspect').waitFor();
    },
  },
  {
    name: 'picture-boiler',
    viewport: desk,
    job: { name: /Marlow Quay Flats/, page: '' },
    prepare: async (page) => {
      await page.locator('main[aria-busy=false]').waitFor();
      await page.getByRole('button', { name: 'Touch a point', exact: true }).click();
      const dialog = page.getByRole('dialog', { name: 'Boiler picture' });
      const set = (control: string, position: string) =>
        dialog
          .getByRole('group', { name: control })
          .getByRole('button', { name: position, exact: true })
          .click();
      await set('Request', 'tap');
      await set('Hot tap', 'open');
      await dialog.getByRole('button', { name: 'flow pipe', exact: true }).press('Enter');
      await dialog.getByText('Under each suspect').waitFor();
    },
  },
  {
    name: 'sensors',
    viewport: phone,
    path: '/sensors',
    prepare: async (page) => {
      await page.getByLabel('Temperature beside it').first().fill('122');
      await page.getByLabel('Ohms read').first().fill('4730');
      await page.getByText(/^Off: it reads/).waitFor();
    },
  },
  {
    name: 'kept-on-device',
    viewport: phone,
    job: { name: /Morten Quist/, page: '' },
    prepare: async (page) => {
      await page.locator('main[aria-busy=false]').waitFor();
      // Without a server the page comes from the device, once the service worker has taken over and the jobs are kept.
      await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
      await page.waitForTimeout(8000);
      await page.context().setOffline(true);
      await page.getByRole('button', { name: 'Skip', exact: true }).click();
      await page.getByText('1 kept on this device').waitFor();
      await page.goto(`${address}/waiting`);
      await page.getByText('waits').waitFor();
    },
  },
  { name: 'repair', viewport: desk, job: { name: /Rosa Sandoval-Price/, page: '/repair' } },
  {
    name: 'report',
    viewport: { width: 900, height: 1270 },
    job: { name: /1001/, page: '/report' },
  },
  {
    name: 'step',
    viewport: phone,
    job: { name: /Lintel House Flats/, page: '/procedures' },
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start: Light a pilot' }).click();
      await page.getByRole('button', { name: 'No smell', exact: true }).click();
      await page.getByRole('button', { name: 'Dry', exact: true }).click();
      for (const text of [/Tank full/, /Knob to off/]) {
        await page.getByRole('heading', { name: text }).waitFor();
        await page.getByRole('button', { name: 'Done', exact: true }).click();
      }
      await page.getByRole('timer').waitFor();
      await page.waitForTimeout(7000);
    },
  },
];

for (const { name, viewport, theme = 'light', job, path: where, prepare } of shots) {
  const context = await browser.newContext({ viewport, colorScheme: theme });
  const page = await context.newPage();
  await page.goto(`${address}${where ?? '/'}`);
  if (job) {
    const href = await page.getByRole('link', { name: job.name }).first().getAttribute('href');
    await page.goto(`${address}${href!.replace(/\/(repair|report)$/, '')}${job.page}`);
    await page.getByRole('heading', { level: 2 }).first().waitFor();
  }
  await prepare?.(page);
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(1200);
  await page.screenshot({ path: path.join(folder, `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
  await context.close();
}
await browser.close();
