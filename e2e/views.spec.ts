import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { deck, openStage, watchErrors } from './desk';

const stages = ['site', 'walk-round', 'method', 'mix', 'towels', 'order', 'run', 'handover'];
const pages = ['/jobs', '/library/vehicle', '/library/product', '/bench', '/log', ...stages.map((stage) => `${deck}/${stage}`)];

for (const theme of ['light', 'dark'] as const) {
  for (const path of pages) {
    test(`${path} is accessible, ${theme}`, async ({ page }) => {
      const errors = watchErrors(page);
      await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
      await page.goto(path);
      await expect(page.locator('main .num, main ul, main .note').first()).toBeVisible();
      if (path.startsWith('/library')) await page.locator('.item').first().click();
      if (path.startsWith('/job/')) {
        await expect(page.locator('esm-totals-strip .method strong')).not.toHaveText('…');
        const sill = page.locator('[data-zone="left-sill"]');
        if (await sill.isVisible()) await sill.focus();
      }
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`)).toEqual([]);
      expect(errors).toEqual([]);
    });
  }
}

test('the work order prints on one or two pages', async ({ page }) => {
  await openStage(page, 'order');
  const pdf = await page.pdf({ format: 'A4', printBackground: true, preferCSSPageSize: true });
  const count = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
  expect(count).toBeGreaterThanOrEqual(1);
  expect(count).toBeLessThanOrEqual(2);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('the car stands nose up to be painted by touch, and nothing runs off the side', async ({ page }) => {
    await openStage(page, 'walk-round');
    await page.locator('[data-zone="roof"]').tap();
    await expect(page.locator('[data-zone="roof"]')).toHaveAttribute('data-fill', 'soil-1');
    const box = (await page.locator('esm-car-net svg').boundingBox())!;
    expect(box.height).toBeGreaterThan(box.width);
    for (const stage of stages) {
      await openStage(page, stage);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      expect(wide, stage).toBeLessThanOrEqual(0);
      // The stage that is open is in sight in the row of stages.
      await expect(page.locator('.stages a.here')).toBeInViewport({ ratio: 0.9 });
    }
  });
});
