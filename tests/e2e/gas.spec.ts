import { expect, test } from '@playwright/test';
import { families } from '../../src/core/appliances/all';
import { simulatedFamilyOf, seededRandom, simulateUnit } from '../../src/core/simulation';
import { capital } from '../../src/features/record/words';
import { sampleUnit } from '../sample-unit';
import { violationsOn } from './soundness';
import {
  andEntered,
  answerCheck,
  baseUrl,
  currentCheck,
  isAwake,
  openJob,
  putBack,
  repairAsTold,
  sentJob,
  workOut,
} from './technician';

/** Gas storage heaters with a standing pilot, from the call to the report, on units with physics of their own. */

const family = families.find((each) => each.id === 'gas-storage-pilot')!;
const variants = {
  thermocouple: 'one thin lead, no light',
  thermopile: 'electronic, status light',
} as const;

const hiddenUnit = (valve: keyof typeof variants, fault: string, seed: number) => {
  const typed = { valve, input: '11700', volume: '151' };
  return simulateUnit(
    simulatedFamilyOf(family.id),
    family.plateOf(sampleUnit(family, typed)),
    seededRandom(seed),
    { faults: [fault] },
  );
};

for (const [valve, fault, seed] of [
  ['thermocouple', 'thermocouple.worn', 3],
  ['thermocouple', 'joint.loose', 13],
  ['thermopile', 'sediment', 3],
  ['thermopile', 'valve.electronics', 11],
] as const) {
  // One of them on a phone.
  const tag = fault === 'thermocouple.worn' ? '@phone' : '@desk';
  test(
    `a ${valve} heater with ${fault} is found, mended, proved and closed`,
    { tag },
    async ({ page }) => {
      const unit = hiddenUnit(valve, fault, seed);
      const jobId = await openJob(page, {
        kind: unit.complaint.kind,
        customer: `Gas ${fault}`,
        family: family.title,
        plate: {
          chosen: [variants[valve]],
          typed: { 'Input, BTU/h': '39900', Gallons: '40' },
        },
      });
      const { unit: opened } = await sentJob(page, jobId);
      const { watt } = (opened.plate as { input: { watt: number } }).input;
      expect(watt).toBeCloseTo(39_900 * 0.293071, 0);
      await workOut(page, jobId, unit);

      await page.getByRole('link', { name: 'Repair', exact: true }).first().click();
      await expect(page.getByRole('heading', { name: 'Proof, settings, closing' })).toBeVisible();
      await repairAsTold(page);
      const { entries } = await sentJob(page, jobId);
      const verdict = entries.findLast((each) => each.kind === 'verdict');
      expect(unit.repairs).toContain(verdict?.kind === 'verdict' ? verdict.repair : undefined);
      unit.repair(unit.repairs);

      const proof = family.proofChecksFor(unit.repairs[0]!)[0]!;
      const label = family.checks[proof]!.label;
      // What opens the way to it may have ended meanwhile: the pilot is lit again first.
      for (let taken: string | undefined; taken !== proof;) {
        await page.getByRole('link', { name: label }).first().click();
        expect(await currentCheck(page)).toBe(proof);
        const first = page.locator('[data-check] li button', { hasText: /^First: / });
        if ((await first.count()) > 0) await first.first().click();
        taken = (await currentCheck(page))!;
        await answerCheck(page, jobId, taken, unit);
        await sentJob(page, jobId);
        await page.goto(`${baseUrl()}/jobs/${jobId}/repair`);
      }
      await putBack(page);
      await page.getByRole('button', { name: 'Close: repaired and proved' }).click();
      await page.getByRole('link', { name: 'To the report' }).click();
      await expect(
        page.getByRole('heading', { name: /Repaired, and the repair held/ }),
      ).toBeVisible();
      await expect(page.getByText(/Power OFF|proved dead/i)).toHaveCount(0);
    },
  );
}

