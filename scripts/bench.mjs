import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { build, installChromium, installPackages, must } from './prepare.mjs';

/** What a first visit downloads before anything is seen: the page, and all that it names. */
function initialBytes(folder) {
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const named = [...page.matchAll(/(?:src|href)="([^"]+\.(?:js|css))"/g)].map(([, name]) => name);
  const all = new Set(['index.html', ...named]);
  // Scripts name further scripts that they cannot begin without.
  for (const name of all)
    if (name.endsWith('.js'))
      for (const [, next] of readFileSync(join(folder, name), 'utf8').matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g))
        all.add(next);
  return [...all].reduce((sum, name) => sum + brotliCompressSync(readFileSync(join(folder, name))).length, 0);
}

const kilobytes = (bytes) => `${(bytes / 1000).toFixed(1)} kB`;

await installPackages();
await installChromium();
await build();
await must('npx', ['ng', 'build', 'empty'], 'The build of the empty app');
const [own, empty] = ['dist/app/browser', 'dist/empty/browser'].map(initialBytes);
process.stdout.write(
  `\nInitial download (brotli): ${kilobytes(own)}; an empty app of the same framework and theme: ${kilobytes(empty)}; ratio ${(own / empty).toFixed(2)}\n`,
);
const fonts = existsSync('dist/app/browser/media') ? readdirSync('dist/app/browser/media').length : 0;
process.stdout.write(`Fonts, fetched by script as needed: ${fonts} files\n`);
await must(process.execPath, ['bench/painting.mjs'], 'The benchmark of painting');
// Bundled like the worker: a loader that keeps every name would slow it by half.
for (const name of ['plan', 'day', 'eye']) {
  await must(
    'npx',
    [
      'esbuild',
      `bench/${name}.ts`,
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--minify',
      '--tsconfig=tsconfig.base.json',
      `--outfile=.cache/${name}.mjs`,
      '--log-level=error',
      '--external:highs',
    ],
    'The bundle of the benchmark',
  );
  await must(process.execPath, [`.cache/${name}.mjs`], 'The benchmark of the core');
}
