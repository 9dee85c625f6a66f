import { existsSync } from 'node:fs';
import { defineConfig, devices } from '@playwright/test';

const PORT = Number(process.env['PORT'] ?? 4399);
/** The demo with its past, as a browser has it after the first minute: made once, and begun with by all tests but those of a first start. */
export const SEEDED = '.cache/e2e/seeded.json';
/** The shell without a desktop takes a third less of the processor than the browser with one. */
const executablePath = [process.env['CHROMIUM'], '/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(
  (path) => path && existsSync(path),
);

/** Drives the production build, as it is served, in Debian's Chromium. */
export default defineConfig({
  testDir: 'e2e',
  workers: 2,
  fullyParallel: true,
  timeout: 180_000,
  expect: { timeout: 30_000 },
  forbidOnly: !!process.env['CI'],
  outputDir: 'test-results',
  use: {
    ...devices['Desktop Chrome'],
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    contextOptions: { reducedMotion: 'reduce' },
    actionTimeout: 40_000,
    // Each test sees what is served; the one that goes offline lets it in.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  projects: [
    { name: 'seed', testMatch: 'seed.setup.ts' },
    { name: 'browser', testMatch: '*.spec.ts', dependencies: ['seed'], use: { storageState: SEEDED } },
  ],
  webServer: {
    command: 'node --import tsx server/main.ts',
    env: { PORT: String(PORT) },
    url: `http://127.0.0.1:${PORT}/health`,
    reuseExistingServer: false,
    timeout: 180_000,
  },
});
