import AxeBuilder from '@axe-core/playwright';
import { type Page, expect } from '@playwright/test';

/** What colours decide, and nothing else does: asked once a theme. */
const OF_COLOUR = ['color-contrast', 'link-in-text-block'];

const faults = async (page: Page, rules?: readonly string[]): Promise<readonly string[]> => {
  // No frames here: one look at the page is all of it.
  const look = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const { violations } = await (rules ? look.withRules([...rules]) : look).analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`);
};

/** The page as it stands breaks no rule of accessibility. */
export async function expectAccessible(page: Page): Promise<void> {
  expect(await faults(page)).toEqual([]);
}

/** Neither in the light nor in the dark. */
export async function expectAccessibleInBothThemes(page: Page, where: string): Promise<void> {
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
  expect(await faults(page), `${where}, light`).toEqual([]);
  await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
  expect(await faults(page, OF_COLOUR), `${where}, dark`).toEqual([]);
}
