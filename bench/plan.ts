import {
  type Study,
  bucketSpread,
  packingListOf,
  hoursOfDay,
  everything,
  finish,
  tradeOffsOf,
  historyOf,
  learn,
  logOf,
  nextVisitOf,
  noteEvent,
  noteEvents,
  workOrdersOf,
  planJob,
  planRun,
  searchLog,
  startRun,
  tasksOf,
  ticksOf,
  towelLedger,
  whatIf,
  approachEffectsOf,
  zonesOf,
} from '@esmero/core';
import type { Job, RunUse, SoilLevel, ReplanEvent } from '@esmero/model';
import { celsius } from '@esmero/units';
import fc from 'fast-check';
import loadHighs from 'highs';
import { contextOf } from '../src/core/rules/context';
import { freshStart } from '../src/core/rules';
import { choose } from '../src/core/planning/choose';
import { anyCapacity, anyMixedJob, bestApart, preparedFor } from '../src/core/testing/choice-apart';
import { anyRow, isEnough, towelsFor } from '../src/core/testing/towels-apart';
import { wipingsOf } from '../src/core/planning';
import { timelineOf } from '../src/core/schedule';
import { demoJobs } from '@esmero/demo';
import { jobsAtRandom } from '../src/core/testing/corpus';

/** Times of full plans, in milliseconds. */
const WARM_UP = 40;
const RUNS = 200;

/** The job with one more stroke of the brush: a zone at another level. */
function painted(job: Job, stroke: number): Job {
  const zones = zonesOf(job.vehicle);
  const { id } = zones[(stroke * 7) % zones.length]!;
  const level = (stroke % 4) as SoilLevel;
  return { ...job, soil: { ...job.soil, [id]: { deposits: [{ kind: 'dust', level }], spots: {} } } };
}

/** The job moved to another hour and air: nothing that was worked out before holds. */
const elsewhere = (job: Job, run: number): Job => ({
  ...job,
  site: { ...job.site, airC: celsius(job.site.airC + 0.01 * (run + 1)) },
});

function times(jobs: readonly Job[]): number[] {
  return jobs
    .map((job) => {
      const start = performance.now();
      planJob(job);
      return performance.now() - start;
    })
    .sort((p, q) => p - q);
}

const strokes = (job: Job, runs: number): readonly Job[] => Array.from({ length: runs }, (_, i) => painted(job, i));
const afresh = (job: Job, runs: number): readonly Job[] => Array.from({ length: runs }, (_, i) => elsewhere(job, i));

const at = (sorted: readonly number[], share: number): string =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!.toFixed(1);

for (const job of demoJobs) times([...strokes(job, WARM_UP), ...afresh(job, WARM_UP)]);

process.stdout.write('\n                                           afresh, ms      after a stroke, ms\n');
process.stdout.write('One full plan                         zones  median  p95     median  p95\n');
for (const job of demoJobs) {
  const zones = String(zonesOf(job.vehicle).length).padStart(5);
  const cells = [afresh(job, RUNS), strokes(job, RUNS)].map(times);
  const row = cells.map((sorted) => `${at(sorted, 0.5).padStart(7)} ${at(sorted, 0.95).padStart(5)}`).join('   ');
  process.stdout.write(`${job.name.slice(0, 36).padEnd(37)} ${zones} ${row}\n`);
}

/** The tail counts: a plan that stalls is remembered, and the demo's jobs have none. */
const AT_RANDOM = Number(process.env['JOBS'] ?? 1000);
const random = jobsAtRandom(AT_RANDOM).map((job, i) => {
  const [fresh] = times([job]);
  const [stroke] = times([painted(job, i)]);
  return { i, fresh: fresh!, stroke: stroke! };
});
const ranked = (of: 'fresh' | 'stroke'): number[] => random.map((one) => one[of]).sort((p, q) => p - q);
process.stdout.write(`\n${AT_RANDOM} jobs at random, ms                   median     p95     p99  slowest (no.)\n`);
for (const [name, of] of [
  ['afresh', 'fresh'],
  ['after a stroke', 'stroke'],
] as const) {
  const sorted = ranked(of);
  const slowest = random.reduce((p, q) => (q[of] > p[of] ? q : p));
  process.stdout.write(
    `${name.padEnd(37)} ${[0.5, 0.95, 0.99, 1].map((share) => at(sorted, share).padStart(7)).join(' ')}  (${slowest.i})\n`,
  );
}

