import { type Page, expect } from '@playwright/test';
import { expectAccessible } from './accessible';
import { test } from './test';
import { openStage, storedJob, watchErrors } from './desk';

for (const [size, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a tablet on its side', { width: 1280, height: 800 }],
] as const)
  test.describe(`on ${size}`, () => {
    test.use({ viewport });

    test('a run is begun, ticked off, survives a reload and a closed tab, and comes to its end', async ({
      page,
      context,
    }) => {
      const errors = watchErrors(page);
      await openStage(page, 'run');
      await page.getByRole('button', { name: 'Begin the run' }).click();
      await page.getByLabel(/Towels counted out/).check();
      const title = page.locator('.hand .title').first();
      await expect(title).not.toBeEmpty();
      const done = page.getByRole('button', { name: /^Done/ }).first();
      expect((await done.boundingBox())!.height).toBeGreaterThanOrEqual(56);
      for (let i = 1; i <= 5; i++) {
        await done.click();
        await expect(page.locator('esm-run-stage h2')).toContainText(`${i} of`);
      }
      const before = await title.innerText();
      await page.reload();
      await expect(page.locator('esm-run-stage h2')).toContainText('5 of');
      await expect(title).toHaveText(before);
      await page.close({ runBeforeUnload: false });
      const again = await context.newPage();
      await openStage(again, 'run');
      await expect(again.locator('.hand .title').first()).toHaveText(before);
      await again.getByRole('button', { name: 'Take back' }).click();
      await expect(again.locator('esm-run-stage h2')).toContainText('4 of');
      await again.keyboard.press('1');
      await expect(again.locator('esm-run-stage h2')).toContainText('5 of');
      await again.getByRole('button', { name: 'Stop here' }).click();
      await expect(again.locator('esm-run-stage')).toContainText('Finished in');
      await expect
        .poll(async () => ((await storedJob(again, 'demo-deck'))!.job['run'] as { endedAt: number | null }).endedAt)
        .not.toBeNull();
      const wide = await again.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide).toBeLessThanOrEqual(0);
      expect(errors).toEqual([]);
    });
  });

test.describe('without a network', () => {
  test.use({ serviceWorkers: 'allow' });

  test('a run goes on, reloads and opens other stages', async ({ page, context }) => {
    await openStage(page, 'run');
    await page.getByRole('button', { name: 'Begin the run' }).click();
    await page.getByRole('button', { name: /^Done/ }).first().click();
    await expect(page.locator('esm-run-stage h2')).toContainText('1 of');
    // Everything is kept before the network goes.
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    await expect
      .poll(() =>
        page.evaluate(async () =>
          (
            await Promise.all((await caches.keys()).map(async (key) => (await (await caches.open(key)).keys()).length))
          ).reduce((p, q) => p + q, 0),
        ),
      )
      .toBeGreaterThan(20);
    await page.reload();
    await context.setOffline(true);
    await page.reload();
    await expect(page.locator('esm-run-stage h2')).toContainText('1 of');
    await page.getByRole('button', { name: /^Done/ }).first().click();
    await expect(page.locator('esm-run-stage h2')).toContainText('2 of');
    await page.getByRole('button', { name: 'All stages' }).click();
    await page.getByRole('link', { name: 'Towels' }).click();
    await expect(page.locator('esm-towel-square').first()).toBeVisible();
    await expect(page.locator('.stage > .note')).toHaveCount(0);
  });
});

test('a run is counted, stands in the log, and the next plan goes by it when asked', async ({ page }) => {
  await openStage(page, 'run');
  await page.getByRole('button', { name: 'Begin the run' }).click();
  const heading = page.locator('esm-run-stage h2');
  const all = Number(/of (\d+)/.exec(await heading.innerText())![1]);
  for (let i = 1; i <= all; i++) {
    await page.keyboard.press('1');
    await expect(heading).toContainText(`${i} of`);
  }
  await page.getByRole('button', { name: 'The run is over' }).click();
  await page.getByLabel('Wash towels opened').fill('8');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Noted in the log')).toBeVisible();
  await page.getByRole('link', { name: 'Log' }).click();
  // On top of those of the demo.
  await expect(page.locator('esm-log-page tbody tr')).toHaveCount(23);
  await expect(page.locator('esm-log-page tbody tr').first()).toContainText('Wash towels +100 %');
  await expectAccessible(page);
  await page.getByRole('searchbox').fill('nobody');
  await expect(page.locator('esm-log-page')).toContainText('No entries match');
  await openStage(page, 'method', '/job/demo-yard');
  await page.getByRole('button', { name: 'Plan with what was learned' }).click();
  await expect(page.locator('esm-learned')).toContainText('This plan uses your log');
  await page.getByRole('button', { name: 'Ignore my log' }).click();
  await expect(page.getByRole('button', { name: 'Plan with what was learned' })).toBeVisible();
});

