import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { build, chromiumPath } from '../scripts/prepare.mjs';

/** How many frames a second a finger sees that paints over the car, on a phone's screen and a quarter of this machine's speed. */

const PORT = 4396;
const SLOWER = 4;
const STROKES = 6;

build();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
// However this ends, the server does not outlive it.
process.on('exit', () => server.kill());
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1));
await new Promise((resolve, reject) => {
  server.stdout.once('data', resolve);
  server.once('exit', () => reject(new Error(`Port ${PORT} is taken, or the server cannot start.`)));
});
const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox'] });
try {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`http://127.0.0.1:${PORT}/job/demo-deck/walk-round`);
  await page.locator('esm-totals-strip .method strong:not(:text("…"))').waitFor();
  const client = await page.context().newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const events = [];
  client.on('Tracing.dataCollected', ({ value }) => events.push(...value));
  await client.send('Tracing.start', {
    traceConfig: { includedCategories: ['disabled-by-default-devtools.timeline.frame', 'devtools.timeline'] },
  });
  const box = await page.locator('esm-car-net svg').boundingBox();
  const { times, long } = await (async () => {
    await page.evaluate(() => {
      const state = { times: [], long: [] };
      globalThis.painting = state;
      const tick = (now) => {
        state.times.push(now);
        state.frame = globalThis.requestAnimationFrame(tick);
      };
      state.frame = globalThis.requestAnimationFrame(tick);
      new globalThis.PerformanceObserver((list) =>
        state.long.push(...list.getEntries().map(({ duration }) => duration)),
      ).observe({ type: 'longtask' });
    });
    for (let stroke = 0; stroke < STROKES; stroke++) {
      await page.keyboard.press(String((stroke % 5) + 1));
      const x = box.x + box.width * (0.3 + 0.08 * stroke);
      await page.mouse.move(x, box.y + 10);
      await page.mouse.down();
      await page.mouse.move(x, box.y + box.height - 10, { steps: 40 });
      await page.mouse.up();
    }
    return page.evaluate(() => {
      globalThis.cancelAnimationFrame(globalThis.painting.frame);
      return { times: globalThis.painting.times, long: globalThis.painting.long };
    });
  })();
  const done = new Promise((resolve) => client.once('Tracing.tracingComplete', resolve));
  await client.send('Tracing.end');
  await done;
  const gaps = times
    .slice(1)
    .map((time, i) => time - times[i])
    .sort((p, q) => p - q);
  const at = (share) => gaps[Math.floor(share * (gaps.length - 1))].toFixed(1);
  const drawn = events.filter(({ name }) => name === 'DrawFrame').length;
  const seconds = (times.at(-1) - times[0]) / 1000;
  process.stdout.write(
    `Painting, phone, CPU ${SLOWER} times slower: ${(gaps.length / seconds).toFixed(0)} frames a second, of which by the trace ${(drawn / seconds).toFixed(0)} changed what is seen; between frames median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${at(1)} ms; ${long.length} long tasks\n`,
  );
} finally {
  await browser.close();
  server.kill();
}
