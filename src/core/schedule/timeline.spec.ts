import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Job, type TreatmentId, type ZoneId, soilKinds } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { zonesOf } from '../vehicle';
import type { Step } from './crew';
import { runs } from '@esmero/testing';

const ids = zonesOf(sampleJob().vehicle).map(({ id }) => id);

const withTreatments = (fixed: Partial<Record<ZoneId, TreatmentId>>, workers: 1 | 2 = 1): Job =>
  sampleJob({
    site: { ...sampleSite, workers },
    towels: sampleJob().towels.map((batch) => ({ ...batch, clean: 99 })),
    choices: { ...sampleJob().choices, fixed },
  });

const all = (treatment: TreatmentId): Partial<Record<ZoneId, TreatmentId>> =>
  Object.fromEntries(ids.map((id) => [id, treatment]));

const anyMix = fc
  .array(fc.constantFrom<TreatmentId>('none/waterless', 'none/rinseless', 'none/presoak-rinseless', 'pump/rinseless'), {
    minLength: ids.length,
    maxLength: ids.length,
  })
  .map((treatments) => Object.fromEntries(ids.map((id, i) => [id, treatments[i]!])));

const timed = (job: Job) => planJob(job).timeline;
const of = (steps: readonly Step[], kind: Step['kind']): readonly Step[] => steps.filter((step) => step.kind === kind);

describe('the clock of a run', () => {
  it('wipes every zone once, after its dwell, one thing at a time, for one or two people', () => {
    fc.assert(
      fc.property(anyMix, fc.constantFrom<1 | 2>(1, 2), (fixed, workers) => {
        const plan = planJob(withTreatments(fixed, workers));
        const { steps, elapsedS, waitingS } = plan.timeline;
        const parts = plan.zones.flatMap(({ zone, option }) =>
          Array.from({ length: option!.sections }, (_, i) => `${zone.id}/${i + 1}`),
        );
        expect(
          of(steps, 'wipe')
            .map(({ zoneId, section }) => `${zoneId}/${section}`)
            .sort(),
        ).toEqual(parts.sort());
        const options = new Map(plan.zones.map(({ zone, option }) => [zone.id, option!]));
        for (const wipe of of(steps, 'wipe')) {
          const spray = of(steps, 'spray').find(
            ({ zoneId, section }) => zoneId === wipe.zoneId && section === wipe.section,
          );
          // Wheels and door shuts, too: what counts in the index is on the clock.
          if (options.get(wipe.zoneId!)!.dwellS > 0) expect(spray, wipe.zoneId!).toBeDefined();
          if (spray) expect(wipe.startS).toBeGreaterThanOrEqual(spray.endS + options.get(wipe.zoneId!)!.dwellS - 1e-6);
          if (spray) expect(wipe.worker).toBe(spray.worker);
        }
        expect(plan.timeline.late).toEqual([]);
        for (const worker of [0, 1]) {
          const own = steps.filter((step) => step.worker === worker);
          own.slice(1).forEach((step, i) => expect(step.startS).toBeGreaterThanOrEqual(own[i]!.endS - 1e-6));
        }
        expect(Math.max(...steps.map(({ endS }) => endS))).toBeCloseTo(elapsedS, 6);
        expect(of(steps, 'wait').reduce((sum, { startS, endS }) => sum + endS - startS, 0)).toBeCloseTo(waitingS, 6);
      }),
      { numRuns: runs(60) },
    );
  });

  it('does not wait longer because a zone in the middle needs no dwell', () => {
    const soaked = all('none/presoak-rinseless');
    const one = { ...soaked, 'left-rear-door-upper': 'none/rinseless' as const };
    // The door is a pass of its own then: what is beside it is shorter, and little else is there to fill a dwell with.
    expect(timed(withTreatments(one)).waitingS).toBeLessThanOrEqual(timed(withTreatments(soaked)).waitingS + 30);
  });

  it('begins a long dwell before work that needs none', () => {
    const mixed = {
      ...all('none/rinseless'),
      'left-sill': 'none/presoak-rinseless',
      'right-sill': 'none/presoak-rinseless',
    } as const;
    const { steps } = timed(withTreatments(mixed));
    const sprayed = of(steps, 'spray').find(({ zoneId }) => zoneId === 'left-sill')!;
    expect(sprayed.startS).toBeLessThan(of(steps, 'wipe')[0]!.startS);
    expect(of(steps, 'wait')).toEqual([]);
  });

  it('never keeps more panel wet than may be wetted ahead', () => {
    const { steps } = timed(withTreatments(all('none/waterless')));
    const area = new Map(zonesOf(sampleJob().vehicle).map((zone) => [zone.id, zone.areaM2]));
    for (const { endS } of of(steps, 'spray')) {
      const wet = of(steps, 'spray').filter((spray) => {
        const wipe = of(steps, 'wipe').find(({ zoneId }) => zoneId === spray.zoneId)!;
        return spray.endS <= endS && wipe.startS >= endS;
      });
      const m2 = wet.reduce((sum, { zoneId }) => sum + area.get(zoneId!)!, 0);
      // One pass is worked on, and one waits.
      expect(m2).toBeLessThanOrEqual(3 * 1.6 + Math.max(...wet.map(({ zoneId }) => area.get(zoneId!)!)));
    }
  });

  it('takes longer for dirtier wheels', () => {
    const minutes = (level: 1 | 3): number =>
      timed(
        sampleJob({
          soil: { ...soilAll('dust', 1), 'left-front-wheel': { deposits: [{ kind: 'brake-dust', level }], spots: {} } },
        }),
      ).elapsedS;
    expect(minutes(3)).toBeGreaterThan(minutes(1));
  });

  it.each(soilKinds)('adds time for spots on %s', (kind) => {
    const soil = soilAll(kind, 1);
    const spotted = { ...soil, bonnet: { ...soil.bonnet!, spots: { tar: 3 } } };
    const base = timed(sampleJob({ soil }));
    const spent = timed(sampleJob({ soil: spotted }));
    // It may find its time in a dwell.
    expect(spent.elapsedS).toBeGreaterThanOrEqual(base.elapsedS - 1e-6);
    expect(of(spent.steps, 'pretreat').reduce((sum, { startS, endS }) => sum + endS - startS, 0)).toBeGreaterThan(0);
  });

  it('says when a body that is dried at the end has dried by itself before', () => {
    const body = (minutesOfDrying: number): Job => {
      const job = sampleJob();
      return {
        ...job,
        soil: {},
        choices: {
          ...job.choices,
          method: 'rinseless',
          drying: 'body',
          assumptions: { bodyWait: 60, walking: minutesOfDrying },
        },
        site: { ...job.site, airC: 30 as never, windMs: 2, minutes: 900, humidity: 0.3 },
      };
    };
    const slow = planJob(body(1));
    const zones = new Set(slow.timeline.late.map(({ zoneId }) => zoneId));
    for (const { zone, option } of slow.zones) {
      if (option?.finishing !== 'body') continue;
      const own = slow.timeline.steps.filter(({ zoneId }) => zoneId === zone.id);
      const wait = own.find(({ kind }) => kind === 'dry')!.endS - own.find(({ kind }) => kind === 'wipe')!.startS;
      expect([zone.id, zones.has(zone.id)]).toEqual([zone.id, wait > option.drying.lastS]);
    }
    expect(zones.size).toBeGreaterThan(0);
    expect(slow.verdicts.map(({ code }) => code)).toContain('late');
  });
});
