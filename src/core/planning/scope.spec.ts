import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Job, type Scope, type SoilKind, type SoilLevel, scopeParts } from '../model';
import { sampleJob, soilAll } from '../testing/sample';
import { isInScope, scopePartOf, zonesIn } from '../vehicle';
import { planJob } from './plan-job';

const scopes = fc.subarray([...scopeParts], { minLength: 1 });
const soils = fc.record({
  kind: fc.constantFrom<SoilKind>('dust', 'road-film', 'salt'),
  level: fc.constantFrom<SoilLevel>(1, 2, 3),
});
const dusty = (scope: Scope, rest: Partial<Job> = {}): Job => sampleJob({ soil: soilAll('dust', 1), scope, ...rest });

describe('what is to be washed', () => {
  it('is every zone of the car, each in one part', () => {
    const parts = zonesIn(dusty(scopeParts)).map(scopePartOf);
    expect(new Set(parts)).toEqual(new Set(scopeParts));
  });

  it('is all that a plan touches, and what is not asked for takes neither minute, towel nor mix', () => {
    fc.assert(
      fc.property(scopes, soils, (scope, { kind, level }) => {
        const plan = planJob(sampleJob({ soil: soilAll(kind, level), scope }));
        for (const { zone, inScope, treatment, option, leftByHand, leftBecause } of plan.zones) {
          expect(inScope).toBe(isInScope(zone, scope));
          if (!inScope) expect([treatment, option, leftByHand, leftBecause]).toEqual(['leave', null, false, null]);
        }
        const touched = new Set(plan.timeline.passes.flatMap(({ parts }) => parts.map(({ zoneId }) => zoneId)));
        for (const { zone, inScope } of plan.zones) if (!inScope) expect(touched.has(zone.id)).toBe(false);
      }),
      { numRuns: 20 },
    );
  });

  it('takes no longer the less is asked for', () => {
    fc.assert(
      fc.property(scopes, (scope) => {
        const [some, all] = [planJob(dusty(scope)), planJob(dusty(scopeParts))];
        expect(some.totals.minutes.value).toBeLessThanOrEqual(all.totals.minutes.value + 1);
        expect(some.totals.towels.value).toBeLessThanOrEqual(all.totals.towels.value);
      }),
      { numRuns: 12 },
    );
  });

  it('decides by the paint that was asked for: wheels alone are no refusal, and gritty sills beyond the scope are none', () => {
    const wheels = planJob(dusty(['wheels']));
    expect(wheels.method).not.toBe('decline');
    const soil = {
      ...soilAll('dust', 1),
      ...Object.fromEntries(Object.entries(soilAll('grit', 5)).filter(([id]) => /wheel|tyre|arch|shut/.test(id))),
    };
    const body = planJob(
      sampleJob({ soil, scope: ['body', 'glass'], site: { ...sampleJob().site, runoff: 'forbidden' } }),
    );
    expect(body.method).toBe('waterless');
    expect(body.verdicts.some(({ code }) => code === 'parts-left' || code === 'zones-left')).toBe(false);
  });

  it('counts only what was asked for among what nobody has looked at', () => {
    const unseen = (scope: Scope): number => {
      const verdict = planJob(sampleJob({ soil: {}, scope })).verdicts.find(({ code }) => code === 'not-seen');
      return verdict?.code === 'not-seen' ? verdict.zones : 0;
    };
    const count = (scope: Scope): number =>
      zonesIn(sampleJob({ scope })).filter((zone) => isInScope(zone, scope)).length;
    expect(unseen(['glass'])).toBe(count(['glass']));
    expect(unseen(scopeParts)).toBe(count(scopeParts));
  });
});
