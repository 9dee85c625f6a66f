import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { bestTour, leftAlong } from './best';
import { leastCost } from './bound';
import { exactTour } from './exact';
import { tourInOrder } from './in-order';
import { nearlyTour } from './nearly';
import type { Depot, TourProblem, TourStop } from './problem';

/** Slower in the heat of noon, but never over sooner for a later begin. */
const slowAtNoon =
  (minutes: number, more: number) =>
  (begin: number): number =>
    begin + minutes + more * Math.max(0, 1 - Math.abs(begin - 780) / 240);

/** Whoever is there begins. */
const at = (endOf: (begin: number) => number) => (beginMin: number) => [{ beginMin, endMin: endOf(beginMin) }];
const endOf = (one: TourStop, begin: number): number => one.turns(begin)[0]!.endMin;

const stop = fc.record({
  fromMin: fc.integer({ min: 480, max: 720 }),
  window: fc.integer({ min: 30, max: 400 }),
  minutes: fc.integer({ min: 10, max: 80 }),
  more: fc.integer({ min: 0, max: 60 }),
  takes: fc.integer({ min: 0, max: 30 }),
});

const points = (count: number) =>
  fc.array(fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 30 })), {
    minLength: count,
    maxLength: count,
  });

function problems(most: number): fc.Arbitrary<TourProblem> {
  return fc.array(stop, { minLength: 1, maxLength: most }).chain((list) =>
    fc
      .record({
        spots: points(list.length + 2),
        refill: fc.boolean(),
        tank: fc.integer({ min: 30, max: 90 }),
        latePrice: fc.constantFrom(1, 3, 10),
      })
      .map(({ spots, refill, tank, latePrice }): TourProblem => {
        const depots: Depot[] = refill ? [{ place: list.length + 1, minutes: 12, gives: [true] }] : [];
        return {
          travelMin: spots.map(([x, y]) => spots.map(([u, v]) => Math.hypot(x - u, y - v))),
          startPlace: 0,
          endPlace: 0,
          startMin: 480,
          stops: list.map(({ fromMin, window, minutes, more, takes }, i): TourStop => ({
            place: i + 1,
            fromMin,
            untilMin: fromMin + window,
            turns: at(slowAtNoon(minutes, more)),
            takes: [takes],
          })),
          depots,
          holds: [tank],
          has: [tank],
          gainsPerMin: [0],
          latePrice,
        };
      }),
  );
}

/** Every order and every choice of filling up, tried one by one: knows nothing of labels. */
function tried({ travelMin, stops, depots, holds, startMin, latePrice }: TourProblem): number {
  let best = Infinity;
  const go = (place: number, at: number, late: number, left: number, open: readonly number[]): void => {
    if (open.length === 0) {
      best = Math.min(best, at + travelMin[place]![0]! - startMin + latePrice * late);
      return;
    }
    for (const next of open) {
      const one = stops[next]!;
      const visit = (from: number, when: number, there: number): void => {
        if (one.takes[0]! > there + 1e-9) return;
        const begin = Math.max(when + travelMin[from]![one.place!]!, one.fromMin);
        go(
          one.place!,
          endOf(one, begin),
          late + Math.max(0, begin - one.untilMin),
          there - one.takes[0]!,
          open.filter((other) => other !== next),
        );
      };
      visit(place, at, left);
      for (const depot of depots) visit(depot.place, at + travelMin[place]![depot.place]! + depot.minutes, holds[0]!);
    }
  };
  go(
    0,
    startMin,
    0,
    holds[0]!,
    stops.map((_one, i) => i),
  );
  return best;
}

/** The same by branch and bound: a way is given up once the shortest that is left makes it cost too much. */
function searched(problem: TourProblem): number {
  const { travelMin, stops, depots, holds, startMin, latePrice } = problem;
  let best = Infinity;
  const least = stops.map((one) =>
    Math.min(...Array.from({ length: 200 }, (_, i) => endOf(one, 480 + 5 * i) - (480 + 5 * i))),
  );
  const go = (place: number, at: number, late: number, left: number, open: number): void => {
    const rest = stops.reduce((sum, _one, i) => sum + (open & (1 << i) ? least[i]! : 0), 0);
    if (at - startMin + latePrice * late + rest >= best) return;
    if (open === 0) {
      best = Math.min(best, at + travelMin[place]![0]! - startMin + latePrice * late);
      return;
    }
    const nexts = stops
      .map((_one, i) => i)
      .filter((i) => open & (1 << i))
      .sort((p, q) => travelMin[place]![p + 1]! - travelMin[place]![q + 1]!);
    for (const i of nexts) {
      const one = stops[i]!;
      const ways = [
        { from: place, when: at, there: left },
        ...depots.map((depot) => ({
          from: depot.place,
          when: at + travelMin[place]![depot.place]! + depot.minutes,
          there: holds[0]!,
        })),
      ];
      for (const { from, when, there } of ways) {
        if (one.takes[0]! > there + 1e-9) continue;
        const begin = Math.max(when + travelMin[from]![one.place!]!, one.fromMin);
        go(
          one.place!,
          endOf(one, begin),
          late + Math.max(0, begin - one.untilMin),
          there - one.takes[0]!,
          open & ~(1 << i),
        );
      }
    }
  };
  go(0, startMin, 0, holds[0]!, 2 ** stops.length - 1);
  return best;
}