/** What a person has to do for a plan: passes, each a press, with beginning and ending the run; changes of side within a lap, and the way on foot. */
process.stdout.write('\nOne run                               passes  presses  changes of side  metres  minutes\n');
for (const job of demoJobs) {
  const { timeline, method } = planJob(job);
  if (method === 'decline') continue;
  const changes = timeline.byWorker.reduce(
    (sum, list) =>
      sum + list.slice(1).filter((pass, i) => pass.lap === list[i]!.lap && pass.place !== list[i]!.place).length,
    0,
  );
  const cells = [
    String(timeline.passes.length).padStart(6),
    String(timeline.passes.length + 2).padStart(8),
    String(changes).padStart(16),
    timeline.walkedM.toFixed(0).padStart(7),
    (timeline.elapsedS / 60).toFixed(0).padStart(8),
  ];
  process.stdout.write(`${job.name.slice(0, 36).padEnd(37)} ${cells.join(' ')}\n`);
}

const start = performance.now();
for (let i = 0; i < 50; i++) planJob(demoJobs[i % demoJobs.length]!);
process.stdout.write(`\n50 cars, one after the other: ${(performance.now() - start).toFixed(0)} ms\n`);

/** Parts of a plan on their own: the same zones dealt out and put on the clock again. */
const parts = demoJobs.flatMap((job) => {
  const { timeline, kits, zones } = planJob(job);
  const { a, job: settled } = contextOf(job);
  const options = new Map(zones.map(({ zone, option }) => [zone.id, option]));
  const wipings = wipingsOf(timeline, job.site.workers, (zoneId) => options.get(zoneId)?.needs ?? []);
  const chosen = zones.flatMap(({ zone, option, lap }) => (option && lap ? [{ zone, option, lap }] : []));
  if (chosen.length < 45) return [];
  return [
    {
      name: job.name,
      towels: () => towelLedger(wipings, job.towels, settled.choices, a),
      schedule: () => timelineOf(chosen, kits, { job: settled, begun: freshStart, a }),
    },
  ];
});

const timed = (work: () => unknown): string => {
  const sorted = Array.from({ length: RUNS }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  }).sort((p, q) => p - q);
  return `${at(sorted, 0.5).padStart(7)} ${at(sorted, 0.95).padStart(5)}`;
};

process.stdout.write('\n                                        towels by hand, ms      schedule, ms\n');
process.stdout.write('Parts of a plan, 45 zones and more     median   p95     median   p95\n');
for (const { name, towels, schedule } of parts)
  process.stdout.write(`${name.slice(0, 36).padEnd(38)} ${timed(towels)}    ${timed(schedule)}\n`);

/** The same questions put to a mixed-integer solver that knows nothing of ours. */
const highs = await loadHighs();
const QUESTIONS = 40;
const took = (work: () => unknown): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};
const quickest = (work: () => unknown): number => Math.min(...Array.from({ length: 5 }, () => took(work)));
const sumOf = (numbers: readonly number[]): number => numbers.reduce((sum, one) => sum + one, 0);
const choices = fc
  .sample(fc.tuple(anyMixedJob, anyCapacity), { numRuns: QUESTIONS, seed: 20310714 })
  .map(([job, capacity]) => {
    const prepared = preparedFor(job);
    return { own: quickest(() => choose(prepared, capacity)), other: took(() => bestApart(highs, prepared, capacity)) };
  });
const rows = fc.sample(anyRow, { numRuns: QUESTIONS, seed: 7 }).map((row) => {
  const found = towelsFor(row);
  return {
    own: quickest(() => towelsFor(row)),
    other: took(() => [isEnough(highs, row, found, true), found > 1 && isEnough(highs, row, found - 1, true)]),
  };
});
process.stdout.write(
  `\n${QUESTIONS} questions each, ms in all           ours  solver   times as fast, median   in all\n`,
);
for (const [name, asked] of [
  ['choice of treatments', choices],
  ['towels in the hand', rows],
] as const) {
  const ratios = asked.map(({ own, other }) => other / own).sort((p, q) => p - q);
  const [own, other] = [sumOf(asked.map((one) => one.own)), sumOf(asked.map((one) => one.other))];
  process.stdout.write(
    `${name.padEnd(36)} ${own.toFixed(0).padStart(7)} ${other.toFixed(0).padStart(7)} ${at(ratios, 0.5).padStart(23)} ${(other / own).toFixed(1).padStart(8)}\n`,
  );
}

