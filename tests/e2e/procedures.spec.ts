import { randomUUID } from 'node:crypto';
import { expect, test, type Page, type Route } from '@playwright/test';
import { familyOf } from '../../src/core/appliances/all';
import type { Entry } from '../../src/core/job-file';
import { isSound } from './soundness';
import { sampleUnit } from '../sample-unit';
import { emptyJob, stamp } from '../plates';
import { baseUrl, enterElsewhere, isAwake, openJob, proveDead, sentJob } from './technician';

/** Procedures with their clocks, as hands go through them. */

const gasTitle = familyOf('gas-storage-pilot')!.title;

const stepsOf = (entries: readonly Entry[]) =>
  entries.flatMap((each) => (each.kind === 'step' ? [each] : []));

async function begin(page: Page, jobId: string, title: string, which?: string): Promise<void> {
  await page.goto(`${baseUrl()}/jobs/${jobId}/procedures`);
  await page.getByRole('button', { name: `Start: ${title}` }).click();
  if (which !== undefined) await page.getByRole('button', { name: which }).click();
  if (title === 'Flush a tank') await page.getByRole('button', { name: 'Start now' }).click();
  await expect(page.getByText(/step 1 of/)).toBeVisible();
}

const done = (page: Page) => page.getByRole('button', { name: 'Done', exact: true }).click();
const stepIs = (page: Page, text: string | RegExp) =>
  expect(page.getByRole('heading', { level: 2, name: text })).toBeVisible();

async function makeDead(page: Page): Promise<void> {
  await page.getByRole('alert').getByRole('button', { name: 'Prove dead' }).click();
  await proveDead(page);
}

