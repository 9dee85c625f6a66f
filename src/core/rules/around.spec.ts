import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Job, type SoilMap, type ToMind, surroundingsToMind } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, soilAll } from '../testing/sample';

const minding = (around: readonly ToMind[], rest: Partial<Job> = {}): Job =>
  sampleJob({ soil: soilAll('dust', 1), around, ...rest });

describe('what is to be minded', () => {
  it('costs its minute of covers and cones, and no more than that', () => {
    const minutes = (around: readonly ToMind[]): number => planJob(minding(around)).totals.minutes.value;
    expect(minutes(['people']) - minutes([])).toBeCloseTo(1, 6);
    expect(minutes(['open-roof', 'people']) - minutes([])).toBeCloseTo(2, 6);
    expect(planJob(minding(['traffic-left'])).cautions).toContain('traffic');
    expect(planJob(minding([])).cautions).not.toContain('traffic');
  });

  it('never lets anything wet beside what must stay dry', () => {
    const wet = /\/(rinseless|presoak-rinseless|shampoo|foam-shampoo)$/;
    fc.assert(
      fc.property(
        fc.subarray([...surroundingsToMind]),
        fc.constantFrom(1 as const, 2 as const, 3 as const),
        (around, level) => {
          const plan = planJob(
            minding(around, {
              soil: soilAll('road-film', level),
              gear: [sampleGear('steamer'), sampleGear('cordless-wand')],
            }),
          );
          for (const { zone, treatment } of plan.zones) {
            if (around.includes('soft-top') && zone.id === 'roof') expect(treatment).toBe('leave');
            if (around.includes('boot-belongings') && zone.id === 'boot-sill') expect(treatment).not.toMatch(wet);
            if (around.includes('electronics') && zone.id.endsWith('-shut')) expect(treatment).not.toMatch(wet);
          }
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('traffic on one side', () => {
  const bodyPasses = (around: readonly ToMind[], workers: 1 | 2 = 1) =>
    planJob(minding(around, { site: { ...sampleJob().site, workers } })).timeline.passes.filter(
      ({ act, lap }) => act === 'wipe' && lap !== null && !/wheels|shuts|^top$/.test(lap),
    );

  it.each(['left', 'right'] as const)(
    'has the glass and panels of the %s done in one go, from the glass down, and nobody goes back',
    (side) => {
      const there = bodyPasses([`traffic-${side}`]);
      const onRoad = there.map(({ lap }) => lap!.startsWith('road-'));
      const [first, last] = [onRoad.indexOf(true), onRoad.lastIndexOf(true)];
      expect(onRoad.slice(first, last + 1)).not.toContain(false);
      const own = there.slice(first, last + 1);
      expect(own.every(({ place }) => place === side)).toBe(true);
      expect([...new Set(own.map(({ lap }) => lap))]).toEqual(['road-glass', 'road-uppers', 'road-lowers']);
      // Nothing else of the bodywork is wiped from there afterwards.
      expect(there.slice(last + 1).filter(({ place }) => place === side)).toEqual([]);
      expect(bodyPasses([]).some(({ lap }) => lap!.startsWith('road-'))).toBe(false);
    },
  );

  it('leaves out nothing, whoever does it', () => {
    const zones = (around: readonly ToMind[], workers: 1 | 2) =>
      bodyPasses(around, workers)
        .flatMap(({ parts }) => parts.map(({ zoneId, section, of }) => `${zoneId}/${section}/${of}`))
        .sort();
    const sideOnly = (list: readonly string[]) =>
      list.filter((one) => /^(left|right)-/.test(one) && !/glass/.test(one));
    for (const workers of [1, 2] as const)
      expect(sideOnly(zones(['traffic-left'], workers))).toEqual(sideOnly(zones([], workers)));
  });
});

describe('steam at seams and boot sill, papers in the boot', () => {
  const soil: SoilMap = {
    ...soilAll('dust', 1),
    ...Object.fromEntries(Object.entries(soilAll('grit', 2)).filter(([id]) => /shut|boot-sill|badges/.test(id))),
  };
  const seams = (gear: Job['gear']): Job =>
    minding(['boot-belongings', 'electronics'], {
      soil,
      scope: ['trim', 'shuts', 'boot-sill'],
      gear,
      site: { ...sampleJob().site, runoff: 'forbidden' },
    });
  const plan = planJob(seams([sampleGear('steamer')]));

  it('is chosen where it is the only dry way, however long it takes to set up', () => {
    expect(plan.zones.find(({ zone }) => zone.id === 'boot-sill')!.treatment).toMatch(/^steam\/(waterless|foam)$/);
    expect(plan.totals.runoffL.value).toBe(0);
    expect(plan.cautions).toContain('steam');
  });

  it('comes right before the towel, in the same pass, and is waited for where the boiler is slower', () => {
    const steps = plan.timeline.steps.filter(({ zoneId }) => zoneId === 'boot-sill').map(({ kind }) => kind);
    expect(steps.indexOf('flush')).toBeLessThan(steps.indexOf('wipe'));
    const passes = new Set(
      plan.timeline.steps
        .filter(({ zoneId, kind }) => zoneId === 'boot-sill' && (kind === 'flush' || kind === 'wipe'))
        .map(({ pass }) => pass),
    );
    expect(passes.size).toBe(1);
    const slow = seams([sampleGear('steamer')]);
    const slower = planJob({ ...slow, choices: { ...slow.choices, assumptions: { steamRecovery: 20 } } });
    expect(slower.totals.minutes.value).toBeGreaterThan(plan.totals.minutes.value);
  });
});
