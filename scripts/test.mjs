import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { relative } from 'node:path';
import { build, installChromium, installPackages } from './prepare.mjs';

/** Runs everything that a change must pass, goes on after a failure, and closes with the count. */

const REPORTS = '.cache/reports';
const report = (name) => `${REPORTS}/${name}.json`;

const run = (command, args, env = {}) =>
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;

const read = (name) => {
  try {
    return JSON.parse(readFileSync(report(name), 'utf8'));
  } catch {
    return undefined;
  }
};

/** What failed, repeated before the count, so that it is found at the end of a long log. */
const failures = [];

/** A check without tests of its own counts as one. */
const check = (command, args) => () => (run(command, args) ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 });

/** Counts out of a report; a suite that failed without a failed test has not run as a whole. */
const counted = (ok, counts) => {
  const { passed, failed } = counts ?? { passed: 0, failed: 0 };
  return { passed, failed: ok ? failed : Math.max(1, failed) };
};

const vitestCounts = (name) => {
  const found = read(name);
  return found && { passed: found.numPassedTests, failed: found.numFailedTests };
};

const vitest = (name, command, args) => () => {
  const ok = run(command, args);
  for (const { name: file, assertionResults } of read(name)?.testResults ?? []) {
    for (const { status, fullName, failureMessages } of assertionResults) {
      if (status === 'failed') failures.push(`${relative('.', file)}: ${fullName}\n${failureMessages.join('\n')}`);
    }
  }
  return counted(ok, vitestCounts(name));
};

const playwright = () => {
  const ok = run('npx', ['playwright', 'test', '--reporter=list,json'], { PLAYWRIGHT_JSON_OUTPUT_NAME: report('browser') });
  const stats = read('browser')?.stats;
  return counted(ok, stats && { passed: stats.expected + stats.flaky, failed: stats.unexpected });
};

const typeChecked = ['src/core', 'src/core/tsconfig.spec.json', 'src/records', 'src/migrations', 'src/transfer', 'src/exchange', 'src/messages', 'src/papers', 'src/worker', 'src/store', 'src/demo', 'src/cli', 'server', 'scripts', 'bench', 'e2e'];

const checks = [
  ['lint and import rules', check('npx', ['eslint', '.', '--max-warnings', '0'])],
  ['no circles', check('npx', ['depcruise', 'src', 'server', '--config', '.dependency-cruiser.json'])],
  ...typeChecked.map((room) => [`types of ${room}`, check('npx', ['tsc', '-p', room, '--noEmit'])]),
  [
    'core, edges and server',
    vitest('units', 'npx', ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${report('units')}`]),
  ],
  [
    'app',
    vitest('app', 'npx', ['ng', 'test', '--reporters=json', `--output-file=${report('app')}`]),
  ],
  ['browser', playwright],
];

installPackages();
installChromium();
build();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

let [passed, failed] = [0, 0];
const broken = [];
for (const [name, perform] of checks) {
  process.stdout.write(`\n== ${name}\n`);
  const counts = perform();
  passed += counts.passed;
  failed += counts.failed;
  if (counts.failed > 0) broken.push(name);
}
for (const failure of failures) process.stdout.write(`\nFailed: ${failure}\n`);
if (broken.length > 0) process.stdout.write(`\nFailed in: ${broken.join(', ')}\n`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed > 0 ? 1 : 0);
