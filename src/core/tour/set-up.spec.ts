import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LibraryEntry, LotSetUp } from '../model';
import { sampleJob, sampleSite, sampleVehicle } from '../testing/sample';
import { degrees } from '../units';
import { lotPace } from './lot-pace';
import { dayOf, fullVan, lotOf, usualDay, usualLot, usualVan, vanNow } from './set-up';
import { rowOfStop, travelTable } from './travel';

const home = { name: 'Yard', latitudeDeg: degrees(43.4), longitudeDeg: degrees(5.2) };
const van = {
  ...usualVan(home),
  tankL: 60,
  inTankL: 25,
  dirtyL: 40,
  inDirtyL: 10,
  restocking: [{ ...home, name: 'Mill', minutes: 12, gives: ['water'] as const }],
};
const stock = { batteryMin: 24, towels: { wash: 10, finish: 8, drying: 2, glass: 4, wheels: 6 } };
const away = (id: string, km: number) =>
  sampleJob({ id, site: { ...sampleSite, latitudeDeg: degrees(43.4 + km / 111.2), longitudeDeg: degrees(5.2) } });
const jobs = [away('a', 3), away('b', 7)];

describe('a van', () => {
  it('is full in the morning, and now holds what is in it', () => {
    expect(fullVan(van, stock)).toMatchObject({ waterL: 60, dirtyL: 40, batteryMin: 24, towels: stock.towels });
    expect(vanNow(van, stock)).toMatchObject({ waterL: 25, dirtyL: 30 });
    // Whatever was typed: no more than it holds, and no less than nothing.
    expect(vanNow({ ...van, inTankL: 99, inDirtyL: 99 }, stock)).toMatchObject({ waterL: 60, dirtyL: 0 });
  });
});

describe('a day with its jobs', () => {
  it('has them at its date, within their own hours or those of the day', () => {
    const day = dayOf(
      { ...usualDay('2031-07-20'), windows: [{ jobId: 'b', fromHour: 9, untilHour: 10 }] },
      jobs,
      van,
      stock,
    );
    expect(day.stops.map(({ job: { date }, fromHour, untilHour }) => [date, fromHour, untilHour])).toEqual([
      ['2031-07-20', 8, 18],
      ['2031-07-20', 9, 10],
    ]);
  });

  it('has what is carried and filled up besides on that day', () => {
    const day = dayOf(
      {
        ...usualDay('2031-07-20'),
        more: [
          { kind: 'water', amount: 20 },
          { kind: 'drying', amount: 4 },
        ],
        restocking: [{ ...home, minutes: 90, gives: ['towels'] }],
      },
      jobs,
      van,
      stock,
    );
    expect(day.van).toMatchObject({ waterL: 80, towels: { drying: 6, wash: 10 } });
    expect(day.restocking.map(({ name }) => name)).toEqual(['Mill', 'Yard']);
  });

  it('goes by the minutes that somebody knows, both ways, and by the straight line elsewhere', () => {
    const plain = travelTable(dayOf(usualDay('2031-07-20'), jobs, van, stock));
    const ways = [
      { from: 'home', to: 'a', minutes: 33 },
      { from: 'b', to: 'Mill', minutes: 44 },
      { from: 'b', to: 'gone', minutes: 1 },
    ];
    const table = travelTable(dayOf({ ...usualDay('2031-07-20'), ways }, jobs, van, stock));
    const [a, b, mill] = [rowOfStop(0), rowOfStop(1), 4];
    for (const [p, q] of [
      [0, a],
      [a, 0],
      [1, a],
      [a, 1],
    ] as const)
      expect(table[p]![q]).toBe(33);
    expect([table[b]![mill], table[mill]![b]]).toEqual([44, 44]);
    expect(table[a]![b]).toBe(plain[a]![b]);
  });
});

