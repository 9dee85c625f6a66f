import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { defaultAssumptions } from '../assumptions';
import type { Job, PairWay } from '../model';
import { planJob } from '../planning';
import { anyJobWith } from '../testing/any-job';
import { sampleGear, sampleJob, sampleSite, soilAll } from '../testing/sample';
import { celsius } from '../units';
import type { Step } from './crew';

const lasts = ({ startS, endS }: Step): number => endS - startS;
const sum = (steps: readonly Step[]): number => steps.reduce((all, step) => all + lasts(step), 0);

const two = (pair: PairWay) =>
  anyJobWith({
    site: { workers: fc.constant(2), minutes: fc.constant(900), airC: fc.integer({ min: 6, max: 30 }).map(celsius) },
    choices: {
      pair: fc.constant(pair),
      glass: fc.constantFrom('first', 'last'),
      drying: fc.constantFrom('panel', 'body'),
      bucket: fc.constantFrom('many-towels', 'one-guarded'),
    },
    towels: 99,
  });

describe.each<PairWay>(['sides', 'lift-finish', 'one-panel'])('two people, %s', (pair) => {
  it('wipe and finish all that one person would, each doing one thing at a time', () => {
    fc.assert(
      fc.property(two(pair), (job) => {
        const { timeline, zones } = planJob(job);
        const slow = 1 + defaultAssumptions.walking;
        for (const [kinds, work] of [
          [['wipe'], 'wipe'],
          [['finish', 'dry'], 'finish'],
        ] as const) {
          const needed = zones.reduce((all, { option }) => all + (option?.work[work] ?? 0) * slow, 0);
          expect(sum(timeline.steps.filter(({ kind }) => kinds.some((one) => one === kind)))).toBeCloseTo(needed, 4);
        }
        for (const worker of [0, 1]) {
          const own = timeline.steps.filter((step) => step.worker === worker);
          own.slice(1).forEach((step, i) => expect(step.startS).toBeGreaterThanOrEqual(own[i]!.endS - 1e-6));
        }
        expect(
          timeline.late.filter(
            ({ zoneId }) => zones.find(({ zone }) => zone.id === zoneId)!.option!.finishing !== 'body',
          ),
        ).toEqual([]);
      }),
      { numRuns: runs(40) },
    );
  });
});

describe('one who lifts and one who finishes', () => {
  it('follow each other: no part is finished before it is lifted, nor after it has dried', () => {
    let behind = 0;
    fc.assert(
      fc.property(two('lift-finish'), (job) => {
        const { timeline, zones } = planJob(job);
        const options = new Map(zones.map(({ zone, option }) => [zone.id, option]));
        // Nobody is sent to finish what has nothing to finish.
        for (const { act, place, parts } of timeline.passes)
          if (act === 'dry' && place)
            for (const { zoneId } of parts) expect(options.get(zoneId)!.work.finish).toBeGreaterThan(0);
        const at = (kind: Step['kind'], { zoneId, section }: Step) =>
          timeline.steps.find((step) => step.kind === kind && step.zoneId === zoneId && step.section === section);
        for (const dry of timeline.steps.filter(({ kind, section }) => kind === 'dry' && section > 0)) {
          behind++;
          const [spray, wipe] = [at('spray', dry), at('wipe', dry)!];
          const { drying } = options.get(dry.zoneId!)!;
          expect([dry.worker, wipe.worker]).toEqual([1, 0]);
          expect(dry.startS).toBeGreaterThanOrEqual(wipe.endS - 1e-6);
          if (spray && !drying.layered) expect(dry.endS - spray.startS).toBeLessThanOrEqual(drying.windowS + 1e-6);
        }
      }),
      { numRuns: runs(40) },
    );
    expect(behind).toBeGreaterThan(0);
  });

  it('have a towel each: one washes, the other dries', () => {
    const job = sampleJob({ soil: soilAll('dust', 1), site: { ...sampleSite, workers: 2 } });
    const { towels, method } = planJob({ ...job, choices: { ...job.choices, pair: 'lift-finish' } });
    expect(method).toBe('waterless');
    // Door shuts are shared out: nothing there is finished in strokes.
    const onPanels = (role: string) =>
      towels.filter((towel) => towel.role === role && towel.sides.some(({ cleanliness }) => cleanliness < 3));
    expect(new Set(onPanels('finish').map(({ worker }) => worker))).toEqual(new Set([1]));
    expect(new Set(onPanels('wash').map(({ worker }) => worker))).toEqual(new Set([0]));
  });
});

describe('both on one panel', () => {
  it('each take a half of whatever is large enough', () => {
    const job = sampleJob({ soil: soilAll('road-film', 2), site: { ...sampleSite, workers: 2 } });
    const { timeline, zones } = planJob({ ...job, choices: { ...job.choices, pair: 'one-panel' } });
    const wipedBy = (id: string) =>
      new Set(
        timeline.steps.filter(({ kind, zoneId }) => kind === 'wipe' && zoneId === id).map(({ worker }) => worker),
      );
    const large = zones.filter(({ zone, option }) => option && zone.areaM2 >= 2 * defaultAssumptions.leastSection);
    expect(large.length).toBeGreaterThan(5);
    for (const { zone } of large) expect([zone.id, wipedBy(zone.id)]).toEqual([zone.id, new Set([0, 1])]);
  });
});

describe('one sprayer for two people', () => {
  const frosty = (workers: 1 | 2): Job =>
    sampleJob({
      soil: soilAll('salt', 2),
      gear: [sampleGear('heater')],
      towels: sampleJob().towels.map((batch) => ({ ...batch, clean: 60 })),
      site: { ...sampleSite, workers, airC: celsius(-4), panelC: celsius(-3), liquidC: celsius(22), minutes: 900 },
    });

  it('is in one hand at a time, also where panels are rinsed at their turn', () => {
    const { steps } = planJob(frosty(2)).timeline;
    const sprayed = steps.filter(({ kind }) => kind === 'flush' || kind === 'refill');
    expect(new Set(sprayed.filter(({ section }) => section > 0).map(({ worker }) => worker))).toEqual(new Set([0, 1]));
    for (const first of sprayed)
      for (const other of sprayed)
        if (first.worker < other.worker)
          expect(first.startS < other.endS - 1e-6 && other.startS < first.endS - 1e-6).toBe(false);
  });

  it('makes two people no later than one', () => {
    expect(planJob(frosty(2)).timeline.elapsedS).toBeLessThan(planJob(frosty(1)).timeline.elapsedS);
  });
});
