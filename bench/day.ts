import { DayPlanner, dayMends, finish, planLot } from '@esmero/core';
import { dealerLot, demoJobs, harbourDay } from '@esmero/demo';
import { exactTour } from '../src/core/tour/exact';
import type { TourProblem } from '../src/core/tour/problem';

const WARM_UP = 2;
const RUNS = 9;

const timed = (work: () => unknown): string => {
  for (let run = 0; run < WARM_UP; run++) work();
  const sorted = Array.from({ length: RUNS }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  }).sort((p, q) => p - q);
  return `${sorted[Math.floor(RUNS / 2)]!.toFixed(0).padStart(7)} ${sorted.at(-1)!.toFixed(0).padStart(6)}`;
};

/** A day of twelve stops, three stocks and two places to fill up, from a fixed seed. */
function dayOfTwelve(): TourProblem {
  let seed = 7;
  const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const spots = Array.from({ length: 14 }, () => [random() * 30, random() * 30] as const);
  return {
    travelMin: spots.map(([x, y]) => spots.map(([u, v]) => Math.hypot(x - u, y - v))),
    startPlace: 0,
    endPlace: 0,
    startMin: 480,
    stops: Array.from({ length: 12 }, (_, i) => ({
      place: i + 1,
      fromMin: 480 + random() * 300,
      untilMin: 700 + random() * 300,
      turns: (beginMin: number) => [
        { beginMin, endMin: beginMin + 35 + 20 * Math.max(0, 1 - Math.abs(beginMin - 780) / 240) },
      ],
      takes: [10 + random() * 10, random() * 4, 5],
    })),
    depots: [
      { place: 13, minutes: 12, gives: [true, false, true] },
      { place: 0, minutes: 60, gives: [true, true, true] },
    ],
    holds: [60, 30, 60],
    has: [60, 30, 60],
    gainsPerMin: [0, 0, 0],
    latePrice: 3,
  };
}

const twelve = dayOfTwelve();
const wholeDay = {
  ...harbourDay,
  stops: demoJobs
    .slice(0, 12)
    .map((job, i) => ({ job: { ...job, id: `stop-${i}`, date: harbourDay.date }, fromHour: 8, untilHour: 18 })),
};
process.stdout.write('\nA day, ms                              median   most\n');
for (const [name, work] of [
  ['twelve stops put in order, exactly', () => exactTour(twelve)],
  ['twelve stops, each planned at its hour', () => finish(new DayPlanner().plan(wholeDay))],
  ['six stops, each at its hour', () => finish(new DayPlanner().plan(harbourDay))],
  ['a lot of seventy-five', () => finish(planLot(dealerLot))],
  [
    'what would mend the first shortage',
    () => {
      const planner = new DayPlanner();
      return finish(dayMends(harbourDay, finish(planner.plan(harbourDay)), planner));
    },
  ],
] as const)
  process.stdout.write(`${name.padEnd(38)} ${timed(work)}\n`);
