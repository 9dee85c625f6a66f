import { type Browser, type Page, expect } from '@playwright/test';
import { openStage } from './desk';
import { pinned, test } from './test';

const stops = (page: Page) => page.locator('.stop[data-stop]');
const names = (page: Page): Promise<string[]> => page.locator('.stop[data-stop] a').allTextContents();
const planned = async (page: Page): Promise<void> => {
  await expect(page.getByText('Planning each stop at its hour')).toHaveCount(0);
  await expect(page.locator('esm-day-picture svg')).toBeVisible();
};

/** Something from the menu of a stop. */
async function stopMenu(page: Page, name: string, what: string): Promise<void> {
  await page.getByRole('button', { name: `What to do with ${name}` }).click();
  await page.getByRole('menuitem', { name: what }).click();
  await expect(page.getByRole('menu')).toHaveCount(0);
}

const desktop = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

async function at(browser: Browser, hour: string, viewport: { width: number; height: number }): Promise<Page> {
  const context = await pinned(
    await browser.newContext({
      viewport,
      locale: 'en-GB',
      serviceWorkers: 'block',
      baseURL: test.info().project.use.baseURL!,
    }),
    Date.parse(`2031-07-14T${hour}:00Z`),
  );
  return context.newPage();
}

for (const [device, viewport] of [
  ['a desk', desktop],
  ['a phone', phone],
] as const)
  test(`a day is planned again at noon, without the network, on ${device}`, async ({ browser }) => {
    test.slow();
    const page = await at(browser, '07:40', viewport);
    await page.goto('/day');
    await planned(page);
    await expect(stops(page)).toHaveCount(6);
    await page.context().setOffline(true);
    // Two are done in the morning.
    for (const left of [5, 4]) {
      await stopMenu(page, (await names(page))[0]!, 'Done');
      await expect(stops(page)).toHaveCount(left);
      await planned(page);
    }
    await expect(page.locator('.done li')).toHaveCount(2);
    // A client is late, and rain sets in.
    const late = (await names(page))[0]!;
    await stopMenu(page, late, 'The client is late');
    await planned(page);
    await expect(stops(page).filter({ hasText: late })).toContainText('To be begun from');
    await page.getByRole('button', { name: 'Hours and rain' }).click();
    await page.getByRole('combobox', { name: 'Rain from' }).click();
    await page.getByRole('option', { name: '10:00', exact: true }).click();
    await page.getByRole('button', { name: 'Close' }).click();
    await planned(page);
    await expect(page.getByText('cannot be done at any time that day').first()).toBeVisible();
    await page.getByRole('button', { name: 'Undo: Rain' }).click();
    await planned(page);
    await expect(page.getByText('cannot be done at any time that day')).toHaveCount(0);
    // One goes to the next day, and the others are planned without it.
    const moved = (await names(page)).at(-1)!;
    await stopMenu(page, moved, 'To 15 Jul 2031');
    await expect(stops(page)).toHaveCount(3);
    await page.getByRole('button', { name: 'The day after' }).click();
    await expect(stops(page).filter({ hasText: moved })).toHaveCount(1);
    await page.context().close();
  });

test('a stop is dragged to another place, and by keyboard as well; what it costs is said', async ({ page }) => {
  await page.goto('/day');
  await planned(page);
  const best = await names(page);
  const handle = stops(page).nth(0).locator('.handle');
  const onto = stops(page).nth(2);
  await handle.hover();
  await page.mouse.down();
  const box = (await onto.boundingBox())!;
  await page.mouse.move(box.x + 40, box.y + box.height / 2, { steps: 12 });
  await page.mouse.move(box.x + 40, box.y + box.height, { steps: 6 });
  await page.mouse.up();
  await expect(page.locator('[data-own-order]')).toContainText('Your order costs');
  expect(await names(page)).not.toEqual(best);
  await page.getByRole('button', { name: 'Best order' }).click();
  await expect.poll(() => names(page)).toEqual(best);
  await page.getByRole('button', { name: `What to do with ${best[0]!}` }).press('Enter');
  await page.getByRole('menuitem', { name: 'Later' }).click();
  await expect.poll(() => names(page)).toEqual([best[1]!, best[0]!, ...best.slice(2)]);
});

