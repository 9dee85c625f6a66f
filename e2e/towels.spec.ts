import { expect } from '@playwright/test';
import { test } from './test';
import { answer, openStage } from './desk';

const yard = '/job/demo-yard';

test('the buckets are stepped through the wash by keyboard, and the zone lights up on the car', async ({ page }) => {
  await openStage(page, 'towels', yard);
  await page.getByRole('tab', { name: 'Buckets' }).click();
  const said = page.locator('esm-buckets .said');
  await expect(said).toContainText(/Dip 1 of \d+/);
  await page.locator('esm-buckets').getByRole('button', { name: 'One on' }).focus();
  await page.keyboard.press('Enter');
  await expect(said).toContainText('Dip 2 of');
  await page.getByLabel('Dip', { exact: true }).focus();
  await page.keyboard.press('End');
  await expect(said).toContainText(/Dip (\d+) of \1,/);
  await expect(page.locator('esm-bucket-section svg')).toHaveAttribute('aria-label', /Rinse: .* afloat.*; Wash:/);
  await expect(page.locator('esm-car-net .lit')).not.toHaveCount(0);
});

test('playing goes on by itself until it is paused, and not for whoever asks for less motion', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await openStage(page, 'towels', yard);
  await page.getByRole('tab', { name: 'Buckets' }).click();
  const said = page.locator('esm-buckets .said');
  const buckets = page.locator('esm-buckets');
  await buckets.getByRole('button', { name: 'Play' }).click();
  await expect(said).toContainText(/Dip ([4-9]|[1-4][0-9]) of/);
  await buckets.getByRole('button', { name: 'Pause' }).click();
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.reload();
  await page.getByRole('tab', { name: 'Buckets' }).click();
  await expect(buckets.getByRole('button', { name: 'One on' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Play' })).toHaveCount(0);
});

test('another bucket system changes what comes back; the spread and what to carry are worked out when asked', async ({
  page,
}) => {
  await openStage(page, 'towels', yard);
  await page.getByRole('tab', { name: 'Buckets' }).click();
  const chart = page.locator('esm-bucket-chart svg');
  await expect(chart.locator('text.own')).toHaveText('Two, with guards');
  await answer(page, 'One bucket with a grit guard, mitt rinsed in it').click();
  await expect(chart.locator('text.own')).toHaveText('One, with guard');
  await page.getByRole('button', { name: 'How sure is that?' }).click();
  await expect(page.locator('esm-buckets li', { hasText: 'eight times in ten' })).toHaveCount(5);
  await page.getByRole('tab', { name: 'Packing and after' }).click();
  await page.getByRole('button', { name: 'How many to carry, to be sure?' }).click();
  await expect(page.locator('esm-carry tbody tr', { hasText: 'Time' })).toContainText('min');
  await expect(page.getByRole('listitem').filter({ hasText: 'Dirty water to take away' })).toBeVisible();
});

test('towels fill along the run, by keyboard; a zone shows its sides', async ({ page }) => {
  await openStage(page, 'towels');
  const rail = page.getByLabel('Step of the run');
  const full = () =>
    page
      .locator('esm-towel-square .used')
      .evaluateAll((all) => all.reduce((sum, one) => sum + Number(one.getAttribute('height')), 0));
  const end = await full();
  await rail.focus();
  await page.keyboard.press('Home');
  await expect(page.getByText('Before the first wipe')).toBeVisible();
  expect(await full()).toBe(0);
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(full).toBeGreaterThan(0);
  expect(await full()).toBeLessThan(end);
  await page.locator('[data-zone="roof"]').hover();
  await expect(page.locator('esm-pile .said')).toContainText('Roof: Towel');
  await expect(page.locator('esm-towel-square .touched')).not.toHaveCount(0);
});

test('a towel is dragged to another pile, and chosen by keyboard; the rest is planned again and can be undone', async ({
  page,
}) => {
  await openStage(page, 'towels', yard);
  const pile = (name: RegExp) => page.locator('.pile', { hasText: name });
  // A towel that is set aside stands in the pile as a batch of its own.
  const clean = (name: RegExp) =>
    pile(name)
      .locator('input')
      .evaluateAll((all) => all.reduce((sum, one) => sum + Number((one as HTMLInputElement).value), 0));
  const before = await clean(/Wash towels/);
  const wheels = await clean(/Wheel/);
  const first = page.locator('.towels > div[draggable="true"]').first();
  const isWash = (await first.getByRole('combobox').innerText()).includes('wash');
  await first.dragTo(pile(/Wheel/));
  await expect.poll(() => clean(/Wheel/)).toBe(wheels + 1);
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect.poll(() => clean(/Wheel/)).toBe(wheels);
  const role = page.locator('esm-towel-square').getByRole('combobox').first();
  // The plan after the undo may still be on its way, and brings its towels anew.
  await expect(async () => {
    await role.focus();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('listbox')).toBeVisible({ timeout: 2000 });
  }).toPass();
  await page.keyboard.press(isWash ? 'End' : 'Home');
  await page.keyboard.press('Enter');
  await expect.poll(() => clean(/Wash towels/)).toBe(before + (isWash ? -1 : 1));
});

test('where wash towels run out, the zones that wait are named and left out by one press', async ({ page }) => {
  await openStage(page, 'towels');
  await page.getByLabel(/Wash towels, grey edge/).fill('1');
  await page.keyboard.press('Tab');
  await expect(page.locator('esm-towels-stage')).toContainText('With what there is, all but these could be done');
  await page.getByRole('button', { name: 'Leave them out' }).click();
  await expect(page.locator('esm-towel-square')).not.toHaveCount(0);
  await expect(page.locator('esm-towels-stage')).not.toContainText('all but these could be done');
});

test('the work order shows windows and the other orders; a quicker one is taken', async ({ page }) => {
  await openStage(page, 'order', yard);
  await expect(page.locator('esm-run-chart rect.window')).not.toHaveCount(0);
  await page.getByRole('button', { name: 'Another order' }).click();
  const quickest = page.locator('esm-orders li').first();
  await expect(quickest).toContainText('min');
  const words = await quickest.locator('.words').innerText();
  const minutes = words.match(/(\d+) min/)![1]!;
  await quickest.getByRole('button', { name: /^Take/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.strip, esm-totals-strip').first()).toContainText(`${minutes} min`);
});
