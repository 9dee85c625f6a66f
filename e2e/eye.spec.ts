import { type Page, expect } from '@playwright/test';
import { test } from './test';
import { openStage, storedJob, zone } from './desk';

/** A towel on the ground with a brownish mark, drawn by the browser itself; perhaps out of focus. */
async function towelPicture(page: Page, blurPx = 0): Promise<Buffer> {
  const url = await page.evaluate((blur) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1200, 900];
    const context = canvas.getContext('2d')!;
    context.filter = blur > 0 ? `blur(${blur}px)` : 'none';
    context.fillStyle = '#34342f';
    context.fillRect(0, 0, 1200, 900);
    context.fillStyle = '#d8d8d6';
    context.fillRect(300, 150, 600, 600);
    const mark = context.createRadialGradient(600, 450, 40, 600, 450, 200);
    mark.addColorStop(0, 'rgb(128, 118, 110)');
    mark.addColorStop(0.7, 'rgb(140, 130, 121)');
    mark.addColorStop(1, '#d8d8d6');
    context.fillStyle = mark;
    context.fillRect(400, 250, 400, 400);
    return canvas.toDataURL('image/png');
  }, blurPx);
  return Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
}

const wipeTest = (page: Page) => page.getByRole('dialog', { name: /^Wipe test/ });

async function openWipeTest(page: Page, panel: string): Promise<void> {
  await openStage(page, 'walk-round');
  await zone(page, panel).click();
  await page.getByRole('button', { name: 'Wipe test' }).click();
  await expect(wipeTest(page)).toBeVisible();
}

test('a panel is measured by the simulated camera, and can be judged by eye again', async ({ page }) => {
  await openWipeTest(page, 'bonnet');
  await wipeTest(page).getByRole('button', { name: 'Simulated camera' }).click();
  await expect(wipeTest(page)).toContainText('Simulated');
  await expect(wipeTest(page).locator('[data-wipe-result]')).toContainText('Eight in ten lie between');
  await wipeTest(page)
    .getByRole('button', { name: /^Put on panel/ })
    .click();
  await expect(wipeTest(page)).toHaveCount(0);
  await expect(page.locator('.side')).toContainText('right within a factor of');
  await expect
    .poll(async () => JSON.stringify((await storedJob(page, 'demo-deck'))?.job['soil']))
    .toContain('measured');
  await page.keyboard.press('Control+z');
  await expect(page.locator('.side')).not.toContainText('right within a factor of');
});

test('a picture file is read, calibrated by a level, kept with the panel, and refused where it is blurred', async ({
  page,
}) => {
  await openWipeTest(page, 'roof');
  const file = wipeTest(page).locator('[data-picture-file]');
  await file.setInputFiles({ name: 'blurred.png', mimeType: 'image/png', buffer: await towelPicture(page, 24) });
  await expect(wipeTest(page).getByRole('alert')).toContainText('blurred');
  await file.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(wipeTest(page).getByRole('alert')).toContainText('cannot read this file');
  await file.setInputFiles({ name: 'towel.png', mimeType: 'image/png', buffer: await towelPicture(page) });
  const result = wipeTest(page).locator('[data-wipe-result]');
  // The helper of the demo has weighed two towels with dust on them.
  await expect(result).toContainText('2 calibrations of this kind');
  await wipeTest(page).getByRole('button', { name: 'Calibrate', exact: true }).click();
  await wipeTest(page).locator('esm-choice').getByRole('button').nth(2).click();
  await expect(result).toContainText('3 calibrations of this kind');
  await wipeTest(page).getByText('Keep the picture').click();
  await wipeTest(page)
    .getByRole('button', { name: /^Put on panel/ })
    .click();
  await expect(wipeTest(page)).toHaveCount(0);
  await expect.poll(async () => ((await storedJob(page, 'demo-deck'))?.job['pictures'] as unknown[]).length).toBe(1);
});

