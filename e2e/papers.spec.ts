import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { test } from './test';
import { deck, openStage, watchErrors } from './desk';

for (const [stage, file] of [
  ['order', /^work-order-[\d-]+\.pdf$/],
  ['handover', /^handover-[\d-]+\.pdf$/],
  ['mix', /^labels-[\d-]+\.pdf$/],
] as const) {
  test(`${stage} is saved as PDF, laid out on this device`, async ({ page }) => {
    const errors = watchErrors(page);
    await openStage(page, stage, deck);
    const asked: string[] = [];
    page.on('request', (request) => asked.push(new URL(request.url()).host));
    const saved = page.waitForEvent('download');
    await page.locator('esm-pdf').getByRole('button', { name: 'PDF' }).click();
    const download = await saved;
    expect(download.suggestedFilename()).toMatch(file);
    const bytes = readFileSync((await download.path())!);
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    expect(bytes.length).toBeGreaterThan(4_000);
    expect(new Set(asked.filter(Boolean))).toEqual(new Set([new URL(page.url()).host]));
    expect(errors).toEqual([]);
  });
}
