import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import type { Job, Site } from '../model';
import { planJob } from '../planning';
import { contactOf } from '../rules';
import { anyJobWith } from '../testing/any-job';
import { replay } from '../testing/replay';
import { sampleGear, sampleJob, sampleProduct, sampleUse, soilAll } from '../testing/sample';
import { celsius } from '../units';

type Weather = Pick<Site, 'airC' | 'humidity' | 'windMs' | 'shade' | 'sunWm2' | 'liquidC'> & Pick<Job, 'hour'>;

/** A hot noon, a mild morning in the shade, frost, and a windy afternoon. */
const weathers: readonly Weather[] = [
  { airC: celsius(34), humidity: 0.25, windMs: 3, shade: false, sunWm2: 850, liquidC: celsius(22), hour: 13 },
  { airC: celsius(22), humidity: 0.55, windMs: 1, shade: true, sunWm2: 0, liquidC: celsius(18), hour: 10 },
  { airC: celsius(1), humidity: 0.8, windMs: 1, shade: true, sunWm2: 0, liquidC: celsius(25), hour: 9 },
  { airC: celsius(27), humidity: 0.4, windMs: 4, shade: false, sunWm2: 500, liquidC: celsius(20), hour: 16 },
];

const inWeather = (job: Job, { hour, ...air }: Weather): Job => ({
  ...job,
  hour,
  site: { ...job.site, ...air, minutes: 900 },
  vehicle: { ...job.vehicle, colour: 'dark' },
  gear: [...sampleJob().gear, sampleGear('steamer')],
});

const anyJob = fc
  .record({
    weather: fc.constantFrom(...weathers),
    job: anyJobWith({
      choices: {
        bucket: fc.constantFrom('many-towels', 'one-guarded', 'two-buckets'),
        drying: fc.constantFrom('panel', 'body'),
        pair: fc.constantFrom('sides', 'lift-finish', 'one-panel'),
        approach: fc.constantFrom('cautious', 'balanced', 'permissive'),
      },
    }),
  })
  .map(({ weather, job }) => inWeather(job, weather));

describe('a schedule gone through second by second', () => {
  it(
    'has nothing on a hot panel, dry or frozen under the hand, or other than as told, but what it tells itself',
    { timeout: 1_800_000 },
    () => {
      let zones = 0;
      fc.assert(
        fc.property(anyJob, (job) => {
          const plan = planJob(job);
          zones += plan.zones.filter(({ option }) => option).length;
          expect(replay(plan, job)).toEqual([]);
        }),
        { numRuns: runs(3000, 300) },
      );
      expect(zones).toBeGreaterThan(1000);
    },
  );

  it('tells of every part that is over a limit by the time that hands come', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const { zones, verdicts, timeline } = planJob(job);
        const told = new Set(verdicts.flatMap((one) => (one.code === 'over-by-clock' ? one.zones : [])));
        const late = new Set(timeline.late.map(({ zoneId }) => zoneId));
        for (const { zone, option } of zones)
          if (option && option.gates.length > 0) expect(told.has(zone.id) || late.has(zone.id)).toBe(true);
      }),
      { numRuns: runs(300, 30) },
    );
  });
});

/** Dust on a dark car in the sun, with a waterless product that bears no more than this. */
const inSun = (mostC: number, rest: Partial<Job> = {}): Job =>
  inWeather(
    sampleJob({
      soil: soilAll('dust', 2),
      products: [
        ...sampleJob().products.filter(({ id }) => id !== 'waterless'),
        sampleProduct('waterless', [sampleUse('waterless', '4')], { maxPanelC: celsius(mostC) }),
      ],
      ...rest,
    }),
    weathers[3]!,
  );

describe('a panel that is cooled first', () => {
  it('is wetted once it is cool, not before', () => {
    const job = inSun(40);
    const plan = planJob(job);
    const misted = plan.zones.filter(({ treatment }) => treatment.startsWith('mist'));
    expect(misted.length).toBeGreaterThan(0);
    expect(misted.some(({ option }) => option!.settleS > 0)).toBe(true);
    for (const { zone, option } of misted)
      for (const { rinsedS } of option!.waits) expect(rinsedS, zone.id).toBeGreaterThanOrEqual(option!.settleS - 1e-6);
    expect(replay(plan, job)).toEqual([]);
  });

  it('waits after steam until it is no warmer than the label of what comes next', () => {
    const fixed = { 'left-sill': 'steam/waterless', 'right-sill': 'steam/waterless' } as const;
    const job = inWeather({ ...inSun(25), choices: { ...sampleJob().choices, fixed } }, weathers[1]!);
    const plan = planJob(job);
    const steamed = plan.zones.filter(({ treatment }) => treatment.startsWith('steam'));
    expect(steamed.length).toBeGreaterThan(0);
    for (const { option } of steamed) expect(option!.settleS).toBeGreaterThan(0);
    expect(replay(plan, job)).toEqual([]);
  });
});

describe('water of a rinse that stands', () => {
  it('is counted as long as it stands by the clock: less where hands come later', () => {
    const job = inWeather(sampleJob({ soil: soilAll('salt', 3) }), weathers[1]!);
    const rinsed = planJob(job).zones.flatMap(({ option }) =>
      option && option.rinseLM2 > 0.2 && !option.atTurn ? [option] : [],
    );
    const waits = rinsed.map((option) => Math.max(...option.waits.map(({ rinsedS }) => rinsedS)));
    expect(rinsed.length).toBeGreaterThan(10);
    expect(Math.max(...waits)).toBeGreaterThan(600);
    expect(new Set(waits.map(Math.round)).size).toBeGreaterThan(5);
  });
});

describe('two people with one bottle of each mix', () => {
  it('spray in turn', () => {
    let turns = 0;
    fc.assert(
      fc.property(
        anyJob.map((job): Job => ({ ...job, site: { ...job.site, workers: 2 } })),
        (job) => {
          const { timeline, zones } = planJob(job);
          const mixOf = new Map(
            zones.map(({ zone, treatment }) => [zone.id, treatment === 'leave' ? null : contactOf(treatment).sprays]),
          );
          const sprays = timeline.steps.filter(({ kind }) => kind === 'spray');
          const [one, other] = [0, 1].map((worker) => sprays.filter((step) => step.worker === worker));
          turns += Math.min(one!.length, other!.length);
          for (const p of one!)
            for (const q of other!)
              if (mixOf.get(p.zoneId!) === mixOf.get(q.zoneId!))
                expect(Math.min(p.endS, q.endS) - Math.max(p.startS, q.startS)).toBeLessThan(1e-3);
        },
      ),
      { numRuns: runs(400) },
    );
    expect(turns).toBeGreaterThan(50);
  });
});
