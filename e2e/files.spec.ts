import { readFileSync } from 'node:fs';
import { type Page, expect, test } from '@playwright/test';
import { openStage, storedJob } from './desk';

async function give(page: Page, name: string, text: string): Promise<void> {
  await page.locator('input[type="file"]').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
}

async function exported(page: Page): Promise<string> {
  await page.goto('/jobs');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export Family estate' }).click();
  return readFileSync(await (await download).path(), 'utf8');
}

test('a job goes out as a file and comes back', async ({ page }) => {
  const text = await exported(page);
  const file = JSON.parse(text) as { format: string; job: Record<string, unknown> };
  expect(file.format).toBe('esmero-job');
  file.job['id'] = 'came-back';
  file.job['name'] = 'Came back <b>bold</b>';
  await give(page, 'job.json', JSON.stringify(file));
  await expect(page.getByRole('link', { name: /Came back <b>bold<\/b>/ })).toBeVisible();
});

test('everything goes out in one file and comes back', async ({ page }) => {
  await page.goto('/jobs');
  await expect(page.locator('.jobs > li')).toHaveCount(8);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  await give(page, 'all.json', text);
  await expect(page.getByText(/8 jobs and \d+ library items/)).toBeVisible();
  await expect(page.locator('.jobs > li')).toHaveCount(8);
});

test('a picture of a car travels with everything to another browser', async ({ page, browser }) => {
  const pixel = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64');
  await openStage(page, 'handover');
  await page.locator('esm-picture-pairs input[type="file"]').first().setInputFiles({ name: 'before.png', mimeType: 'image/png', buffer: pixel });
  await expect(page.locator('esm-picture-pairs img')).toBeVisible();
  await page.goto('/jobs');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  const other = await (await browser.newContext()).newPage();
  await other.goto(new URL('/jobs', page.url()).href);
  await expect(other.locator('.jobs > li')).toHaveCount(8);
  await give(other, 'all.json', text);
  await expect(other.getByText(/library items and one picture/)).toBeVisible();
  await openStage(other, 'handover', new URL('/job/demo-deck', page.url()).href);
  const shown = other.locator('esm-picture-pairs img');
  await expect(shown).toBeVisible();
  expect(await shown.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1);
  await other.context().close();
});

test('broken files change nothing and say why', async ({ page }) => {
  const good = await exported(page);
  const before = await storedJob(page, 'demo-deck');
  const refusal = page.locator('[data-refusal]');
  const cases: readonly (readonly [string, RegExp])[] = [
    [good.slice(0, Math.floor(good.length / 2)), /cut off/],
    ['{"format":"esmero-job","version":77,"job":{}}', /newer Esmero/],
    [good.replace(/"lengthM": [\d.]+/, '"lengthM": 1e308'), /lengthM.*from 1\.5 to 9/],
    [good.replace('"zone": "bonnet"', '"zone": "hat"'), /soil\[\d+\]\.zone/],
    ['hello', /not JSON/],
    [`{"format":"esmero-job","version":3,"pad":"${'x'.repeat(10_000_000)}"}`, /at most 4\.0 MB/],
  ];
  for (const [text, says] of cases) {
    await give(page, 'broken.json', text);
    await expect(refusal).toContainText(says);
    await expect(refusal).toContainText('Nothing of yours has changed');
    await page.getByRole('button', { name: 'Understood' }).click();
    await expect(refusal).toBeHidden();
  }
  expect(await storedJob(page, 'demo-deck')).toEqual(before);
});
