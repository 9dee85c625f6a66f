import { expect } from '@playwright/test';
import { expectAccessible } from './accessible';
import { test } from './test';
import { watchErrors } from './desk';

for (const [size, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a desk', { width: 1280, height: 800 }],
] as const)
  test.describe(`the van stock on ${size}`, () => {
    test.use({ viewport });

    test('is counted, bought for, washed, and keeps every movement over a reload', async ({ page }) => {
      const errors = watchErrors(page);
      await page.goto('/stock');
      const stock = page.locator('esm-stock-page');
      await expect(stock).toContainText('2 × Waterless concentrate, amber cap');
      const card = stock.locator('.card', { hasText: 'amber cap' });
      await card.getByText('Bought or counted').click();
      await card.getByLabel('Good until').pressSequentially('31 Jan 2033');
      await page.keyboard.press('Tab');
      await card.getByRole('button', { name: 'One bought' }).click();
      await expect(card).toContainText('930 mL');
      await expect(card).toContainText('good until 31 Jan 2033');
      await expect(stock).not.toContainText('2 × Waterless concentrate, amber cap');
      await card.getByLabel('Counted of').fill('700');
      await card.getByRole('button', { name: 'Set' }).click();
      await expect(card.locator('.stock')).toHaveText('700 mL');
      await page.getByLabel('Clean Wash towels, grey edge, counted').fill('9');
      await page.keyboard.press('Enter');
      await expect(stock.locator('tr', { hasText: 'grey edge' }).locator('.stock')).toHaveText('9');
      await expect(stock.locator('.page')).toHaveAttribute('aria-busy', 'false');
      await page.reload();
      await expect(card.locator('.stock')).toHaveText('700 mL');
      await expect(stock.locator('tr', { hasText: 'grey edge' }).locator('.stock')).toHaveText('9');
      await expect(stock).toContainText('Counted: Wash towels, grey edge 5');
      await page.getByRole('button', { name: 'Take back' }).click();
      await expect(stock.locator('tr', { hasText: 'grey edge' }).locator('.stock')).toHaveText('14');
      await expectAccessible(page);
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide).toBeLessThanOrEqual(0);
      expect(errors).toEqual([]);
    });
  });
