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
  await expect(row).toHaveCount(1);
  await expect(row).toContainText('no licence known · no live parts · no gas');

  await page.getByRole('button', { name: 'Change Signe Aldwark' }).click();
  await page.getByLabel('May work on live parts').check();
  await keep.click();
  await expect(row).toContainText('live parts · no gas');

  await page.goto(baseUrl());
  await page.getByLabel('Technician').selectOption('Signe Aldwark');
  await expect(page.getByLabel('Technician').locator(':checked')).toHaveText('Signe Aldwark');
});
