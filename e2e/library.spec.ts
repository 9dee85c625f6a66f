import { expect } from '@playwright/test';
import { test } from './test';

test('an item is added, changed, copied, archived and brought back', async ({ page }) => {
  await page.goto('/library/towel');
  await page.getByRole('button', { name: 'Add a towel batch' }).click();
  await page.getByLabel('Name').fill('Sill towels, orange');
  await page.getByLabel('Name').blur();
  await expect(page.getByRole('heading', { name: 'Sill towels, orange' })).toBeVisible();
  await page.getByLabel('Clean', { exact: true }).fill('-1');
  await page.getByLabel('Clean', { exact: true }).blur();
  await expect(page.getByText('Not saved')).toBeVisible();
  await page.getByLabel('Clean', { exact: true }).fill('6');
  await page.getByLabel('Clean', { exact: true }).blur();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByRole('heading', { name: 'Sill towels, orange (copy)' })).toBeVisible();
  await page.locator('.head').getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(page.getByRole('button', { name: /\(copy\)/ })).toBeHidden();
  await page.getByRole('button', { name: 'Archived' }).click();
  await page.getByRole('button', { name: /\(copy\)/ }).click();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByRole('button', { name: 'Bring back' })).toBeHidden();
  await page.reload();
  await expect(page.getByRole('button', { name: /Sill towels, orange/ })).toHaveCount(2);
});

test('a label shows the same strength in every notation', async ({ page }) => {
  await page.goto('/library/product');
  await page.getByRole('button', { name: /Waterless concentrate/ }).click();
  await expect(page.getByText('1 to 4.0 water, 1 in 5.0, 20.00 %')).toBeVisible();
  await page.getByRole('group', { name: 'Waterless mix' }).getByLabel('Number on the label (N)').fill('0');
  await page.getByRole('group', { name: 'Waterless mix' }).getByLabel('Number on the label (N)').blur();
  await page
    .getByRole('group', { name: 'Waterless mix' })
    .getByRole('combobox', { name: 'How the label means it' })
    .click();
  await page.getByRole('option', { name: 'N per cent of the mix' }).click();
  await expect(page.getByText('Not saved')).toBeVisible();
});
