import { chromium } from '@playwright/test';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const d = await b.newPage({ viewport: { width: 794, height: 1123 }, serviceWorkers: 'block' });
await d.goto('http://127.0.0.1:4397/job/demo-deck/run-sheet');
await d.waitForSelector('.line');
await d.emulateMedia({ media: 'print' });
await d.waitForTimeout(400);
await d.screenshot({ path: '/tmp/print.png', fullPage: true });
await b.close();
