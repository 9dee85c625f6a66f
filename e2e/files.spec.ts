import { readFileSync } from 'node:fs';
import { type Page, expect } from '@playwright/test';
import { pinned, test } from './test';
import { jobMenu, openStage, storedJob, wholeDemo } from './desk';

async function give(page: Page, name: string, content: string | Buffer): Promise<void> {
  await page
    .locator('input[type="file"][aria-label="Import a file"]')
    .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
}

async function exported(page: Page): Promise<string> {
  await page.goto('/jobs');
  const download = page.waitForEvent('download');
  await jobMenu(page, /^What to do with Family estate/, 'Export');
  return readFileSync(await (await download).path(), 'utf8');
}

/** No test can answer a file picker: the browser downloads. */
async function withoutPicker(page: Page): Promise<void> {
  await page.addInitScript(() => Object.defineProperty(window, 'showSaveFilePicker', { value: undefined }));
}

async function backedUp(page: Page): Promise<Buffer> {
  await page.goto('/jobs');
  await wholeDemo(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup' }).click();
  return readFileSync(await (await download).path());
}

const dialog = (page: Page) => page.getByRole('dialog', { name: 'What comes in?' });
const row = (page: Page, key: string) => page.locator(`[data-row="${key}"]`);

async function choose(page: Page, key: string, choice: string): Promise<void> {
  await row(page, key).getByRole('combobox').click();
  await page.getByRole('option', { name: choice }).click();
}

test('a job goes out as a file and comes back', async ({ page }) => {
  const text = await exported(page);
  const file = JSON.parse(text) as { format: string; job: Record<string, unknown> };
  expect(file.format).toBe('esmero-job');
  file.job['id'] = 'came-back';
  file.job['name'] = 'Came back <b>bold</b>';
  await give(page, 'job.json', JSON.stringify(file));
  await expect(dialog(page)).toContainText('Came back <b>bold</b>');
  await dialog(page).getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByRole('link', { name: /Came back <b>bold<\/b>/ })).toBeVisible();
});

test('an import over what is here asks, keeps what was chosen, and is taken back whole', async ({ page }) => {
  const text = await exported(page);
  const before = await storedJob(page, 'demo-deck');
  const theirs = text
    .replace(/"client": "[^"]*"/, '"client": "From the file"')
    .replace(/"changedAt": \d+/, '"changedAt": 0')
    .replace(/"edits": \[[^\]]*\]/, '"edits": []');
  for (const choice of ['Keep mine', 'Take the file’s', 'Keep both']) {
    await give(page, 'theirs.json', theirs);
    await expect(row(page, 'job/demo-deck')).toContainText('changed in both');
    await choose(page, 'job/demo-deck', choice);
    if (choice === 'Keep mine') {
      // Nothing chosen, nothing to do.
      await expect(dialog(page).getByRole('button', { name: 'Import', exact: true })).toBeDisabled();
      await dialog(page).getByRole('button', { name: 'Cancel' }).click();
      expect(await storedJob(page, 'demo-deck')).toEqual(before);
      continue;
    }
    await dialog(page).getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.locator('[data-last-import]')).toContainText('theirs.json');
    await expect(page.locator('.job', { hasText: 'Planned' })).toHaveCount(choice === 'Keep both' ? 16 : 15);
    expect((await storedJob(page, 'demo-deck'))!.job['client'] === 'From the file').toBe(choice !== 'Keep both');
    await page.getByRole('button', { name: 'Take the import back' }).click();
    await expect(page.locator('[data-last-import]')).toBeHidden();
    await expect(page.locator('.job', { hasText: 'Planned' })).toHaveCount(15);
    expect((await storedJob(page, 'demo-deck'))!.job).toEqual(before!.job);
  }
});

