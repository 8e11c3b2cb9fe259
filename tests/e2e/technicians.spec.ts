import { expect, test } from '@playwright/test';
import { baseUrl } from './technician';

test('somebody is added, chosen, and given a permission @phone', async ({ page }) => {
  await page.goto(baseUrl());
  await page.getByRole('link', { name: 'People' }).click();
  await page.getByRole('button', { name: 'Add somebody' }).click();
  const keep = page.getByRole('button', { name: 'Keep' });
  await keep.click();
  await expect(page.getByRole('alert').filter({ hasText: 'A name is enough' })).toBeVisible();
  await page.getByLabel('Name').fill('Signe Aldwark');
  // A glove that taps twice adds nobody twice.
  await keep.dblclick();
  await expect(keep).toBeHidden();
  const row = page.getByRole('listitem').filter({ hasText: 'Signe Aldwark' });
  // In the list, and in what was said of whom.
  await expect(row).toHaveCount(2);
  await expect(row.first()).toContainText('no licence known · no live parts · no gas');

  await page.getByRole('button', { name: 'Change Signe Aldwark' }).click();
  await page.getByLabel('May work on live parts').check();
  await keep.click();
  await expect(row.first()).toContainText('known · live parts · no gas');

  await page.goto(baseUrl());
  const note = page.getByText('Nobody has said yet who works on this device');
  await expect(note).toBeVisible();
  await page.getByLabel('Technician').selectOption('Signe Aldwark');
  await expect(page.getByLabel('Technician').locator(':checked')).toHaveText('Signe Aldwark');
  await expect(note).toHaveCount(0);

  await page.getByRole('link', { name: 'People' }).click();
  await page.getByRole('button', { name: 'Change Signe Aldwark' }).click();
  await page.getByLabel('Works here no longer').check();
  await keep.click();
  await expect(row.first()).toContainText('works here no longer');
  // Said by whoever was chosen then.
  await expect(row.filter({ hasText: 'on a device of Signe Aldwark' })).toHaveCount(1);
  await page.goto(baseUrl());
  await expect(note).toBeVisible();
  await expect(page.getByLabel('Technician').getByRole('option', { name: 'Signe' })).toHaveCount(0);
  await page.getByRole('button', { name: /^I am / }).click();
  await expect(note).toHaveCount(0);
});
