import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { build, chromiumPath, installChromium, installPackages } from './prepare.mjs';

/** Takes one picture of each main view from the demo data, for the README. */

const PORT = 4398;
const FOLDER = 'docs/screenshots';
const desktop = { viewport: { width: 1280, height: 800 } };
const phone = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };

const choose = (id) => (page) => page.locator(`[data-zone="${id}"]`).click();
/** Ticks off whatever is next; false when all is done. */
async function tick(page) {
  const done = page.getByRole('button', { name: /^Done/ });
  if ((await done.count()) === 0) return false;
  const before = await page.locator('esm-run-stage h2').innerText();
  await done.first().click();
  await page.waitForFunction((text) => document.querySelector('esm-run-stage h2')?.innerText !== text, before);
  return true;
}

const views = [
  { name: 'jobs', path: 'jobs', act: (page) => page.locator('.job', { hasText: 'Not today' }).waitFor() },
  { name: 'site', path: 'job/demo-deck/site' },
  { name: 'walk-round', path: 'job/demo-deck/walk-round' },
  { name: 'method', path: 'job/demo-deck/method', act: choose('left-sill') },
  {
    name: 'wipe-test',
    path: 'job/demo-deck/walk-round',
    act: async (page) => {
      await choose('bonnet')(page);
      await page.getByRole('button', { name: 'Wipe test' }).click();
      await page.getByRole('button', { name: 'Simulated camera' }).click();
      await page.locator('[data-wipe-result]').waitFor();
    },
  },
  {
    name: 'practice',
    path: 'practice',
    act: async (page) => {
      await page.getByRole('button', { name: 'Begin: Judge the soil' }).click();
      await page.locator('esm-panels-drill .kinds').getByRole('button', { name: 'Road film' }).click();
      await page.locator('esm-panels-drill .levels').getByRole('button').nth(1).click();
      await page.getByRole('button', { name: 'That is it' }).click();
      await page.locator('esm-panels-drill [role=status]').waitFor();
    },
  },
  { name: 'day', path: 'day', act: (page) => page.locator('.stop').nth(6).waitFor() },
  {
    name: 'run-phone',
    path: 'job/demo-hall/run',
    device: phone,
    act: async (page) => {
      await page.getByRole('button', { name: 'Begin the run' }).click();
      for (let i = 0; i < 6; i++) {
        await page
          .locator('.done')
          .nth(i % 2)
          .click();
        await page.waitForTimeout(150);
      }
      await page.evaluate(() => globalThis.scrollTo(0, 0));
    },
  },
  {
    name: 'run',
    path: 'job/demo-deck/run',
    act: async (page) => {
      await page.getByRole('button', { name: 'Begin the run' }).click();
      for (let i = 0; i < 11; i++) await tick(page);
      await page
        .getByRole('button', { name: /^Side full/ })
        .first()
        .click();
      await page.getByRole('status').first().waitFor();
      await page.locator('.stage').evaluate((one) => one.scrollTo(0, 0));
    },
  },
  { name: 'stock', path: 'stock', act: (page) => page.locator('esm-van h2').waitFor() },
  { name: 'log', path: 'log', act: (page) => page.locator('esm-log-page tbody tr').nth(5).waitFor() },
  {
    name: 'handover',
    path: 'job/demo-deck/handover',
    act: (page) => page.locator('esm-lasts-chart').evaluate((one) => one.scrollIntoView({ block: 'center' })),
  },
  { name: 'bench', path: 'bench', act: (page) => page.getByRole('button', { name: 'Vessel label' }).click() },
  { name: 'mix', path: 'job/demo-deck/mix' },
  {
    name: 'towels',
    path: 'job/demo-deck/towels',
    act: async (page) => {
      await page.getByLabel('Step of the run').focus();
      await page.keyboard.press('Home');
      for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowRight');
      await page.locator('[data-zone="roof"]').hover();
    },
  },
  {
    name: 'lot',
    path: 'lots',
    act: async (page) => {
      await page.getByRole('button', { name: 'Begin the first car' }).click();
      for (let car = 1; car <= 9; car++) {
        await page.clock.fastForward(car % 2 === 0 ? 430_000 : 455_000);
        await page.getByRole('button', { name: `Car ${car} done`, exact: true }).click();
      }
      await page.getByText('9 of 75 done').waitFor();
    },
  },
  { name: 'work-order', path: 'job/demo-deck/order' },
  { name: 'clients', path: 'clients', act: (page) => page.getByText('Overdue').first().waitFor() },
  {
    name: 'price',
    path: 'job/demo-yard/price',
    act: (page) => page.getByRole('button', { name: 'Make a quote' }).click(),
  },
];

/** All, or those that are named on the command line. */
const asked = process.argv.slice(2);
const isAsked = ({ name }) => asked.length === 0 || asked.includes(name);

await installPackages();
await installChromium();
await build();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox', '--disable-gpu'] });
try {
  for (const { name, path, device = desktop, act } of views.filter(isAsked)) {
    const context = await browser.newContext({ reducedMotion: 'reduce', locale: 'en-GB', ...device });
    // The demo’s dates follow the day of the first start: pictures are taken on this one.
    await context.clock.install({ time: new Date('2031-07-14T08:30:00Z') });
    const page = await context.newPage();
    await page.goto(`http://127.0.0.1:${PORT}/${path}`);
    await page
      .locator(
        path.startsWith('job/')
          ? 'esm-totals-strip .method strong:not(:text("…"))'
          : 'main li, main .job, main .card, main tbody tr, main h1',
      )
      .first()
      .waitFor();
    await page.evaluate(() => document.fonts.ready);
    if (act) await act(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    await context.close();
  }
} finally {
  await browser.close();
  server.kill();
}
