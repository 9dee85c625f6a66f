import { expect } from '@playwright/test';
import { firstStart, test } from './test';
import { method, storedJob, watchErrors } from './desk';

test.use(firstStart);

for (const [size, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a small phone', { width: 320, height: 640 }],
  ['a desk', { width: 1280, height: 800 }],
] as const)
  test.describe(`the first minutes on ${size}`, () => {
    test.use({ viewport });

    test('four presses make a plan for one’s own car, and it is kept', async ({ page }) => {
      const errors = watchErrors(page);
      await page.goto('/');
      const first = page.locator('esm-own-car');
      await first.getByRole('button', { name: 'Hatchback' }).click();
      await first.getByRole('button', { name: 'Dark' }).click();
      await first.getByRole('button', { name: /On a drive/ }).click();
      await first.getByRole('button', { name: 'A week ago' }).click();
      await expect(page).toHaveURL(/method$/);
      await expect(page.locator('esm-answer h2')).toContainText('today');
      await expect(method(page)).not.toHaveText('…');
      const id = /job\/([^/]+)\//.exec(page.url())![1]!;
      await expect.poll(async () => (await storedJob(page, id))?.job['name']).toBe('My own car');
      // Somebody who has a car of their own here is not new.
      await page.goto('/jobs');
      await expect(page.locator('.job', { hasText: 'Planned' })).toHaveCount(16);
      await expect(first).toHaveCount(0);
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide).toBeLessThanOrEqual(0);
      expect(errors).toEqual([]);
    });
  });

test('the demo is one press away, and the question can be closed', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Close this' }).click();
  await expect(page.locator('esm-own-car')).toHaveCount(0);
  await page.reload();
  await page.getByRole('button', { name: 'Look at the demo' }).click();
  await expect(page.locator('esm-answer h2')).toContainText('today');
});
