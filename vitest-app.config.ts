import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** The application's tests, beside what the framework's builder sets up: on both cores of a small machine. */
export default defineConfig({ test: { maxWorkers: Math.max(2, availableParallelism() - 1) } });
