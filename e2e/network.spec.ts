import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, chromium, expect, test } from '@playwright/test';
import { openStage, storedJob, zone } from './desk';

const executablePath = process.env['CHROMIUM'] ?? '/usr/bin/chromium';
const VERSION = (JSON.parse(readFileSync('package.json', 'utf8')) as { version: string }).version;
const servers: ChildProcess[] = [];
test.afterAll(() => servers.forEach((server) => server.kill()));

/** Serves a folder as the application; resolves to its address. */
async function serve(root: string, ...args: string[]): Promise<string> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts', ...args], {
    env: { ...process.env, PORT: '0', ESMERO_ROOT: root, ESMERO_HOSTS: 'van.test' },
  });
  servers.push(server);
  return new Promise((resolve) =>
    server.stdout.on('data', (text) => {
      const url = /Esmero is at (\S+)/.exec(String(text))?.[1];
      if (url) resolve(url);
    }),
  );
}

function copyOf(build: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'esmero-build-'));
  cpSync(build, folder, { recursive: true });
  return folder;
}

const launched = (...args: string[]): Promise<Browser> =>
  chromium.launch({
    executablePath,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-sync',
      '--no-first-run',
      ...args,
    ],
  });

test('plain http on a name that is not this machine works, and says what it lacks', async () => {
  const url = new URL(await serve('dist/app/browser'));
  const browser = await launched('--host-resolver-rules=MAP van.test 127.0.0.1');
  const page = await (await browser.newContext()).newPage();
  const base = `http://van.test:${url.port}`;
  await page.goto(`${base}/jobs`);
  expect(await page.evaluate(() => window.isSecureContext)).toBe(false);
  await expect(page.locator('[data-notice="plain-http"]')).toContainText('npm start -- --https');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByLabel('Client').fill('On plain http');
  await page.getByLabel('Client').blur();
  const id = /job\/([^/]+)/.exec(page.url())![1]!;
  await expect.poll(async () => (await storedJob(page, id))?.job['client']).toBe('On plain http');
  await openStage(page, 'walk-round', `${base}/job/${id}`);
  await zone(page, 'roof').click();
  await page.getByRole('button', { name: 'Hide this notice' }).click();
  await expect(page.locator('[data-notice="plain-http"]')).toBeHidden();
  await browser.close();
});

test('a page whose part is gone after a new version was put on the server says so, and goes on there', async ({
  browser,
}) => {
  const root = copyOf('dist/app/browser');
  const url = await serve(root);
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await openStage(page, 'run', `${url}job/demo-deck`);
  await page.getByRole('button', { name: 'Begin the run' }).click();
  await page.getByRole('button', { name: /^Done/ }).first().click();
  // Every part that was not fetched yet has another name now.
  const fetched = new Set(
    await page.evaluate(() => performance.getEntriesByType('resource').map(({ name }) => name.split('/').at(-1))),
  );
  for (const file of readdirSync(root)) if (/^chunk-.*\.js$/.test(file) && !fetched.has(file)) rmSync(join(root, file));
  await page.getByRole('button', { name: 'All stages' }).click();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  const notice = page.locator('[data-notice="new-version"]');
  await expect(notice).toContainText('new version');
  cpSync('dist/app/browser', root, { recursive: true });
  await notice.getByRole('button', { name: 'Reload' }).click();
  await openStage(page, 'run', `${url}job/demo-deck`);
  // One press: the parts of its pass, noted in one moment.
  const { events } = (await storedJob(page, 'demo-deck'))!.job['run'] as { events: { kind: string; at: number }[] };
  expect(new Set(events.filter(({ kind }) => kind !== 'wet').map(({ at }) => at)).size).toBe(1);
  await page.context().close();
});

/** The name of a file with something else in it: its letters are of its content. */
const nextName = (file: string): string =>
  file.replace(/(\w{8})\.js$/, (_all, hash: string) => `${[...hash].reverse().join('')}.js`);

