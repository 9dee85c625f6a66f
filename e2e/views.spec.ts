import { expect } from '@playwright/test';
import { expectAccessibleInBothThemes } from './accessible';
import { test } from './test';
import { deck, openStage, visit, visitStage, watchErrors } from './desk';

const stages = ['site', 'walk-round', 'method', 'price', 'mix', 'towels', 'order', 'run', 'handover'];
const pages = [
  '/day',
  '/lots',
  '/more',
  '/clients',
  '/clients/c-school',
  '/prices',
  '/practice',
  '/import',
  '/jobs',
  '/library/vehicle',
  '/library/product',
  '/bench',
  '/log',
  '/stock',
  '/settings',
  '/help',
  ...stages.map((stage) => `${deck}/${stage}`),
];

/** In parts, so that both hands have something to do; each part is one load of the page. */
const parts = [pages.slice(0, 8), pages.slice(8, 16), pages.slice(16, 20), pages.slice(20)];

for (const part of parts)
  test(`${part.join(', ')} are accessible in both themes`, async ({ page }) => {
    test.slow();
    const errors = watchErrors(page);
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
    await page.goto(part[0]!);
    for (const path of part) {
      await visit(page, path);
      await expect(page.locator('main .num, main ul, main .note, main .card, main h1').first()).toBeVisible();
      if (path.startsWith('/library')) await page.locator('.item').first().click();
      if (path.startsWith('/job/')) {
        await expect(page.locator('esm-totals-strip .method strong')).not.toHaveText('…');
        const sill = page.locator('[data-zone="left-sill"]');
        if (await sill.isVisible()) await sill.focus();
      }
      await expectAccessibleInBothThemes(page, path);
    }
    expect(errors).toEqual([]);
  });

test('the work order prints on one or two pages', async ({ page }) => {
  await openStage(page, 'order');
  const pdf = await page.pdf({ format: 'A4', printBackground: true, preferCSSPageSize: true });
  const count = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
  expect(count).toBeGreaterThanOrEqual(1);
  expect(count).toBeLessThanOrEqual(2);
});

/** In two parts, as the pages are. */
for (const opened of [
  [
    ['method', 'What would change the answer?'],
    ['method', 'Trade-offs'],
    ['method', 'Where your approach matters'],
    ['method', 'Habits and the client’s wishes'],
  ],
  [
    ['method', 'All figures behind the plan'],
    ['order', 'Another order'],
    ['mix', /^Vessel label: Rinseless/],
    ['site', 'Exact figures of the place'],
    ['site', 'Panel temperatures as curves'],
  ],
] satisfies (readonly [stage: string, button: string | RegExp])[][])
  test(`drawers and dialogs are accessible in both themes, and close by Escape: ${opened.map(([, button]) => String(button)).join(', ')}`, async ({
    page,
  }) => {
    test.slow();
    await openStage(page, 'site');
    for (const [stage, button] of opened) {
      await visitStage(page, stage);
      await page.getByRole('button', { name: button }).first().click();
      const dialog = page.locator('.p-drawer, .p-dialog').first();
      await expect(dialog).toBeVisible();
      await expect(dialog.getByRole('progressbar')).toHaveCount(0);
      await expectAccessibleInBothThemes(page, String(button));
      await page.keyboard.press('Escape');
      await expect(dialog).toBeHidden();
    }
  });

for (const [what, viewport] of [
  ['a screen of 320 px', { width: 320, height: 640 }],
  ['a desk at 200 %', { width: 640, height: 400 }],
  ['a tablet', { width: 820, height: 1180 }],
] as const)
  test(`nothing runs off the side of ${what}`, async ({ page }) => {
    await page.setViewportSize(viewport);
    for (const path of [
      '/jobs',
      '/stock',
      '/log',
      '/bench',
      '/practice',
      '/library/product',
      '/settings',
      '/help',
      ...stages.map((stage) => `${deck}/${stage}`),
    ]) {
      if (path === '/jobs') await page.goto(path);
      else await visit(page, path);
      await expect(page.locator('main h1, main h2').first()).toBeVisible();
      if (path.startsWith('/job/')) await expect(page.locator('esm-totals-strip .method strong')).not.toHaveText('…');
      else await page.waitForLoadState('networkidle');
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide, path).toBeLessThanOrEqual(0);
    }
  });

test('forced colours keep what is chosen apart from what is not', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openStage(page, 'walk-round');
  const border = (level: RegExp) =>
    page
      .locator('esm-choice')
      .getByRole('button', { name: level })
      .evaluate((one) => getComputedStyle(one).outlineStyle);
  await page
    .locator('esm-choice')
    .getByRole('button', { name: /Level 3/ })
    .click();
  expect(await border(/Level 3/)).not.toBe(await border(/Level 4/));
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('the car stands nose up to be painted by touch, and nothing runs off the side', async ({ page }) => {
    await openStage(page, 'walk-round');
    await page.locator('[data-zone="roof"]').tap();
    await expect(page.locator('[data-zone="roof"]')).toHaveAttribute('data-fill', 'soil-1');
    const [bonnet, roof] = [
      (await page.locator('[data-zone="bonnet"]').boundingBox())!,
      (await page.locator('[data-zone="roof"]').boundingBox())!,
    ];
    expect(bonnet.y + bonnet.height).toBeLessThan(roof.y + roof.height / 2);
    expect(roof.height).toBeGreaterThan(roof.width);
    // One side at a time, large; the whole car again.
    const sill = page.locator('[data-zone="left-sill"]');
    const small = (await sill.boundingBox())!;
    await page.getByRole('group', { name: 'Side of the car' }).getByRole('button', { name: 'Left' }).tap();
    await expect(page.locator('[data-zone="roof"]')).toHaveCount(0);
    const large = (await sill.boundingBox())!;
    expect(large.width * large.height).toBeGreaterThan(2 * small.width * small.height);
    await page.getByRole('group', { name: 'Side of the car' }).getByRole('button', { name: 'Whole' }).tap();
    await expect(page.locator('[data-zone="roof"]')).toBeVisible();
    for (const stage of stages) {
      await visitStage(page, stage);
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide, stage).toBeLessThanOrEqual(0);
      // The stage that is open is in sight in the row of stages.
      await expect(page.locator('.stages a.here')).toBeInViewport({ ratio: 0.9 });
    }
  });
});
