import { readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { chromiumPath } from './prepare.mjs';

/** Draws the icons of the installed application from the mark; run after the mark has changed. */

const mark = readFileSync('src/app/public/mark.svg', 'utf8');
const ground = '#0d5f5a';

/** @param share of the icon's side that the mark takes: a maskable one may be cut to a circle */
const icons = [
  { name: 'icon-192', side: 192, share: 1 },
  { name: 'icon-512', side: 512, share: 1 },
  { name: 'maskable-512', side: 512, share: 0.72, full: true },
  { name: 'apple-touch', side: 180, share: 0.86, full: true },
];

const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox', '--disable-gpu'] });
for (const { name, side, share, full } of icons) {
  const page = await browser.newPage({ viewport: { width: side, height: side } });
  const size = Math.round(side * share);
  await page.setContent(
    `<body style="margin:0;display:grid;place-items:center;height:100vh;background:${full ? ground : 'transparent'}"><div style="width:${size}px;height:${size}px">${mark.replace('<svg ', '<svg width="100%" height="100%" ')}</div></body>`,
  );
  writeFileSync(`src/app/public/icons/${name}.png`, await page.screenshot({ omitBackground: !full }));
  await page.close();
}
await browser.close();
