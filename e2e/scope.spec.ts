import { expect } from '@playwright/test';
import { answer, openStage, total, zone } from './desk';
import { test } from './test';

const courtyard = '/job/demo-courtyard';

for (const [size, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a desk', { width: 1280, height: 800 }],
] as const)
  test.describe(`what is washed, on ${size}`, () => {
    test.use({ viewport });

    test('a part less takes less, a package sets it, and the handover says what was asked for', async ({ page }) => {
      await openStage(page, 'site', courtyard);
      const minutes = async (): Promise<number> => parseInt(await total(page, 'minutes').innerText(), 10);
      const all = await minutes();
      await page
        .getByRole('group', { name: 'What is washed' })
        .getByRole('button', { name: 'Wheels and tyres' })
        .click();
      await expect.poll(minutes).toBeLessThan(all);
      await page
        .getByRole('group', { name: 'Sold as' })
        .getByRole('button', { name: /Show-floor touch-up/ })
        .click();
      await expect(page.getByRole('button', { name: 'Door shuts' })).toHaveAttribute('aria-pressed', 'false');
      await openStage(page, 'method', courtyard);
      await expect(page.locator('esm-net-legend')).toContainText('Not asked for');
      await expect(page.getByText('For the client')).toHaveCount(0);
      await openStage(page, 'handover', courtyard);
      await expect(page.locator('esm-handover-stage')).toContainText(
        'Show-floor touch-up: bodywork, trim with badges and glass outside',
      );
      await expect(page.locator('esm-handover-stage')).not.toContainText('Left as it was');
      await expect(page.locator('esm-handover-stage')).toContainText(
        'Not asked for, so left as it is: wheels and tyres, door shuts and boot sill.',
      );
    });

    test('bugs on the nose are judged by cover, treated from their bottle, and can be undone', async ({ page }) => {
      await openStage(page, 'walk-round', courtyard);
      await zone(page, 'grille').first().click({ force: true });
      await expect(page.getByText('Bug splatter').first()).toBeVisible();
      await answer(page, 'Covered').click();
      await expect(page.locator('.bugs')).toContainText(/mL of bug remover, in two goes of 60 s/);
      await page.getByRole('button', { name: /^Undo/ }).click();
      await expect(page.locator('.bugs')).not.toContainText('mL');
      await page.getByRole('button', { name: /^Redo/ }).click();
      await expect(page.locator('.bugs')).toContainText('mL');
      await openStage(page, 'mix', courtyard);
      await expect(page.locator('esm-mix-stage article', { hasText: 'Bug remover, ready to use' })).toContainText(
        'Grille',
      );
    });
  });