const costOf = (problem: TourProblem): number => bestTour(problem)?.tour.cost ?? Infinity;

describe('the order of a day', () => {
  it('is the best of all orders and all ways to fill up', () => {
    fc.assert(
      fc.property(problems(5), (problem) => void expect(costOf(problem)).toBeCloseTo(tried(problem), 6)),
      { numRuns: runs(60) },
    );
  });

  it('costs what an independent search finds', () => {
    fc.assert(
      fc.property(problems(7), (problem) => void expect(costOf(problem)).toBeCloseTo(searched(problem), 6)),
      { numRuns: runs(12) },
    );
  });

  it('does every stop once, goes on in time, and never takes what the van does not hold', () => {
    fc.assert(
      fc.property(problems(7), (problem) => {
        const tour = exactTour(problem);
        if (!tour) return;
        expect(tour.legs.map((leg) => leg.stop).sort()).toEqual(problem.stops.map((_one, i) => i));
        let at = problem.startMin;
        const takes = tour.legs.map(({ stop }) => problem.stops[stop]!.takes);
        for (const left of leftAlong(tour, problem, takes)) expect(left[0]).toBeGreaterThanOrEqual(-1e-9);
        for (const { arriveMin, beginMin, endMin } of tour.legs) {
          expect(arriveMin).toBeGreaterThanOrEqual(at - 1e-9);
          expect(beginMin).toBeGreaterThanOrEqual(arriveMin - 1e-9);
          expect(endMin).toBeGreaterThan(beginMin);
          at = endMin;
        }
      }),
      { numRuns: runs(40) },
    );
  });

  it('never ends sooner with one more stop, and never later with a larger tank or one more place to fill it', () => {
    fc.assert(
      fc.property(problems(6), fc.integer({ min: 1, max: 60 }), (problem, more) => {
        const cost = costOf(problem);
        expect(costOf({ ...problem, stops: problem.stops.slice(1) })).toBeLessThanOrEqual(cost + 1e-6);
        const larger = problem.holds.map((one) => one + more);
        expect(costOf({ ...problem, holds: larger, has: larger })).toBeLessThanOrEqual(cost + 1e-6);
        const depots = [...problem.depots, { place: 0, minutes: 5, gives: [true] }];
        expect(costOf({ ...problem, depots })).toBeLessThanOrEqual(cost + 1e-6);
      }),
      { numRuns: runs(30) },
    );
  });

  it('has a break wherever one is by then', () => {
    const there: TourStop = { place: 1, fromMin: 480, untilMin: 1000, turns: at((begin) => begin + 60), takes: [0] };
    const pause: TourStop = { place: null, fromMin: 530, untilMin: 560, turns: at((begin) => begin + 30), takes: [0] };
    const tour = exactTour({
      travelMin: [
        [0, 10],
        [10, 0],
      ],
      startPlace: 0,
      endPlace: 0,
      startMin: 480,
      stops: [there, pause],
      depots: [],
      holds: [0],
      has: [0],
      gainsPerMin: [0],
      latePrice: 3,
    })!;
    expect(tour.legs.map((leg) => leg.stop)).toEqual([0, 1]);
    expect(tour.legs[1]!.arriveMin).toBe(550);
    expect(tour.endMin).toBe(590);
  });

  it('waits for a cooler hour where the work cannot be done before it', () => {
    const cool: TourStop = {
      place: 1,
      fromMin: 600,
      untilMin: 1200,
      turns: (now) => [{ beginMin: Math.max(now, 900), endMin: Math.max(now, 900) + 60 }],
      takes: [0],
    };
    const any: TourStop = { ...cool, place: 2, fromMin: 480, turns: at((begin) => begin + 90) };
    const tour = exactTour({
      travelMin: [
        [0, 5, 5],
        [5, 0, 5],
        [5, 5, 0],
      ],
      startPlace: 0,
      endPlace: 0,
      startMin: 720,
      stops: [cool, any],
      depots: [],
      holds: [0],
      has: [0],
      gainsPerMin: [0],
      latePrice: 3,
    })!;
    expect(tour.legs.map((leg) => leg.stop)).toEqual([1, 0]);
  });
});

describe('a day of many stops', () => {
  it('is put in order nearly as well, and says by how much at most it falls short', () => {
    fc.assert(
      fc.property(problems(7), (problem) => {
        const [exact, nearly] = [exactTour(problem), nearlyTour(problem)];
        if (!exact || !nearly) return;
        expect(nearly.tour.cost).toBeGreaterThanOrEqual(exact.cost - 1e-6);
        expect(leastCost(problem)).toBeLessThanOrEqual(exact.cost + 1e-6);
        expect(nearly.tour.cost * (1 - nearly.within)).toBeLessThanOrEqual(exact.cost + 1e-6);
      }),
      { numRuns: runs(25) },
    );
  });

  it('costs in one order what that order costs', () => {
    fc.assert(
      fc.property(problems(6), (problem) => {
        const exact = exactTour(problem);
        if (exact)
          expect(
            tourInOrder(
              exact.legs.map((leg) => leg.stop),
              problem,
            )!.cost,
          ).toBeCloseTo(exact.cost, 6);
      }),
      { numRuns: runs(25) },
    );
  });
});
