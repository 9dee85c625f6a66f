import { type BrowserContext, type Page, expect } from '@playwright/test';
import { test } from './test';
import { openStage, storedJob } from './desk';

/** A few in `npm test`, many in the campaign. */
const rounds = (usual: number, campaign: number): number => (process.env['CAMPAIGN'] === undefined ? usual : campaign);

const client = (page: Page) => page.getByLabel('Client');
const bar = (page: Page) => page.locator('[data-bar]');

/** The disk is full until `room()` is called, also in pages to come. */
async function fullDisk(page: Page): Promise<void> {
  const fill = (): void => {
    const put = IDBObjectStore.prototype.put;
    (window as unknown as { room: () => void }).room = () => (IDBObjectStore.prototype.put = put);
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  };
  await page.evaluate(fill);
}

async function type(page: Page, text: string): Promise<void> {
  await client(page).click();
  await client(page).fill('');
  await client(page).pressSequentially(text);
}

test('what is typed is kept while it is typed, and undone by the word', async ({ page }) => {
  await openStage(page, 'site');
  await type(page, 'Harbour office');
  // The field has not been left.
  await expect.poll(async () => (await storedJob(page, 'demo-deck'))!.job['client']).toBe('Harbour office');
  await expect(client(page)).toBeFocused();
  await page.getByRole('heading', { name: 'Whose car?' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(client(page)).toHaveValue('Harbour');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(client(page)).toHaveValue('Harbour office');
});

test('a page that is closed in the same moment as an edit loses nothing', async ({ context }) => {
  for (let i = 0; i < rounds(2, 16); i++) {
    const page = await context.newPage();
    await openStage(page, 'site');
    await type(page, `Closed ${i}`);
    await Promise.all([page.waitForEvent('close'), page.close({ runBeforeUnload: true })]);
    const next = await context.newPage();
    await openStage(next, 'site');
    await expect(client(next)).toHaveValue(`Closed ${i}`);
    await next.close();
  }
});

test('a tab that is killed loses nothing older than a third of a second', async ({ context }) => {
  const kills = rounds(5, 120);
  test.setTimeout(60_000 + kills * 20_000);
  let seed = 7;
  const draw = (n: number): number => (seed = (seed * 48271) % 2147483647) % n;
  let allowed: readonly string[] = [];
  for (let i = 0; i <= kills; i++) {
    const page = await context.newPage();
    await openStage(page, 'site');
    // What the one before left.
    if (i > 0) expect(allowed).toContain(await client(page).inputValue());
    await client(page).fill(`Before ${i}`);
    await page.waitForTimeout(350 + draw(300));
    await client(page).fill(`After ${i}`);
    await page.waitForTimeout(draw(250));
    allowed = [`Before ${i}`, `After ${i}`];
    const gone = page.waitForEvent('crash');
    void page.goto('chrome://crash').catch(() => undefined);
    await gone;
    await page.close();
  }
});

test('a reload with a full disk keeps the job, says so, and saves it when there is room', async ({ page }) => {
  await openStage(page, 'site');
  await fullDisk(page);
  await client(page).fill('Not lost');
  await client(page).blur();
  await expect(bar(page)).toContainText('storage is full');
  page.on('dialog', (dialog) => void dialog.accept());
  await page.addInitScript(() => {
    if (sessionStorage.getItem('full') !== 'no') {
      const put = IDBObjectStore.prototype.put;
      (window as unknown as { room: () => void }).room = () => {
        sessionStorage.setItem('full', 'no');
        IDBObjectStore.prototype.put = put;
      };
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('no room', 'QuotaExceededError');
      };
    }
  });
  await page.reload();
  await expect(client(page)).toHaveValue('Not lost');
  await expect(bar(page)).toContainText('storage is full');
  await page.evaluate(() => (window as unknown as { room: () => void }).room());
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(bar(page)).toBeHidden();
  await page.reload();
  await expect(client(page)).toHaveValue('Not lost');
  expect((await storedJob(page, 'demo-deck'))!.job['client']).toBe('Not lost');
});

test('a job that could not be saved is left only on somebody’s word, and offered again', async ({ page }) => {
  await openStage(page, 'site');
  await fullDisk(page);
  await client(page).fill('Kept aside');
  await client(page).blur();
  await expect(bar(page)).toBeVisible();
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'This job is not saved' });
  await expect(dialog).toContainText('not saved');
  await dialog.getByRole('button', { name: 'Stay' }).click();
  await expect(client(page)).toHaveValue('Kept aside');
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  await dialog.getByRole('button', { name: 'Leave' }).click();
  await expect(page.locator('[data-rescued]')).toContainText('Family estate');
  await page.evaluate(() => (window as unknown as { room: () => void }).room());
  await page.locator('[data-rescued]').getByRole('link').click();
  await expect(client(page)).toHaveValue('Kept aside');
  await expect.poll(async () => (await storedJob(page, 'demo-deck'))!.job['client']).toBe('Kept aside');
});

