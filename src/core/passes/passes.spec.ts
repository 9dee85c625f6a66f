import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { defaultAssumptions as a } from '../assumptions';
import type { Job } from '../model';
import { planJob } from '../planning';
import { anyJobWith } from '../testing/any-job';
import { sampleJob, sampleVehicle, soilAll } from '../testing/sample';
import { celsius } from '../units';
import { laps } from './lap';
import type { Pass } from './pass';
import { type StandingPlace, standingPlaces as places } from '../rules';
import { Round } from './round';

const anyJob = anyJobWith({
  site: { airC: fc.integer({ min: 4, max: 36 }).map(celsius), minutes: fc.constant(600) },
  choices: { bucket: fc.constantFrom('many-towels', 'one-guarded') },
});

/** Whether a pass that is wetted, dwells and is wiped at once keeps every piece wet until that is done; what is wetted as it is wiped waits only for itself. */
function staysWet({ pieces, work, dwellS, finishing }: Pass): boolean {
  const isWithin = (seconds: number, { option }: Pass['pieces'][number]): boolean =>
    seconds <= option.drying.windowS + 1e-6;
  if (work.spray + dwellS === 0)
    return pieces.every((piece) =>
      isWithin(piece.work.wipe + (finishing === 'in-pass' ? piece.work.finish : 0), piece),
    );
  const sum = (kind: 'spray' | 'wipe' | 'finish', until: number): number =>
    pieces.slice(0, until).reduce((all, piece) => all + piece.work[kind], 0);
  return pieces.every((piece, i) => {
    const wetAt = sum('spray', i);
    const wipedFrom = work.spray + dwellS + sum('wipe', i);
    const finishedAt = work.spray + dwellS + sum('wipe', pieces.length) + sum('finish', i + 1);
    return isWithin(
      (piece.option.drying.layered ? wipedFrom : finishing === 'body' ? wipedFrom + piece.work.wipe : finishedAt) -
        wetAt,
      piece,
    );
  });
}

const passesIn = (job: Job): readonly (readonly Pass[])[] => planJob(job).timeline.byWorker;

describe('passes', () => {
  it('take every part of every zone that is washed, once, from one place', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const plan = planJob(job);
        const parts = plan.zones.flatMap(({ zone, option }) =>
          Array.from({ length: option?.sections ?? 0 }, (_, i) => `${zone.id}/${i + 1}`),
        );
        const taken = plan.timeline.byWorker.flatMap((list) => list.flatMap(({ pieces }) => pieces));
        expect(taken.map(({ zone, section }) => `${zone.id}/${section}`).sort()).toEqual(parts.sort());
        for (const { pieces, place } of plan.timeline.byWorker.flat())
          expect(new Set(pieces.map((one) => one.place))).toEqual(new Set([place]));
      }),
      { numRuns: runs(40) },
    );
  });

  it('are no larger than a person works, fit their window, and lie within one step of cleanliness', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        for (const pass of passesIn(job).flat()) {
          if (pass.pieces.length === 1) continue;
          expect(pass.areaM2).toBeLessThanOrEqual(a.passArea + 1e-9);
          expect(staysWet(pass)).toBe(true);
          const steps = pass.pieces.map(({ zone }) => zone.cleanliness);
          expect(Math.max(...steps) - Math.min(...steps)).toBeLessThanOrEqual(1);
        }
      }),
      { numRuns: runs(40) },
    );
  });

  it('go lap by lap, each once round the car: no place is come back to within a lap', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        for (const list of passesIn(job)) {
          expect(list.map(({ lap }) => laps.indexOf(lap))).toEqual(
            [...list.map(({ lap }) => laps.indexOf(lap))].sort((p, q) => p - q),
          );
          for (const lap of laps) {
            const stood = list.filter((pass) => pass.lap === lap).map(({ place }) => place);
            const goes = stood.filter((place, i) => place !== stood[i - 1]);
            expect(new Set(goes).size).toBe(goes.length);
          }
        }
      }),
      { numRuns: runs(40) },
    );
  });

  it('are about twenty for an ordinary car, none of them for a moment', () => {
    for (const body of ['sedan', 'hatchback', 'estate', 'suv'] as const) {
      const own = passesIn(
        sampleJob({
          vehicle: sampleVehicle(body),
          soil: soilAll('dust', 1),
          choices: { ...sampleJob().choices, method: 'waterless' },
        }),
      ).flat();
      expect(own.length).toBeGreaterThanOrEqual(12);
      expect(own.length).toBeLessThanOrEqual(26);
      for (const { work } of own) expect(work.wipe + work.finish).toBeGreaterThan(a.passLeast / 2);
    }
  });
});

describe('the way round the car', () => {
  const round = new Round({ lengthM: 4.6 as never, widthM: 1.8 as never }, a);
  const [pass] = passesIn(sampleJob()).flat();
  const at = (place: StandingPlace, x: number, lap: Pass['lap'] = 'uppers'): Pass => ({
    ...pass!,
    lap,
    place,
    pieces: [{ ...pass!.pieces[0]!, place, fromM: x, toM: x }],
  });

  it('is never longer than half the way round, and the same both ways', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...places),
        fc.constantFrom(...places),
        fc.double({ min: 0, max: 4.6, noNaN: true }),
        fc.double({ min: 0, max: 4.6, noNaN: true }),
        (p, q, x, y) => {
          const [from, to] = [round.at(at(p, x)), round.at(at(q, y))];
          expect(round.metres(from, to)).toBeCloseTo(round.metres(to, from), 9);
          expect(round.metres(from, to)).toBeLessThanOrEqual(4.6 + 1.8 + 4 * a.walkingDistance + 1e-9);
        },
      ),
    );
  });

  it('is the shortest of all that go once round in every lap', () => {
    const passes = [
      at('left', 1),
      at('left', 3),
      at('right', 1),
      at('right', 3),
      at('rear', 4.6),
      at('left', 2, 'lowers'),
      at('right', 2, 'lowers'),
      at('front', 0, 'lowers'),
    ];
    const length = (list: readonly Pass[]): number =>
      list.slice(1).reduce((sum, one, i) => sum + round.metres(round.at(list[i]!), round.at(one)), 0);
    const found = length(round.inLaps(passes));
    const orders = (lap: Pass['lap']): Pass[][] => {
      const own = passes.filter((one) => one.lap === lap);
      return places.flatMap((begin) =>
        [1, -1].map((way) => {
          const rank = ({ place }: Pass): number => (way * (places.indexOf(place) - places.indexOf(begin)) + 4) % 4;
          return [...own].sort((p, q) => rank(p) - rank(q) || way * (round.at(p) - round.at(q)));
        }),
      );
    };
    // Each lap begins where the last one ended, when there is work at that place.
    const all = orders('uppers').flatMap((first) =>
      orders('lowers')
        .filter(
          ([one]) =>
            one!.place === first.at(-1)!.place ||
            !passes.some((p) => p.lap === 'lowers' && p.place === first.at(-1)!.place),
        )
        .map((second) => length([...first, ...second])),
    );
    expect(found).toBeCloseTo(Math.min(...all), 6);
  });
});
