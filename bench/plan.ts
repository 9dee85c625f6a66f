import { type Job, planJob, zonesOf } from '@esmero/core';
import { demoJobs } from '@esmero/demo';

/** Times of full plans, in milliseconds. */
const WARM_UP = 40;
const RUNS = 200;

function times(job: Job, runs: number): number[] {
  return Array.from({ length: runs }, () => {
    const start = performance.now();
    planJob(job);
    return performance.now() - start;
  }).sort((p, q) => p - q);
}

const at = (sorted: readonly number[], share: number): string =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!.toFixed(1);

for (const job of demoJobs) times(job, WARM_UP);

process.stdout.write('\nOne full plan                         zones   median ms   p95 ms\n');
for (const job of demoJobs) {
  const sorted = times(job, RUNS);
  const zones = String(zonesOf(job.vehicle).length).padStart(5);
  process.stdout.write(
    `${job.name.slice(0, 36).padEnd(37)} ${zones} ${at(sorted, 0.5).padStart(11)} ${at(sorted, 0.95).padStart(8)}\n`,
  );
}

const start = performance.now();
for (let i = 0; i < 50; i++) planJob(demoJobs[i % demoJobs.length]!);
process.stdout.write(`\n50 cars, one after the other: ${(performance.now() - start).toFixed(0)} ms\n`);
