import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { type BugCover, type Job, type Product, type ZoneId, asPractised, bugCovers } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { celsius, ml } from '../units';
import { coverOf } from './bugs';

const front: readonly ZoneId[] = ['grille', 'front-bumper-upper', 'front-bumper-lower'];
const remover = (rest: Partial<Product> = {}): Product => ({
  ...sampleJob().products.find(({ id }) => id === 'solvent')!,
  id: 'bugs',
  name: 'Bug remover',
  uses: [
    {
      purpose: 'bugs',
      dilution: { label: '0', reading: 'water' },
      weakest: null,
      strongest: null,
      protectsDays: null,
      ...asPractised,
      origin: 'label',
    },
  ],
  sizeMl: ml(500),
  maxPanelC: celsius(32),
  notOnFinishes: [],
  notOnSurfaces: [],
  ...rest,
});
const splattered = (bugs: BugCover | null, rest: Partial<Job> = {}, zones: readonly ZoneId[] = front): Job => {
  const soil = soilAll('dust', 1);
  const marked = Object.fromEntries(zones.map((id) => [id, { ...soil[id]!, ...(bugs ? { bugs } : {}) }]));
  return sampleJob({ soil: { ...soil, ...marked }, products: [...sampleJob().products, remover()], ...rest });
};
const bugsIn = (job: Job) => planJob(job).zones.flatMap(({ option }) => option?.bugs ?? []);

describe('bug remover that has to be rinsed off', () => {
  const label = remover({ uses: [{ ...remover().uses[0]!, rinseAfter: true }] });
  const bugsIn = (gear: Job['gear'], vessels: Job['vessels']) => {
    const job = splattered('covered', { gear, vessels });
    return planJob({ ...job, products: [...job.products.filter(({ id }) => id !== 'bugs'), label] }).zones.flatMap(
      ({ option }) => (option?.bugs ? [option] : []),
    );
  };

  it('is never used without a rinse, and rinsed where there is one', () => {
    const dry = bugsIn(
      [],
      sampleJob().vessels.filter(({ kind }) => kind !== 'pump-sprayer'),
    );
    expect(dry.length).toBeGreaterThan(0);
    for (const { bugs, laidMl } of dry) expect([bugs!.left, laidMl.bugs]).toEqual(['no-rinse', 0]);
    for (const { bugs, rinsedMl } of bugsIn([], sampleJob().vessels))
      if (bugs!.left === null) expect(rinsedMl).toBeGreaterThan(0);
  });
});

describe('bug splatter', () => {
  it('on a covered front takes 40 to 80 mL in two rounds, a towel or two more, and a soft brush where that is wanted', () => {
    const job = splattered('covered', { wishes: { brush: 'lubricated' } });
    const [with_, without] = [planJob(job), planJob({ ...job, soil: soilAll('dust', 1) })];
    const bugs = bugsIn(job);
    expect(bugs).toHaveLength(front.length);
    const total = bugs.reduce((sum, one) => sum + one.ml, 0);
    expect(total).toBeGreaterThanOrEqual(40);
    expect(total).toBeLessThanOrEqual(80);
    expect(
      bugs.every(
        ({ rounds, brush, left, dwellS }) => rounds === 2 && brush && left === null && dwellS === 2 * a.dwellInsects,
      ),
    ).toBe(true);
    const sides = ({ zones }: typeof with_): number =>
      zones.reduce((sum, { option }) => sum + (option?.washSides ?? 0), 0);
    expect(sides(with_) - sides(without)).toBeGreaterThan(2.5);
    const whole = planJob(splattered('covered', {}, [...front, 'bonnet', 'windscreen']));
    const more = whole.totals.towels.value - without.totals.towels.value;
    expect(more).toBeGreaterThanOrEqual(1);
    expect(more).toBeLessThanOrEqual(2);
    expect(with_.totals.productMl.parts.find(({ code }) => code === 'content.bugs')?.value).toBeCloseTo(total, 6);
  });

  it('at 33 °C in the sun stays where it is: shade first', () => {
    const hot = splattered('covered', {
      site: { ...sampleSite, airC: celsius(24), panelC: celsius(33), shade: false, sunWm2: 500, windMs: 2 },
    });
    const plan = planJob(hot);
    const verdict = plan.verdicts.find(({ code }) => code === 'bugs-left');
    expect(verdict).toMatchObject({ code: 'bugs-left', why: 'too-warm', mostC: 32 });
    expect(bugsIn(hot).every(({ ml: laid, seconds, dwellS }) => laid === 0 && seconds === 0 && dwellS === 0)).toBe(
      true,
    );
    const shaded = planJob({ ...hot, site: { ...hot.site, panelC: celsius(26), shade: true, sunWm2: 0 } });
    expect(shaded.verdicts.some(({ code }) => code === 'bugs-left')).toBe(false);
  });

  it('stays in the sun however cool the panel, and where the label excludes what it is on', () => {
    const sunny = splattered('few', {
      site: { ...sampleSite, panelC: celsius(20), shade: false, sunWm2: 300, windMs: 3 },
    });
    expect(new Set(bugsIn(sunny).map(({ left }) => left))).toContain('in-sun');
    const excluded = splattered('few', { products: [...sampleJob().products, remover({ notOnSurfaces: ['paint'] })] }, [
      'bonnet',
    ]);
    expect(bugsIn(excluded).map(({ left }) => left)).toEqual(['surface']);
  });

  it('softens under the mix of the panel where there is no bug remover', () => {
    const bugs = bugsIn(splattered('many', { products: sampleJob().products }, ['bonnet']));
    expect(bugs.map(({ purpose, left }) => [purpose, left])).toEqual([[expect.not.stringMatching('bugs'), null]]);
  });

  it('takes the more of everything the more of the panel it covers', () => {
    fc.assert(
      fc.property(fc.constantFrom<ZoneId>(...front), (zone) => {
        const [few, many, covered] = bugCovers.map((bugs) => bugsIn(splattered(bugs, {}, [zone]))[0]!);
        for (const key of ['ml', 'seconds', 'soilGm2', 'rounds'] as const) {
          expect(few![key]).toBeLessThanOrEqual(many![key]);
          expect(many![key]).toBeLessThanOrEqual(covered![key]);
        }
      }),
      { numRuns: 4 },
    );
    expect([null, ...bugCovers].map((bugs) => coverOf(bugs, a))).toEqual([0, 0.02, 0.08, 0.25]);
  });

  it('has softened before its panel is wiped', () => {
    const plan = planJob(splattered('covered', {}, ['bonnet']));
    const step = (kind: string) => plan.timeline.steps.find((one) => one.kind === kind && one.zoneId === 'bonnet')!;
    expect(step('wipe').startS).toBeGreaterThanOrEqual(step('pretreat').endS + 2 * a.dwellInsects - 1e-6);
  });
});