test('closing a page over a job that is not saved asks first', async ({ page }) => {
  await openStage(page, 'site');
  await fullDisk(page);
  await client(page).fill('Unsaved');
  await client(page).blur();
  await expect(bar(page)).toBeVisible();
  const asked = page.waitForEvent('dialog');
  await page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await expect(client(page)).toHaveValue('Unsaved');
});

async function two(context: BrowserContext): Promise<readonly [Page, Page]> {
  const [one, other] = [await context.newPage(), await context.newPage()];
  await openStage(one, 'site');
  await openStage(other, 'site');
  return [one, other];
}

test('two tabs at different fields of one job both keep what they wrote, whichever is first', async ({ context }) => {
  test.setTimeout(60_000 + rounds(6, 200) * 15_000);
  const [one, other] = await two(context);
  for (let i = 0; i < rounds(6, 200); i++) {
    const pause = (i * 37) % 200;
    await client(one).fill(`Client ${i}`);
    await one.waitForTimeout(pause);
    await other.getByLabel('Note').fill(`Note ${i}`);
    for (const page of [one, other]) await page.getByRole('heading', { name: 'Whose car?' }).click();
    await expect
      .poll(async () => {
        const { job } = (await storedJob(one, 'demo-deck'))!;
        return [job['client'], job['note']];
      })
      .toEqual([`Client ${i}`, `Note ${i}`]);
    for (const page of [one, other]) {
      await expect(client(page)).toHaveValue(`Client ${i}`);
      await expect(page.getByLabel('Note')).toHaveValue(`Note ${i}`);
      await expect(bar(page)).toHaveCount(0);
    }
  }
});

test('three tabs at one library item keep the fields of each, and ask about the same one', async ({ context }) => {
  const pages = [await context.newPage(), await context.newPage(), await context.newPage()];
  for (const page of pages) {
    await page.goto('/library/vehicle');
    await page.getByRole('button', { name: /Family estate/ }).click();
    // The channel between tabs goes deaf: what the others did is found on saving.
    await page.evaluate(() => void (BroadcastChannel.prototype.postMessage = () => undefined));
  }
  const [one, second, third] = pages as [Page, Page, Page];
  await one.getByLabel('Name').fill('Family estate, grey');
  await one.getByLabel('Name').blur();
  await expect(one.getByText('Saved.')).toBeVisible();
  await second.getByLabel('Length', { exact: true }).fill('4.7');
  await second.getByLabel('Length', { exact: true }).blur();
  await expect(second.getByRole('heading', { name: 'Family estate, grey' })).toBeVisible();
  await expect(second.getByLabel('Length', { exact: true })).toHaveValue('4.7 m');
  await third.getByLabel('Name').fill('Family estate, old');
  await third.getByLabel('Name').blur();
  const dialog = third.getByRole('dialog', { name: 'Changed in two places' });
  await expect(dialog).toContainText('changed name');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await expect(third.getByRole('heading', { name: 'Family estate, old' })).toBeVisible();
  await expect(third.getByLabel('Length', { exact: true })).toHaveValue('4.7 m');
});

