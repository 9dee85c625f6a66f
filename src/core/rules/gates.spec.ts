import { describe, expect, it } from 'vitest';
import { type GearKind, type Job, type Working, type ZoneId, habitAnswers } from '../model';
import { planJob } from '../planning/plan-job';
import { finish } from '../studies/study';
import { whatIf } from '../studies/what-if';
import { zoneTreatments } from '../planning/zone-options';
import { sampleGear, sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { celsius } from '../units';

const withKit = (kinds: readonly GearKind[], site: Partial<Job['site']> = {}, rest: Partial<Job> = {}): Job =>
  sampleJob({ ...rest, gear: kinds.map((kind) => sampleGear(kind)), site: { ...sampleSite, tap: true, ...site } });
const option = (job: Job, id: ZoneId, treatment: Working) =>
  zoneTreatments(job, id).find((one) => one.treatment === treatment);
const codes = (job: Job, id: ZoneId, treatment: Working): readonly string[] =>
  option(job, id, treatment)!.gates.map(({ code }) => code);
const choosing = (choices: Partial<Job['choices']>, rest: Partial<Job> = {}): Job =>
  sampleJob({ ...rest, choices: { ...sampleJob().choices, ...choices } });

describe('what is offered', () => {
  it('is what the van and the site have the kit for', () => {
    const flushes = (job: Job) => new Set(zoneTreatments(job, 'roof').map(({ treatment }) => treatment.split('/')[0]));
    expect(flushes(withKit([]))).toEqual(new Set(['none', 'pump']));
    expect(flushes(withKit(['cordless-wand', 'steamer'], { bay: true }))).toEqual(
      new Set(['none', 'pump', 'cordless', 'bay', 'steam']),
    );
    expect(zoneTreatments(withKit([]), 'roof').some(({ treatment }) => treatment.endsWith('/foam'))).toBe(false);
    const foamer = { ...sampleJob().vessels[0]!, id: 'foamer', kind: 'foam-sprayer' as const };
    const foam = {
      ...sampleJob().products[1]!,
      id: 'foam',
      uses: [{ ...sampleJob().products[1]!.uses[0]!, purpose: 'foam' as const }],
    };
    const foaming = sampleJob({ vessels: [...sampleJob().vessels, foamer], products: [...sampleJob().products, foam] });
    expect(zoneTreatments(foaming, 'roof').some(({ treatment }) => treatment === 'none/foam')).toBe(true);
  });

  it('keeps what was fixed by hand, and says what is missing for it', () => {
    const job = choosing({ fixed: { roof: 'mains/waterless' } });
    expect(codes(job, 'roof', 'mains/waterless')).toContain('no-gear');
    expect(planJob(job).zones.find(({ zone }) => zone.id === 'roof')!.leftBecause).toMatchObject({
      gates: [{ code: 'no-gear' }],
      help: 'kit',
    });
    expect(planJob(choosing({ fixed: { roof: 'mains/waterless' }, parts: 'all' })).method).toBe('decline');
  });
});

describe('wands, bay and steam', () => {
  it('excludes a wand where nothing may run off, and says so', () => {
    const job = withKit(['cordless-wand', 'mains-wand'], { runoff: 'forbidden' });
    expect(codes(job, 'left-front-door-lower', 'cordless/rinseless')).toContain('runoff-forbidden');
    expect(codes(job, 'left-front-door-lower', 'mains/rinseless')).toContain('runoff-forbidden');
  });

  it('needs power, tap and quiet neighbours', () => {
    const job = withKit(['mains-wand'], { power: false, tap: false, noiseDb: 60 });
    expect(codes(job, 'roof', 'mains/rinseless')).toEqual(expect.arrayContaining(['no-power', 'no-tap', 'too-loud']));
    expect(codes(withKit(['mains-wand']), 'roof', 'mains/rinseless')).toEqual([]);
  });

  it('holds nothing on a mat where the ground falls', () => {
    const captured = { runoff: 'captured', captureL: 40 } as const;
    expect(codes(withKit([], { ...captured, slope: 0.02 }), 'left-sill', 'pump/rinseless')).toEqual([]);
    expect(codes(withKit([], { ...captured, slope: 0.06 }), 'left-sill', 'pump/rinseless')).toEqual(['slope']);
  });

  it('reaches a high roof from steps only, and sets steps on level ground only', () => {
    const van = (site: Partial<Job['site']>): Job => withKit([], site, { vehicle: sampleVehicle('van') });
    expect(codes(van({}), 'roof', 'none/rinseless')).toEqual([]);
    expect(codes(van({ steps: false }), 'roof', 'none/rinseless')).toEqual(['out-of-reach']);
    expect(codes(van({ slope: 0.1 }), 'roof', 'none/rinseless')).toEqual(['out-of-reach']);
    expect(codes(van({ steps: false }), 'left-front-door-lower', 'none/rinseless')).toEqual([]);
    expect(codes(withKit([], { steps: false }), 'roof', 'none/rinseless')).toEqual([]);
    expect(
      finish(whatIf(van({ steps: false }), planJob(van({ steps: false })))).map(({ change }) => change.code),
    ).toContain('steps');
  });

  it('sends no jet into an open door, and takes the bay’s drain for its own', () => {
    const job = withKit(['cordless-wand'], { bay: true, runoff: 'forbidden' });
    expect(codes(job, 'left-front-shut', 'cordless/rinseless')).toContain('opening');
    expect(codes(job, 'left-front-door-lower', 'bay/rinseless')).not.toContain('runoff-forbidden');
  });

  it('steams seams only, no film’s edges, no frozen glass; hardly any water, none that runs off', () => {
    const job = withKit(['steamer'], { runoff: 'forbidden' });
    expect(codes(job, 'roof', 'steam/waterless')).toContain('steam-off');
    expect(codes(job, 'left-sill', 'steam/waterless')).toEqual([]);
    const wrapped = withKit(['steamer'], {}, { vehicle: sampleVehicle('sedan', 'film-wrapped') });
    expect(codes(wrapped, 'left-sill', 'steam/waterless')).toContain('steam-off');
    expect(codes(withKit(['steamer'], { airC: celsius(-4) }), 'windscreen', 'steam/waterless')).toContain('steam-off');
    const muddy = { ...job, soil: soilAll('mud', 2) };
    expect(codes(muddy, 'left-sill', 'steam/waterless')).toContain('lumps');
  });

  it('takes the time that its flow needs, and no more than its batteries hold', () => {
    const slow = sampleJob({ gear: [sampleGear('cordless-wand', { flowLMin: 1 })] });
    const quick = sampleJob({ gear: [sampleGear('cordless-wand', { flowLMin: 6 })] });
    const seconds = (job: Job) => option(job, 'bonnet', 'cordless/rinseless')!.work.flush;
    expect(seconds(slow) / seconds(quick)).toBeCloseTo(6, 6);
    const salted = { soil: soilAll('salt', 4), site: { ...sampleSite, tap: true } };
    const plan = planJob(
      sampleJob({
        ...salted,
        gear: [sampleGear('cordless-wand', { batteryMin: 0.5 })],
        vessels: sampleJob().vessels.filter(({ kind }) => kind !== 'pump-sprayer'),
      }),
    );
    expect(plan.zones.filter(({ treatment }) => treatment.startsWith('cordless')).length * 0.01).toBeLessThan(0.5);
  });
});

describe('approaches and finishes', () => {
  it('refuses a matte black car with grit under every approach', () => {
    for (const approach of habitAnswers.approach) {
      const vehicle = { ...sampleVehicle('sedan', 'matte'), colour: 'black' as const };
      const job = choosing(
        { approach },
        { vehicle, soil: soilAll('grit', 4), site: { ...sampleSite, runoff: 'forbidden' } },
      );
      expect(planJob(job).method).toBe('decline');
    }
  });

  it('lets the client’s word lift the index limit and nothing else', () => {
    const consent = { by: 'The owner', on: '2031-05-05', note: '' };
    const filmy = choosing(
      { approach: 'cautious', bucket: 'one-guarded' },
      { soil: soilAll('grit', 3), site: { ...sampleSite, runoff: 'forbidden' } },
    );
    expect(planJob(filmy).method).toBe('decline');
    const agreed = planJob({ ...filmy, consent });
    expect(agreed.method).not.toBe('decline');
    expect(agreed.verdicts).toContainEqual(expect.objectContaining({ code: 'against-advice', by: 'The owner' }));
    const muddy = { ...filmy, soil: soilAll('mud', 2), consent };
    expect(planJob(muddy).method).toBe('decline');
  });

  it('keeps to the shade, off layers on coatings, and products apart that must not meet', () => {
    const sunny = { ...sampleSite, shade: false, sunWm2: 500 };
    expect(codes(choosing({ sun: 'shade-only' }, { site: sunny }), 'roof', 'none/rinseless')).toContain('sun-habit');
    const [rinseless, ...others] = sampleJob().products;
    const waxy = {
      vehicle: sampleVehicle('sedan', 'coated'),
      products: [{ ...rinseless!, leavesLayer: true }, ...others],
    };
    expect(codes(sampleJob(waxy), 'roof', 'none/rinseless')).toContain('leaves-layer');
    expect(codes(choosing({ topping: 'welcome' }, waxy), 'roof', 'none/rinseless')).not.toContain('leaves-layer');
    const presoak = {
      ...rinseless!,
      id: 'soak',
      uses: rinseless!.uses.filter(({ purpose }) => purpose === 'presoak'),
      notWith: ['rinseless'],
    };
    const washOnly = { ...rinseless!, uses: rinseless!.uses.filter(({ purpose }) => purpose === 'wash') };
    const apart = sampleJob({ products: [presoak, washOnly, ...others] });
    expect(codes(apart, 'roof', 'none/presoak-rinseless')).toContain('incompatible');
  });

  it('puts the client’s wish over the house, and the finish over both', () => {
    const house = choosing({ approach: 'permissive' });
    expect(
      planJob({ ...house, wishes: { approach: 'cautious' } }).zones.every(
        ({ option: one }) => one!.marring.index <= 15,
      ),
    ).toBe(true);
    const matte = sampleJob({ vehicle: sampleVehicle('sedan', 'matte'), wishes: { brush: 'lubricated' } });
    const brushed = sampleJob({ wishes: { brush: 'lubricated' } });
    const wheel = (job: Job) => option(job, 'left-front-wheel', 'none/waterless')!.work.wipe;
    expect(wheel(brushed)).toBeLessThan(wheel(sampleJob()));
    expect(wheel(matte)).toBe(wheel(sampleJob()));
  });

  it('lays more film on hot panels and for the liberal approach, less in the cold unless plenty is wanted', () => {
    const film = (job: Job) => option(job, 'bonnet', 'none/waterless')!.filmUm;
    const common = film(sampleJob());
    expect(film(sampleJob({ site: { ...sampleSite, panelC: celsius(38) } }))).toBeGreaterThan(common);
    expect(film(choosing({ spray: 'liberal' }))).toBeGreaterThan(common);
    expect(film(choosing({ spray: 'thin' }))).toBeLessThan(common);
    const cool = { site: { ...sampleSite, airC: celsius(6) } };
    expect(film(sampleJob(cool))).toBeLessThan(common);
    expect(film(choosing({ cold: 'plenty' }, cool))).toBeCloseTo(common, 9);
  });

  it('dwells longer, rolls the towel, or mixes the wash at the strength that an approach asks for', () => {
    const roof = (job: Job, treatment: Working = 'none/waterless') => option(job, 'roof', treatment)!;
    expect(roof(choosing({ dwell: 'long' })).marring.index).toBeLessThan(roof(sampleJob()).marring.index);
    expect(roof(choosing({ wiping: 'rolled' })).marring.index).toBeLessThan(roof(sampleJob()).marring.index);
    expect(roof(choosing({ dwell: 'long' }), 'none/presoak-rinseless').dwellS).toBe(300);
    const strong = planJob(choosing({ strength: '128', method: 'rinseless' }, { soil: soilAll('road-film', 2) }));
    expect(strong.mix.mixes.find(({ content }) => content === 'wash')!.strength!.waterParts).toBe(128);
  });
});
