import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** What start, test and bench share: install what is missing, build what is out of date. */

const CLOCK_MS = 10_000;

/** Runs a command with its output on the terminal, and tells how long it has been at it; ends this process when it fails. */
export async function must(command, args, what, env = {}) {
  const began = Date.now();
  const clock = setInterval(() => process.stdout.write(`… ${Math.round((Date.now() - began) / 1000)} s\n`), CLOCK_MS);
  const status = await new Promise((resolve) => {
    const child = spawn(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
    child.on('error', () => resolve(1));
    child.on('exit', (code) => resolve(code ?? 1));
  });
  clearInterval(clock);
  if (status === 0) return;
  process.stderr.write(`\n${what} failed.\n`);
  process.exit(status);
}

const hashOf = (paths) => {
  const hash = createHash('sha256');
  for (const path of paths) hash.update(path).update(readFileSync(path));
  return hash.digest('hex');
};

const filesBelow = (folder) =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesBelow(path) : [path];
  });

/** Does the work unless one of the stamps says that it was done for exactly these files; notes the first of them. */
async function once(stamps, inputs, result, work) {
  const now = hashOf(inputs);
  if (existsSync(result) && stamps.some((stamp) => existsSync(stamp) && readFileSync(stamp, 'utf8') === now)) return;
  await work();
  mkdirSync('.cache', { recursive: true });
  writeFileSync(stamps[0], now);
}

const LOCK = ['package-lock.json'];
const INSTALLED = 'node_modules/.package-lock.json';
const npmCi = (...more) => must('npm', ['ci', '--no-audit', '--no-fund', ...more], 'Installing the packages');

export const installPackages = () =>
  once(['.cache/installed'], LOCK, INSTALLED, () => {
    process.stdout.write('Installing packages …\n');
    return npmCi();
  });

/** What it takes to build and to serve; what only tests need stays away. */
export const installToRun = () =>
  once(['.cache/installed-to-run', '.cache/installed'], LOCK, INSTALLED, () => {
    process.stdout.write('Installing packages …\n');
    return npmCi('--omit=dev');
  });

/** Tests beside the sources do not change what is built. */
const isSource = (path) => !path.endsWith('.spec.ts');

const built = (stamps, env) =>
  once(
    stamps,
    [...filesBelow('src').filter(isSource), 'angular.json', 'package-lock.json', 'tsconfig.base.json'],
    'dist/app/browser/index.html',
    () => {
      process.stdout.write('Building …\n');
      const { version } = JSON.parse(readFileSync('package.json', 'utf8'));
      const own = ['--define', `ESMERO_VERSION='${version}'`];
      return must('npx', ['ng', 'build', ...own], 'The build', { NG_BUILD_MAX_WORKERS: '2', ...env });
    },
  );

/** The application as it is served, its templates checked against their types. */
export const build = () => built(['.cache/built']);

/** The same sooner: types are checked where it is tested. */
export const buildToRun = () => built(['.cache/built-to-run', '.cache/built'], { NG_BUILD_TYPE_CHECK: '0' });

/** The shell without a desktop, which takes a third less of the processor, before the browser with one. */
const SHELL = '/usr/bin/chromium-headless-shell';

export const chromiumPath = () =>
  [process.env.CHROMIUM, SHELL, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find(
    (path) => path && existsSync(path),
  );

const isDebianRoot = () => process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0;

/** Debian's Chromium for the browser tests; where the shell cannot be had, one that is there will do. */
export async function installChromium() {
  if (process.env.CHROMIUM || existsSync(SHELL)) return;
  if (isDebianRoot()) {
    process.stdout.write('Installing Chromium …\n');
    const got = (args) => spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'] }).status === 0;
    if (got(['update', '-qq']) && got(['install', '-y', '-qq', '--no-install-recommends', 'chromium-headless-shell']))
      return;
  }
  if (chromiumPath()) return;
  process.stderr.write(
    'The browser tests need Chromium. Install it (on Debian: apt-get install chromium-headless-shell), or set CHROMIUM to its path.\n',
  );
  process.exit(1);
}
