import { type Page, expect } from '@playwright/test';
import { method, openStage, storedJob, total } from './desk';
import { expectAccessible } from './accessible';
import { test } from './test';

const topper = '/job/demo-topper';

/** Presses "Done" until nothing is left, and answers the half-panel check on the way. */
async function workAll(page: Page): Promise<number> {
  const heading = page.locator('esm-run-stage h2');
  const same = page.getByRole('button', { name: 'Same: go on' });
  let asked = 0;
  while ((await page.getByText('Second look').count()) === 0) {
    if (await same.isVisible()) {
      asked++;
      await same.click();
    }
    const before = await heading.innerText();
    await page.getByRole('button', { name: /^Done/ }).first().click();
    await expect(heading).not.toHaveText(before);
  }
  return asked;
}

for (const [size, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a desk', { width: 1280, height: 800 }],
] as const)
  test.describe(`care on ${size}`, () => {
    test.use({ viewport });

    test('is asked for, put on at the end of the run, told at the handover, and kept with the car', async ({
      page,
    }) => {
      test.slow();
      await openStage(page, 'site', topper);
      const minutes = async (): Promise<number> => parseInt(await total(page, 'minutes').innerText(), 10);
      const before = await minutes();
      await page.getByRole('combobox', { name: 'On the paint' }).click();
      await page.getByRole('option', { name: 'Topper on all the paint' }).click();
      await expect.poll(minutes).toBeGreaterThan(before);
      await page
        .getByRole('group', { name: 'Watch out for' })
        .getByRole('button', { name: 'Traffic on its left' })
        .click();
      await openStage(page, 'order', topper);
      await expect(page.locator('esm-work-order-stage')).toContainText(
        'On the clean car: topper on all the paint; trim dressing; tyre dressing after the drive',
      );
      await openStage(page, 'run', topper);
      await expect(page.getByLabel(/^Cones and a bright vest. Glass and panels on the left/)).toBeVisible();
      await page.getByRole('button', { name: 'I am at the car' }).click();
      await expect(page.getByText(/^Here for \d+:\d\d; \d+ min to go, handover included/)).toBeVisible();
      await expect(page.locator('esm-visit li[data-state="now"]')).toContainText('Arrive, walk round');
      await page.getByRole('button', { name: 'Begin the run' }).click();
      await expect(page.getByRole('heading', { name: /^Set up: \d+:\d\d planned/ })).toBeInViewport();
      await expect(page.getByLabel(/^Spray topper, pale/)).toBeVisible();
      await expect(page.locator('.cue')).toHaveCount(2);
      expect(await workAll(page)).toBe(1);
      await expect(page.locator('.look')).toContainText('After the drive home');
      await expect(page.locator('.look esm-visit li[data-state="now"]')).toContainText('Pack, second look');
      await page.getByRole('button', { name: 'The run is over' }).click();
      await expect
        .poll(
          async () =>
            ((await storedJob(page, 'demo-topper'))?.job['run'] as { endedAt: number | null } | null)?.endedAt ?? null,
        )
        .not.toBeNull();
      await openStage(page, 'handover', topper);
      await expect(page.locator('esm-handover-stage')).toContainText(/Spray topper, pale, as topper: 42 days/);
      await expect(page.locator('esm-handover-stage')).toContainText(/After the drive home.*dress the tyres/);
      // The next job of this car knows what is on it.
      await openStage(page, 'site', '/job/demo-courtyard');
      await page.getByRole('combobox', { name: 'Which car?' }).click();
      await page.getByRole('option', { name: 'Family estate, sea green' }).click();
      await expect(page.locator('esm-site-stage')).toContainText(
        /Topper on all the paint \(Spray topper, pale\) since .*claimed to hold until/,
      );
    });

    test('a hand tells that it drags, and the rest is planned with more liquid', async ({ page }) => {
      await openStage(page, 'run', topper);
      await page.getByRole('button', { name: 'Begin the run' }).click();
      await page.getByRole('button', { name: /^It drags/ }).click();
      await page.getByRole('menuitem', { name: /^It drags: more liquid/ }).click();
      await expect(page.getByRole('status').first()).toContainText(
        'It drags: more liquid, smaller sections. Planned again',
      );
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Take back' }).click();
      await expect(page.getByText(/It drags: more liquid, smaller sections. Planned/)).toHaveCount(0);
    });
  });

test('a shampoo wash stands beside the others, with its water by stage', async ({ page }) => {
  await openStage(page, 'method', '/job/demo-cinders');
  await expect(method(page)).toHaveText('Shampoo wash');
  await expect(page.locator('article[data-method="shampoo"]')).toContainText('the plan');
  await openStage(page, 'mix', '/job/demo-cinders');
  const water = page.locator('esm-mix-stage article', { hasText: 'Water by stage' });
  for (const stage of ['Pre-rinse', 'Foam', 'Rinsing the foam off', 'Shampoo mitt', 'Last rinse'])
    await expect(water).toContainText(stage);
  await expect(water).toContainText(/The washer runs \d+ min of the 24 min that its batteries last/);
});

test('a piece that is not drawn is judged on the walk-round', async ({ page }) => {
  await openStage(page, 'site', '/job/demo-courtyard');
  await page.getByRole('group', { name: 'What is washed' }).getByRole('button', { name: 'Floor mats' }).click();
  await openStage(page, 'walk-round', '/job/demo-courtyard');
  const mats = page
    .getByRole('group', { name: 'Pieces that are not drawn' })
    .getByRole('button', { name: /^Floor mats/ });
  await expect(mats).toHaveAttribute('aria-pressed', 'false');
  await mats.click();
  await expect(mats).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('heading', { name: 'Floor mats' })).toBeVisible();
  await openStage(page, 'order', '/job/demo-courtyard');
  await expect(page.locator('esm-work-order-stage')).toContainText('Floor mats');
});

test('a car from the body shop is blown out first, and its brush and gun are in the van', async ({ page }) => {
  await openStage(page, 'order', '/job/demo-dust-off');
  await expect(page.locator('esm-work-order-stage')).toContainText('Blow the seams out');
  await openStage(page, 'run', '/job/demo-dust-off');
  await page.getByRole('button', { name: 'Begin the run' }).click();
  await expect(page.locator('esm-run-card')).toContainText('Air gun: blow the seams out');
  await page.goto('/library/gear');
  await expect(page.getByText('Detail brush, soft')).toBeVisible();
  await page.getByText('Detail brush, soft').click();
  // It is moved by hand: there is nothing to say of flow, batteries and noise.
  await expect(page.getByText('Kind', { exact: true })).toBeVisible();
  await expect(page.getByLabel('Noise at the operator')).toHaveCount(0);
});