describe('a lot with its cars', () => {
  const library: readonly LibraryEntry[] = [
    { kind: 'vehicle', archived: false, item: { ...sampleVehicle('sedan'), id: 'v-1' } },
    { kind: 'site', archived: false, item: { ...sampleSite, id: 's-1' } },
  ];
  const lot: LotSetUp = usualLot('lot', '2031-07-20', library);

  it('is washed at its place, with the dirt of each kind all over', () => {
    const { classes } = lotOf({ ...lot, method: 'rinseless' }, library, fullVan(van, stock), []);
    expect(classes).toHaveLength(1);
    const [{ job, count }] = classes as [(typeof classes)[number]];
    expect(count).toBe(20);
    expect(job.site.id).toBe('s-1');
    expect(job.choices.method).toBe('rinseless');
    expect(Object.values(job.soil).every((zone) => zone!.deposits[0]!.kind === 'dust')).toBe(true);
  });

  it('leaves out kinds whose car is gone, and of which there is none', () => {
    const classes = [
      ...lot.classes,
      { ...lot.classes[0]!, name: 'gone', vehicleId: 'v-9' },
      { ...lot.classes[0]!, name: 'none', count: 0 },
    ];
    expect(lotOf({ ...lot, classes }, library, fullVan(van, stock), []).classes.map(({ name }) => name)).toEqual([
      'dusty cars',
    ]);
  });
});

describe('the pace of a lot', () => {
  const cars = Array.from({ length: 75 }, (_, i) => ({
    of: 0,
    person: 0,
    beginMin: 480 + 8 * i,
    endMin: 487 + 8 * i,
    freshWater: i === 0,
  }));
  const plan = { cars, minutesACar: 7 };
  const done = (minutes: readonly number[]) =>
    minutes.reduce<{ car: number; person: number; at: number }[]>(
      (all, min, car) => [...all, { car, person: 0, at: (all.at(-1)?.at ?? 0) + min * 60_000 }],
      [],
    );

  it('is the plan’s before any car is done', () => {
    const pace = lotPace(plan, 1, [], null);
    expect(pace.leftMin.median).toBeCloseTo(75 * 7, 6);
    expect(pace.leftMin.low).toBeLessThan(pace.leftMin.median);
    expect(pace.left).toBe(75);
  });

  it('leans to what cars took, the more the more are done, and is surer then', () => {
    const few = lotPace(plan, 1, done([10, 10]), 0);
    const many = lotPace(plan, 1, done(Array.from({ length: 30 }, () => 10)), 0);
    expect(few.minutesACar).toBeGreaterThan(7);
    expect(many.minutesACar).toBeGreaterThan(few.minutesACar);
    expect(many.minutesACar).toBeLessThan(10);
    const width = ({ leftMin: { low, high, median } }: typeof few): number => (high - low) / median;
    expect(width(many)).toBeLessThan(width(few));
  });

  it('does not take a break for a pace', () => {
    expect(lotPace(plan, 1, done([7, 90, 7]), 0).cars).toBe(2);
  });

  it('takes cars that are ticked off at once for washed one after the other, and none for washed in no time', () => {
    const at = 28 * 60_000;
    const later = [0, 1, 2, 3].map((car) => ({ car, person: 0, at: at + car * 1000 }));
    const pace = lotPace(plan, 1, later, 0);
    expect(pace.cars).toBe(4);
    expect(pace.ratio).toBeCloseTo(1, 2);
    expect(
      lotPace(
        plan,
        1,
        [0, 1, 2].map((car) => ({ car, person: 0, at: car * 100 })),
        0,
      ).minutesACar,
    ).toBeCloseTo(7, 6);
  });

  it('has less left with every car, and half with two people', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 2, max: 20, noNaN: true }), { maxLength: 40 }), (minutes) => {
        const pace = lotPace(plan, 1, done(minutes), 0);
        expect(pace.left).toBe(75 - minutes.length);
        expect(pace.leftMin.low).toBeLessThanOrEqual(pace.leftMin.median);
        expect(pace.leftMin.high).toBeGreaterThanOrEqual(pace.leftMin.median);
        expect(lotPace(plan, 2, done(minutes), 0).leftMin.median).toBeCloseTo(pace.leftMin.median / 2, 6);
      }),
    );
  });
});
