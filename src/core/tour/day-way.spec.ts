import { randomLcg, randomNormal } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions } from '../assumptions';
import type { Day, DayStop, Job, Site, Van } from '../model';
import { finish } from '../studies';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { degrees } from '../units';
import { briefDay } from './brief';
import { dayChances } from './chances';
import { withDayChange } from './mends';
import { type DayPlan, DayPlanner, type DayWay } from './plan-day';
import { stockKinds } from './stocks';
import { travelTable } from './travel';

const base = { name: 'Yard', latitudeDeg: degrees(43.4), longitudeDeg: degrees(5.2) };
const van: Van = {
  waterL: 200,
  dirtyL: 200,
  batteryMin: 200,
  chargePerMin: 0,
  towels: { wash: 60, finish: 60, drying: 20, glass: 20, wheels: 20 },
};

/** A stop so many kilometres north of the yard. */
function stop(id: string, km: number, site: Partial<Site> = {}, rest: Partial<Job> = {}): DayStop {
  const job = sampleJob({ id, name: id, scope: ['body', 'glass'], soil: soilAll('dust', 1), ...rest });
  return {
    job: {
      ...job,
      site: { ...sampleSite, ...site, latitudeDeg: degrees(43.4 + km / 111.2), longitudeDeg: degrees(5.2) },
    },
    fromHour: 8,
    untilHour: 17,
  };
}

const stops = [stop('far', 9), stop('near', 2), stop('middle', 5)];
const day = (rest: Partial<Day> = {}): Day => ({
  ...{
    id: 'day',
    name: 'A day',
    date: '2031-07-14',
    startHour: 8,
    endHour: 18,
    start: base,
    end: base,
    van,
    restocking: [],
    break: null,
    taken: [],
    stops,
    latePrice: 3,
    confidence: 0.8,
    rainFromHour: null,
  },
  travel: { kind: 'line', roadFactor: 1.3, kmPerHour: 30, parkMin: 2 },
  ...rest,
});
const planner = new DayPlanner();
const planned = (of: Day, way: DayWay = {}): DayPlan => finish(planner.plan(of, way));
const order = ({ legs }: DayPlan): readonly (number | null)[] => legs.map((leg) => leg.stop);

describe('a day in the order that somebody has put', () => {
  const best = planned(day());

  it('keeps to it, and never costs less than the best one', () => {
    for (const put of [
      [0, 1, 2],
      [1, 2, 0],
      [2, 0, 1],
    ]) {
      const plan = planned(day(), { order: put });
      expect(order(plan)).toEqual(put);
      expect(plan.cost).toBeGreaterThanOrEqual(best.cost - 1e-6);
    }
    expect(planned(day(), { order: order(best) as number[] }).cost).toBeCloseTo(best.cost, 6);
  });

  it('puts the break where it costs least', () => {
    const plan = planned(day({ break: { minutes: 30, fromHour: 9, untilHour: 12 } }), { order: [0, 2, 1] });
    expect(order(plan).filter((one) => one !== null)).toEqual([0, 2, 1]);
    expect(order(plan)).toContain(null);
    expect(plan.lateMin).toBe(0);
  });
});

describe('hours that are taken', () => {
  const dentist = { name: 'Dentist', fromHour: 10, untilHour: 11.5 };
  const taken = (rest: Partial<Day> = {}, way: DayWay = {}): DayPlan =>
    planned(day({ taken: [dentist], ...rest }), way);

  it('are kept free at their time, whatever is put around them', () => {
    const plan = taken({ break: { minutes: 30, fromHour: 12, untilHour: 14 } });
    const pause = plan.legs.find((leg) => leg.taken !== null)!;
    expect([pause.beginMin, pause.endMin, pause.visit]).toEqual([600, 690, null]);
    for (const leg of plan.legs)
      if (leg !== pause) expect(leg.endMin <= 600 + 1e-6 || leg.beginMin >= 690 - 1e-6).toBe(true);
    expect(
      order(plan)
        .filter((one) => one !== null)
        .sort(),
    ).toEqual([0, 1, 2]);
    expect(plan.endMin).toBeGreaterThan(planned(day()).endMin);
  });

  it('cost nothing outside the day, and nothing once they are over', () => {
    expect(
      taken({ taken: [{ ...dentist, fromHour: 19, untilHour: 20 }] }).legs.every((leg) => leg.taken === null),
    ).toBe(true);
    expect(taken({}, { since: { atMin: 700, done: [], van } }).legs.every((leg) => leg.taken === null)).toBe(true);
    expect(taken({}, { since: { atMin: 620, done: [], van } }).legs[0]).toMatchObject({
      taken: 0,
      beginMin: 620,
      endMin: 690,
    });
  });

  it('are where they are on every one of many days', () => {
    const plan = taken();
    const { legs } = finish(dayChances(day({ taken: [dentist] }), plan, 0.9));
    const at = plan.legs.findIndex((leg) => leg.taken !== null);
    expect(legs[at]!.highMin).toBeGreaterThanOrEqual(690 - 1e-6);
    expect(legs[at]!.lowMin).toBeCloseTo(690, 6);
  });
});

