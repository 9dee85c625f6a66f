import { readFile } from 'node:fs/promises';
import { type Page, expect } from '@playwright/test';
import { wholeDemo } from './desk';
import { pinned, test } from './test';

const isCampaign = process.env['CAMPAIGN'] !== undefined;
const JOBS = isCampaign ? 5000 : 30;
const PICTURES = 500;
const PICTURE_BYTES = isCampaign ? 200_000 : 20_000;

/** Many jobs with many pictures, put in as an application of before would have left them. */
async function fill(page: Page): Promise<void> {
  await page.evaluate(
    async ([jobs, pictures, bytes]) => {
      const db = await new Promise<IDBDatabase>((resolve) => {
        const open = indexedDB.open('esmero');
        open.onsuccess = () => resolve(open.result);
      });
      const done = (tx: IDBTransaction): Promise<void> =>
        new Promise(
          (resolve, reject) => ((tx.oncomplete = () => resolve()), (tx.onerror = () => reject(tx.error as Error))),
        );
      const row = await new Promise<{ document: { id: string } }>((resolve) => {
        const get = db.transaction('jobs').objectStore('jobs').get('demo-deck');
        get.onsuccess = () => resolve(get.result as never);
      });
      const tx = db.transaction(['jobs', 'settings'], 'readwrite');
      for (let i = 0; i < jobs; i++) {
        const mine = Array.from(
          { length: Math.ceil(pictures / jobs) },
          (_, k) => i * Math.ceil(pictures / jobs) + k,
        ).filter((k) => k < pictures);
        const shown = mine.map((k) => ({ id: `i-${k}`, when: 'after', zone: null, note: '', photo: `p-${k}` }));
        tx.objectStore('jobs').put({
          ...row,
          id: `many-${i}`,
          document: { ...row.document, id: `many-${i}`, name: `Visit ${i}`, pictures: shown },
        });
      }
      tx.objectStore('settings').delete('briefs');
      await done(tx);
      for (let k = 0; k < pictures; k += 50) {
        const part = db.transaction('photos', 'readwrite');
        for (let i = k; i < k + 50; i++) {
          const noise = new Uint8Array(bytes);
          for (let at = 0; at < bytes; at += 65_536)
            crypto.getRandomValues(noise.subarray(at, Math.min(bytes, at + 65_536)));
          part.objectStore('photos').put(new Blob([noise], { type: 'image/jpeg' }), `p-${i}`);
        }
        await done(part);
      }
      db.close();
    },
    [JOBS, PICTURES, PICTURE_BYTES] as const,
  );
}

/** A fingerprint of everything that is kept: rows of jobs without their revisions, items, movements and pictures. */
const fingerprint = (page: Page): Promise<string> =>
  page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const open = indexedDB.open('esmero');
      open.onsuccess = () => resolve(open.result);
    });
    const hash = (bytes: Uint8Array, seed = 2166136261): number =>
      bytes.reduce((now, byte) => Math.imul(now ^ byte, 16777619) >>> 0, seed);
    const text = (value: unknown): Uint8Array => new TextEncoder().encode(JSON.stringify(value));
    const found: string[] = [];
    for (const name of ['jobs', 'library', 'movements', 'photos']) {
      const keys = await new Promise<IDBValidKey[]>((resolve) => {
        const get = db.transaction(name).objectStore(name).getAllKeys();
        get.onsuccess = () => resolve(get.result);
      });
      let sum = 2166136261;
      for (const key of keys) {
        const row = await new Promise<Record<string, unknown>>((resolve) => {
          const get = db.transaction(name).objectStore(name).get(key);
          get.onsuccess = () => resolve(get.result as never);
        });
        if (row instanceof Blob) sum = hash(new Uint8Array(await row.arrayBuffer()), sum);
        else
          sum = hash(
            text(name === 'movements' ? row : [row['id'], row['archived'], row['document'], row['item']]),
            sum,
          );
      }
      found.push(`${name} ${keys.length} ${sum}`);
    }
    db.close();
    return found.join(', ');
  });

/** The longest that the page did not answer, ms. */
const watchTasks = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const state = window as unknown as { longest: number };
    state.longest = 0;
    new PerformanceObserver((list) =>
      list.getEntries().forEach(({ duration }) => (state.longest = Math.max(state.longest, duration))),
    ).observe({ type: 'longtask' });
  });
const longest = (page: Page): Promise<number> =>
  page.evaluate(() => (window as unknown as { longest: number }).longest);

