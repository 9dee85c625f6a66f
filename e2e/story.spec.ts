import { expect } from '@playwright/test';
import { test } from './test';
import { answer, deck, method, openStage, paintArea, storedJob, total, watchErrors, zone } from './desk';

test('from arrival to a towel count, by mouse', async ({ page }) => {
  const errors = watchErrors(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'New job' }).click();
  await expect(page).toHaveURL(/\/site$/);

  await page.getByRole('combobox', { name: 'Where?' }).click();
  await page.getByRole('option', { name: 'Harbour parking deck' }).click();
  await page.getByRole('combobox', { name: 'Which car?' }).click();
  await page.getByRole('option', { name: 'Family estate, sea green' }).click();
  await page.getByLabel('Job', { exact: true }).fill('Dusty estate');
  await page.getByLabel('Job', { exact: true }).blur();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Dusty estate');

  await page.getByRole('link', { name: 'Walk-round' }).click();
  await expect(page.getByText('not looked at yet')).toBeVisible();
  await paintArea(page, 'Whole car');
  await expect(page.getByText('not looked at yet')).toBeHidden();
  await answer(page, 'road film').click();
  await answer(page, /Level 2/).click();
  await paintArea(page, 'Lower paint');
  await expect(zone(page, 'left-sill')).toHaveAttribute('data-fill', 'soil-2');

  // One stroke of the brush over two doors is one step back.
  await answer(page, /Level 3/).click();
  const from = (await zone(page, 'left-front-door-upper').boundingBox())!;
  const to = (await zone(page, 'left-rear-door-upper').boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(zone(page, 'left-rear-door-upper')).toHaveAttribute('data-fill', 'soil-3');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(zone(page, 'left-front-door-upper')).toHaveAttribute('data-fill', 'soil-1');
  await expect(zone(page, 'left-rear-door-upper')).toHaveAttribute('data-fill', 'soil-1');

  await page.getByRole('link', { name: 'Method' }).click();
  await expect(page.locator('article.chosen .tag')).toHaveText('the plan');
  await zone(page, 'left-sill').click();
  await expect(page.getByRole('heading', { name: 'Left sill: options compared' })).toBeVisible();
  await page.getByRole('button', { name: /^Ruled out here/ }).click();
  await expect(page.getByText('would run off, and nothing may here.').first()).toBeVisible();

  await page.getByRole('link', { name: 'Mix', exact: true }).click();
  await expect(page.locator('esm-vessel-drawing').first()).toBeVisible();
  await expect(page.getByText(/water, then .* of product/).first()).toBeVisible();

  await page.getByRole('link', { name: 'Towels' }).click();
  await page.locator('esm-towel-square g[role="button"]').first().hover();
  await expect(page.locator('.zone.lit').first()).toBeVisible();
  const towels = await total(page, 'towels').textContent();
  await expect(page.locator('esm-towel-square')).toHaveCount(Number(towels));

  await page.getByRole('link', { name: 'Work order' }).click();
  await expect(page.locator('.pass').first()).toBeVisible();

  // Close the tab, and find it again.
  const url = page.url();
  await page.goto('about:blank');
  await page.goto(url);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Dusty estate');
  await expect(total(page, 'towels')).toHaveText(towels!);
  expect(errors).toEqual([]);
});

test('the same by keyboard alone', async ({ page }) => {
  await openStage(page, 'walk-round');
  // Tab to the car: one stop, wherever it is on the page.
  for (let i = 0; i < 30; i++) {
    await page.keyboard.press('Tab');
    if (await page.evaluate(() => document.activeElement?.hasAttribute('data-zone'))) break;
  }
  const focused = (): Promise<string | null> =>
    page.evaluate(() => document.activeElement?.getAttribute('data-zone') ?? null);
  expect(await focused()).toBe('bonnet');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  expect(await focused()).toBe('roof');
  await page.keyboard.press('s');
  await page.keyboard.press('3');
  await expect(zone(page, 'roof')).toHaveAttribute('aria-label', /road salt 3/);
  await page.keyboard.press('v');
  await expect(zone(page, 'bonnet')).toHaveAttribute('aria-label', /road salt 3/);
  await page.keyboard.press('Control+z');
  await expect(zone(page, 'bonnet')).not.toHaveAttribute('aria-label', /salt/);
  await page.keyboard.press('Control+Shift+z');
  await expect(zone(page, 'bonnet')).toHaveAttribute('aria-label', /road salt 3/);

  await page.keyboard.press(']');
  await expect(page).toHaveURL(/method$/);
  await expect(page.locator('article[data-method="decline"], article.chosen').first()).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keyboard' })).toBeHidden();
  for (const stage of ['price', 'mix', 'towels', 'order']) {
    await page.keyboard.press(']');
    await expect(page).toHaveURL(new RegExp(`${stage}$`));
  }
});