test(
  'a flush is put down in the middle, taken up at a desk, and stands in the logbook with its times',
  { tag: '@phone' },
  async ({ page, browser }) => {
    await page.clock.install();
    const jobId = await openJob(page, { kind: 'runs-out', customer: 'Flushed' });
    await begin(page, jobId, 'Flush a tank');
    await stepIs(page, /Power off/);
    await done(page);
    await expect(page.getByText('First what stands above')).toBeVisible();
    await makeDead(page);
    await done(page);
    await stepIs(page, /Hose on/);
    // Nobody leaves the hose out.
    await expect(page.getByRole('button', { name: 'Leave out' })).toBeDisabled();
    await done(page);
    await stepIs(page, /full pressure, 5 s/);
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.clock.fastForward(3000);
    const whole = await page.getByRole('button', { name: 'Done', exact: true }).boundingBox();
    expect(whole!.height).toBeGreaterThan(300);
    await done(page);
    await stepIs(page, /Cold valve shut/);
    await done(page);
    await done(page);
    await stepIs(page, /Drain by gravity/);
    await expect(page.getByText(/cannot ring while the phone is locked/)).toBeVisible();
    // Sooner than its least it asks why.
    await page.getByRole('button', { name: 'Nothing more comes' }).click();
    await expect(page.getByText(/Its least time has not passed/)).toBeVisible();
    const calendar = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Into the calendar' }).click();
    expect((await calendar).suggestedFilename()).toBe('ohmmeter-due.ics');
    // Put down: another one begins meanwhile, and both clocks are seen.
    await page.getByRole('button', { name: /Put it down/ }).click();
    await expect(page.getByRole('button', { name: /^Flush a tank/ })).toBeVisible();
    await page.getByRole('button', { name: 'Start: Find a noise' }).click();
    await page.getByRole('button', { name: 'Rumbles, boils, pops' }).click();
    await page.getByRole('button', { name: 'While heating' }).click();
    await stepIs(page, /Make it happen/);
    // Two clocks at once: this one on the page, the other in the bar.
    await expect(page.getByRole('timer')).toBeVisible();
    await expect(page.getByRole('link', { name: /Flush a tank.*of 30:00/ })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('timer')).toBeVisible();
    await page.getByRole('button', { name: /Put it down/ }).click();
    await isSound(page);
    await page.clock.fastForward('31:00');
    await sentJob(page, jobId);

    const desk = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const other = await desk.newPage();
    await other.goto(`${baseUrl()}/jobs/${jobId}/procedures`);
    await other.getByRole('button', { name: /^Flush a tank/ }).click();
    await stepIs(other, /Drain by gravity/);
    // The desk's clock has seen no half hour pass: it takes the word of whoever looked.
    await other.getByLabel(/why is it enough/).fill('nothing comes, half an hour by the wall');
    await other.getByRole('button', { name: 'Nothing more comes' }).click();
    await stepIs(other, /What comes/);
    await other.getByRole('button', { name: 'Clear' }).click();
    for (const round of [1, 2]) {
      await stepIs(other, /it swirls/);
      await other.getByRole('button', { name: 'Begin' }).click();
      // It goes on by itself after two seconds.
      await expect(other.getByRole('heading', { name: /let it run out/ })).toBeVisible({
        timeout: 8000,
      });
      await other.getByRole('button', { name: 'Begin' }).click();
      if (round === 2)
        await other.getByRole('button', { name: 'It runs clear' }).click({ timeout: 15_000 });
    }
    await stepIs(other, /Drain valve shut/);
    await done(other);
    await other.getByLabel(/why is it enough/).fill('small tank, no air any more');
    await done(other);
    await stepIs(other, /dry/);
    await other.getByRole('button', { name: 'Dry', exact: true }).click();
    await done(other);
    await stepIs(other, /Next flush/);
    await done(other);
    await expect(other.getByText('Flush a tank: gone through')).toBeVisible();

    const { entries } = await sentJob(other, jobId);
    const steps = stepsOf(entries);
    expect(steps.at(-1)).toMatchObject({ step: 'done', phase: 'done', ends: 'done' });
    expect(new Set(steps.map((each) => each.procedure))).toEqual(
      new Set(['flush', 'locate-noise']),
    );
    expect(steps.find((each) => each.step === 'drain' && each.phase === 'done')).toMatchObject({
      result: 'ran-out',
      reason: 'nothing comes, half an hour by the wall',
    });
    expect(steps.filter((each) => each.step === 'rinse-on' && each.phase === 'done')).toHaveLength(
      2,
    );
    const burst = steps.find((each) => each.step === 'burst' && each.phase === 'done')!;
    expect(burst.duration!.second).toBeGreaterThanOrEqual(2);
    expect(entries.map((each) => (each.kind === 'action' ? each.action : each.kind))).toEqual(
      expect.arrayContaining(['proved-dead', 'drain', 'fill', 'power-on', 'service']),
    );
    expect(entries.some((each) => each.kind === 'observation' && each.check === 'drain-look')).toBe(
      true,
    );
    await desk.close();
  },
);

