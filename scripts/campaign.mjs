import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';
import { build, installChromium, installPackages } from './prepare.mjs';

/**
 * The long versions of what npm test tries in short: 6,000 mutated files, 300 mutated backups, attacks on relay, readers and stock, runs in
 * which anything happens, 120 killed tabs, 200 races of two tabs, 5,000 jobs with 500 pictures out and in again, an update by a second
 * build. Prints a table; takes an hour and a half on two cores.
 */

await installPackages();
await installChromium();
await build();
mkdirSync('.cache/reports', { recursive: true });

const run = (command, args, env, file) => {
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  return JSON.parse(readFileSync(file, 'utf8'));
};

const rows = [];
const units = '.cache/reports/campaign-units.json';
const files = run(
  'npx',
  [
    'vitest',
    'run',
    'src/exchange',
    'src/transfer',
    'src/store',
    'src/records',
    'src/core/inventory',
    'src/core/execution/histories',
    'server',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${units}`,
  ],
  { DEEP: '1' },
  units,
);
for (const { assertionResults } of files.testResults)
  for (const { title, status, duration } of assertionResults)
    rows.push([status === 'passed' ? 'ok' : 'FAILED', title, `${((duration ?? 0) / 1000).toFixed(1)} s`, '']);

const browser = '.cache/reports/campaign-browser.json';
const stories = run(
  'npx',
  [
    'playwright',
    'test',
    'e2e/safety.spec.ts',
    'e2e/backup.spec.ts',
    'e2e/files.spec.ts',
    'e2e/network.spec.ts',
    'e2e/crew.spec.ts',
    'e2e/clients.spec.ts',
    '--reporter=list,json',
  ],
  { CAMPAIGN: '4', PLAYWRIGHT_JSON_OUTPUT_NAME: browser },
  browser,
);
const specsIn = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsIn)];
for (const { title, ok, tests } of stories.suites.flatMap(specsIn)) {
  const [{ duration = 0, annotations = [] } = {}] = tests[0]?.results ?? [];
  const noted = [...annotations, ...(tests[0]?.annotations ?? [])].map(
    ({ type, description }) => `${type} ${description}`,
  );
  rows.push([ok ? 'ok' : 'FAILED', title, `${(duration / 1000).toFixed(1)} s`, [...new Set(noted)].join('; ')]);
}

process.stdout.write('\n');
for (const [state, title, took, noted] of rows)
  process.stdout.write(
    `${state.padEnd(7)}${took.padStart(9)}  ${title}${noted ? `\n${' '.repeat(18)}${noted}` : ''}\n`,
  );
const failed = rows.filter(([state]) => state !== 'ok').length;
process.stdout.write(`\n${rows.length - failed} passed, ${failed} failed\n`);
process.exit(failed > 0 ? 1 : 0);
