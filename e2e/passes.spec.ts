import { expect } from '@playwright/test';
import { test } from './test';
import { openStage } from './desk';

test('passes are moved, split and joined by hand; what the car does not allow is said; all of it is taken back', async ({
  page,
}) => {
  await openStage(page, 'order');
  const pass = (number: number) =>
    page.locator('.pass', { has: page.locator('.no', { hasText: new RegExp(`^\\s*${number}\\s*$`) }) });
  const change = async (number: number, what: RegExp): Promise<void> => {
    await pass(number)
      .getByRole('button', { name: new RegExp(`^Change pass ${number}:`) })
      .click();
    await page.getByRole('menuitem', { name: what }).first().click();
    await expect(page.getByRole('menu')).toHaveCount(0);
  };
  const last = await page.locator('.pass .no').allInnerTexts();
  await expect(pass(3)).toContainText('Roof, left half');
  await change(3, /^Do it before/);
  await expect(pass(2)).toContainText('Roof, left half');
  await expect(page.locator('esm-by-hand')).toContainText('before Windscreen');
  // Split: one pass more.
  await expect(pass(3)).toContainText(';');
  await change(3, /a pass of its own$/);
  await expect(page.locator('.pass .no')).toHaveCount(last.length + 1);
  await expect(pass(3)).not.toContainText(';');
  // The two sides of the car are not one place.
  await page.getByRole('button', { name: /^Change pass 13:/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menu')).toBeFocused();
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowDown', 'Enter']) await page.keyboard.press(key);
  await expect(page.locator('esm-by-hand .not')).toContainText('different places');
  await page.getByRole('button', { name: 'Take all back' }).click();
  await expect(page.locator('esm-by-hand li')).toHaveCount(0);
  await expect(page.locator('.pass .no')).toHaveCount(last.length);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.locator('esm-by-hand li')).toHaveCount(3);
});

test('two people take another way to share the car, and the run follows it', async ({ page }) => {
  await openStage(page, 'order', '/job/demo-yard');
  await page.getByRole('button', { name: 'Another order' }).click();
  const other = page.locator('esm-orders li', { hasText: 'One lifts, the other finishes' }).first();
  await other.getByRole('button', { name: /^Take/ }).click();
  await expect(page.locator('.pass', { hasText: 'Finish behind' }).first()).toBeVisible();
});
