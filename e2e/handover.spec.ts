import { expect } from '@playwright/test';
import { test } from './test';
import { openStage } from './desk';

test('the handover names the next visit, follows how the car is used, and prints on one or two pages', async ({
  page,
}) => {
  await openStage(page, 'handover');
  const stage = page.locator('esm-handover-stage');
  await expect(stage).toContainText(/Next maintenance wash by \d+ \w+ 2031/);
  const first = await stage.locator('strong', { hasText: 'Next maintenance' }).innerText();
  await stage.getByLabel('Distance').fill('600');
  await page.keyboard.press('Tab');
  await expect(stage.locator('strong', { hasText: /Next maintenance|flush/ })).not.toHaveText(first);
  await expect(page.locator('esm-lasts-chart svg')).toHaveAttribute('aria-label', /Whole car\. Waterless: \d+ days/);
  const pdf = await page.pdf({ format: 'A4', printBackground: true, preferCSSPageSize: true });
  const pages = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
  expect(pages).toBeGreaterThanOrEqual(1);
  expect(pages).toBeLessThanOrEqual(2);
});