describe('a day that is under way', () => {
  it('goes on from the last stop, at that time, with what the van still has', () => {
    const now = { ...van, waterL: 30, towels: { ...van.towels, wash: 40 } };
    const plan = planned(day(), { since: { atMin: 660, done: [2], van: now } });
    expect(order(plan)).not.toContain(2);
    expect(plan.cannot).toEqual([]);
    const first = plan.legs[0]!;
    expect(first.arriveMin).toBeCloseTo(660 + travelTable(day())[4]![2 + first.stop!]!, 6);
    expect(first.left[0]! + first.takes[0]!).toBeCloseTo(30, 6);
    expect(first.left[stockKinds.indexOf('wash')]! + first.takes[stockKinds.indexOf('wash')]!).toBe(40);
  });

  it('has no break that is past its time', () => {
    const pause = { minutes: 30, fromHour: 9, untilHour: 10 };
    expect(order(planned(day({ break: pause }), { since: { atMin: 660, done: [], van } }))).not.toContain(null);
    expect(order(planned(day({ break: pause }), { since: { atMin: 500, done: [], van } }))).toContain(null);
  });

  it('is over where all is done', () => {
    const plan = planned(day(), { since: { atMin: 700, done: [0, 1, 2], van } });
    expect(plan.legs).toEqual([]);
    expect(plan.endMin).toBeCloseTo(700 + travelTable(day())[4]![1]!, 6);
  });
});

describe('rain on a day', () => {
  it('has cars in the open done before it, or not on this day, and those under a roof when they suit', () => {
    const mixed = [stop('open', 2), stop('roofed', 4, { indoors: true }), stop('open too', 6)];
    const plan = planned(day({ stops: mixed, rainFromHour: 10.5 }));
    for (const { stop: of, endMin } of plan.legs) if (of !== 1) expect(endMin).toBeLessThanOrEqual(630);
    expect(order(plan)).toContain(1);
    const wet = planned(day({ stops: mixed, rainFromHour: 8 }));
    expect([...wet.cannot].sort()).toEqual([0, 2]);
    expect(order(wet)).toEqual([1]);
  });

  it('never has more done the sooner it sets in', () => {
    const done = [8, 9, 10, 12, 24].map((rainFromHour) => planned(day({ rainFromHour })).legs.length);
    expect(done).toEqual([...done].sort((p, q) => p - q));
  });
});

describe('a change of a day with typed minutes', () => {
  it('keeps every place in its row', () => {
    const table = travelTable(day());
    const typed = day({ travel: { kind: 'table', minutes: table } });
    const without = withDayChange(typed, { code: 'leave', stop: 1 });
    expect(travelTable(without)).toEqual(travelTable(day({ stops: [stops[0]!, stops[2]!] })));
    const back = withDayChange(typed, { code: 'restock', gives: 'water', minutes: 15 });
    expect(travelTable(back)).toEqual(travelTable({ ...day(), restocking: back.restocking }));
  });
});

