import { resolveAssumptions } from '../assumptions';
import {
  type BucketHabit,
  type BucketRun,
  type Washed,
  carriedBack,
  commonHand,
  grainsIn,
  simulateBuckets,
} from '../bucket';
import type { Content } from '../mix';
import { type BucketSystem, type Job, type ZoneId, cleanlinessOf, habitAnswers } from '../model';
import type { Plan, ZonePlan } from '../planning';
import { choicesOf, contactOf, usesBuckets } from '../rules';
import { draws } from './draws';
import { type Spread, spreadOf } from './quantiles';
import type { Study } from './study';

const usesBucket = ({ zone, option }: ZonePlan): boolean => {
  if (!option || zone.cleanliness >= cleanlinessOf.faces) return false;
  return usesBuckets(contactOf(option.treatment).kits);
};

/** Sections that are washed from the bucket, in the order in which they are. */
export function washedIn(plan: Plan): readonly Washed[] {
  const zones = new Map(plan.zones.map((zone) => [zone.zone.id, zone]));
  return plan.timeline.steps.flatMap(({ kind, zoneId, startS, endS }): Washed[] => {
    const found = kind === 'wipe' && zoneId ? zones.get(zoneId) : undefined;
    if (!found || !usesBucket(found)) return [];
    const { zone, option } = found;
    const { sections } = option!;
    return [
      {
        zoneId: zone.id,
        areaM2: zone.areaM2 / sections,
        grit: option!.marring.terms.map(({ grainUm, hardShare, loadGm2 }) => ({
          grainUm,
          loadGm2: loadGm2 * hardShare,
        })),
        seconds: endS - startS,
        leavesL: (option!.laidMl.wash + option!.laidMl.shampoo) / 1000 / sections,
      },
    ];
  });
}

const litresOf = ({ mix }: Plan, content: Content): number =>
  mix.mixes
    .filter((one) => one.content === content)
    .reduce((most, { fills }) => Math.max(most, ...fills.map(({ totalMl }) => totalMl / 1000)), 0);

/** How the job's buckets are worked: its volumes where it has them, or else what such buckets hold. */
function bucketHabit(
  job: Job,
  plan: Plan,
  system: BucketSystem,
  guards: boolean,
  freshBefore: readonly ZoneId[] = [],
): BucketHabit {
  const a = resolveAssumptions(job.choices.assumptions);
  const usual = a.rinseBucket / 1000;
  return {
    system,
    guards,
    washL: litresOf(plan, 'wash') || litresOf(plan, 'shampoo') || usual,
    rinseL: litresOf(plan, 'rinse') || usual,
    waterC: job.site.liquidC,
    freshBefore,
    hand: commonHand,
  };
}

/** A way to work with buckets, beside the others. */
export interface SystemRun {
  readonly system: BucketSystem;
  readonly guards: boolean;
  readonly run: BucketRun;
}

/** The job's own way of working, with fresh water before some zones. */
export function runBuckets(job: Job, plan: Plan, freshBefore: readonly ZoneId[]): SystemRun {
  const { bucket, guards: habit } = choicesOf(job);
  const guards = habit === 'every-bucket';
  const a = resolveAssumptions(job.choices.assumptions);
  return {
    system: bucket,
    guards,
    run: simulateBuckets(washedIn(plan), bucketHabit(job, plan, bucket, guards, freshBefore), a),
  };
}

/** Every system, with guards and without where that is a choice. */
const ways: readonly (readonly [BucketSystem, boolean])[] = habitAnswers.bucket.flatMap(
  (system): (readonly [BucketSystem, boolean])[] =>
    system === 'two-buckets' || system === 'three-buckets'
      ? [
          [system, true],
          [system, false],
        ]
      : [[system, true]],
);

/** The same wash with every bucket system. */
export function compareBuckets(job: Job, plan: Plan): readonly SystemRun[] {
  const a = resolveAssumptions(job.choices.assumptions);
  const washed = washedIn(plan);
  return ways.map(([system, guards]) => ({
    system,
    guards,
    run: simulateBuckets(washed, bucketHabit(job, plan, system, guards), a),
  }));
}

/** Where one way of working begins to carry back more than another that was ahead of it until then. */
export interface Crossing {
  /** Carries back less before it, and more after it. */
  readonly before: SystemRun;
  readonly after: SystemRun;
  readonly zoneId: ZoneId;
  /** Panel washed by then, m². */
  readonly areaM2: number;
}

const HAIR = 1e-9;

/** All places where the sums of what is carried back cross. */
export function crossingsOf(runs: readonly SystemRun[]): readonly Crossing[] {
  const crossings: Crossing[] = [];
  runs.forEach((p, i) =>
    runs.slice(i + 1).forEach((q) => {
      let ahead = 0;
      p.run.dips.forEach(({ zoneId, broughtG, washedM2: areaM2 }, d) => {
        const less = q.run.dips[d]!.broughtG - broughtG;
        const now = Math.abs(less) < HAIR ? 0 : Math.sign(less);
        if (ahead !== 0 && now === -ahead) {
          const [before, after] = ahead > 0 ? [p, q] : [q, p];
          crossings.push({ before, after, zoneId, areaM2 });
        }
        if (now !== 0) ahead = now;
      });
    }),
  );
  return crossings;
}

/** What is carried back with each way of working, over many draws of soil and hand. */
export interface BucketSpread {
  readonly system: BucketSystem;
  readonly guards: boolean;
  readonly carriedG: Spread;
}

const DRAWS = 1000;
const SLICE = 50;
const SEED = 0.5;

/**
 * The spread of what comes back to the paint: soil is as uncertain as its zone says, and hands
 * differ in how they rinse, stir and wring. All ways of working meet the same draws.
 */
export function* bucketSpread(job: Job, plan: Plan): Study<readonly BucketSpread[]> {
  const a = resolveAssumptions(job.choices.assumptions);
  const washed = washedIn(plan);
  const spreads = new Map(plan.zones.map(({ zone, soil }) => [zone.id, Math.log(soil.spread)]));
  const { factor } = draws(SEED);
  const grains = grainsIn(washed, job.site.liquidC, a);
  const habits = ways.map(([system, guards]) => bucketHabit(job, plan, system, guards));
  const carried = ways.map((): number[] => []);
  for (let n = 0; n < DRAWS; n++) {
    const hand = { releases: factor(a.habitSpread), stirs: factor(a.habitSpread), wrings: factor(a.habitSpread) };
    const zones = washed.map((zone): Washed => {
      const more = factor(spreads.get(zone.zoneId)!);
      return { ...zone, grit: zone.grit.map(({ grainUm, loadGm2 }) => ({ grainUm, loadGm2: loadGm2 * more })) };
    });
    habits.forEach((habit, w) => carried[w]!.push(carriedBack(zones, { ...habit, hand }, grains, a)));
    if (n % SLICE === SLICE - 1) yield (n + 1) / DRAWS;
  }
  return ways.map(([system, guards], w) => ({ system, guards, carriedG: spreadOf(carried[w]!) }));
}
