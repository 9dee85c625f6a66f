import { expect } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { test } from './test';
import { wholeDemo } from './desk';

/** What another program reads in a PDF, without spaces. */
async function textOf(path: string): Promise<string> {
  const pdf = await getDocument({ data: new Uint8Array(await readFile(path)), verbosity: 0 }).promise;
  const { items } = await (await pdf.getPage(1)).getTextContent();
  return items
    .map((item) => ('str' in item ? item.str : ''))
    .join('')
    .replace(/\s/g, '');
}

test.describe('a client', () => {
  test('is due, gets a visit, a quote, the wash, and the invoice', async ({ page }) => {
    await page.goto('/jobs');
    await wholeDemo(page);
    await page.goto('/clients');

    await test.step('the list says who is overdue', async () => {
      await expect(page.locator('[data-due]')).toContainText(/due this week/);
      const row = page.locator('[data-client]', { hasText: 'Harbour pilot' });
      await expect(row).toContainText('Overdue');
      await row.getByRole('button', { name: 'Plan a visit: Harbour pilot' }).click();
      await expect(page).toHaveURL(/\/job\/job.*\/price$/);
    });

    await test.step('the price is said before anybody has seen the car', async () => {
      await expect(page.locator('[data-price]')).toHaveText(/^€\d+\.\d\d$/);
      await page.getByRole('button', { name: 'Make a quote' }).click();
      const bill = page.locator('[data-bill]');
      await expect(bill).toContainText(/Quote Q2031-\d{3}/);
      const total = (await page.locator('[data-price]').innerText()).trim();
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        bill.getByRole('button', { name: 'PDF' }).click(),
      ]);
      const text = await textOf((await file.path())!);
      expect(text).toContain(total);
      expect(text).toContain('Harbourpilot');
      const kept = await page.locator('.sums > div', { hasText: 'You keep' }).locator('dd').innerText();
      expect(text).not.toContain(kept.split(',')[0]!);
    });

    await test.step('the car is washed', async () => {
      await page.getByRole('link', { name: /^Run/ }).click();
      await page.getByRole('button', { name: 'Begin the run' }).click();
      await page.getByRole('button', { name: 'Stop here' }).click();
      await expect(page.locator('esm-run-stage')).toContainText('Finished in');
    });

    await test.step('and the invoice has the sums of the quote', async () => {
      await page.getByRole('link', { name: 'Price', exact: true }).click();
      await page.getByRole('button', { name: /^Invoice Quote/ }).click();
      const bills = page.locator('[data-bill]');
      await expect(bills).toHaveCount(2);
      await expect(bills.first()).toContainText(/Invoice I2031-\d{3}/);
      await bills.first().getByRole('button', { name: 'Paid' }).click();
      await expect(bills.first()).toContainText('paid on');
    });
  });

  test('has cars whose year is laid out, and what is agreed can be taken back', async ({ page }) => {
    await page.goto('/jobs');
    await wholeDemo(page);
    await page.goto('/clients/c-school');
    await expect(page.locator('esm-client-car')).toContainText(/as agreed/);
    await page.getByRole('button', { name: 'How often is best?' }).click();
    await expect(page.locator('esm-season tbody tr')).toHaveCount(7, { timeout: 20_000 });
    await page.getByLabel('Every').fill('14');
    await page.keyboard.press('Tab');
    await expect(page.locator('esm-client-car')).toContainText('22 Jul 2031, as agreed');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('esm-client-car')).toContainText('15 Jul 2031, as agreed');
  });
});

test.describe('files of other programs', () => {
  test('a table with bad rows is looked at, brought in, and taken back', async ({ page }) => {
    await page.goto('/jobs');
    await wholeDemo(page);
    await page.getByRole('link', { name: 'From other programs' }).click();
    const csv =
      'Customer;Phone;Car;Body;Every\nNet maker;+00 555 0201;Net maker’s estate;estate;14\n;555 0203;Ghost;sedan;7\nHarbour pilot;555 0999;;;\nRope walk;555;Truck;lorry;0';
    await page
      .getByLabel('Pick a file')
      .setInputFiles({ name: 'people.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await expect(page.locator('tr.bad')).toHaveCount(2);
    await expect(page.locator('main')).toContainText(
      '2 clients and one car can be brought in. 2 rows are left out; they say why.',
    );
    await expect(page.locator('tbody tr', { hasText: 'Harbour pilot' })).toContainText('changes Harbour pilot');
    await page.getByRole('button', { name: 'Bring it in' }).click();
    const dialog = page.getByRole('dialog', { name: 'What comes in?' });
    await expect(dialog).toContainText('people.csv');
    await dialog
      .getByRole('button', { name: /^Import|^Bring/ })
      .last()
      .click();
    await expect(page.locator('[data-last-import]')).toContainText('people.csv was imported');
    await page.goto('/clients');
    await expect(page.locator('[data-client]', { hasText: 'Net maker' })).toBeVisible();
    await expect(page.locator('[data-client]', { hasText: 'Harbour pilot' })).toContainText('555 0999');
    await expect(page.locator('[data-client]', { hasText: 'Rope walk' })).toHaveCount(0);
    await page.goto('/import');
    await page.getByRole('button', { name: 'Take the import back' }).click();
    await expect(page.locator('[data-last-import]')).toHaveCount(0);
    await page.goto('/clients');
    await expect(page.locator('[data-client]', { hasText: 'Harbour pilot' })).toContainText('555 0170');
    await expect(page.locator('[data-client]', { hasText: 'Net maker' })).toHaveCount(0);
  });

  test('a calendar takes hours out of the day, which is planned around them', async ({ page }) => {
    await page.goto('/jobs');
    await wholeDemo(page);
    const events = [
      'BEGIN:VEVENT',
      'UID:x',
      'DTSTAMP:20310101T000000Z',
      'SUMMARY:Dentist',
      'DTSTART:20310714T140000',
      'DTEND:20310714T150000',
      'END:VEVENT',
    ];
    await page.goto('/import');
    await page.getByLabel('Pick a file').setInputFiles({
      name: 'cal.ics',
      mimeType: 'text/calendar',
      buffer: Buffer.from(['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', ...events, 'END:VCALENDAR', ''].join('\r\n')),
    });
    await page.getByRole('button', { name: 'Import everything' }).click();
    await page
      .getByRole('dialog', { name: 'What comes in?' })
      .getByRole('button', { name: /^Import|^Bring/ })
      .last()
      .click();
    await expect(page.locator('[data-last-import]')).toContainText('cal.ics');
    await page.goto('/day');
    await expect(page.locator('esm-day-page')).toContainText('Dentist');
    await page.getByRole('button', { name: 'More for this day' }).click();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: 'To navigation (GPX)' }).click(),
    ]);
    expect(await readFile((await file.path())!, 'utf8')).toContain('<rtept');
  });
});
