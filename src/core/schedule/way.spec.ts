import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions } from '../assumptions';
import type { Zone } from '../model';
import { freshStart } from '../rules/start-state';
import { sectionsOf } from '../rules/drying-window';
import type { Option } from '../rules/option';
import { planJob } from '../planning/plan-job';
import { sampleJob, sampleVehicle } from '../testing/sample';
import { zonesOf } from '../vehicle';
import { Crew } from './crew';
import { criticalPath } from './critical-path';
import { type Piece, piecesOf } from './piece';
import type { Ordered } from './run-order';
import { timelineOf } from './timeline';
import { Way } from './way';
import { runs as cases } from '@esmero/testing';

const a = { ...defaultAssumptions, walking: 0 };
const zones = zonesOf(sampleVehicle('sedan')).filter(({ cleanliness }) => cleanliness < 3);
const usual = planJob(sampleJob()).zones.find(({ option }) => option)!.option!;

interface Spec {
  readonly area: number;
  readonly spray: number;
  readonly wipe: number;
  readonly dwell: number;
  /** Window over what a section needs at the least. */
  readonly margin: number;
}
const spec = fc.record<Spec>({
  area: fc.double({ min: 0.2, max: 2.4, noNaN: true }),
  spray: fc.constantFrom(0, 4, 6),
  wipe: fc.double({ min: 8, max: 40, noNaN: true }),
  dwell: fc.constantFrom(10, 20, 60, 120),
  margin: fc.constantFrom(1.02, 1.5, 3, 20),
});

/** Zones with work made up; those that are sprayed dwell and dry. */
const ordered = (specs: readonly Spec[]): readonly Ordered[] =>
  specs.map(({ area, spray, wipe, dwell, margin }, i): Ordered => {
    const zone = { ...zones[i]!, areaM2: area } as Zone;
    const sectionM2 = Math.min(area, a.largestSection);
    const dwellS = spray > 0 ? dwell : 0;
    const windowS = (dwellS + (spray + wipe) * sectionM2) * margin;
    const drying = { ...usual.drying, windowS, layered: false, sectionM2, freezeS: null };
    const option: Option = {
      ...usual,
      drying,
      sections: sectionsOf(zone, drying),
      treatment: spray > 0 ? 'none/waterless' : 'none/rinseless',
      dwellS,
      driedLater: false,
      spots: [],
      work: { flush: 0, pretreat: 0, spray: spray * area, wipe: wipe * area, finish: 0, glass: 0 },
    };
    return { zone, option, stage: 'top' };
  });

const walked = (list: readonly Ordered[]) => {
  const crew = new Crew(1);
  const way = new Way(piecesOf(list, a), 0, crew, a);
  way.walk();
  return { crew, late: way.late };
};

type Turns = readonly { readonly wet: boolean; readonly piece: number }[];

/** Every way to take turns between wetting the next section and wiping the next, with no more wet than may be. */
function everyWay(pieces: readonly Piece[]): readonly Turns[] {
  const ways: Turns[] = [];
  const go = (turns: Turns, wetted: number, wiped: number, wetM2: number): void => {
    if (wiped === pieces.length) {
      ways.push(turns);
      return;
    }
    const next = pieces[wiped]!;
    const dry = next.work.spray === 0;
    if (dry || wetted > wiped) go([...turns, { wet: false, piece: wiped }], Math.max(wetted, wiped + 1), wiped + 1, wetM2 - (dry ? 0 : next.areaM2));
    let w = Math.max(wetted, wiped);
    while (w < pieces.length && pieces[w]!.work.spray === 0) w++;
    const piece = pieces[w];
    if (piece && !(wetM2 > 1e-9 && wetM2 + piece.areaM2 > a.sprayAhead)) go([...turns, { wet: true, piece: w }], w + 1, wiped, wetM2 + piece.areaM2);
  };
  go([], 0, 0, 0);
  return ways;
}

