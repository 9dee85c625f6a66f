import { describe, expect, it } from 'vitest';
import { type Job, zoneIds } from '../model';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { type SystemRun, bucketSpread, compareBuckets, crossingsOf, washedIn } from './bucket-comparison';
import { planJob } from '../planning/plan-job';
import { finish } from './study';

const job = (rest: Partial<Job> = {}): Job =>
  sampleJob({
    soil: soilAll('road-film', 2),
    site: { ...sampleSite, waterL: 60, minutes: 300 },
    choices: { ...sampleJob().choices, method: 'rinseless', bucket: 'two-buckets' },
    ...rest,
  });

describe('the buckets of a job', () => {
  it('wash what the plan washes from them, in the order of the clock', () => {
    const plan = planJob(job());
    const ids = [...new Set(washedIn(plan).map(({ zoneId }) => zoneId))];
    const area = new Map(plan.zones.map(({ zone }) => [zone.id, zone.areaM2]));
    const washed = washedIn(plan).reduce((sum, { areaM2 }) => sum + areaM2, 0);
    expect(washed).toBeCloseTo(
      ids.reduce((sum, id) => sum + area.get(id)!, 0),
      9,
    );
    expect(ids.length).toBeGreaterThan(20);
    const starts = ids.map(
      (id) => plan.timeline.steps.find((step) => step.kind === 'wipe' && step.zoneId === id)!.startS,
    );
    expect([...starts].sort((p, q) => p - q)).toEqual(starts);
    expect(
      washedIn(
        planJob(sampleJob({ soil: soilAll('dust', 1), choices: { ...sampleJob().choices, method: 'waterless' } })),
      ),
    ).toEqual([]);
  });

  it('are laid beside every other way, which pick up the same', () => {
    const runs = compareBuckets(job(), planJob(job()));
    expect(runs).toHaveLength(6);
    const [first] = runs;
    for (const { run } of runs) expect(run.pickedG).toBeCloseTo(first!.run.pickedG, 9);
    for (const { before, after, areaM2 } of crossingsOf(runs)) {
      const sums = [before, after].map(({ run }) => {
        let [area, sum] = [0, 0];
        for (const dip of run.dips) if ((area += dip.areaM2) <= areaM2 + 1e-9) sum += dip.carriedG;
        return sum;
      });
      expect(sums[0]).toBeGreaterThan(sums[1]!);
    }
  });

  it('cross where the one that was ahead has brought back more, and not where they only touch', () => {
    const way = (guards: boolean, sums: readonly number[]): SystemRun => ({
      system: 'two-buckets',
      guards,
      run: {
        dips: sums.map((broughtG, i) => ({ broughtG, washedM2: i + 1, zoneId: zoneIds[i]! })),
      } as unknown as SystemRun['run'],
    });
    const [p, q] = [way(true, [0, 1, 2, 5, 9]), way(false, [0, 2, 2, 4, 9])];
    expect(crossingsOf([p, q])).toEqual([{ before: p, after: q, zoneId: zoneIds[3], areaM2: 4 }]);
    expect(crossingsOf([p, way(false, [0, 2, 2, 6, 9])])).toEqual([]);
  });

  it('spread by the same draws each time, about what comes out without chance', () => {
    const plan = planJob(job());
    const spread = finish(bucketSpread(job(), plan));
    expect(finish(bucketSpread(job(), plan))).toEqual(spread);
    const runs = compareBuckets(job(), plan);
    spread.forEach(({ carriedG: { low, median, high } }, i) => {
      const { carriedG } = runs[i]!.run;
      expect(low).toBeLessThanOrEqual(median);
      expect(median).toBeLessThanOrEqual(high);
      if (carriedG > 0) expect(Math.abs(median / carriedG - 1)).toBeLessThan(0.15);
    });
  });
});
