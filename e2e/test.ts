import { type BrowserContext, test as base } from '@playwright/test';

/** The demo’s dates follow the day of the first start: every test begins on this one. */
const START = Date.parse('2031-07-14T08:30:00Z');

/** Pages whose clock began at that time, and goes on as clocks do. */
export async function pinned(context: BrowserContext, start = START): Promise<BrowserContext> {
  await context.addInitScript((ahead) => {
    const Real = Date;
    globalThis.Date = class extends Real {
      constructor(...given: []) {
        super(...((given.length > 0 ? given : [Real.now() + ahead]) as []));
      }
      static override now(): number {
        return Real.now() + ahead;
      }
    } as DateConstructor;
  }, start - Date.now());
  return context;
}

export const test = base.extend({
  context: async ({ context }, use) => use(await pinned(context)),
});

/** A browser that has never been here. */
export const firstStart = { storageState: { cookies: [], origins: [] } };