describe('a day gone through many times', () => {
  const plan = planned(day());
  const sure = finish(dayChances(day(), plan, 0.9));

  it('comes out the same each time, between never and always', () => {
    expect(finish(dayChances(day(), plan, 0.9))).toEqual(sure);
    expect(sure.inTime).toBeGreaterThan(0.9);
    expect(finish(dayChances(day({ endHour: 8.5 }), plan, 0.9)).inTime).toBe(0);
  });

  it('holds eight of ten days at every stop where one pace lasts all day', () => {
    const normal = randomNormal.source(randomLcg(0.31))(0, Math.log(defaultAssumptions.spreadUsage));
    const days = Array.from({ length: 4000 }, () => {
      const pace = Math.exp(normal());
      let [at, before] = [0, 0];
      return plan.legs.map(({ visit, beginMin, endMin }) => {
        const workMin = visit!.plan.timeline.elapsedS / 60;
        // What lies between is as planned.
        at = at + (beginMin - before) + (visit!.plan.slot.value - workMin) + workMin * pace;
        before = endMin;
        return at;
      });
    });
    for (const [i, { lowMin, highMin }] of sure.legs.entries()) {
      const share = days.filter((ends) => ends[i]! >= lowMin && ends[i]! <= highMin).length / days.length;
      expect(share).toBeGreaterThan(0.74);
      expect(share).toBeLessThan(0.88);
    }
  });

  it('is surer of a later end', () => {
    const shares = [9.5, 10.5, 11.5, 13].map((endHour) => finish(dayChances(day({ endHour }), plan, 0.9)).inTime);
    expect(shares).toEqual([...shares].sort((p, q) => p - q));
  });

  it('carries more for more certainty, and never less than the middle', () => {
    const surer = finish(dayChances(day(), plan, 0.97));
    expect(surer.litres.carry).toBeGreaterThanOrEqual(sure.litres.carry);
    for (const { carry, median } of [sure.litres, sure.endMin, ...sure.towels, ...sure.products])
      expect(carry).toBeGreaterThanOrEqual(median);
    for (const { lowMin, highMin, slackMin } of sure.legs) {
      expect(highMin).toBeGreaterThanOrEqual(lowMin);
      expect(slackMin).toBeGreaterThanOrEqual(0);
    }
  });

  it('has as much slack at the last stop as there is until the end of the day', () => {
    const last = plan.legs.at(-1)!;
    expect(sure.legs.at(-1)!.slackMin).toBeCloseTo(18 * 60 - (plan.endMin - last.endMin) - last.endMin, 6);
  });

  it('takes no water out of the van where there is a tap', () => {
    const tapped = day({ stops: [stop('tap', 3, { tap: true })] });
    expect(finish(dayChances(tapped, planned(tapped), 0.9)).litres.carry).toBe(0);
  });
});

describe('a day in brief', () => {
  it('says how each stop is washed and how warm it is, and carries no plans', () => {
    const { legs } = briefDay(planned(day()));
    for (const leg of legs) {
      expect(leg.method).not.toBeNull();
      expect(leg.panelC).toBeGreaterThan(0);
      expect(leg).not.toHaveProperty('visit');
    }
  });

  it('has what is left in a sprayer do for the next car of the same mix, never more than that takes', () => {
    const { legs } = briefDay(planned(day()));
    expect(legs[0]!.carried).toEqual([]);
    const carried = legs.slice(1).flatMap((leg) => leg.carried);
    expect(carried.length).toBeGreaterThan(0);
    for (const { ml } of carried) expect(ml).toBeGreaterThan(0);
    // A bucket that a mitt goes back into serves one car.
    const soiled = day({
      stops: stops.map((one) => ({
        ...one,
        job: {
          ...one.job,
          choices: { ...one.job.choices, method: 'rinseless' as const, bucket: 'one-guarded' as const },
        },
      })),
    });
    const plan = planned(soiled);
    const inBuckets = plan.legs.flatMap(({ visit }) =>
      visit!.plan.mix.mixes.filter(({ content }) => content === 'wash').map(({ productName }) => productName),
    );
    expect(inBuckets.length).toBeGreaterThan(0);
    const others = plan.legs.flatMap(({ visit }) =>
      visit!.plan.mix.mixes.filter(({ content }) => content !== 'wash').map(({ productName }) => productName),
    );
    for (const { productName } of briefDay(plan).legs.flatMap((leg) => leg.carried))
      expect(others).toContain(productName);
  });
});
