import { type Job, type Study, dayOf, bucketSpread, carryOf, finish, frontOf, planJob, whatIf, whatMattered, zonesOf } from '@esmero/core';
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

/** Long questions, which the worker answers in slices with their progress shown. */
const studies: readonly (readonly [string, (job: Job) => Study<unknown>])[] = [
  ['what would change', (job) => whatIf(job, planJob(job))],
  ['where the school mattered', whatMattered],
  ['front', frontOf],
  ['the day', dayOf],
  ['what to carry, 1,000 draws', (job) => carryOf(job, planJob(job))],
  ['buckets, 1,000 draws of 6 ways', (job) => bucketSpread(job, planJob(job))],
];
const STUDY_RUNS = 12;

process.stdout.write('\nOne long question, all demo jobs    median ms   p95 ms\n');
for (const [name, study] of studies) {
  const sorted = demoJobs
    .flatMap((job) =>
      Array.from({ length: STUDY_RUNS }, () => {
        const from = performance.now();
        finish(study(job));
        return performance.now() - from;
      }),
    )
    .sort((p, q) => p - q);
  process.stdout.write(`${name.padEnd(34)} ${at(sorted, 0.5).padStart(11)} ${at(sorted, 0.95).padStart(8)}\n`);
}
