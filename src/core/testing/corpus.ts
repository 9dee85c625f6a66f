import fc from 'fast-check';
import { type Choices, type Job, type SoilKind, type SoilLevel, bodies, habitAnswers, soilKinds } from '../model';
import { type Plan, planJob } from '../planning';
import { celsius } from '../units';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from './sample';

/** One of many, as often as the others. */
const one = <K extends keyof Choices>(...values: readonly Choices[K][]): fc.Arbitrary<Choices[K]> =>
  fc.constantFrom(...values);

const anyHabits = fc.record({
  approach: one<'approach'>(...habitAnswers.approach),
  bucket: one<'bucket'>('many-towels', 'one-guarded', 'two-buckets'),
  drying: one<'drying'>('panel', 'body'),
  pair: one<'pair'>('sides', 'lift-finish', 'one-panel'),
  glass: one<'glass'>('first', 'last'),
  glassTowels: one<'glassTowels'>('own', 'drying', 'shared'),
  wheels: one<'wheels'>('auto', 'first', 'last'),
  soakedTowel: one<'soakedTowel'>('retire', 'demote'),
  soakedSides: one<'soakedSides'>(4, 8),
});

/** Half of the sites have plenty; the other half are short of something. */
const anySite = fc.oneof(
  fc.record({
    runoff: fc.constantFrom<Job['site']['runoff']>('captured', 'allowed'),
    waterL: fc.constant(100),
    minutes: fc.constant(240),
  }),
  fc.record({
    runoff: fc.constantFrom<Job['site']['runoff']>('forbidden', 'captured', 'allowed'),
    waterL: fc.integer({ min: 0, max: 60 }),
    minutes: fc.integer({ min: 25, max: 200 }),
  }),
);

const anySoil = fc.record({
  kind: fc.constantFrom<SoilKind>(...soilKinds),
  level: fc.constantFrom<SoilLevel>(0, 1, 2, 3, 4),
});

/** Any car of one soil, or of one above and another below the doors; any habits; one or two people; plenty, or short of water, time or towels. */
const anyJob: fc.Arbitrary<Job> = fc
  .record({
    body: fc.constantFrom(...bodies),
    above: anySoil,
    below: fc.option(anySoil),
    workers: fc.constantFrom<1 | 2>(1, 2),
    airC: fc.integer({ min: 8, max: 34 }),
    towels: fc.option(fc.integer({ min: 2, max: 16 })),
    site: anySite,
    habits: anyHabits,
  })
  .map(({ body, above, below, workers, airC, towels, site, habits }) => {
    const job = sampleJob();
    const upper = soilAll(above.kind, above.level);
    const lower = Object.entries(soilAll((below ?? above).kind, (below ?? above).level)).filter(([id]) =>
      /lower|sill|wheel|tyre|arch/.test(id),
    );
    return {
      ...job,
      vehicle: sampleVehicle(body),
      soil: { ...upper, ...Object.fromEntries(lower) },
      towels:
        towels === null ? job.towels : job.towels.map((batch) => ({ ...batch, clean: Math.min(batch.clean, towels) })),
      site: { ...sampleSite, ...site, workers, airC: celsius(airC), captureL: 10 },
      choices: { ...job.choices, ...habits },
    };
  });

/** So many jobs, the same each time. */
export const jobsAtRandom = (count: number, seed = 20310714): readonly Job[] =>
  fc.sample(anyJob, { numRuns: count, seed });

/** A job with its plan. */
export interface Planned {
  readonly job: Job;
  readonly plan: Plan;
}

/** Jobs at random, each planned once, to hold all that plans promise against. */
export const corpusOf = (count: number): readonly Planned[] =>
  jobsAtRandom(count).map((job) => ({ job, plan: planJob(job) }));