/** Least time of one such way, each wetted as late as its window asks for; Infinity where that cannot be. */
function leastS(pieces: readonly Piece[], turns: Turns, below: number): number {
  const least = pieces.map(() => 0);
  for (;;) {
    let [clock, moved] = [0, false];
    const wettedS = pieces.map(() => 0);
    for (const { wet, piece: i } of turns) {
      const { work, option } = pieces[i]!;
      if (wet) {
        wettedS[i] = Math.max(clock, least[i]!);
        clock = wettedS[i] + work.spray;
        continue;
      }
      const dry = work.spray === 0;
      clock = Math.max(clock, dry ? 0 : wettedS[i]! + work.spray + option.dwellS) + work.wipe;
      const from = clock - option.drying.windowS;
      if (!dry && from > wettedS[i]! + 1e-6) [least[i], moved] = [from, true];
    }
    if (clock >= below) return Infinity;
    if (!moved) return clock;
  }
}

const exhaustive = (list: readonly Ordered[]): number => {
  const pieces = piecesOf(list, a);
  return everyWay(pieces).reduce((best, turns) => Math.min(best, leastS(pieces, turns, best)), Infinity);
};

describe('one worker’s way', () => {
  it('takes at most three per cent longer than the best of all ways, and no section dries first', () => {
    let [worst, sum, runs] = [1, 0, 0];
    fc.assert(
      fc.property(fc.array(spec, { minLength: 1, maxLength: 5 }), (specs) => {
        const list = ordered(specs);
        const { crew, late } = walked(list);
        expect(late).toEqual([]);
        const ratio = crew.elapsed() / exhaustive(list);
        expect(ratio).toBeGreaterThan(1 - 1e-9);
        worst = Math.max(worst, ratio);
        sum += ratio;
        runs++;
      }),
      { numRuns: cases(300), seed: 17 },
    );
    expect(sum / runs).toBeLessThan(1.01);
    expect(worst).toBeLessThan(1.03);
  });

  it('says which sections are late where nobody can be quick enough', () => {
    const [one] = ordered([{ area: 1, spray: 6, wipe: 30, dwell: 60, margin: 0.5 }]);
    expect(walked([one!]).late).toMatchObject([{ section: 1 }]);
  });

  it('wets each section of a zone on its own', () => {
    const { crew } = walked(ordered([{ area: 2.4, spray: 4, wipe: 12, dwell: 20, margin: 1.5 }]));
    expect(crew.steps.filter(({ kind }) => kind === 'spray').map(({ section }) => section)).toEqual([1, 2]);
    expect(crew.steps.filter(({ kind }) => kind === 'wipe').reduce((s, { startS, endS }) => s + endS - startS, 0)).toBeCloseTo(2.4 * 12, 9);
  });
});

describe('two workers', () => {
  const at = (workers: 1 | 2, list: readonly Ordered[]) =>
    timelineOf(list, [], { site: { ...sampleJob().site, workers }, choices: sampleJob().choices }, a, freshStart);

  it('never take longer than one, and share out within three per cent of the best way to', () => {
    let [sum, runs, worst] = [0, 0, 1];
    fc.assert(
      fc.property(fc.array(spec, { minLength: 2, maxLength: 6 }), (specs) => {
        const list = ordered(specs);
        const two = at(2, list);
        expect(two.elapsedS).toBeLessThanOrEqual(at(1, list).elapsedS + 1e-6);
        expect(two.late).toEqual([]);
        let best = Infinity;
        for (let mask = 0; mask < 1 << list.length; mask++) {
          const lists = [0, 1].map((w) => list.filter((_, i) => ((mask >> i) & 1) === w));
          best = Math.min(best, Math.max(...lists.map((own) => walked(own).crew.elapsed())));
        }
        const ratio = (two.elapsedS - a.packing * 60) / best;
        worst = Math.max(worst, ratio);
        sum += ratio;
        runs++;
      }),
      { numRuns: cases(150), seed: 19 },
    );
    expect(sum / runs).toBeLessThan(1.01);
    expect(worst).toBeLessThan(1.03);
  });

  it('have a critical path without gaps, but for dwells, from the start to the end', () => {
    fc.assert(
      fc.property(fc.array(spec, { minLength: 1, maxLength: 8 }), fc.constantFrom<1 | 2>(1, 2), (specs, workers) => {
        const { steps, elapsedS } = at(workers, ordered(specs));
        const path = criticalPath(steps).map((i) => steps[i]!);
        expect(path[0]!.startS).toBe(0);
        expect(path.at(-1)!.endS).toBeCloseTo(elapsedS, 6);
        path.slice(1).forEach((step, i) => {
          if (step.kind !== 'wait') expect(step.startS).toBeCloseTo(path[i]!.endS, 6);
        });
      }),
    );
  });
});