test('smelled gas ends everything until the same sniff finds none, and bars closing as repaired @phone', async ({
  page,
}) => {
  const jobId = await openJob(page, {
    kind: 'no-hot-water',
    customer: 'Gas smelled',
    family: family.title,
    plate: { chosen: [], typed: { 'Input, BTU/h': '39900', Gallons: '40' } },
  });
  expect(await currentCheck(page)).toBe('gas-smell-sniff');
  const found = page.getByRole('group', { name: 'What you found' });
  const { none, smell } = family.checks['gas-smell-sniff']!.answers!;
  const stop = page.getByRole('alert', { name: 'Gas: make it safe, nothing else' });
  // Told before what follows from it is worked out.
  const toldWhileBusy = page.evaluate(
    () =>
      new Promise<string | null | undefined>((resolve) => {
        const watch = new MutationObserver(() => {
          if (!document.body.textContent.includes('Everybody out')) return;
          watch.disconnect();
          resolve(document.querySelector('main')?.getAttribute('aria-busy'));
        });
        watch.observe(document.body, { subtree: true, childList: true });
      }),
  );
  await andEntered(page, () =>
    found.getByRole('button', { name: capital(smell!), exact: true }).click(),
  );
  expect(await toldWhileBusy).toBe('true');
  await expect(stop).toContainText('Call the gas supplier from outside');
  await expect(page.locator('[data-check]')).toHaveCount(0);
  expect(await violationsOn(page)).toEqual([]);

  // Whichever page of the job somebody comes to says it, and none proposes what to do to the heater.
  for (const each of ['report', 'procedures', 'combustion', 'settings', 'repair']) {
    const address = `${baseUrl()}/jobs/${jobId}/${each}`;
    // In the page that the server sends, before anything is worked out on a slow phone.
    expect(await (await page.request.get(address)).text(), each).toContain('Everybody out');
    await page.goto(address);
    await expect(stop, each).toContainText('Everybody out');
  }
  await expect(page.getByText('Make it safe first')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Repair this, once it is safe' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Act on this verdict' })).toHaveCount(0);
  expect(await violationsOn(page)).toEqual([]);
  const closed = await page.request.post(`${baseUrl()}/api/jobs/${jobId}/entries`, {
    headers: { origin: baseUrl() },
    data: {
      entries: [
        {
          id: '0198c2f0-0000-7000-8000-00000000aa01',
          at: new Date().toISOString(),
          kind: 'status',
          status: 'closed-repaired',
          reason: 'they wanted it closed',
        },
      ],
    },
  });
  expect(closed.status()).toBe(422);
  expect(await closed.text()).toContain('It is not repaired until');

  await page.goto(`${baseUrl()}/jobs/${jobId}`);
  await isAwake(page);
  await page.getByRole('button', { name: 'Another check first' }).click();
  await page.getByRole('button', { name: family.checks['gas-smell-sniff']!.label }).click();
  await andEntered(page, () =>
    found.getByRole('button', { name: capital(none!), exact: true }).click(),
  );
  await expect(stop).toHaveCount(0);
  expect(await currentCheck(page)).toBeDefined();
});

test('two heaters side by side are read together, each at its own outlet @phone', async ({
  page,
}) => {
  const jobId = await openJob(page, {
    kind: 'runs-out',
    customer: 'A pair',
    family: family.title,
    plate: {
      chosen: [variants.thermocouple, 'two side by side'],
      typed: { 'Input, BTU/h': '39900', Gallons: '40' },
    },
  });
  await andEntered(page, () =>
    page
      .getByRole('button', { name: capital(family.checks['gas-smell-sniff']!.answers!.none!) })
      .click(),
  );
  await page.goto(`${baseUrl()}/jobs/${jobId}?check=pair-outlet-temperatures`);
  await expect.poll(() => currentCheck(page)).toBe('pair-outlet-temperatures');
  await expect(page.getByText(/Together: expect/)).toContainText(/-?\d.* to \d/);
  await page.getByLabel(/^Outlet of the nearer heater/).fill('129');
  await page.getByRole('button', { name: 'Enter both' }).click();
  await expect(page.getByText(/Nothing is typed yet/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel(/^Outlet of the nearer heater/)).toHaveValue('129');
  await page.getByLabel(/^Outlet of the farther heater/).fill('84');
  await page.getByRole('button', { name: 'Enter both' }).click();
  const asked = page.getByRole('dialog', { name: 'Was this done?' });
  await expect
    .poll(async () => {
      if (await asked.isVisible()) await asked.getByRole('button', { name: /^Done/ }).click();
      return (await sentJob(page, jobId)).entries.at(-1);
    })
    .toMatchObject({
      kind: 'reading',
      check: 'pair-outlet-temperatures',
      values: {
        nearer: { celsius: expect.closeTo(53.9, 0) as unknown },
        farther: { celsius: expect.closeTo(28.9, 0) as unknown },
      },
    });
});

test('a check that another one opens the way to is gone on with, unless that says no @desk', async ({
  page,
}) => {
  const jobId = await openJob(page, {
    kind: 'no-hot-water',
    customer: 'One after the other',
    family: family.title,
    plate: { chosen: [], typed: { 'Input, BTU/h': '39900', Gallons: '40' } },
  });
  const found = page.getByRole('group', { name: 'What you found' });
  const { none, smell } = family.checks['gas-smell-sniff']!.answers!;
  const chooseLook = async (id: string) => {
    await page.goto(`${baseUrl()}/jobs/${id}?check=pilot-look`);
    await expect.poll(() => currentCheck(page)).toBe('pilot-look');
  };
  const sniffFirst = async (answer: string) => {
    await page.locator('[data-check] li button', { hasText: /^First: / }).click();
    await expect.poll(() => currentCheck(page)).toBe('gas-smell-sniff');
    await andEntered(page, () =>
      found.getByRole('button', { name: capital(answer), exact: true }).click(),
    );
  };
  await chooseLook(jobId);
  await sniffFirst(none!);
  await expect.poll(() => currentCheck(page)).toBe('pilot-look');

  const other = await openJob(page, {
    kind: 'no-hot-water',
    customer: 'One after the other, smelled',
    family: family.title,
    plate: { chosen: [], typed: { 'Input, BTU/h': '39900', Gallons: '40' } },
  });
  await chooseLook(other);
  await sniffFirst(smell!);
  await expect(page.getByRole('alert', { name: 'Gas: make it safe, nothing else' })).toBeVisible();
  await expect(page.locator('[data-check]')).toHaveCount(0);
});
