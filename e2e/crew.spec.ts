import { type Page, expect } from '@playwright/test';
import { openStage } from './desk';
import { pinned, test } from './test';

const heading = (page: Page) => page.locator('esm-run-stage h2').first();
const done = (page: Page) => page.getByRole('button', { name: /^Done/ }).first();

test('two phones work on one run, with the link cut in between', async ({ page, browser }) => {
  await openStage(page, 'run');
  await page.getByRole('button', { name: 'Two phones' }).click();
  await page.getByRole('button', { name: 'Let another phone in' }).click();
  await expect(page.locator('.state')).toContainText('Waiting for the other phone.');
  await expect(page.getByRole('img', { name: 'The link as a QR code' })).toBeVisible();
  const link = (await page.locator('[data-link]').getAttribute('href'))!;
  expect(link).toMatch(/\/crew\/[A-Z2-9]{6}#[\w-]{16,}$/);

  const context = await pinned(await browser.newContext());
  const other = await context.newPage();
  await other.goto(link);
  await expect(other.locator('[data-offer] h2')).toBeVisible();
  await other.getByRole('button', { name: 'Take it' }).click();
  await expect(other).toHaveURL(/\/job\/demo-deck\/run$/);
  await expect(page.locator('.state')).toContainText('Linked');
  await page.keyboard.press('Escape');

  await test.step('what one begins and ticks off, the other sees', async () => {
    await page.getByRole('button', { name: 'Begin the run' }).click();
    await expect(heading(other)).toContainText('0 of');
    await done(page).click();
    await expect(heading(other)).toContainText('1 of');
    await done(other).click();
    await expect(heading(page)).toContainText('2 of');
    await page.getByRole('button', { name: 'Take back' }).click();
    await expect(heading(other)).toContainText('1 of');
    // It is seen where it was ticked, and put back for both.
    await expect(other.locator('[data-taken-back]')).toContainText('The other phone took back');
    await other.getByRole('button', { name: 'Put it back' }).click();
    await expect(heading(page)).toContainText('2 of');
    await other.getByRole('button', { name: 'Take back' }).click();
    await expect(heading(page)).toContainText('1 of');
    await page.getByRole('button', { name: 'OK', exact: true }).click();
  });

  await test.step('with the link cut both go on, and nothing is lost', async () => {
    await context.setOffline(true);
    await expect(other.locator('.crew')).toContainText('The link is cut', { timeout: 30_000 });
    await done(page).click();
    await expect(heading(page)).toContainText('2 of');
    await done(page).click();
    await expect(heading(page)).toContainText('3 of');
    await done(other).click();
    await expect(heading(other)).toContainText('2 of');
    await context.setOffline(false);
    await expect(heading(other)).toContainText('3 of', { timeout: 60_000 });
    await expect(heading(page)).toContainText('3 of');
  });

  await test.step('a page that is loaded anew goes on with it', async () => {
    await other.reload();
    await expect(heading(other)).toContainText('3 of');
    await done(page).click();
    await expect(heading(other)).toContainText('4 of');
  });
  await context.close();
});

test('a run goes to another phone as a file, and back', async ({ page, browser }) => {
  await openStage(page, 'run');
  await page.getByRole('button', { name: 'Begin the run' }).click();
  await done(page).click();
  await expect(heading(page)).toContainText('1 of');
  await page.getByRole('button', { name: /else/i }).first().click();
  await page.getByRole('button', { name: 'Two phones' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Pass it on' }).click(),
  ]);
  const context = await pinned(await browser.newContext());
  const other = await context.newPage();
  await openStage(other, 'run');
  await other.getByRole('button', { name: 'Two phones' }).click();
  await other.getByLabel('Take one in').setInputFiles({
    name: 'other.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"esmero-run"}'),
  });
  await expect(other.getByRole('alert')).toContainText('not the run of this car');
  await other.getByLabel('Take one in').setInputFiles((await file.path())!);
  await other.keyboard.press('Escape');
  await expect(heading(other)).toContainText('1 of');
  await context.close();
});