test(
  'a thermostat with other terminals is mapped, and a wire put back wrong is caught',
  { tag: '@desk' },
  async ({ page }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Mapped' });
    await begin(page, jobId, 'Change an electric thermostat', 'Replace the lower thermostat');
    await makeDead(page);
    await done(page);
    await stepIs(page, /Dials as found/);
    await page.getByLabel('Lower dial as found').fill('55');
    await page.getByLabel('Lower dial as found').press('Enter');
    await done(page);
    await done(page);
    await stepIs(page, /Wires off one by one/);
    await page.getByRole('button', { name: 'All noted and off' }).click();
    await expect(page.getByText(/2 not noted yet/)).toBeVisible();
    const lifts = page.getByRole('button', { name: /: lift$/ });
    for (let left = await lifts.count(); left > 0; left--) {
      await page.getByPlaceholder('colour').first().fill('red');
      await page.getByPlaceholder('number').first().fill(String(left));
      await lifts.first().click();
      await expect(lifts).toHaveCount(left - 1);
    }
    await page.getByRole('button', { name: 'All noted and off' }).click();

    // A part that does not match is refused with its reason.
    await stepIs(page, /Clips out/);
    await page.getByLabel(/^Amps, at least/).fill('10');
    await page.getByLabel(/^Volts, at least/).fill('240');
    for (const each of await page.getByRole('button', { name: /: Yes$/ }).all()) await each.click();
    await page.getByRole('button', { name: 'It is in' }).click();
    await expect(page.getByText(/welds shut or burns/)).toBeVisible();
    await page.getByLabel(/^Amps, at least/).fill('25');
    await page.getByRole('button', { name: 'It is in' }).click();
    await done(page);

    // Other terminals on the new part: old to new, side by side; then one wire on the wrong screw.
    await stepIs(page, /Each wire on the terminal it came from/);
    await page.getByRole('button', { name: 'Other terminals on the new part' }).first().click();
    await page.getByPlaceholder('new: T2').fill('T2');
    await page.getByRole('button', { name: 'Map', exact: true }).click();
    await page.getByRole('button', { name: /: back on T2$/i }).click();
    const elsewhere = page.getByRole('combobox', { name: /sits on another terminal/ });
    await expect(elsewhere).toHaveCount(1);
    await elsewhere.selectOption({ index: 1 });
    await expect(page.getByText(/WRONG: on/)).toBeVisible();
    await page.getByRole('button', { name: 'All back and confirmed' }).click();
    await expect(page.getByText(/another terminal than it belongs on/)).toBeVisible();
    await isSound(page);
    await page.getByRole('button', { name: /: back on / }).click();
    await page.getByRole('button', { name: 'All back and confirmed' }).click();
    await stepIs(page, /Every screw again/);

    const { entries } = await sentJob(page, jobId);
    expect(entries.find((each) => each.kind === 'wire' && each.stands === 'mapped')).toMatchObject({
      to: 'T2',
    });
    // The engine hears of it: the wiring was looked at, and it was wrong.
    expect(
      entries.some(
        (each) =>
          each.kind === 'observation' && each.check === 'wiring-look' && each.value !== 'sound',
      ),
    ).toBe(true);
    expect(entries.find((each) => each.kind === 'part')).toMatchObject({
      action: 'fitted',
      says: { ampere: { ampere: 25 }, volt: { volt: 240 }, poles: 'same' },
    });
  },
);

test(
  'a pilot is lit with the clock: a drop twice leads back to the diagnosis',
  { tag: '@phone' },
  async ({ page }) => {
    await page.clock.install();
    const jobId = await openJob(page, {
      kind: 'no-hot-water',
      customer: 'Lit by the clock',
      family: gasTitle,
      plate: {
        chosen: ['one thin lead, no light'],
        typed: { 'Input, BTU/h': '39900', Gallons: '40' },
      },
    });
    await begin(page, jobId, 'Light a pilot');
    await stepIs(page, /Smell at floor level/);
    const answer = (name: string) => page.getByRole('button', { name, exact: true }).click();
    await answer('No smell');
    await answer('Dry');
    await done(page);
    const light = async () => {
      await stepIs(page, 'Knob to off.');
      await done(page);
      await stepIs(page, 'Let gas clear.');
      // It does not go on by itself for what passed while nobody looked; five minutes and a look do.
      await page.clock.runFor('05:01');
      await stepIs(page, /Smell again/);
      await answer('No smell');
      await done(page);
      await stepIs(page, /press it in/);
      await done(page);
      await stepIs(page, /Press the igniter/);
      await page.clock.runFor(2000);
      await answer('Lights');
      await answer('Wraps the upper third');
      await stepIs(page, /Keep the knob in/);
      await page.clock.runFor('00:40');
      await done(page);
      await stepIs(page, /Let go slowly/);
      await answer('Pilot drops');
    };
    await light();
    await light();
    await light();
    await expect(page.getByText('Light a pilot: back to the diagnosis')).toBeVisible();
    const { entries } = await sentJob(page, jobId);
    const drops = entries.filter(
      (each) =>
        each.kind === 'observation' && each.check === 'pilot-hold-try' && each.value === 'drops',
    );
    expect(drops).toHaveLength(3);
    const vents = stepsOf(entries).filter((each) => each.step === 'vent' && each.phase === 'done');
    expect(vents).toHaveLength(3);
    for (const each of vents) expect(each.duration!.second).toBeGreaterThanOrEqual(300);
  },
);

