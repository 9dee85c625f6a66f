import { expect } from '@playwright/test';
import { test } from './test';
import { deck, openStage, storedJob, zone } from './desk';

test('two tabs do not overwrite each other silently', async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await openStage(one, 'site');
  await openStage(two, 'site');

  // Without a change of its own, the second tab follows the first.
  await one.getByLabel('Client').fill('First tab');
  await one.getByLabel('Client').blur();
  await expect(two.getByLabel('Client')).toHaveValue('First tab');

  // With both changed at once, the later one is asked.
  await two.evaluate(() => {
    // The channel between tabs goes deaf: the conflict must be found on saving.
    BroadcastChannel.prototype.postMessage = () => undefined;
  });
  await one.evaluate(() => {
    BroadcastChannel.prototype.postMessage = () => undefined;
  });
  await one.getByLabel('Client').fill('One');
  await one.getByLabel('Client').blur();
  await expect.poll(async () => (await storedJob(one, 'demo-deck'))!.job['client']).toBe('One');
  await two.getByLabel('Client').fill('Two');
  await two.getByLabel('Client').blur();
  await expect(two.locator('[data-bar="conflict"]')).toBeVisible();
  expect((await storedJob(two, 'demo-deck'))!.job['client']).toBe('One');
  await expect(two.locator('[data-bar="conflict"]')).toContainText('Client was changed');
  await expect(two.locator('[data-bar="conflict"]')).toContainText('Here it is Two, there One.');
  await two.getByRole('button', { name: 'Keep both' }).click();
  await expect(two.getByRole('heading', { level: 1 })).toContainText('(my copy)');
  await expect(two.locator('[data-bar="conflict"]')).toBeHidden();
  expect((await storedJob(two, 'demo-deck'))!.job['client']).toBe('One');
});

test('without storage the app works and says that it keeps nothing', async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', { value: undefined });
  });
  await openStage(page, 'walk-round');
  await expect(page.getByRole('alert')).toContainText('keeps nothing');
  await zone(page, 'roof').click();
  await expect(zone(page, 'roof')).toHaveAttribute('data-fill', 'soil-1');
});

test('a full disk is said, the job stays, and saving can be tried again', async ({ page }) => {
  await openStage(page, 'site');
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    (window as unknown as { room: () => void }).room = () => (IDBObjectStore.prototype.put = put);
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await page.getByLabel('Client').fill('Somebody');
  await page.getByLabel('Client').blur();
  await expect(page.locator('[data-bar="fault"]')).toContainText('storage is full');
  await page.evaluate(() => (window as unknown as { room: () => void }).room());
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.locator('[data-bar="fault"]')).toBeHidden();
  expect((await storedJob(page, 'demo-deck'))!.job['client']).toBe('Somebody');
});

test('impossible sizes are refused beside their field and not planned with', async ({ page }) => {
  await openStage(page, 'site', deck);
  await page.getByRole('button', { name: 'Its figures for this job' }).click();
  const length = page.getByLabel('Length', { exact: true });
  for (const bad of ['-4', '0', '1e308', '1.6']) {
    await length.fill(bad);
    await length.blur();
    await expect(page.locator('.fault').first()).toBeVisible();
  }
  expect(
    ((await storedJob(page, 'demo-deck'))!.job as { vehicle: { dimensions: { lengthM: number } } }).vehicle.dimensions
      .lengthM,
  ).toBe(4.65);
  await length.fill('4.8');
  await length.blur();
  await expect(page.locator('.fault')).toHaveCount(0);
});

test('no towels and no water lead to a refusal that says so', async ({ page }) => {
  await openStage(page, 'towels');
  for (const field of await page.locator('input[id^="clean-"]').all()) {
    await field.fill('0');
    await field.blur();
  }
  await expect(page.locator('esm-totals-strip .method strong')).toHaveText('Not today');
  await page.getByRole('link', { name: 'Method' }).click();
  await expect(page.locator('esm-answer')).toContainText(/There are no clean .* towels/);
});
