import { describe, expect, it } from 'vitest';
import { type Job, brushKinds } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, soilAll } from '../testing/sample';

const job = (gear: Job['gear'], brush: 'never' | 'lubricated' = 'lubricated'): Job =>
  sampleJob({ gear, scope: ['body', 'trim', 'wheels', 'barrels'], soil: soilAll('brake-dust', 2), wishes: { brush } });
const brushesIn = (of: Job) => new Map(planJob(of).zones.map(({ zone, option }) => [zone.id, option?.brush ?? null]));

describe('brushes', () => {
  it('are each for their own part, and none comes near paint', () => {
    const brushes = brushesIn(job(brushKinds.map((kind) => sampleGear(kind))));
    expect(brushes.get('left-front-wheel')).toBe('wheel-brush');
    expect(brushes.get('left-front-barrel')).toBe('barrel-brush');
    expect(brushes.get('left-front-tyre')).toBe('tyre-brush');
    expect(brushes.get('badges')).toBe('detail-brush');
    expect(brushes.get('bonnet')).toBeNull();
    expect(brushes.get('left-sill')).toBeNull();
  });

  it('are used only where they are wanted and in the van', () => {
    expect(
      [
        ...brushesIn(
          job(
            brushKinds.map((kind) => sampleGear(kind)),
            'never',
          ),
        ).values(),
      ].every((one) => one === null),
    ).toBe(true);
    const few = brushesIn(job([sampleGear('tyre-brush')]));
    expect(few.get('left-front-tyre')).toBe('tyre-brush');
    expect(few.get('left-front-wheel')).toBeNull();
  });

  it('make a wheel quicker, and a cleaner take off more', () => {
    const wheel = (of: Job) => planJob(of).zones.find(({ zone }) => zone.id === 'left-front-wheel')!.option!.work.wipe;
    expect(wheel(job([sampleGear('wheel-brush')]))).toBeLessThan(wheel(job([])));
  });
});