/** Another version of the application: the same build under another number, with new names for what has changed. In the campaign a build of its own. */
function secondBuild(): string {
  const [folder, version] = ['.cache/second', '99.0.0'];
  rmSync(folder, { recursive: true, force: true });
  if (process.env['CAMPAIGN'] !== undefined) {
    const built = spawnSync(
      'npx',
      ['ng', 'build', '--output-path', folder, '--define', `ESMERO_VERSION='${version}'`],
      { encoding: 'utf8' },
    );
    expect(built.status, built.stderr).toBe(0);
    return existsSync(`${folder}/browser`) ? `${folder}/browser` : folder;
  }
  cpSync('dist/app/browser', folder, { recursive: true });
  const texts = new Map(
    readdirSync(folder)
      .filter((file) => /-\w{8}\.js$/.test(file))
      .map((file) => [file, readFileSync(join(folder, file), 'utf8')]),
  );
  // Whatever names a file that has another name now has another name, too.
  const renamed = new Map(
    [...texts].flatMap(([file, text]) => (text.includes(`"${VERSION}"`) ? [[file, nextName(file)]] : [])),
  );
  expect(renamed.size).toBeGreaterThan(0);
  for (let before = 0; before < renamed.size;) {
    before = renamed.size;
    for (const [file, text] of texts)
      if ([...renamed.keys()].some((one) => text.includes(one))) renamed.set(file, nextName(file));
  }
  const asNow = (text: string): string =>
    [...renamed].reduce(
      (all, [file, name]) => all.replaceAll(file, name),
      text.replaceAll(`"${VERSION}"`, `"${version}"`),
    );
  for (const [file, name] of renamed) {
    rmSync(join(folder, file));
    writeFileSync(join(folder, name), asNow(texts.get(file)!));
  }
  const page = join(folder, 'index.html');
  writeFileSync(page, asNow(readFileSync(page, 'utf8')));
  const made = spawnSync('npx', ['ngsw-config', folder, 'src/app/ngsw-config.json'], { encoding: 'utf8' });
  expect(made.status, made.stderr).toBe(0);
  return folder;
}

test('a second build is offered, not forced, and is there after the press', async ({ browser }) => {
  // The campaign builds once more, beside other tests.
  test.setTimeout(process.env['CAMPAIGN'] === undefined ? 400_000 : 1_200_000);
  const second = secondBuild();
  const root = copyOf('dist/app/browser');
  const url = await serve(root);
  const page = await (await browser.newContext({ serviceWorkers: 'allow' })).newPage();
  const version = async (): Promise<string> => {
    await page.getByRole('link', { name: 'Help' }).click();
    const text = await page.getByText(/^Esmero \d/).textContent();
    await page.goBack();
    return text ?? '';
  };
  await page.goto(`${url}jobs`);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await expect.poll(async () => page.evaluate(() => caches.keys().then((keys) => keys.length))).toBeGreaterThan(1);
  await page.reload();
  await page.waitForTimeout(1500);
  rmSync(root, { recursive: true });
  cpSync(second, root, { recursive: true });
  await openStage(page, 'site', `${url}job/demo-deck`);
  await page.getByLabel('Client').fill('Kept over the update');
  const notice = page.locator('[data-notice="update"]');
  await expect(notice).toBeVisible({ timeout: 60_000 });
  expect(await version()).not.toContain('99');
  await notice.getByRole('button', { name: 'Use it now' }).click();
  await expect(page.getByLabel('Client')).toHaveValue('Kept over the update');
  await expect.poll(version, { timeout: 30_000 }).toBe('Esmero 99.0.0');
  await page.context().close();
});

test('https with the machine’s own certificate has what plain http lacks', async () => {
  const url = await serve('dist/app/browser', '--https');
  const browser = await launched('--ignore-certificate-errors');
  const page = await (await browser.newContext({ ignoreHTTPSErrors: true })).newPage();
  await page.goto(`${url}jobs`);
  await expect(page.locator('.job', { hasText: 'Planned' })).toHaveCount(15);
  expect(await page.evaluate(() => window.isSecureContext)).toBe(true);
  await expect(page.locator('[data-notice]')).toHaveCount(0);
  await browser.close();
});

test('shortcuts of the installed application lead to a new job and to the run', async ({ page }) => {
  await page.goto('/new');
  await expect(page).toHaveURL(/\/job\/job-[^/]+\/site$/);
  await page.goto('/run');
  await expect(page).toHaveURL(/\/job\/[^/]+\/run$/);
  const manifest = (await (await page.request.get('/manifest.webmanifest')).json()) as {
    icons: { src: string }[];
    screenshots: { src: string }[];
  };
  for (const { src } of [...manifest.icons, ...manifest.screenshots]) {
    const answer = await page.request.get(`/${src}`);
    expect(answer.status(), src).toBe(200);
    expect(answer.headers()['content-type'], src).toMatch(/^image\//);
  }
});

test('dialogs have a named close button, and focus goes back to where it came from', async ({ page }) => {
  await page.goto('/jobs');
  const opener = page.getByRole('link', { name: 'Help' });
  await opener.focus();
  await page.keyboard.press('?');
  await page.getByRole('button', { name: 'Close the shortcuts' }).click();
  await expect(page.getByRole('dialog', { name: 'Keyboard' })).toBeHidden();
  await expect(opener).toBeFocused();
  await openStage(page, 'method');
  const total = page.locator('[data-total]').first();
  await total.click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(total).toBeFocused();
});