/** Long questions, which the worker answers in slices with their progress shown. */
const studies: readonly (readonly [string, (job: Job) => Study<unknown>])[] = [
  ['what would change', (job) => whatIf(job, planJob(job))],
  ['where the approach mattered', approachEffectsOf],
  ['front', tradeOffsOf],
  ['the day', hoursOfDay],
  ['other orders of work', workOrdersOf],
  ['next visit', (job) => nextVisitOf(job)],
  ['what to carry, 1,000 draws', (job) => packingListOf(job, planJob(job))],
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

/** A run that is half done, and what turns out otherwise in it: each time at another moment. */
const turns = demoJobs.flatMap((job) => {
  if (planJob(job).method === 'decline') return [];
  let half = startRun(job, 0);
  const plan = planRun(half);
  const tasks = tasksOf(plan);
  for (const task of tasks.slice(0, tasks.length / 2)) half = noteEvents(half, ticksOf(plan, task, 1));
  let at = 1000;
  const events: readonly ((time: number) => ReplanEvent)[] = [
    (time) => ({ kind: 'side-full', role: 'wash', worker: 0, at: time }),
    (time) => ({ kind: 'towel-out', role: 'finish', worker: 0, at: time }),
    (time) => ({ kind: 'workers', workers: job.site.workers === 1 ? 2 : 1, at: time }),
    (time) => ({ kind: 'weather', weather: 'wind', at: time }),
  ];
  return [{ name: job.name, replan: () => planRun(noteEvent(half, events[at % events.length]!(at++))) }];
});
process.stdout.write('\nPlanned again after a turn in mid-run, ms    median   p95\n');
for (const { name, replan } of turns) process.stdout.write(`${name.slice(0, 38).padEnd(44)} ${timed(replan)}\n`);

/** Runs of a busy life: each took something else. */
const LOGGED = 5000;
const counted: readonly Job[] = Array.from({ length: LOGGED }, (_, i): Job => {
  const ratio = 0.7 + (i % 60) / 100;
  const used: RunUse = {
    at: i * 1e6,
    because: '',
    method: 'hybrid',
    doneShare: 1,
    plannedMin: 30,
    paces: (['wet', 'wipe', 'glass'] as const).map((act) => ({ act, plannedS: 600, tookS: 600 * ratio })),
    waterL: 6,
    runoffL: 0,
    soil: { seenG: 100 * ratio, forecastG: 100 },
    mixes: (['waterless', 'wash', 'presoak'] as const).map((purpose) => ({
      purpose,
      plannedMl: 500,
      usedMl: 500 * ratio,
    })),
    towels: (['wash', 'finish'] as const).map((role) => ({ role, planned: 5, opened: Math.round(5 * ratio) })),
  };
  const run = { startedAt: i * 1e6, endedAt: i * 1e6 + 30 * 60_000 * ratio, events: [], counts: [used], punch: [] };
  return { ...demoJobs[i % demoJobs.length]!, id: `logged-${i}`, run };
});
const log = logOf(counted);
const [first] = counted as readonly [Job];
const { vehicle } = first;
process.stdout.write(`\n${LOGGED} runs, ms                        median   p95\n`);
for (const [name, work] of [
  ['opened as a log', () => logOf(counted)],
  ['searched', () => searchLog(log, { ...everything, words: 'harbour deck', method: 'hybrid' })],
  ['history of one car', () => historyOf(counted.filter((one) => one.vehicle.id === vehicle.id))],
  [
    'learned from for the first time',
    () =>
      learn(
        counted.map((one) => ({ ...one })),
        first,
      ),
  ],
  ['learned from again', () => learn(counted, first)],
] as const)
  process.stdout.write(`${name.padEnd(38)} ${timed(work)}\n`);