test(
  'a clock that comes due and a server that is slow move nothing under a finger',
  { tag: '@phone' },
  async ({ page }) => {
    await page.clock.install();
    const jobId = await openJob(page, {
      kind: 'no-hot-water',
      customer: 'Under a finger',
      family: gasTitle,
      plate: {
        chosen: ['one thin lead, no light'],
        typed: { 'Input, BTU/h': '39900', Gallons: '40' },
      },
    });
    await begin(page, jobId, 'Light a pilot');
    const answer = (name: string) => page.getByRole('button', { name, exact: true }).click();
    await answer('No smell');
    await answer('Dry');
    await done(page);
    await done(page);
    await stepIs(page, 'Let gas clear.');
    await sentJob(page, jobId);
    await page.clock.runFor('05:01');
    await answer('No smell');
    await done(page);
    await stepIs(page, /press it in/);
    await sentJob(page, jobId);
    const held: Route[] = [];
    let isThere: 'slow' | 'gone' | 'back' = 'slow';
    await page.route('**/api/jobs/*/entries', (route) =>
      isThere === 'slow'
        ? void held.push(route)
        : isThere === 'gone'
          ? route.abort()
          : route.continue(),
    );
    const placeOf = async (name: string) =>
      (await page.getByRole('button', { name, exact: true }).boundingBox())!;
    const fingerOn = async (name: string) => {
      await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight));
      const place = await placeOf(name);
      await page.mouse.move(place.x + place.width / 2, place.y + place.height / 2);
      await page.mouse.down();
      return place;
    };
    const passUntil = (words: string | RegExp) =>
      expect(async () => {
        await page.clock.runFor(500);
        await expect(page.getByText(words)).toBeVisible({ timeout: 1 });
      }).toPass();
    const kept = page.getByText(/kept on this device/);

    await done(page);
    await stepIs(page, /Press the igniter/);
    const lights = await fingerOn('Lights');
    await passUntil(/\d kept on this device, being sent/);
    await expect(page.getByText('Its least time has passed.')).toBeVisible();
    expect(await placeOf('Lights')).toEqual(lights);
    isThere = 'gone';
    for (const each of held) await each.continue();
    await expect(kept).toHaveCount(0);
    expect(await placeOf('Lights')).toEqual(lights);
    // The clock of the device jumps: that is said, where nothing has to make room for it.
    await page.clock.fastForward(10_000);
    await expect(page.getByText(/Nobody looked for 0:1/)).toBeVisible();
    expect(await placeOf('Lights')).toEqual(lights);
    await page.mouse.up();

    // Nobody answers: a line of its own says so; it goes with the tap that comes after, never during one.
    await stepIs(page, /Flame blue/);
    await passUntil(/go by themselves/);
    const wraps = await fingerOn('Wraps the upper third');
    isThere = 'back';
    await passUntil('All sent');
    await page.clock.runFor(5000);
    expect(await placeOf('Wraps the upper third')).toEqual(wraps);
    await page.mouse.up();
    await stepIs(page, /Keep the knob in/);
    await expect(page.getByText('All sent')).toHaveCount(0);
  },
);

test(
  'smelled gas leads out of the house, and nothing else is asked',
  { tag: '@phone' },
  async ({ page }) => {
    const jobId = await openJob(page, {
      kind: 'no-hot-water',
      customer: 'Smelled',
      family: gasTitle,
      plate: {
        chosen: ['one thin lead, no light'],
        typed: { 'Input, BTU/h': '39900', Gallons: '40' },
      },
    });
    await begin(page, jobId, 'Light a pilot');
    await page.getByRole('button', { name: 'Gas smelled', exact: true }).click();
    await stepIs(page, /no flame, no switch/);
    await page.getByRole('button', { name: 'Gas smelled', exact: true }).click();
    await expect(page.getByText(/left the house/)).toBeVisible();
    const { entries } = await sentJob(page, jobId);
    expect(stepsOf(entries).filter((each) => each.ends)).toMatchObject([
      { procedure: 'light-pilot', ends: 'make-gas-safe' },
      { procedure: 'make-gas-safe', ends: 'leave' },
    ]);
    // Closed over it, the list tells it still, and why it was closed.
    await enterElsewhere(page, jobId, {
      kind: 'status',
      status: 'closed-not-repaired',
      reason: 'left to the gas supplier',
    });
    await page.goto(`${baseUrl()}/?find=Smelled`);
    const line = page.getByRole('link', { name: /left to the gas supplier/ });
    await expect(line).toContainText('Gas: make it safe, nothing else');
  },
);