test('totals follow the brush, say what changed, and can say why', async ({ page }) => {
  await openStage(page, 'walk-round');
  await expect(method(page)).toHaveText('Rinseless');
  await answer(page, /Level 0/).click();
  await paintArea(page, 'Whole car');
  await expect(page.locator('esm-totals-strip .cause')).toContainText('Whole car: clean');
  await expect(method(page)).toHaveText('Waterless');
  await page.locator('[data-total="minutes"]').click();
  const why = page.getByRole('dialog', { name: 'Time' });
  await expect(why).toContainText('setting up');
  // A figure of one’s own shows at once what it does, and undo takes it back.
  const before = await total(page, 'minutes').textContent();
  // The table is drawn anew when the last stroke's plan is there; what is typed into the one before it is gone with it.
  await expect(async () => {
    await why.getByLabel('Added for folding, fetching and small steps').fill('0.9');
    await why.getByLabel('Added for folding, fetching and small steps').blur();
    await expect(total(page, 'minutes')).not.toHaveText(before!, { timeout: 3000 });
  }).toPass();
  // The table is drawn anew with the plan: only then is the field the one that stays.
  await expect(why.getByRole('button', { name: /^Back to 0.15/ })).toBeVisible();
  await expect(why.getByLabel('Added for folding, fetching and small steps')).toHaveValue(/0.9/);
  await why.getByLabel('Added for folding, fetching and small steps').fill('7');
  await why.getByLabel('Added for folding, fetching and small steps').blur();
  await expect(why).toContainText('Should be a number from 0 to 1.');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(total(page, 'minutes')).toHaveText(before!);
});

test('a reload in the middle of a stroke loses nothing that was seen', async ({ page }) => {
  await openStage(page, 'walk-round');
  await answer(page, /Level 5/).click();
  await zone(page, 'roof').click();
  await expect(zone(page, 'roof')).toHaveAttribute('data-fill', 'soil-5');
  await page.reload();
  await expect(zone(page, 'roof')).toHaveAttribute('data-fill', 'soil-5');
  expect((await storedJob(page, 'demo-deck'))!.revision).toBeGreaterThan(1);
});

test('the frosty, the gritty and the dusty car get different answers with reasons', async ({ page }) => {
  await openStage(page, 'method', '/job/demo-refusal');
  await expect(method(page)).toHaveText('Not today');
  await expect(page.locator('esm-answer')).toContainText('full rinse wash');
  await openStage(page, 'method', '/job/demo-noon');
  await expect(zone(page, 'bonnet')).toHaveAttribute('aria-label', /mist/);
  await openStage(page, 'method', '/job/demo-courtyard');
  await expect(method(page)).toHaveText('Waterless');
  await openStage(page, 'order', '/job/demo-frost');
  await expect(page.locator('.care')).toContainText('Hot water scalds');
  await expect(page.locator('.care')).toContainText('freeze');
});

test('a job that is not here says what to do', async ({ page }) => {
  await page.goto('/job/nowhere/site');
  await expect(page.getByRole('heading', { name: 'This job is not here' })).toBeVisible();
  await page.getByRole('link', { name: 'To the jobs', exact: true }).click();
  await expect(page).toHaveURL(/jobs$/);
});

test('units, theme and English stay as they were set', async ({ page }) => {
  await openStage(page, 'method', deck);
  await expect(zone(page, 'bonnet')).toHaveAttribute('aria-label', /^Bonnet/);
  await page.getByRole('link', { name: 'Settings' }).click();
  await answer(page, 'US').click();
  await answer(page, 'Dark').click();
  await answer(page, 'American').click();
  await expect(page.locator('html')).toHaveClass(/dark/);
  await page.goBack();
  await expect(total(page, 'litres')).toContainText('gal');
  await expect(zone(page, 'bonnet')).toHaveAttribute('aria-label', /^Hood/);
  await page.reload();
  await expect(zone(page, 'bonnet')).toHaveAttribute('aria-label', /^Hood/);
  await expect(total(page, 'litres')).toContainText('gal');
  await expect(page.locator('html')).toHaveClass(/dark/);
});
