import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Job, type SoilKind, partsOf, soilKinds, soilLevels } from '../model';
import { isRinsed } from './treatment';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, sampleSite, soilAll } from '../testing/sample';
import { runs } from '@esmero/testing';

const gear: Job['gear'] = [...sampleJob().gear, sampleGear('air-gun')];
const dusty = (rest: Partial<Job> = {}): Job =>
  sampleJob({
    soil: soilAll('dust', 3),
    scope: ['body', 'trim', 'shuts', 'boot-sill'],
    site: { ...sampleSite, power: true },
    gear,
    ...rest,
  });
const blownIn = (job: Job) =>
  planJob(job).zones.filter(({ treatment }) => treatment !== 'leave' && partsOf(treatment).flush === 'air');
const fixed = (job: Job, zone: 'left-front-shut' | 'bonnet'): Job => ({
  ...job,
  choices: { ...job.choices, fixed: { [zone]: 'air/waterless' } },
});
const zoneIn = (job: Job, id: string) => planJob(job).zones.find(({ zone }) => zone.id === id)!;

describe('compressed air', () => {
  it('blows dusty seams out dry before they are wiped, and never an open panel', () => {
    const blown = blownIn(dusty());
    expect(blown.length).toBeGreaterThan(0);
    for (const { zone, option } of blown) {
      expect(zone.id).toMatch(/sill|badges|grille|mirror|shut|bumper-lower|arch|wheel|tyre/);
      expect(option!.loadAfterFlushGm2).toBeLessThan(option!.loadBeforeGm2);
      expect(option!.rinseLM2).toBe(0);
    }
    expect(zoneIn(fixed(dusty(), 'bonnet'), 'bonnet').treatment).toBe('leave');
  });

  it('is set up once, is no rinse, and asks for eyes and ears to be covered', () => {
    const plan = planJob(dusty());
    expect(plan.kits).toContain('air-gun');
    expect(plan.cautions).toContain('compressed-air');
    expect(isRinsed('air/waterless')).toBe(false);
    expect(plan.totals.runoffL.value).toBe(0);
  });

  it('needs a gun, power for it, and nobody passing', () => {
    expect(blownIn(dusty({ gear: sampleJob().gear }))).toEqual([]);
    expect(blownIn(dusty({ site: { ...sampleSite, power: false } }))).toEqual([]);
    expect(blownIn(dusty({ around: ['people'] }))).toEqual([]);
    expect(blownIn(dusty({ site: { ...sampleSite, power: true, noiseDb: 60 } }))).toEqual([]);
  });

  it('moves what lies loose and nothing that sticks, and never adds any', () => {
    const loose: readonly SoilKind[] = ['dust', 'pollen', 'grit'];
    fc.assert(
      fc.property(fc.constantFrom(...soilKinds), fc.constantFrom(...soilLevels), (kind, level) => {
        const job = fixed(dusty({ soil: soilAll(kind, level) }), 'left-front-shut');
        const { option } = zoneIn(job, 'left-front-shut');
        if (!option || partsOf(option.treatment).flush !== 'air') return;
        const left = option.loadAfterFlushGm2 / option.loadBeforeGm2;
        if (loose.includes(kind) && level > 0) expect(left).toBeLessThan(1);
        else if (level > 0) expect(left).toBeCloseTo(1, 9);
      }),
      { numRuns: runs(20) },
    );
  });
});

describe('a degreaser injected with steam', () => {
  const sills = sampleJob({
    soil: soilAll('road-film', 3),
    scope: ['shuts', 'boot-sill'],
    gear: [sampleGear('steamer')],
    site: { ...sampleSite, power: true },
    products: [
      ...sampleJob().products,
      {
        ...sampleJob().products[0]!,
        id: 'degreaser',
        name: 'Degreaser',
        uses: [{ ...sampleJob().products[0]!.uses[0]!, purpose: 'degreaser', rinseAfter: false }],
      },
    ],
    choices: { ...sampleJob().choices, fixed: { 'boot-sill': 'steam/waterless' } },
  });
  const sill = (steamWith: 'water' | 'product', products = sills.products) =>
    zoneIn({ ...sills, products, choices: { ...sills.choices, steamWith } }, 'boot-sill').option!;

  it('takes off more than steam alone, and is counted', () => {
    expect(sill('water').laidMl.degreaser).toBe(0);
    expect(sill('product').laidMl.degreaser).toBeGreaterThan(0);
    expect(sill('product').loadAfterFlushGm2).toBeLessThan(sill('water').loadAfterFlushGm2);
  });

  it('stays away where its label excludes the surface, or wants a rinse that nothing gives', () => {
    const relabelled = (change: object, use: object = {}) =>
      sills.products.map((one) =>
        one.id === 'degreaser' ? { ...one, ...change, uses: one.uses.map((each) => ({ ...each, ...use })) } : one,
      );
    expect(sill('product', relabelled({ notOnSurfaces: ['paint'] })).laidMl.degreaser).toBe(0);
    expect(sill('product', relabelled({}, { rinseAfter: true })).laidMl.degreaser).toBe(0);
  });
});