for (const [size, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a desk', { width: 1280, height: 800 }],
] as const)
  test.describe(`a whole job on ${size}`, () => {
    test.use({ viewport });

    test('is run through six turns of events, a reload, a killed tab and no network, and is counted', async ({
      page,
      context,
    }) => {
      test.slow();
      const errors = watchErrors(page);
      // The exhibition has towels and time to spare.
      await openStage(page, 'run', '/job/demo-hall');
      await page.getByRole('button', { name: 'Begin the run' }).click();
      const done = async (on: Page, count: number): Promise<void> => {
        for (let i = 0; i < count; i++) {
          const before = await on.locator('esm-run-stage h2').innerText();
          await on.getByRole('button', { name: /^Done/ }).first().click();
          await expect(on.locator('esm-run-stage h2')).not.toHaveText(before);
        }
      };
      const ticked = async (on: Page): Promise<number> =>
        Number(/^(\d+) of/.exec(await on.locator('esm-run-stage h2').innerText())![1]);
      const turn = async (on: Page, button: RegExp, says: RegExp): Promise<void> => {
        const before = await ticked(on);
        // Of two towels in the hand it is asked which one fell.
        const asks =
          String(button).includes('Dropped') &&
          (await on
            .locator('.hand')
            .first()
            .getByRole('button', { name: /^Side full/ })
            .count()) > 1;
        await on.getByRole('button', { name: button }).first().click();
        if (asks) await on.getByRole('menuitem').first().click();
        await expect(on.getByRole('status').first()).toContainText(says);
        expect(await ticked(on)).toBe(before);
      };
      await done(page, 3);
      while ((await page.getByRole('button', { name: /^Side full/ }).count()) === 0) await done(page, 1);
      await turn(page, /^Side full/, /is full. Planned again: \d+:\d\d of work left/);
      while ((await page.getByRole('button', { name: /^Dropped or soaked/ }).count()) === 0) await done(page, 1);
      await turn(page, /^Dropped or soaked/, /is out. Planned again/);
      await page.getByRole('button', { name: 'Something else' }).first().click();
      await turn(page, /Dirtier than marked/, /dirtier than marked. Planned again/);
      await page.getByRole('button', { name: 'Something else' }).first().click();
      await turn(page, /second person (came|left)/, /second person (came|left). Planned again/);
      await page.reload();
      await expect(page.getByRole('status').first()).toContainText('Planned again');
      await page.getByRole('button', { name: 'Something else' }).first().click();
      await page.getByLabel('Panels measured').fill('27');
      await page.keyboard.press('Tab');
      await expect(page.getByRole('status').first()).toContainText('Panels at 27 °C');
      await page.getByRole('button', { name: 'All stages' }).click();
      await page.getByRole('link', { name: 'Towels' }).click();
      await expect(page.getByText(/Planned again at .*those of the rest/)).toBeVisible();
      await page.getByRole('link', { name: 'Run', exact: true }).click();
      const before = await ticked(page);
      await page.close({ runBeforeUnload: false });
      const again = await context.newPage();
      await openStage(again, 'run', '/job/demo-hall');
      expect(await ticked(again)).toBe(before);
      await expect(again.getByRole('status').first()).toContainText('Panels at 27 °C');
      await again.getByRole('button', { name: 'Something else' }).first().click();
      await turn(again, /^Another time/, /For another time.*Planned again/);
      await again.getByRole('button', { name: 'Take back' }).click();
      await expect(again.getByRole('status').first()).toContainText('Panels at 27 °C');
      await expectAccessible(again);
      await context.setOffline(true);
      while ((await again.getByRole('button', { name: /^Done/ }).count()) > 0) await done(again, 1);
      await expect(again.locator('esm-run-stage')).toContainText('Second look');
      await again.getByRole('button', { name: 'The run is over' }).click();
      await again.getByRole('button', { name: 'Note it' }).click();
      await expect(again.getByText('Noted in the log')).toBeVisible();
      await again.getByRole('button', { name: 'Take it off stock' }).click();
      await expect(again.getByText('Taken off stock')).toBeVisible();
      const wide = await again.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide).toBeLessThanOrEqual(0);
      await context.setOffline(false);
      await again.goto('/stock');
      await expect(again.locator('esm-stock-page')).toContainText(/Put to soak: [1-9]/);
      expect(errors).toEqual([]);
    });
  });

test('two tabs on one run tick it off together, without a question', async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await openStage(one, 'run');
  await one.getByRole('button', { name: 'Begin the run' }).click();
  await expect(one.locator('esm-run-stage h2')).toContainText('0 of');
  await openStage(two, 'run');
  await expect(two.locator('esm-run-stage h2')).toContainText('0 of');
  await Promise.all([one.keyboard.press('1'), two.keyboard.press('1')]);
  await one.keyboard.press('1');
  await expect(two.locator('esm-run-stage h2')).toContainText(/^\s*[23] of/);
  const [first, second] = [one.locator('esm-run-stage h2'), two.locator('esm-run-stage h2')];
  await expect.poll(async () => (await first.innerText()) === (await second.innerText())).toBe(true);
  await expect(one.getByText('Keep mine')).toHaveCount(0);
  await expect(two.getByText('Keep mine')).toHaveCount(0);
});
