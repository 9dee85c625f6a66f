import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const at = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

const alias = {
  '@esmero/core': at('./src/core/index.ts'),
  '@esmero/model': at('./src/core/model/index.ts'),
  '@esmero/units': at('./src/core/units/index.ts'),
  '@esmero/records': at('./src/records/index.ts'),
  '@esmero/migrations': at('./src/migrations/index.ts'),
  '@esmero/exchange': at('./src/exchange/index.ts'),
  '@esmero/frame': at('./src/messages/frame.ts'),
  '@esmero/messages': at('./src/messages/index.ts'),
  '@esmero/worker': at('./src/worker/client.ts'),
  '@esmero/kept': at('./src/store/kept.ts'),
  '@esmero/store': at('./src/store/index.ts'),
  '@esmero/transfer': at('./src/transfer/index.ts'),
  '@esmero/papers': at('./src/papers/index.ts'),
  '@esmero/testing': at('./src/testing/properties.ts'),
  '@esmero/demo': at('./src/demo/index.ts'),
};

const DEEP = process.env['DEEP'] !== undefined;

const project = (name: string, include: string[]) => ({
  resolve: { alias },
  // A project takes nothing over from what stands below: files share what they import, which takes longer than most of them run.
  test: {
    name,
    include,
    pool: 'threads' as const,
    isolate: false,
    environment: 'node' as const,
    testTimeout: DEEP ? 1_200_000 : 120_000,
    setupFiles: [at('./src/testing/properties.ts')],
  },
});

/** Everything but the Angular application, whose tests run with the framework's own builder. */
export default defineConfig({
  test: {
    // Both cores of a small machine.
    maxWorkers: Math.max(2, availableParallelism() - 1),
    // Measured where it is asked for: `npm run test:deep`.
    coverage: {
      provider: 'v8',
      include: ['src/core/**/*.ts'],
      exclude: ['**/*.spec.ts', 'src/core/testing/**'],
      reporter: ['text-summary', 'json-summary'],
      reportsDirectory: '.cache/reports/coverage',
      thresholds: { lines: 95, branches: 90 },
    },
    projects: [
      project('core', ['src/core/**/*.spec.ts']),
      project('edges', [
        'src/{records,migrations,transfer,papers,exchange,messages,worker,store,demo,cli}/**/*.spec.ts',
        'scripts/**/*.spec.ts',
      ]),
      project('server', ['server/**/*.spec.ts']),
    ],
  },
});
