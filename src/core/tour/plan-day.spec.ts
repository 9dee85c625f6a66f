import { beforeAll, describe, expect, it } from 'vitest';
import type { Day, DayStop, Job, Site, SoilMap } from '../model';
import { planJob } from '../planning/plan-job';
import { finish } from '../studies';
import { sampleGear, sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { celsius, degrees } from '../units';
import { dayMends, withDayChange } from './mends';
import { type DayPlan, DayPlanner } from './plan-day';
import { deviationsFor } from './service';
import { stockKinds } from './stocks';
import { kmBetween, travelTable } from './travel';

const base = { name: 'Yard', latitudeDeg: degrees(43.4), longitudeDeg: degrees(5.2) };
/** A place so many kilometres north of the yard. */
const north = (km: number): Pick<Site, 'latitudeDeg' | 'longitudeDeg'> => ({
  latitudeDeg: degrees(43.4 + km / 111.2),
  longitudeDeg: degrees(5.2),
});

function stop(id: string, km: number, rest: Partial<Job> = {}, window: Partial<DayStop> = {}): DayStop {
  const job = sampleJob({ id, name: id, scope: ['body', 'glass'], soil: soilAll('dust', 1), ...rest });
  return { job: { ...job, site: { ...job.site, ...north(km) } }, fromHour: 8, untilHour: 17, ...window };
}

const day = (stops: readonly DayStop[], rest: Partial<Day> = {}): Day => ({
  id: 'day',
  name: 'A day',
  date: '2031-07-14',
  startHour: 8,
  endHour: 18,
  start: base,
  end: base,
  travel: { kind: 'line', roadFactor: 1.3, kmPerHour: 30, parkMin: 2 },
  van: {
    waterL: 200,
    dirtyL: 200,
    batteryMin: 200,
    chargePerMin: 0,
    towels: { wash: 60, finish: 60, drying: 20, glass: 20, wheels: 20 },
  },
  restocking: [],
  break: null,
  taken: [],
  stops,
  latePrice: 3,
  confidence: 0.8,
  rainFromHour: null,
  ...rest,
});

const planned = (of: Day): DayPlan => finish(new DayPlanner().plan(of));
const order = ({ legs }: DayPlan): readonly (number | null)[] => legs.map((leg) => leg.stop);
const left = (plan: DayPlan, leg: number, kind: (typeof stockKinds)[number]): number =>
  plan.legs[leg]!.left[stockKinds.indexOf(kind)]!;

describe('ways between places', () => {
  it('are as long as the earth is round, and take their time by road', () => {
    expect(kmBetween(base, { ...base, latitudeDeg: degrees(44.4) })).toBeCloseTo(111.2, 1);
    const table = travelTable(day([stop('near', 3)]));
    expect(table[0]![2]).toBeCloseTo(((3 * 1.3) / 30) * 60 + 2, 1);
    expect(table[0]![0]).toBe(0);
    expect(table[0]![1]).toBe(0);
  });
});

describe('a share of days', () => {
  it('is so many deviations from the middle', () => {
    for (const [share, z] of [
      [0.5, 0],
      [0.8, 0.8416],
      [0.9, 1.2816],
      [0.975, 1.96],
      [0.1, -1.2816],
    ] as const)
      expect(deviationsFor(share)).toBeCloseTo(z, 2);
  });
});

describe('a day of stops', () => {
  it('with one of them is that job at its hour, with its way there and back', () => {
    const only = stop('only', 6);
    const plan = planned(day([only]));
    const [leg] = plan.legs;
    const slot = planJob(leg!.visit!.job);
    expect(leg!.visit!.plan.totals.minutes.value).toBeCloseTo(slot.totals.minutes.value, 6);
    expect(leg!.endMin - leg!.beginMin).toBeGreaterThan(slot.slot.value);
    expect(plan.endMin - leg!.endMin).toBeCloseTo(leg!.arriveMin - 480, 6);
  });

  it('goes along the road and back rather than to and fro, and keeps to windows', () => {
    const stops = [stop('far', 9), stop('near', 2), stop('middle', 5)];
    const plan = planned(day(stops));
    const worked = plan.legs.reduce((sum, { beginMin, endMin }) => sum + endMin - beginMin, 0);
    // Out to the farthest and back once, and parked four times.
    expect(plan.endMin - 480 - worked).toBeCloseTo(((18 * 1.3) / 30) * 60 + 4 * 2, 1);
    const early = planned(day([stops[0]!, stops[1]!, { ...stops[2]!, untilHour: 8.5 }]));
    expect(order(early)[0]).toBe(2);
    expect(early.lateMin).toBe(0);
  });

  it('never ends sooner with one more stop, nor later with a larger tank', () => {
    const stops = [stop('a', 4), stop('b', 8), stop('c', 2)];
    const three = planned(day(stops));
    expect(planned(day(stops.slice(0, 2))).endMin).toBeLessThanOrEqual(three.endMin + 1e-6);
    const small = day(stops, {
      van: { ...day([]).van, waterL: 12 },
      restocking: [{ ...base, name: 'Tap', minutes: 15, gives: ['water'] }],
    });
    expect(three.endMin).toBeLessThanOrEqual(planned(small).endMin + 1e-6);
  });

  it('does a black car that stands in the sun in the morning or the evening, unless its window forbids', () => {
    const open = { shade: false, sunWm2: 850, windMs: 1, airC: celsius(34) };
    const black = (window: Partial<DayStop>): DayStop =>
      stop(
        'black',
        3,
        { vehicle: { ...sampleVehicle('sedan'), colour: 'black' }, hour: 13, site: { ...sampleSite, ...open } },
        window,
      );
    const others = [stop('b', 2), stop('c', 4), stop('d', 5)];
    const hourOf = (plan: DayPlan): number => plan.legs.find((leg) => leg.stop === 0)!.beginMin / 60;
    const free = planned(day([black({}), ...others]));
    expect(free.cannot).toEqual([]);
    expect(hourOf(free) < 10.5 || hourOf(free) > 16).toBe(true);
    // Begun in the heat, it is looked at there first, and found to do later.
    const hot = planned(day([black({ fromHour: 13, untilHour: 22 }), ...others], { endHour: 23 }));
    expect(hot.cannot).toEqual([]);
    for (const leg of hot.legs) expect(leg.left.every(Number.isFinite)).toBe(true);
    const noon = planned(day([black({ fromHour: 12, untilHour: 13 }), ...others]));
    const then = noon.cannot.includes(0) ? 12 : hourOf(noon);
    expect(then).toBeGreaterThanOrEqual(12);
  });
});

describe('a van along a day', () => {
  const salted: SoilMap = soilAll('salt', 2);
  const rinsed = (id: string, km: number): DayStop =>
    stop(id, km, {
      soil: salted,
      scope: ['body', 'glass', 'wheels'],
      gear: [sampleGear('cordless-wand')],
      site: { ...sampleSite, runoff: 'allowed', waterL: 60, minutes: 240 },
    });
  const three = [rinsed('one', 2), rinsed('two', 4), rinsed('three', 6)];
  const van = { ...day([]).van, waterL: 30 };
  let dry: DayPlan;
  beforeAll(() => void (dry = planned(day(three, { van }))));

  it('says what is short first, and where', () => {
    expect(dry.shortage?.kind).toBe('water');
    expect(dry.shortage!.needs).toBeGreaterThan(dry.shortage!.left);
    for (const leg of dry.legs.keys())
      for (const kind of stockKinds) expect(left(dry, leg, kind)).toBeGreaterThanOrEqual(0);
  });

  it('fills up on the way where there is water, and names when', () => {
    const tap = { ...base, ...north(5), name: 'Tap at the mill', minutes: 15, gives: ['water', 'drain'] as const };
    const plan = planned(day(three, { van, restocking: [tap] }));
    expect(plan.shortage).toBeNull();
    const filling = plan.legs.filter(({ restock }) => restock === 0);
    expect(filling.length).toBeGreaterThan(0);
    for (const leg of plan.legs.keys()) expect(left(plan, leg, 'water')).toBeGreaterThanOrEqual(0);
  });

  it('is mended by more water, filling up or leaving a stop, each planned anew', () => {
    const planner = new DayPlanner();
    const of = day(three, { van });
    const mends = finish(dayMends(of, finish(planner.plan(of)), planner));
    const codes = mends.map(({ change }) => change.code);
    expect(codes).toContain('restock');
    expect(codes).toContain('leave');
    for (const { change, plan } of mends) {
      expect(plan.shortage?.kind).not.toBe('water');
      expect(planned(withDayChange(of, change)).cost).toBeCloseTo(plan.cost, 6);
    }
    // What does everything comes before what leaves a stop.
    const kept = mends
      .filter(({ plan }) => plan.shortage === null)
      .map(({ change }) => Number(change.code === 'leave'));
    expect(kept).toEqual([...kept].sort((p, q) => p - q));
    const more = mends.find(({ change }) => change.code === 'carry-more');
    if (more?.change.code === 'carry-more')
      expect(planned(withDayChange(of, { ...more.change, amount: more.change.amount - 10 })).shortage?.kind).toBe(
        'water',
      );
  });

  it('takes no water where there is a tap, and comes away with a full tank', () => {
    const tapped = three.map((one, i) =>
      i === 1 ? { ...one, job: { ...one.job, site: { ...one.job.site, tap: true } } } : one,
    );
    const plan = planned(day(tapped, { van }));
    const at = plan.legs.findIndex((leg) => leg.stop === 1);
    expect(left(plan, at, 'water')).toBe(30);
  });
});