test('a stale tab of the library does not set the stock back', async ({ context }) => {
  const [library, stock] = [await context.newPage(), await context.newPage()];
  await library.goto('/library/towel');
  await library.getByRole('button', { name: /Wash towels/ }).click();
  const clean = library.getByLabel('Clean', { exact: true });
  const before = parseInt(await clean.inputValue(), 10);
  await library.evaluate(() => {
    Object.defineProperty(BroadcastChannel.prototype, 'onmessage', { set: () => undefined });
  });
  await stock.goto('/stock');
  const counted = stock.getByLabel(/^Clean Wash towels.*counted$/);
  await counted.fill(String(before - 5));
  await counted.press('Enter');
  await expect(stock.locator('td.stock', { hasText: new RegExp(`^${before - 5}$`) }).first()).toBeVisible();
  await expect(stock.locator('.page')).toHaveAttribute('aria-busy', 'false');
  await library.getByLabel('Name').fill('Wash towels, renamed');
  await library.getByLabel('Name').blur();
  await expect(library.getByText('Saved.')).toBeVisible();
  await stock.reload();
  await expect(stock.getByText('Wash towels, renamed').first()).toBeVisible();
  await library.reload();
  await library.getByRole('button', { name: /Wash towels, renamed/ }).click();
  await expect(library.getByLabel('Clean', { exact: true })).toHaveValue(`${before - 5} towels`);
});

test('a database that is deleted underneath is made again, with what is on the page', async ({ page }) => {
  await openStage(page, 'site');
  await page.evaluate(() => new Promise((resolve) => (indexedDB.deleteDatabase('esmero').onsuccess = resolve)));
  await expect(page.locator('[data-notice="lost"]')).toContainText('was deleted');
  await expect
    .poll(async () => (await storedJob(page, 'demo-deck').catch(() => undefined))?.job['id'])
    .toBe('demo-deck');
  await client(page).fill('After the loss');
  await client(page).blur();
  await expect.poll(async () => (await storedJob(page, 'demo-deck'))?.job['client']).toBe('After the loss');
  await page.goto('/jobs');
  // What was on the page, and no demo beside it.
  await expect(page.locator('.job')).toHaveCount(1);
});

test('data of a newer Esmero is left alone and named as such, without a demo beside it', async ({ page }) => {
  await page.goto('/jobs');
  await expect(page.locator('.job', { hasText: 'Planned' })).toHaveCount(15);
  await page.evaluate(() => {
    localStorage.setItem('esmero-rescue/demo-deck/x', '{"job":{"id":"demo-deck"},"kept":null,"base":0}');
    return new Promise<void>((resolve) => {
      const open = indexedDB.open('esmero', 9999);
      open.onsuccess = () => {
        open.result.close();
        resolve();
      };
    });
  });
  await page.reload();
  await expect(page.locator('[data-notice="newer-data"]')).toContainText('newer Esmero');
  await expect(page.locator('.job')).toHaveCount(0);
  expect(await page.evaluate(() => localStorage.getItem('esmero-rescue/demo-deck/x'))).not.toBeNull();
});

test('an older page is told when a newer Esmero takes the data further underneath', async ({ page }) => {
  await openStage(page, 'site');
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('esmero', 9999);
        open.onsuccess = () => resolve();
      }),
  );
  await expect(page.locator('[data-notice="newer-data"]')).toBeVisible();
  await client(page).fill('Typed in the old one');
  await client(page).blur();
  await expect(bar(page)).toContainText('newer Esmero');
});

test('a run keeps its order when the clock jumps', async ({ page }) => {
  await openStage(page, 'run');
  await page.getByRole('button', { name: /^Begin/ }).click();
  const done = page.getByRole('button', { name: /^Done/ }).first();
  await done.click();
  await page.evaluate(() => {
    const real = Date.now;
    Date.now = () => real() - 3_600_000;
  });
  await done.click();
  await expect(page.locator('esm-run-stage h2')).toContainText('2 of');
  const noted = async () =>
    ((await storedJob(page, 'demo-deck'))!.job['run'] as { events: { kind: string; seq: number; at: number }[] })
      .events;
  const presses = async () => (await noted()).filter(({ kind }) => kind !== 'wet');
  await expect.poll(async () => (await presses()).length).toBeGreaterThanOrEqual(2);
  // Wet zones may still be noted: one reading for both questions.
  const events = await noted();
  expect(events.map(({ seq }) => seq)).toEqual(events.map((_one, i) => i + 1));
  const times = events.filter(({ kind }) => kind !== 'wet').map(({ at }) => at);
  expect(times).toEqual([...times].sort((p, q) => p - q));
});
