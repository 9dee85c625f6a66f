import { expect, test } from '@playwright/test';
import { openStage } from './desk';

const yard = '/job/demo-yard';

test('the buckets are stepped through the wash by keyboard, and the zone lights up on the car', async ({ page }) => {
  await openStage(page, 'towels', yard);
  const said = page.locator('esm-buckets .said');
  await expect(said).toContainText(/Dip 1 of \d+/);
  await page.getByRole('button', { name: 'One on' }).focus();
  await page.keyboard.press('Enter');
  await expect(said).toContainText('Dip 2 of');
  await page.getByLabel('Dip', { exact: true }).focus();
  await page.keyboard.press('End');
  await expect(said).toContainText(/Dip (\d+) of \1,/);
  await expect(page.locator('esm-bucket-section svg')).toHaveAttribute('aria-label', /Rinse: .* afloat.*; Wash:/);
  await expect(page.locator('esm-car-net .lit')).not.toHaveCount(0);
});

test('playing goes on by itself until it is paused, and not for whoever asks for less motion', async ({ page }) => {
  await openStage(page, 'towels', yard);
  const said = page.locator('esm-buckets .said');
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(said).toContainText(/Dip ([4-9]|[1-4][0-9]) of/);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.reload();
  await expect(page.getByRole('button', { name: 'One on' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Play' })).toHaveCount(0);
});

test('another bucket system changes what comes back; the spread and what to carry are worked out when asked', async ({ page }) => {
  await openStage(page, 'towels', yard);
  const chart = page.locator('esm-bucket-chart svg');
  await expect(chart.locator('text.own')).toHaveText('Two, with guards');
  await page.getByRole('radio', { name: 'One bucket with a grit guard, mitt rinsed in it' }).click();
  await expect(chart.locator('text.own')).toHaveText('One, with guard');
  await page.getByRole('button', { name: 'How sure is that?' }).click();
  await expect(page.locator('esm-buckets li', { hasText: 'eight times in ten' })).toHaveCount(5);
  await page.getByRole('button', { name: 'How many to carry, to be sure?' }).click();
  await expect(page.locator('esm-carry tbody tr', { hasText: 'Time' })).toContainText('min');
  await expect(page.getByRole('listitem').filter({ hasText: 'Dirty water to take away' })).toBeVisible();
});
