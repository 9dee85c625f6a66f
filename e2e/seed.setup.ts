import { expect } from '@playwright/test';
import { SEEDED } from '../playwright.config';
import { wholeDemo } from './desk';
import { test } from './test';

test('the demo is laid in, with its past', async ({ page }) => {
  await page.goto('/jobs');
  await wholeDemo(page);
  await expect.poll(() => page.evaluate(() => indexedDB.databases().then((all) => all.length))).toBe(1);
  await page.context().storageState({ path: SEEDED, indexedDB: true });
});
