import { expect } from '@playwright/test';
import { test } from './test';
import { answer, method, openStage, paintArea, storedJob, total, zone } from './desk';

test('one car in January frost and in August sun gets two plans, and each says why', async ({ page }) => {
  await openStage(page, 'site', '/job/demo-noon');
  await expect(page.locator('esm-day-ribbon svg')).toBeVisible();
  await page.getByRole('button', { name: 'Weather by the hour (simulated service)' }).click();
  await expect(page.locator('esm-day')).toContainText('simulated weather service');
  // In the sun the hot panels are cooled with a mist first, and only those.
  await page.getByRole('link', { name: 'Method' }).click();
  await expect(zone(page, 'bonnet')).toHaveAttribute('aria-label', /mist/);
  await page.getByRole('link', { name: 'Site', exact: true }).click();
  // The day has an hour at which the same car needs none of that.
  await page.getByRole('button', { name: /^Wait until/ }).click();
  await expect(method(page)).not.toHaveText('Not today');
  await page.getByLabel('Day', { exact: true }).clear();
  await page.getByLabel('Day', { exact: true }).pressSequentially('20 Jan 2032');
  await page.getByLabel('Day', { exact: true }).press('Tab');
  await expect.poll(async () => (await storedJob(page, 'demo-noon'))!.job['date']).toBe('2032-01-20');
  await page.getByRole('button', { name: 'Exact figures of the place' }).click();
  await page.getByLabel(/^Air/).fill('-9');
  await page.getByLabel(/^Air/).blur();
  await page.getByLabel(/^Water temperature/).fill('6');
  await page.getByLabel(/^Water temperature/).blur();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Method' }).click();
  await zone(page, 'bonnet').click();
  await page.getByRole('button', { name: /^Ruled out here/ }).click();
  await expect(page.locator('.gate').filter({ hasText: 'freeze' }).first()).toBeVisible();
});

test('a salted car is rinsed below and wiped above', async ({ page }) => {
  await openStage(page, 'walk-round', '/job/demo-yard');
  const paint = async (level: RegExp, kind: string, areas: readonly string[]): Promise<void> => {
    await answer(page, level).click();
    await answer(page, kind).click();
    for (const area of areas) await paintArea(page, area);
  };
  await paint(/Level 1/, 'dust', ['Glass', 'Upper paint']);
  await paint(/Level 4/, 'road salt', ['Lower paint', 'Shuts', 'Wheel faces', 'Tyres and arches']);
  await page.getByRole('link', { name: 'Method' }).click();
  await expect(method(page)).toHaveText('Hybrid');
  await expect(zone(page, 'left-sill')).toHaveAttribute('aria-label', /pre-rinse/i);
  await expect(zone(page, 'roof')).not.toHaveAttribute('aria-label', /pre-rinse/i);
  await expect(zone(page, 'roof')).toHaveAttribute('aria-label', /wipe|wash/);
});

test('a matte black van with grit is refused under every approach, and goes ahead only with recorded consent', async ({
  page,
}) => {
  await openStage(page, 'method', '/job/demo-refusal');
  for (const approach of ['Cautious', 'Balanced', 'Permissive']) {
    await answer(page, approach).click();
    await expect(method(page)).toHaveText('Not today');
  }
  await expect(page.locator('esm-refusal')).toContainText('full rinse wash');
  const note = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the note' }).click();
  expect((await note).suggestedFilename()).toBe('note-demo-refusal.txt');
  await page.getByRole('button', { name: 'Decline it, and log it' }).click();
  await expect(page.locator('esm-refusal')).toContainText('it is in the log');
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(page.locator('.runs tbody')).toContainText('Declined');
  await page.goBack();
  await page.getByRole('button', { name: 'Take that back' }).click();
  await page.getByRole('button', { name: 'Client insists' }).click();
  await page.getByLabel('Who agrees').fill('The baker');
  await page.getByRole('button', { name: 'Go ahead with consent' }).click();
  await expect(page.locator('esm-refusal')).toContainText('The baker agreed');
  await page.reload();
  await expect(page.locator('esm-refusal')).toContainText('The baker agreed');
  expect((await storedJob(page, 'demo-refusal'))!.job['consent']).toMatchObject({ by: 'The baker' });
});

