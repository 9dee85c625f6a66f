import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { relative } from 'node:path';
import { installChromium, installPackages } from './prepare.mjs';

/** Runs everything that a change must pass, goes on after a failure, and closes with the count. */

const REPORTS = '.cache/reports';
const report = (name) => `${REPORTS}/${name}.json`;

/** Runs a command with its output on the terminal. */
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

/** Runs a command beside others; what it prints comes in one piece when it is over. */
const beside = (command, args) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => said.push(part));
    child.on('close', (status) => resolve({ ok: status === 0, text: Buffer.concat(said).toString() }));
  });

/** A check without tests of its own counts as one. */
const check = (command, args) => async () => {
  const { ok, text } = await beside(command, args);
  if (!ok) process.stdout.write(text);
  return ok ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
};

/** Counts out of a report; a suite that failed without a failed test has not run as a whole. */
const counted = (ok, counts) => {
  const { passed, failed } = counts ?? { passed: 0, failed: 0 };
  return { passed, failed: ok ? failed : Math.max(1, failed) };
};

const vitestCounts = (name) => {
  const found = read(name);
  return found && { passed: found.numPassedTests, failed: found.numFailedTests };
};

const vitest = (name, command, args, env) => () => {
  const ok = run(command, args, env);
  for (const { name: file, assertionResults } of read(name)?.testResults ?? []) {
    for (const { status, fullName, failureMessages } of assertionResults) {
      if (status === 'failed') failures.push(`${relative('.', file)}: ${fullName}\n${failureMessages.join('\n')}`);
    }
  }
  return counted(ok, vitestCounts(name));
};

const playwright = () => {
  const ok = run('node_modules/.bin/playwright', ['test', '--reporter=list,json'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: report('browser'),
  });
  const stats = read('browser')?.stats;
  return counted(ok, stats && { passed: stats.expected + stats.flaky, failed: stats.unexpected });
};

/** All rooms in one go; the core once more without a browser or Node around it, the server without a browser. The application’s are checked where it is built. */
const typeChecked = ['.', 'src/core', 'server'];

/** Spec files that took longer than this are named, s. */
const SLOW_S = 20;

const slowSpecs = () =>
  ['units', 'app']
    .flatMap((name) => read(name)?.testResults ?? [])
    .map(({ name, startTime, endTime }) => [Math.round((endTime - startTime) / 1000), relative('.', name)])
    .filter(([took]) => took > SLOW_S)
    .sort(([p], [q]) => q - p);

const bin = (name) => `node_modules/.bin/${name}`;

/** What says something about the code as it stands: nothing of it is run, so one of them runs beside the build, and then two at a time. */
const still = [
  ['lint and import rules', check(bin('eslint'), ['.', '--max-warnings', '0'])],
  ['form', check(bin('prettier'), ['--check', '.', '--log-level', 'warn'])],
  ['unused exports and packages', check(bin('knip'), ['--no-progress'])],
  ['no circles', check(bin('depcruise'), ['src', 'server', '--config', '.dependency-cruiser.json'])],
  ...typeChecked.map((room) => [
    room === '.' ? 'types' : `types of ${room}`,
    check(bin('tsc'), ['-p', room, '--noEmit']),
  ]),
];

/** What runs it; each uses both cores. */
const running = [
  [
    'core, edges and server',
    vitest('units', bin('vitest'), [
      'run',
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report('units')}`,
      ...(process.env.DEEP ? ['--coverage'] : []),
    ]),
  ],
  [
    'app',
    vitest('app', bin('ng'), ['test', '--reporters=json', `--output-file=${report('app')}`], {
      VITEST_MAX_WORKERS: '2',
    }),
  ],
  ['browser', playwright],
];

await installPackages();
await installChromium();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

let [passed, failed] = [0, 0];
const broken = [];
const times = [];
const secondsSince = (at) => Math.round((Date.now() - at) / 1000);

async function part([name, perform]) {
  const at = Date.now();
  const counts = await perform();
  const took = secondsSince(at);
  times.push([took, name]);
  process.stdout.write(`== ${name}: ${took} s${counts.failed > 0 ? ', FAILED' : ''}\n`);
  passed += counts.passed;
  failed += counts.failed;
  if (counts.failed > 0) broken.push(name);
}

/** Takes the next of a list until it is through. */
async function lane(rest) {
  for (let next = rest.shift(); next; next = rest.shift()) await part(next);
}

process.stdout.write(`To run: ${[...still, ...running].map(([name]) => name).join(', ')}\n\n`);
const began = Date.now();
const building = beside(process.execPath, ['scripts/build.mjs']).then(({ ok, text }) => {
  times.push([secondsSince(began), 'build']);
  if (!ok) process.stdout.write(text);
  return ok;
});
const rest = [...still];
const [isBuilt] = await Promise.all([building.then(async (ok) => (await lane(rest), ok)), lane(rest)]);
if (!isBuilt) {
  failed++;
  broken.push('build');
}
for (const one of isBuilt ? running : running.slice(0, 1)) await part(one);

process.stdout.write('\nWhere the time went:\n');
for (const [took, name] of times.sort(([p], [q]) => q - p).slice(0, 12))
  process.stdout.write(`${String(took).padStart(6)} s  ${name}\n`);
for (const [took, file] of slowSpecs()) process.stdout.write(`${String(took).padStart(6)} s  ${file}\n`);
for (const failure of failures) process.stdout.write(`\nFailed: ${failure}\n`);
if (broken.length > 0) process.stdout.write(`\nFailed in: ${broken.join(', ')}\n`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed > 0 ? 1 : 0);