test(
  'a run is held while gas is smelled, by whomever; what makes it safe is not',
  { tag: '@phone' },
  async ({ page }) => {
    await page.clock.install();
    const jobId = await openJob(page, {
      kind: 'no-hot-water',
      customer: 'Smelled by another',
      family: gasTitle,
      plate: {
        chosen: ['one thin lead, no light'],
        typed: { 'Input, BTU/h': '39900', Gallons: '40' },
      },
    });
    await begin(page, jobId, 'Light a pilot');
    await page.getByRole('button', { name: 'No smell', exact: true }).click();
    await page.getByRole('button', { name: 'Dry', exact: true }).click();
    await done(page);
    await done(page);
    await stepIs(page, 'Let gas clear.');
    const run = page.url();
    await enterElsewhere(page, jobId, {
      kind: 'observation',
      check: 'gas-smell-sniff',
      value: 'smell',
    });
    await stepIs(page, /^Held/);
    await expect(page.getByRole('timer')).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Done', exact: true })).toHaveCount(0);
    await isSound(page);
    // Nor does its time move it on, here or when it is opened again.
    await page.clock.fastForward(15 * 60_000);
    await page.goto(run);
    await stepIs(page, /^Held/);
    const marks = async () => stepsOf((await sentJob(page, jobId)).entries).length;
    const before = await marks();
    await page.getByRole('button', { name: /Put it down/ }).click();
    await page.getByRole('button', { name: 'Start: Shut down and make gas safe' }).click();
    await stepIs(page, /Gas smelled: no flame/);
    expect(await marks()).toBe(before + 1);
    // Who stands there and mends it goes on by their own word, and until the page is left.
    await page.goto(run);
    await page.getByRole('button', { name: /It is made safe/ }).click();
    await stepIs(page, 'Let gas clear.');
    await page.goto(run);
    await stepIs(page, /^Held/);
    await page.getByRole('link', { name: /^Check again/ }).click();
    await expect(page).toHaveURL(/check=gas-smell-sniff/);
    await page.getByRole('button', { name: 'No smell', exact: true }).click();
    await expect
      .poll(async () => (await sentJob(page, jobId)).entries.at(-1))
      .toMatchObject({
        value: 'none',
      });
    await page.goto(run);
    await stepIs(page, 'Let gas clear.');
  },
);

test(
  'a reading that is entered sooner than its least time stands there until the reason is given',
  { tag: '@phone' },
  async ({ page }) => {
    const jobId = await openJob(page, {
      kind: 'no-hot-water',
      customer: 'Too soon',
      family: gasTitle,
      plate: {
        chosen: ['one thin lead, no light'],
        typed: { 'Input, BTU/h': '39900', Gallons: '40' },
      },
    });
    const run = crypto.randomUUID();
    await enterElsewhere(page, jobId, {
      kind: 'step',
      procedure: 'change-thermocouple',
      run,
      step: 'after',
      phase: 'started',
    });
    await page.goto(`${baseUrl()}/jobs/${jobId}/procedures?run=${run}`);
    await stepIs(page, /Loaded millivolts/);
    const keys = page.getByRole('group', { name: 'Keypad' });
    for (const each of ['1', '4']) {
      await keys.getByRole('button', { name: each, exact: true }).click();
    }
    await keys.getByRole('button', { name: /^Enter/ }).click();
    await expect(page.getByText('Its least time has not passed.')).toBeVisible();
    const typed = page.getByLabel(/, value in mV/);
    await expect(typed).toHaveValue('14');
    await page.getByLabel(/why is it enough/).fill('it stands since five minutes');
    await keys.getByRole('button', { name: /^Enter/ }).click();
    await expect
      .poll(async () => (await sentJob(page, jobId)).entries.filter((each) => 'value' in each))
      .toMatchObject([{ check: 'loaded-millivolts', value: { volt: 0.014 } }]);
  },
);

