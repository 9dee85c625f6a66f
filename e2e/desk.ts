import { type Locator, type Page, expect } from '@playwright/test';

/** The demo job that the story begins with. */
export const deck = '/job/demo-deck';

export const zone = (page: Page, id: string): Locator => page.locator(`[data-zone="${id}"]`);
export const total = (page: Page, key: string): Locator => page.locator(`[data-total="${key}"] strong`);
export const method = (page: Page): Locator => page.locator('esm-totals-strip .method strong');

/** Opens a stage and waits until its plan stands. */
export async function openStage(page: Page, stage: string, job = deck): Promise<void> {
  await page.goto(`${job}/${stage}`);
  await expect(method(page)).not.toHaveText('…');
}

/** Goes to another address inside the application, as a link does; the page is not loaded anew. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, path);
  await expect(page).toHaveURL((url) => url.pathname === path);
}

/** The same to a stage, until its plan stands. */
export async function visitStage(page: Page, stage: string, job = deck): Promise<void> {
  await visit(page, `${job}/${stage}`);
  await expect(page.locator('main h1, main h2').first()).toBeVisible();
  await expect(method(page)).not.toHaveText('…');
}

/** The list of jobs with all of the demo in it, its past as well. */
export async function wholeDemo(page: Page): Promise<void> {
  await expect(page.locator('.job', { hasText: 'Planned' })).toHaveCount(15);
  await expect(page.locator('.job', { hasText: 'Done' })).toHaveCount(22);
}

/** What is in the hand, onto a whole area at one press. */
export async function paintArea(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Whole area' }).click();
  await page.getByRole('menuitem', { name, exact: true }).click();
  await expect(page.getByRole('menu')).toHaveCount(0);
}

/** One of the answers that are all in sight. */
export const answer = (page: Page, name: string | RegExp): Locator =>
  page.locator('esm-choice').getByRole('button', { name, exact: typeof name === 'string' });

/** Something from the menu of a job in the list. */
export async function jobMenu(page: Page, name: RegExp, what: string): Promise<void> {
  await page.getByRole('button', { name }).click();
  await page.getByRole('menuitem', { name: what, exact: true }).click();
  await expect(page.getByRole('menu')).toHaveCount(0);
}

/** Errors that a page must not have. */
export function watchErrors(page: Page): string[] {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') errors.push(message.text());
  });
  return errors;
}

export const storedJob = (
  page: Page,
  id: string,
): Promise<{ revision: number; job: Record<string, unknown> } | undefined> =>
  page.evaluate(
    (key) =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('esmero');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const get = open.result.transaction('jobs').objectStore('jobs').get(key);
          get.onsuccess = () => {
            open.result.close();
            // Kept as the document of a file; what tests look at is the same in both.
            const row = get.result as { revision: number; document: Record<string, unknown> } | undefined;
            resolve(row && ({ revision: row.revision, job: row.document } as never));
          };
        };
      }),
    id,
  );
