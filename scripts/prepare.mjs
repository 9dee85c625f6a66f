import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** What start, test and bench share: install what is missing, build what is out of date. */

/** Runs a command with its output on the terminal; ends this process when it fails. */
export function must(command, args, what) {
  const { status } = spawnSync(command, args, { stdio: 'inherit' });
  if (status === 0) return;
  process.stderr.write(`\n${what} failed.\n`);
  process.exit(status ?? 1);
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

/** Does the work unless a stamp says that it was done for exactly these files. */
function once(stamp, inputs, result, work) {
  const now = hashOf(inputs);
  if (existsSync(stamp) && existsSync(result) && readFileSync(stamp, 'utf8') === now) return;
  work();
  mkdirSync('.cache', { recursive: true });
  writeFileSync(stamp, now);
}

export const installPackages = () =>
  once('.cache/installed', ['package-lock.json'], 'node_modules/.package-lock.json', () => {
    process.stdout.write('Installing packages …\n');
    must('npm', ['ci', '--no-audit', '--no-fund'], 'Installing the packages');
  });

/** Tests beside the sources do not change what is built. */
const isSource = (path) => !path.endsWith('.spec.ts');

export const build = () =>
  once(
    '.cache/built',
    [...filesBelow('src').filter(isSource), 'angular.json', 'package-lock.json', 'tsconfig.base.json'],
    'dist/app/browser/index.html',
    () => {
      process.stdout.write('Building …\n');
      must('npx', ['ng', 'build'], 'The build');
    },
  );

export const chromiumPath = () =>
  [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => path && existsSync(path));

/** Debian's Chromium for the browser tests. */
export function installChromium() {
  if (chromiumPath()) return;
  const byHand = 'The browser tests need Chromium. Install it (on Debian: apt-get install chromium), or set CHROMIUM to its path.';
  if (process.getuid?.() !== 0 || spawnSync('apt-get', ['--version']).status !== 0) {
    process.stderr.write(`${byHand}\n`);
    process.exit(1);
  }
  process.stdout.write('Installing Chromium …\n');
  must('apt-get', ['update', '-qq'], 'Reading the package lists');
  must('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], 'Installing Chromium');
}