test('what is short is mended at a press, the day is tried many times, and the list is packed and kept', async ({
  page,
}) => {
  await page.goto('/day');
  await planned(page);
  await expect(page.locator('[data-shortage]')).toContainText('Short first');
  await page.getByRole('button', { name: 'How to fix it' }).click();
  await page.getByRole('button', { name: /^Do it: With \d+ drying towels/ }).click();
  await planned(page);
  await expect(page.locator('[data-shortage]').filter({ hasText: 'drying towels, and' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Try it on 400 days' }).click();
  await expect(page.getByText(/of such days\./).first()).toBeVisible();
  await page.getByLabel(/L of water/).check();
  await page.reload();
  await planned(page);
  await page.getByRole('button', { name: 'Try it on 400 days' }).click();
  await expect(page.getByLabel(/L of water/)).toBeChecked();
});

test('the phone shows the next stop large, and hands the way to its own map', async ({ browser }) => {
  const page = await at(browser, '07:40', phone);
  await page.goto('/day');
  await planned(page);
  const next = page.locator('.next');
  await expect(next).toContainText('Leave by');
  await expect(next.getByRole('link', { name: 'Navigate' })).toHaveAttribute('href', /^geo:43\.\d+,5\.\d+\?q=/);
  await next.getByRole('link', { name: 'Open the run' }).click();
  await expect(page).toHaveURL(/\/job\/demo-[a-z]+\/run/);
  await page.context().close();
});

test('the minutes of a way are typed, and the day goes by them', async ({ page }) => {
  await page.goto('/day');
  await planned(page);
  await page.getByRole('button', { name: 'More for this day' }).click();
  await page.getByRole('menuitem', { name: 'Driving times' }).click();
  const first = page.getByRole('dialog').getByRole('spinbutton').first();
  await first.fill('95');
  await first.press('Tab');
  await page.getByRole('button', { name: 'Close' }).click();
  await planned(page);
  await page.getByRole('button', { name: 'More for this day' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save as a file' }).click();
  const file = await (await saved).createReadStream();
  const chunks: Buffer[] = [];
  for await (const chunk of file) chunks.push(chunk as Buffer);
  const { day } = JSON.parse(Buffer.concat(chunks).toString()) as {
    day: { travel: { kind: string; rows: { to: { minutes: number }[] }[] } };
  };
  expect(day.travel.kind).toBe('table');
  expect(day.travel.rows[0]!.to.some(({ minutes }) => minutes === 95)).toBe(true);
});

test('a table of ways is saved, changed and read again; what is wrong in it is named by its line', async ({ page }) => {
  await page.goto('/day');
  await planned(page);
  await page.getByRole('button', { name: 'More for this day' }).click();
  await page.getByRole('menuitem', { name: 'Driving times' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all as a table' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await saved).createReadStream()) chunks.push(chunk as Buffer);
  const lines = Buffer.concat(chunks).toString().split('\n');
  expect(lines[0]).toBe('from,to,minutes');
  const text = [lines[0]!, lines[1]!.replace(/\d+$/, '77'), 'the yard,nowhere,5'].join('\n');
  await page
    .getByLabel('Import minutes (CSV)', { exact: true })
    .last()
    .setInputFiles({ name: 'ways.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('One way taken over. Left out:');
  await expect(page.getByRole('dialog')).toContainText('line 3');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('button', { name: 'Undo: Minutes of a way' })).toBeVisible();
});

for (const [device, viewport] of [
  ['a desk', desktop],
  ['a phone', phone],
] as const)
  test(`a lot of seventy-five is ticked off to the end, without the network, on ${device}`, async ({ browser }) => {
    test.slow();
    const page = await at(browser, '07:40', viewport);
    await page.goto('/lots');
    await expect(page.locator('.bays .bay')).toHaveCount(75);
    await expect(page.locator('[data-shortage]')).toContainText('Short at car');
    await page.context().setOffline(true);
    await page.getByRole('button', { name: 'Begin the first car' }).click();
    for (let car = 1; car <= 75; car++)
      await page.getByRole('button', { name: `Car ${car} done`, exact: true }).click();
    await expect(page.locator('[data-done]')).toHaveText('75 of 75 done');
    await page.context().setOffline(false);
    await page.reload();
    await expect(page.locator('[data-done]')).toHaveText('75 of 75 done');
    await page.context().close();
  });

test('the van is filled up, and the day begins with what is in it', async ({ page }) => {
  await page.goto('/stock');
  const clean = page.getByRole('spinbutton', { name: 'Clean water, now' });
  await clean.fill('9');
  await clean.press('Tab');
  await page.getByRole('link', { name: 'Day', exact: true }).click();
  await planned(page);
  await expect(page.locator('esm-day-picture')).toContainText(/of 9 L|of 60 L/);
  await page.getByRole('link', { name: 'Van', exact: true }).click();
  await page.getByRole('button', { name: 'Filled up' }).click();
  await expect(clean).toHaveValue('60 L');
});

test('on a phone what has no room in the bar is found under More', async ({ browser }) => {
  const page = await at(browser, '07:40', { width: 320, height: 640 });
  await page.goto('/jobs');
  await page.getByRole('link', { name: 'More', exact: true }).click();
  await page.locator('main').getByRole('link', { name: 'Lots' }).click();
  await expect(page.locator('.bays .bay')).toHaveCount(75);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await openStage(page, 'site');
  await page.context().close();
});