test('an open job in another tab follows an import at once, and back', async ({ context }) => {
  const [list, open] = [await context.newPage(), await context.newPage()];
  const text = await exported(list);
  await openStage(open, 'site');
  const client = await open.getByLabel('Client').inputValue();
  await give(list, 'theirs.json', text.replace(/"client": "[^"]*"/, '"client": "From the file"'));
  await choose(list, 'job/demo-deck', 'Take the file’s');
  await dialog(list).getByRole('button', { name: 'Import', exact: true }).click();
  await expect(open.getByLabel('Client')).toHaveValue('From the file');
  await expect(open.locator('[data-bar]')).toHaveCount(0);
  await list.getByRole('button', { name: 'Take the import back' }).click();
  await expect(open.getByLabel('Client')).toHaveValue(client);
});

test('a backup with a picture goes to another browser, with nothing different', async ({ page, browser }) => {
  await withoutPicker(page);
  const pixel = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  await openStage(page, 'handover');
  await page
    .locator('esm-picture-pairs input[type="file"]')
    .first()
    .setInputFiles({ name: 'before.png', mimeType: 'image/png', buffer: pixel });
  await expect(page.locator('esm-picture-pairs img')).toBeVisible();
  const backup = await backedUp(page);
  await expect(page.getByText(/37 jobs, \d+ library items and one picture/)).toBeVisible();
  const mine = await storedJob(page, 'demo-deck');
  const other = await (await pinned(await browser.newContext())).newPage();
  await other.goto(new URL('/jobs', page.url()).href);
  await expect(other.locator('.job', { hasText: 'Planned' })).toHaveCount(15);
  await give(other, 'all.zip', backup);
  await expect(row(other, 'job/demo-deck')).toBeVisible();
  await choose(other, 'job/demo-deck', 'Take the file’s');
  await dialog(other).getByRole('button', { name: 'Import', exact: true }).click();
  await expect(other.locator('[data-last-import]')).toBeVisible();
  expect((await storedJob(other, 'demo-deck'))!.job).toEqual(mine!.job);
  await openStage(other, 'handover', new URL('/job/demo-deck', page.url()).href);
  const shown = other.locator('esm-picture-pairs img');
  await expect(shown).toBeVisible();
  expect(await shown.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1);
  await other.context().close();
});

test('where the browser lets a file be chosen, the backup is written straight into it', async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'showSaveFilePicker', {
      value: async ({ suggestedName }: { suggestedName: string }) =>
        (await navigator.storage.getDirectory()).getFileHandle(suggestedName, { create: true }),
    });
  });
  await page.goto('/jobs');
  await page.getByRole('button', { name: 'Save a backup' }).click();
  await expect(page.getByText(/Backup saved/)).toBeVisible();
  const head = await page.evaluate(async () => {
    const folder = await navigator.storage.getDirectory();
    for await (const [name, handle] of (
      folder as unknown as { entries(): AsyncIterable<[string, FileSystemFileHandle]> }
    ).entries()) {
      const file = await handle.getFile();
      return { name, size: file.size, head: await file.slice(0, 2).text() };
    }
    return null;
  });
  expect(head!.name).toMatch(/^esmero-.*\.zip$/);
  expect(head!.head).toBe('PK');
  expect(head!.size).toBeGreaterThan(10_000);
});

test('an archived job is deleted for good only when somebody says so', async ({ page }) => {
  await page.goto('/jobs');
  await jobMenu(page, /^What to do with Family estate/, 'Archive');
  await page.getByRole('button', { name: /^Archived/ }).click();
  await jobMenu(page, /^What to do with Family estate/, 'Delete');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  expect(await storedJob(page, 'demo-deck')).toBeDefined();
  await jobMenu(page, /^What to do with Family estate/, 'Delete');
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.locator('.job')).toHaveCount(0);
  expect(await storedJob(page, 'demo-deck')).toBeUndefined();
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
    ['PK\u0003\u0004 and nothing more', /no whole backup/],
    [`{"format":"esmero-job","version":3,"pad":"${'x'.repeat(10_000_000)}"}`, /at most 4\.0 MB/],
  ];
  for (const [text, says] of cases) {
    await give(page, 'broken.json', text);
    await expect(refusal).toContainText(says);
    await expect(refusal).toContainText('Your data is unchanged');
    await page.getByRole('button', { name: 'OK', exact: true }).click();
    await expect(refusal).toBeHidden();
  }
  expect(await storedJob(page, 'demo-deck')).toEqual(before);
});