test(
  'a step that reads several values has a field for each, and takes them together',
  { tag: '@phone' },
  async ({ page }) => {
    const jobId = await openJob(page, {
      kind: 'no-hot-water',
      customer: 'Shown and true',
      family: familyOf('system-boiler')!.title,
      plate: { chosen: [], typed: { 'Input, BTU/h': '102000' } },
    });
    const run = crypto.randomUUID();
    await enterElsewhere(page, jobId, {
      kind: 'step',
      procedure: 'sensor-check',
      run,
      step: 'shown',
      phase: 'started',
    });
    await page.goto(`${baseUrl()}/jobs/${jobId}/procedures?run=${run}`);
    await stepIs(page, /Readout again/);
    await page.getByLabel(/^On the display/).fill('140');
    await page.getByRole('button', { name: 'Enter both' }).click();
    await expect(page.getByRole('alert').first()).toBeVisible();
    await page.getByLabel(/^By the thermometer/).fill('149');
    await isSound(page);
    await page.getByRole('button', { name: 'Enter both' }).click();
    const readings = async () =>
      (await sentJob(page, jobId)).entries.filter((each) => each.kind === 'reading');
    await expect.poll(readings).toMatchObject([
      {
        check: 'display-less-contact-supply',
        values: {
          one: { celsius: expect.closeTo(60, 6) },
          other: { celsius: expect.closeTo(65, 6) },
        },
      },
    ]);
    expect(stepsOf((await sentJob(page, jobId)).entries).at(-1)).toMatchObject({
      step: 'shown',
      result: '140 °F and 149 °F',
    });
  },
);

test(
  'a repair is not closed over a wire that nobody confirmed, but with a reason',
  { tag: '@phone' },
  async ({ page }) => {
    const jobId = await openJob(page, { kind: 'no-hot-water', customer: 'Unconfirmed' });
    const stamp = (minute: number) => ({
      id: crypto.randomUUID(),
      at: new Date(Date.now() + minute * 1000).toISOString(),
    });
    const wire = { wire: 'w-lower-a', end: 'lower-element.a' };
    const { message } = (await (
      await page.request.post(`${baseUrl()}/api/jobs/${jobId}/entries`, {
        headers: { origin: baseUrl() },
        data: {
          entries: [
            { ...stamp(1), kind: 'wire', wire: wire.wire, from: wire.end, stands: 'noted' },
            { ...stamp(2), kind: 'action', action: 'lift-wire', ...wire },
            { ...stamp(3), kind: 'action', action: 'refit-wire', ...wire },
            { ...stamp(4), kind: 'action', action: 'replace', repair: 'replace-lower-element' },
          ],
        },
      })
    ).json()) as { message?: string };
    expect(message).toBeUndefined();
    await page.goto(`${baseUrl()}/jobs/${jobId}/repair`);
    await page.getByRole('button', { name: 'Close as repaired' }).click();
    await expect(page.getByText(/1 wire is not confirmed on its terminal/)).toBeVisible();
    await page.getByLabel(/^Reason/).fill('seen on the photograph');
    await page.getByRole('button', { name: 'Close as repaired' }).click();
    await expect(page.getByRole('link', { name: 'To the report' })).toBeVisible();
  },
);