test('a site without runoff excludes the washer and says so', async ({ page }) => {
  await openStage(page, 'method');
  await zone(page, 'left-front-door-lower').click();
  await page.getByRole('button', { name: /^Ruled out here/ }).click();
  const row = page
    .locator('esm-panel-options li', { hasText: 'Pre-rinse with the cordless washer, then rinseless wash' })
    .first();
  await expect(row).toContainText('would run off, and nothing may here');
});

test('what would change gives just that plan, and so does a point of the trade-offs', async ({ page }) => {
  await openStage(page, 'method', '/job/demo-noon');
  await page.getByRole('button', { name: 'What would change the answer?' }).click();
  const card = page.locator('esm-what-if .change').first();
  const [, name, minutes] = /^(\w+(?: today)?)(?:, (\d+ min))?/.exec((await card.locator('.num').textContent())!)!;
  await card.click();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(method(page)).toHaveText(new RegExp(name!, 'i'));
  if (minutes) await expect(total(page, 'minutes')).toHaveText(minutes);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Trade-offs' }).click();
  const dot = page.locator('esm-front .dot:not(.here)').first();
  const plan = (await dot.getAttribute('aria-label'))!;
  await dot.focus();
  await page.keyboard.press('Enter');
  await expect(total(page, 'minutes')).toHaveText(/(\d+ min)/.exec(plan)![1]!);
  await expect(total(page, 'litres')).toHaveText(/([\d.]+ L)/.exec(plan)![1]!);
});

test('forecast, thermometer and marks belong to the walk-round; a picture survives a reload', async ({ page }) => {
  await openStage(page, 'walk-round', '/job/demo-frost');
  await expect(zone(page, 'roof')).toHaveAttribute('aria-label', /forecast .* factor of two/);
  await zone(page, 'bonnet').click();
  await page.getByRole('button', { name: 'Thermometer (simulated)' }).click();
  await expect(page.getByLabel('Panel', { exact: true })).not.toHaveValue('');
  await page.getByRole('button', { name: 'Note a mark' }).click();
  const pixel = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  await page
    .locator('esm-marks input[type="file"]')
    .setInputFiles({ name: 'chip.png', mimeType: 'image/png', buffer: pixel });
  await expect(page.locator('esm-marks img')).toBeVisible();
  await page
    .locator('esm-marks input[type="file"]')
    .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.locator('esm-marks [role="alert"]')).toContainText('no picture');
  await page.reload();
  await expect(zone(page, 'bonnet')).toHaveAttribute('aria-label', /one mark from before/);
  await zone(page, 'bonnet').focus();
  await expect(page.locator('esm-marks img')).toBeVisible();
});

test('the mix bench works a label out both ways and prints it', async ({ page }) => {
  await page.goto('/bench');
  await page.getByLabel('Number on the label').fill('4');
  await expect(page.locator('main')).toContainText('1.6 L of product');
  await expect(page.locator('main')).toContainText('25 % more product');
  await page.getByRole('button', { name: 'Vessel label' }).click();
  await expect(page.locator('.vessel-label svg')).toBeVisible();
  await page.getByText('Cost by the car').click();
  await expect(page.locator('[data-costs]')).toContainText('for each car');
});

test('by hand it is when no weather service answers', async ({ page }) => {
  await page.route('**/api/weather*', (route) => route.abort());
  await openStage(page, 'site');
  await page.getByRole('button', { name: 'Weather by the hour (simulated service)' }).click();
  await expect(page.locator('esm-day [role="alert"]')).toContainText('did not answer');
  await expect(method(page)).toHaveText('Rinseless');
});