test('a used side is read, and a dye is learned', async ({ page }) => {
  await openStage(page, 'towels');
  await page.getByRole('button', { name: 'Side meter' }).click();
  const meter = page.getByRole('dialog', { name: 'Side meter' });
  await meter.getByRole('button', { name: 'Simulated camera' }).click();
  await expect(meter.getByRole('status')).toContainText('g/m² on the side');
  await meter.getByRole('button', { name: 'Learn a dye' }).click();
  await meter.getByRole('button', { name: 'Simulated camera' }).click();
  await meter.getByRole('button', { name: 'Remember this dye' }).click();
  await expect(meter).toContainText('is known');
  await meter.getByRole('button', { name: 'Simulated camera' }).click();
  await expect(meter.getByRole('status')).toContainText('g/m² on the side');
});

test('half a panel is proved with two pictures, which are kept with the job', async ({ page }) => {
  await openStage(page, 'handover');
  await page.getByRole('button', { name: 'Half-panel proof' }).click();
  const proof = page.getByRole('dialog', { name: 'Half-panel proof' });
  for (const i of [0, 1]) await proof.getByRole('button', { name: 'Simulated camera' }).nth(i).click();
  await expect(proof.getByRole('status')).toContainText('each may be off by');
  await proof.getByRole('button', { name: 'Keep with the job' }).click();
  await expect(page.locator('esm-handover-stage')).toContainText('give or take');
  await expect.poll(async () => ((await storedJob(page, 'demo-deck'))?.job['proofs'] as unknown[]).length).toBe(1);
});

test('beside the car a picture before the wash waits for the one after, and a side is read before it is turned', async ({
  page,
}) => {
  await openStage(page, 'run');
  await page.getByRole('button', { name: 'Picture for the half-panel proof' }).click();
  const proof = page.getByRole('dialog', { name: 'Half-panel proof' });
  await proof.getByRole('button', { name: 'Simulated camera' }).first().click();
  await proof.getByRole('button', { name: 'Keep for later' }).click();
  await expect(proof).toHaveCount(0);
  await page.getByRole('button', { name: 'Begin the run' }).click();
  const done = page.getByRole('button', { name: /^Done/ });
  const sideFull = page.getByRole('button', { name: /^Side full/ }).first();
  while (!(await sideFull.isVisible())) await done.click();
  await page.getByRole('button', { name: /^Something else/ }).click();
  await page.getByRole('button', { name: 'Is this side full?' }).click();
  const meter = page.getByRole('dialog', { name: 'Side meter' });
  await meter.getByRole('button', { name: 'Simulated camera' }).click();
  await expect(meter.getByRole('status')).toContainText('g/m² on the side');
  await meter.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: /^Something else/ }).click();
  await page.getByRole('button', { name: 'Half-panel proof' }).click();
  await expect(proof.getByRole('img', { name: 'Before' })).toBeVisible();
  await proof.getByRole('button', { name: 'Simulated camera' }).nth(1).click();
  await expect(proof.getByRole('status')).toContainText('each may be off by');
  await proof.getByRole('button', { name: 'Keep with the job' }).click();
  const job = async () =>
    (await storedJob(page, 'demo-deck'))?.job as { proofs: { before: string }[]; pictures: { id: string }[] };
  await expect.poll(async () => (await job()).proofs.length).toBe(1);
  const { proofs, pictures } = await job();
  expect(pictures.filter(({ id }) => id === proofs[0]!.before)).toHaveLength(1);
});

test('practice is kept, comes back after a reload, and goes into a plan where it is switched on', async ({ page }) => {
  await page.goto('/practice');
  await page.getByRole('button', { name: 'Begin: Judge the soil' }).click();
  for (let i = 0; i < 3; i++) {
    await page.locator('esm-panels-drill .kinds').getByRole('button', { name: 'Dust', exact: true }).click();
    await page.locator('esm-panels-drill .levels').getByRole('button').nth(2).click();
    await page.getByRole('button', { name: 'That is it' }).click();
    await expect(page.getByRole('status').first()).toContainText('It is');
    await page.getByRole('button', { name: 'Next panel' }).click();
  }
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await expect(page.locator('esm-eye-curve')).toContainText('Over 45 panels');
  await page.reload();
  await expect(page.locator('esm-eye-curve')).toContainText('Over 45 panels');
  await openStage(page, 'method');
  await page.getByRole('button', { name: 'Plan with my eye' }).click();
  await expect(page.getByRole('button', { name: 'Ignore my eye' })).toBeVisible();
});
