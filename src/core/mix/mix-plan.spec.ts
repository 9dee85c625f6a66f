import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { ml, rational } from '../units';
import { sampleJob } from '../testing/sample';
import { measure } from './measure';
import { mixPlan } from './mix-plan';
import { recipesOf } from './recipe';
import { type Content, assignVessels, workingVolume } from './vessels';

const job = sampleJob();
const plan = (content: Content, demandMl: number, from = job) =>
  mixPlan([{ content, demandMl }], recipesOf(from, a), from, a)!;

describe('measuring', () => {
  it('delivers whole steps and says how far off they are', () => {
    const measured = measure(rational(1875, 64), { kind: 'cup', stepMl: ml(5), capacityMl: ml(30) });
    expect(measured).toMatchObject({ steps: 6, deliveredMl: 30, fillings: 1 });
    expect(measured.error).toBeCloseTo(30 / 29.296875 - 1, 12);
  });

  it('never rounds product away', () => {
    expect(measure(rational(1, 10), { kind: 'cap', stepMl: ml(10), capacityMl: ml(10) }).steps).toBe(1);
  });
});

describe('filling vessels', () => {
  it('covers demand, waste and charge, and never passes the working line', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 20_000, noNaN: true }), (demand) => {
        const [mix] = plan('presoak', demand).mixes;
        const poured = mix!.fills.reduce((sum, fill) => sum + fill.totalMl, 0);
        expect(poured).toBeGreaterThanOrEqual(demand * a.wasteFactor + mix!.chargeMl - 1e-6);
        for (const fill of mix!.fills) expect(fill.totalMl).toBeLessThanOrEqual(workingVolume(mix!.vessel) + 1e-6);
      }),
    );
  });

  it('splits what does not fit', () => {
    expect(plan('waterless', 1500).mixes[0]!.fills.length).toBeGreaterThan(1);
  });

  it('measures product into water in a bucket and up to the mark in a sprayer', () => {
    expect(plan('wash', 500).mixes[0]).toMatchObject({ fillMode: 'intoWater' });
    expect(plan('waterless', 200).mixes[0]).toMatchObject({ fillMode: 'finalVolume' });
  });

  it('warns where rounding leaves the band of the label', () => {
    const tight = {
      ...job,
      device: { kind: 'cap' as const, stepMl: ml(30), capacityMl: ml(30) },
      products: job.products.map((product) => ({
        ...product,
        uses: product.uses.map((use) => ({ ...use, weakest: 5, strongest: 3.5 })),
      })),
    };
    const [mix] = plan('waterless', 60, tight).mixes;
    expect(mix!.fills[0]!.dose!.band).not.toBe('within');
  });

  it('rounds cost once, and has none without a price', () => {
    const priced = plan('wash', 500);
    expect(Number.isInteger(priced.costMinor)).toBe(true);
    expect(priced.costMinor).toBe(Math.round((priced.productMl * 2000) / 1000));
    const unpriced = { ...job, products: job.products.map((p) => ({ ...p, priceMinor: null })) };
    expect(plan('wash', 500, unpriced).costMinor).toBeNull();
  });
});

describe('vessels', () => {
  it('are never used twice', () => {
    const contents: Content[] = ['water', 'presoak', 'waterless', 'glass', 'wash', 'rinse'];
    const assigned = assignVessels(
      contents.map((content) => ({ content, demandMl: 0 })),
      job.vessels,
    );
    expect(assigned.ok).toBe(true);
    if (assigned.ok) expect(new Set(assigned.vessels.map(({ vessel }) => vessel.id)).size).toBe(contents.length);
  });

  it('names the kind that is missing', () => {
    expect(assignVessels([{ content: 'wash', demandMl: 0 }], [])).toEqual({
      ok: false,
      content: 'wash',
      kind: 'bucket',
    });
  });

  it('keeps a full bucket below its line with the product in it, to a step of the measure', () => {
    for (const strength of ['128', '256', '512'] as const) {
      const job = sampleJob({ choices: { ...sampleJob().choices, strength } });
      const bucket = job.vessels.find(({ kind }) => kind === 'bucket')!;
      const plan = mixPlan([{ content: 'wash', demandMl: 5 * bucket.capacityMl }], recipesOf(job, a), job, a)!;
      for (const { totalMl } of plan.mixes[0]!.fills)
        expect(totalMl).toBeLessThanOrEqual(workingVolume(bucket) + job.device.stepMl);
    }
  });
});
