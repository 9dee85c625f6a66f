import { describe, expect, it } from 'vitest';
import { planJob } from '@esmero/core';
import { demoJobs } from './index';

const planned = demoJobs.map((job) => [job.name, job, planJob(job)] as const).filter(([, , { method }]) => method !== 'decline');

describe('the plans of the demo, as hands follow them', () => {
  it.each(planned)('%s: some twenty passes, each worth one', (_name, _job, { timeline }) => {
    expect(timeline.passes.length).toBeGreaterThanOrEqual(12);
    expect(timeline.passes.length).toBeLessThanOrEqual(26);
    const short = timeline.passes.filter(({ handS }) => Math.round(handS) < 20);
    expect(short.length).toBeLessThanOrEqual(3);
  });

  it.each(planned)('%s: at most one change of side a lap besides nose and tail', (_name, job, { timeline }) => {
    for (let worker = 0; worker < job.site.workers; worker++) {
      const own = timeline.passes.filter((pass) => pass.worker === worker && pass.act === 'wipe');
      for (const lap of new Set(own.map((pass) => pass.lap))) {
        const sides = own.filter((pass) => pass.lap === lap && (pass.place === 'left' || pass.place === 'right')).map(({ place }) => place);
        expect(sides.filter((side, i) => i > 0 && side !== sides[i - 1]).length).toBeLessThanOrEqual(1);
      }
    }
  });

  it.each(planned)('%s: no tank filled for less than a quarter, no towel side returned to', (_name, _job, { mix, towels }) => {
    for (const { vessel, fills } of mix.mixes)
      if (vessel.kind === 'pump-sprayer') for (const { totalMl } of fills) expect(totalMl).toBeGreaterThanOrEqual(0.25 * vessel.capacityMl * vessel.workingShare - 1e-6);
    for (const { sides } of towels) {
      const shown = sides.flatMap((side, s) => side.entries.map(({ pass }) => ({ pass, s }))).sort((p, q) => p.pass - q.pass || p.s - q.s).map(({ s }) => s);
      const runs = shown.filter((s, i) => s !== shown[i - 1]);
      expect(new Set(runs).size).toBe(runs.length);
    }
  });
});
