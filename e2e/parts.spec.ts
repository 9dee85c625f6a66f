import { expect } from '@playwright/test';
import { test } from './test';
import { answer, method, openStage, zone } from './desk';

test('what cannot be done is left out with its reason, and the help that works is pressed', async ({ page }) => {
  await openStage(page, 'walk-round', '/job/demo-courtyard');
  // Mud on the sills, and nothing may run off.
  await answer(page, /Level 3/).click();
  await answer(page, 'mud').click();
  for (const sill of ['left-sill', 'right-sill'] as const) await zone(page, sill).click();
  await page.getByRole('link', { name: 'Method' }).click();
  await expect(method(page)).toHaveText('Waterless');
  await expect(page.locator('esm-answer')).toContainText('Left out today: Left sill and Right sill');
  await expect(zone(page, 'left-sill')).toHaveAttribute('aria-label', /Left/);
  const help = page.locator('esm-help button').filter({ hasText: 'mat' }).first();
  await expect(help).toBeVisible();
  await help.click();
  await expect(page.locator('esm-answer')).not.toContainText('Left out today');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('esm-answer')).toContainText('Left out today');
});