test(`a backup of ${JOBS} jobs and ${PICTURES} pictures goes out and comes in again with nothing different`, async ({
  page,
  browser,
}) => {
  test.setTimeout(isCampaign ? 1_800_000 : 240_000);
  const slow = { timeout: isCampaign ? 900_000 : 120_000 };
  const note = (type: string, description: string): void => void test.info().annotations.push({ type, description });
  await page.addInitScript(() => Object.defineProperty(window, 'showSaveFilePicker', { value: undefined }));
  await page.goto('/jobs');
  await wholeDemo(page);
  await fill(page);
  await page.reload();
  await expect(page.getByText(new RegExp(`Visit 0$`)).first()).toBeVisible(slow);
  const before = await fingerprint(page);
  await watchTasks(page);
  let began = Date.now();
  const download = page.waitForEvent('download', slow);
  await page.getByRole('button', { name: 'Save a backup' }).click();
  await expect(page.locator('[data-busy]').getByRole('progressbar')).toBeVisible();
  const file = await (await download).path();
  note('backup written in', `${((Date.now() - began) / 1000).toFixed(1)} s`);
  note('longest task of the page while it is written', `${Math.round(await longest(page))} ms`);

  const other = await (await pinned(await browser.newContext())).newPage();
  await other.goto(new URL('/jobs', page.url()).href);
  await wholeDemo(other);
  await watchTasks(other);
  began = Date.now();
  await other.locator('input[aria-label="Import a file"]').setInputFiles(file);
  const dialog = other.getByRole('dialog', { name: 'What comes in?' });
  await expect(dialog).toBeVisible(slow);
  note('backup read and compared in', `${((Date.now() - began) / 1000).toFixed(1)} s`);
  await expect(dialog).toContainText(`${JOBS} new`);
  began = Date.now();
  await dialog.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(other.locator('[data-last-import]')).toBeVisible(slow);
  note('brought in in', `${((Date.now() - began) / 1000).toFixed(1)} s`);
  note('longest task of the page while it comes in', `${Math.round(await longest(other))} ms`);
  expect(await fingerprint(other)).toBe(before);

  await other.getByRole('button', { name: 'Take the import back' }).click();
  await expect(other.locator('[data-last-import]')).toBeHidden(slow);
  await expect(other.locator('.job', { hasText: 'Planned' })).toHaveCount(15);
  await other.context().close();
});

test('a backup can be called off', async ({ page }) => {
  await page.addInitScript(() => Object.defineProperty(window, 'showSaveFilePicker', { value: undefined }));
  await page.goto('/jobs');
  await expect(page.locator('.job', { hasText: 'Planned' })).toHaveCount(15);
  await fill(page);
  await page.reload();
  await expect(page.getByText(/Visit 0$/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Save a backup' }).click();
  await page.locator('[data-busy]').getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Backup cancelled')).toBeVisible();
  await expect(page.locator('[data-busy]')).toBeHidden();
});

test('a backup with a passphrase is opened with it, and with no other', async ({ page, browser }) => {
  await page.goto('/jobs');
  await wholeDemo(page);
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Backup with a passphrase' }).click();
  await page.getByLabel('Passphrase', { exact: true }).fill('harbour light');
  await page.getByLabel('Once more').fill('harbour');
  await expect(page.getByRole('alert')).toContainText('not the same');
  await page.getByLabel('Once more').fill('harbour light');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the backup' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('esmero-2031-07-14.esmero-sealed');
  const path = (await file.path())!;
  const text = (await readFile(path)).toString('latin1');
  expect(text.slice(0, 25)).toBe('{"format":"esmero-sealed"');
  expect(text).not.toContain('Lantern');

  const context = await browser.newContext();
  const other = await context.newPage();
  await other.goto('/jobs');
  await wholeDemo(other);
  await other
    .getByLabel('Import a file')
    .setInputFiles({ name: 'mine.esmero-sealed', mimeType: 'application/octet-stream', buffer: await readFile(path) });
  await other.getByLabel('Passphrase', { exact: true }).fill('another one');
  await other.getByRole('button', { name: 'Open it' }).click();
  await expect(other.getByRole('alert')).toContainText('another passphrase');
  await other.getByLabel('Passphrase', { exact: true }).fill('harbour light');
  await other.getByRole('button', { name: 'Open it' }).click();
  await expect(other.getByRole('dialog', { name: 'What comes in?' })).toBeVisible();
  await context.close();
});