test(
  'what comes due is on Today, and the firm changes its intervals',
  { tag: '@desk' },
  async ({ page }) => {
    await page.goto(baseUrl());
    await expect(page.getByRole('heading', { name: 'Due for service' })).toBeVisible();
    const calendar = await page.request.get(`${baseUrl()}/api/service/calendar`);
    expect(calendar.headers()['content-type']).toContain('text/calendar');
    expect(await calendar.text()).toContain('SUMMARY:Flush the tank');
    await page.getByRole('link', { name: 'Service', exact: true }).click();
    const months = page.getByLabel(/Flush the tank/);
    await months.fill('0');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('1 to 240 whole months.')).toBeVisible();
    await expect(months).toBeFocused();
    await months.fill('18');
    const hour = page.locator('#service-hour');
    await hour.fill('1,250');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText(/nothing between the thousands/)).toBeVisible();
    await expect(hour).toBeFocused();
    await hour.fill('');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Kept. What is due has been worked out anew.')).toBeVisible();
    await page.reload();
    await expect(months).toHaveValue('18');
    await months.fill('');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Kept.')).toBeVisible();
  },
);

test(
  'a noise is located on the picture of the unit, and harmless is said with its reason',
  { tag: '@phone' },
  async ({ page }) => {
    const jobId = await openJob(page, { kind: 'noise', customer: 'Ticking' });
    await begin(page, jobId, 'Find a noise');
    await page.getByRole('button', { name: 'Ticks, cracks' }).click();
    await page.getByRole('button', { name: 'After a draw' }).click();
    await page.getByRole('button', { name: 'Leave out' }).click();
    await page.getByRole('button', { name: 'Not needed' }).click();
    await page.getByRole('button', { name: 'Pipes or wall' }).first().click();
    const told = page.getByRole('region', { name: 'What the noise may be' });
    await expect(told.getByRole('listitem').first()).toContainText('Hot pipe creeps in its clips');
    await expect(told.getByText(/Most likely harmless/)).toBeVisible();
  },
);

test('what is seen in work on a boiler is told, corrected like any other entry, and stops neither bench nor report @desk', async ({
  page,
}) => {
  const boiler = familyOf('combi-boiler')!;
  const brought = await page.request.post(`${baseUrl()}/api/job-files`, {
    headers: { origin: baseUrl() },
    data: emptyJob(sampleUnit(boiler)),
  });
  const { id } = (await brought.json()) as { id: string };
  // No check of a boiler's diagnosis: a map of its wires enters it.
  await enterElsewhere(page, id, {
    kind: 'observation',
    check: 'wiring-look',
    value: 'fault-seen',
  });
  await page.goto(`${baseUrl()}/jobs/${id}`);
  await isAwake(page);
  await expect(page.locator('[data-check]')).toBeVisible();
  await page.getByRole('button', { name: /Wiring fault seen/ }).click();
  const dialog = page.getByRole('dialog').filter({ hasText: 'Correct an entry' });
  await dialog.getByRole('button', { name: 'sound', exact: true }).click();
  await expect
    .poll(async () => (await sentJob(page, id)).entries.at(-1))
    .toMatchObject({ kind: 'correction', entry: { check: 'wiring-look', value: 'sound' } });
  expect((await page.goto(`${baseUrl()}/jobs/${id}/report`))!.status()).toBe(200);
  await expect(page.getByText('Wiring').first()).toBeVisible();
});

test('of many that go on at once the bar tells two and how many more, and how the power stands keeps its room', async ({
  page,
}) => {
  const cylinder = familyOf('heat-pump-cylinder')!;
  const entries = cylinder.procedures.slice(0, 4).map(({ id, steps }) => ({
    ...stamp(),
    kind: 'step',
    run: randomUUID(),
    procedure: id,
    step: steps[0]!.id,
    phase: 'started',
  })) as Entry[];
  const brought = await page.request.post(`${baseUrl()}/api/job-files`, {
    headers: { origin: baseUrl() },
    data: emptyJob({ ...sampleUnit(cylinder), entries }),
  });
  const { id } = (await brought.json()) as { id: string };
  await page.goto(`${baseUrl()}/jobs/${id}/repair`);
  await isAwake(page);
  const bar = page.getByRole('banner');
  await expect(bar.locator('a[href*="?run="]')).toHaveCount(2);
  await expect(bar.getByRole('link', { name: '2 more that go on' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  const power = bar.getByText(/until proved dead/);
  const [told, whole] = [await power.boundingBox(), await bar.boundingBox()];
  expect(told!.y + told!.height).toBeLessThanOrEqual(whole!.y + whole!.height);
});
