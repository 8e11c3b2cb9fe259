import { expect, test, type Page } from '@playwright/test';
import { electricStorageTwoElement as family } from '../../src/core/appliances/electric-storage-two-element';
import { seededRandom, simulatedTwoElement, simulateUnit } from '../../src/core/simulation';
import type { JobFile } from '../../src/core/job-file';
import { plate4500 } from '../plates';
import {
  answerCheck,
  baseUrl,
  currentCheck,
  openJob,
  putBack,
  repairAsTold,
  sentJob,
  workOut,
} from './technician';

/** Jobs that do not go by the straight way, from the call to the report, as the unit answers. */

const hidden = (seed: number, ...faults: string[]) =>
  simulateUnit(simulatedTwoElement, plate4500, seededRandom(seed), { faults });

const openRepair = async (page: Page) => {
  if (!page.url().endsWith('/repair'))
    await page.getByRole('link', { name: 'Repair', exact: true }).first().click();
  await expect(page.getByRole('heading', { name: 'Proof, settings, closing' })).toBeVisible();
};

/** Takes the checks that prove the repair until one has given a result. */
const prove = async (page: Page, jobId: string, unit: ReturnType<typeof hidden>, name: RegExp) => {
  await openRepair(page);
  // Each proving check opens on the bench.
  await page.locator('a[href*="?check="]').filter({ hasText: name }).first().click();
  const check = await currentCheck(page);
  await answerCheck(page, jobId, check!, unit);
  await sentJob(page, jobId);
  return check!;
};

const verdicts = ({ entries }: JobFile) =>
  entries.flatMap((each) => (each.kind === 'verdict' ? [each.repair] : []));

test(
  'a heater that trips its breaker is found dead, and switched on only when it is mended',
  { tag: '@desk' },
  async ({ page }) => {
    // A short to the tank: it would trip again as soon as the breaker is pushed.
    const unit = hidden(5, 'upper-element.earthed');
    const jobId = await openJob(page, { kind: 'trips-breaker', customer: 'Trips' });
    const taken = await workOut(page, jobId, unit);
    expect(taken.length).toBeGreaterThan(0);
    const { entries } = await sentJob(page, jobId);
    expect(entries.filter((each) => each.kind === 'action' && each.action === 'power-on')).toEqual(
      [],
    );
    for (const check of taken) expect(family.check(check).state?.power).not.toBe('on');
    await openRepair(page);
    await repairAsTold(page);
    expect(verdicts(await sentJob(page, jobId))).toEqual(unit.repairs);
    unit.repair(unit.repairs);
    // Its amps were good with the leak too, and prove nothing; what leaked is read again.
    await prove(page, jobId, unit, /clamp/);
    await openRepair(page);
    await expect(page.getByText('proves nothing')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Close as repaired' })).toBeVisible();
    await prove(page, jobId, unit, /a to tank/);
    await openRepair(page);
    await putBack(page);
    await page.getByRole('button', { name: 'Close: repaired and proved' }).click();
    await page.getByRole('link', { name: 'To the report' }).click();
    await expect(
      page.getByRole('heading', { name: /Repaired, and the repair held/ }),
    ).toBeVisible();
  },
);

test(
  'two faults get two verdicts and two repairs, and the report has both',
  { tag: '@desk' },
  async ({ page }) => {
    const unit = hidden(8, 'upper-element.open', 'lower-element.open');
    const jobId = await openJob(page, { kind: unit.complaint.kind, customer: 'Two faults' });
    for (const round of [1, 2]) {
      await workOut(page, jobId, unit);
      await openRepair(page);
      await repairAsTold(page);
      const mended = verdicts(await sentJob(page, jobId));
      expect(mended).toHaveLength(round);
      unit.repair([mended.at(-1)!]);
      await page.goto(`${baseUrl()}/jobs/${jobId}`);
    }
    expect(verdicts(await sentJob(page, jobId)).sort()).toEqual(unit.repairs);
    await prove(page, jobId, unit, /element/);
    await openRepair(page);
    await putBack(page);
    await page.getByRole('button', { name: 'Close: repaired and proved' }).click();
    await page.getByRole('link', { name: 'To the report' }).click();
    for (const repair of unit.repairs) {
      await expect(page.getByText(family.repairs[repair]!.order).first()).toBeVisible();
    }
  },
);

test('a new part that is bad too fails its proof, is fitted again, and closes when it holds @phone', async ({
  page,
}) => {
  const unit = hidden(12, 'upper-element.open');
  const jobId = await openJob(page, { kind: unit.complaint.kind, customer: 'Bad new part' });
  await workOut(page, jobId, unit);
  await openRepair(page);
  await repairAsTold(page);
  // The unit is as it was: the part out of the box is open as well.
  await prove(page, jobId, unit, /element/);
  await openRepair(page);
  await putBack(page);
  await page.getByRole('button', { name: 'Close as repaired' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'not what a good unit shows' }),
  ).toBeVisible();
  await page.goto(`${baseUrl()}/jobs/${jobId}`);
  await workOut(page, jobId, unit);
  await openRepair(page);
  await repairAsTold(page);
  expect(verdicts(await sentJob(page, jobId))).toEqual([...unit.repairs, ...unit.repairs]);
  unit.repair(unit.repairs);
  await prove(page, jobId, unit, /element/);
  await openRepair(page);
  await putBack(page);
  await page.getByRole('button', { name: 'Close: repaired and proved' }).click();
  await expect(page.getByText('Closed, repaired').first()).toBeVisible();
});
