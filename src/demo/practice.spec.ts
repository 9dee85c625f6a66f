import { describe, expect, it } from 'vitest';
import { planJob, protectionAfter } from '@esmero/core';
import { dayAfter } from '@esmero/units';
import { demoJobs } from './index';

const planned = demoJobs
  .map((job) => [job.name, job, planJob(job)] as const)
  .filter(([, , { method }]) => method !== 'decline');

describe('the plans of the demo, as hands follow them', () => {
  const usual = planned
    .filter(([, { scope }]) => scope.includes('body') && !scope.includes('glass-inside') && !scope.includes('details'))
    .filter(([, { vehicle }]) => vehicle.body !== 'motorcycle');

  it.each(usual)('%s: some twenty passes, each worth one', (_name, _job, { timeline, method }) => {
    const washing = timeline.passes.filter(({ act }) => act !== 'protect');
    expect(washing.length).toBeGreaterThanOrEqual(12);
    // Foam has to come off before it dries: a shampoo wash is cut a little finer.
    expect(washing.length).toBeLessThanOrEqual(method === 'shampoo' ? 28 : 26);
    const short = timeline.passes.filter(({ handS }) => Math.round(handS) < 20);
    expect(short.length).toBeLessThanOrEqual(3);
  });

  it.each(planned)('%s: at most one change of side a lap besides nose and tail', (_name, job, { timeline }) => {
    for (let worker = 0; worker < job.site.workers; worker++) {
      const own = timeline.passes.filter((pass) => pass.worker === worker && pass.act === 'wipe');
      for (const lap of new Set(own.map((pass) => pass.lap))) {
        const sides = own
          .filter((pass) => pass.lap === lap && (pass.place === 'left' || pass.place === 'right'))
          .map(({ place }) => place);
        expect(sides.filter((side, i) => i > 0 && side !== sides[i - 1]).length).toBeLessThanOrEqual(1);
      }
    }
  });

  it.each(planned)(
    '%s: no tank filled for less than a quarter, no towel side returned to',
    (_name, _job, { mix, towels }) => {
      for (const { vessel, fills } of mix.mixes)
        if (vessel.kind === 'pump-sprayer')
          for (const { totalMl } of fills)
            expect(totalMl).toBeGreaterThanOrEqual(0.25 * vessel.capacityMl * vessel.workingShare - 1e-6);
      for (const { sides } of towels) {
        const shown = sides
          .flatMap((side, s) => side.entries.map(({ pass }) => ({ pass, s })))
          .sort((p, q) => p.pass - q.pass || p.s - q.s)
          .map(({ s }) => s);
        const runs = shown.filter((s, i) => s !== shown[i - 1]);
        expect(new Set(runs).size).toBe(runs.length);
      }
    },
  );
});

/** One of the demo’s jobs with its plan. */
const found = (id: string) => {
  const job = demoJobs.find((one) => one.id === id)!;
  return { job, plan: planJob(job) };
};

describe('cases from practice', () => {
  it('cinders and salt, everything rinsed off: rinse, foam, rinse, mitt, rinse, dry; wheels first; batteries and litres within what is carried', () => {
    const { job, plan } = found('demo-cinders');
    expect(plan.method).toBe('shampoo');
    const sill = plan.timeline.steps
      .filter(({ zoneId, kind }) => zoneId === 'left-sill' && !['walk', 'wait', 'refill'].includes(kind))
      .map(({ kind }) => kind);
    expect([...new Set(sill)]).toEqual(['flush', 'spray', 'rinse-before', 'wipe', 'rinse-off', 'finish']);
    expect(plan.timeline.passes.find(({ act }) => act === 'wipe')!.lap).toBe('wheels-first');
    expect(plan.totals.litres.value).toBeLessThanOrEqual(job.site.waterL);
    const battery = plan.zones.reduce((sum, { option }) => sum + (option?.usage.batteryMin ?? 0), 0);
    expect(battery).toBeGreaterThan(5);
    expect(battery).toBeLessThanOrEqual(24);
    expect(plan.later).not.toBeNull();
  });

  it('filthy winter car beside a wash bay: bay rinse, lifting foam, towels, mats, shuts, a topper at the end', () => {
    const { plan } = found('demo-bay');
    expect(plan.zones.find(({ zone }) => zone.id === 'left-sill')!.treatment).toBe('bay/foam');
    for (const id of ['mats', 'left-front-shut', 'boot-sill'] as const)
      expect(plan.zones.find(({ zone }) => zone.id === id)!.option).not.toBeNull();
    expect(plan.timeline.steps.filter(({ kind }) => kind !== 'pack').at(-1)!.kind).toBe('protect');
    expect(plan.bottles.map(({ purpose }) => purpose)).toContain('topper');
  });

  it('back from the body shop: every seam blown out dry before anything is wiped, and nothing runs', () => {
    const { plan } = found('demo-dust-off');
    const [first] = plan.timeline.passes;
    expect(first!.act).toBe('flush');
    for (const id of ['boot-sill', 'left-front-shut', 'badges'] as const) {
      expect(first!.parts.map(({ zoneId }) => zoneId)).toContain(id);
      expect(plan.zones.find(({ zone }) => zone.id === id)!.treatment).toMatch(/^air\//);
    }
    expect(plan.totals.runoffL.value).toBe(0);
  });

  it('dusty car, topper on the uppers only: about a press a panel, a towel of its own, and until when it is claimed to hold', () => {
    const { job, plan } = found('demo-topper');
    const cared = plan.zones.filter(({ option }) => option?.care?.use === 'topper');
    expect(cared.every(({ zone }) => zone.cleanliness === 1)).toBe(true);
    for (const { zone, option } of cared) expect(option!.care!.ml / zone.areaM2).toBeLessThanOrEqual(1.2);
    expect(plan.towels.filter(({ sides }) => sides.some(({ slot }) => slot === 'protect'))).toHaveLength(1);
    expect(protectionAfter(job, plan).find(({ use }) => use === 'topper')).toMatchObject({
      on: 'uppers',
      since: job.date,
      until: dayAfter(job.date, 42),
    });
  });

  it('front full of bugs at 33 °C in the sun: shade first, the remover stays in its bottle', () => {
    const { plan } = found('demo-bugs');
    expect(plan.verdicts.find(({ code }) => code === 'bugs-left')).toMatchObject({ why: 'too-warm', mostC: 32 });
    expect(plan.bottles.some(({ purpose }) => purpose === 'bugs')).toBe(false);
  });
});

describe('seams and boot sill, papers in the boot', () => {
  it('are steamed and wiped dry, with covers out, and nothing runs', () => {
    const { plan } = found('demo-seams');
    expect(plan.zones.find(({ zone }) => zone.id === 'boot-sill')!.treatment).toMatch(/^steam\//);
    expect(plan.zones.find(({ zone }) => zone.id === 'left-front-shut')!.treatment).toMatch(/^steam\//);
    expect(plan.timeline.steps.filter(({ kind }) => kind === 'setup').map(({ kit }) => kit)).toEqual(
      expect.arrayContaining(['covers', 'cones', 'steamer']),
    );
    expect(plan.totals.runoffL.value).toBe(0);
    expect(plan.zones.find(({ zone }) => zone.id === 'engine-bay')!.treatment).toMatch(/^none\/(foam|waterless)$/);
  });
});
