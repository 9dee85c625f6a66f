import { usualDay } from '@esmero/core';
import type { Day, DaySetUp, DayStop, Spot, VanSetUp } from '@esmero/model';
import { degrees } from '@esmero/units';
import { jobs } from './jobs';

const spot = (name: string, latitude: number, longitude: number): Spot => ({
  name,
  latitudeDeg: degrees(latitude),
  longitudeDeg: degrees(longitude),
});

const yard = spot('the yard', 43.412, 5.188);

/** A job at a corner of the town, between two hours. */
function stop(
  id: string,
  [latitude, longitude]: readonly [number, number],
  fromHour: number,
  untilHour: number,
): DayStop {
  const job = jobs.find((one) => one.id === id)!;
  return {
    job: {
      ...job,
      date: '2031-07-16',
      site: { ...job.site, latitudeDeg: degrees(latitude), longitudeDeg: degrees(longitude) },
    },
    fromHour,
    untilHour,
  };
}

/** Six cars about the harbour, one of them black and in the open. */
export const harbourDay: Day = {
  id: 'demo-day',
  name: 'Harbour day',
  date: '2031-07-16',
  startHour: 8,
  endHour: 18,
  start: yard,
  end: yard,
  travel: { kind: 'line', roadFactor: 1.4, kmPerHour: 24, parkMin: 3 },
  van: {
    waterL: 60,
    dirtyL: 40,
    batteryMin: 24,
    chargePerMin: 0.2,
    towels: { wash: 20, finish: 12, drying: 6, glass: 6, wheels: 10 },
  },
  restocking: [{ ...spot('the mill tap', 43.404, 5.204), minutes: 12, gives: ['water', 'drain'] }],
  break: { minutes: 30, fromHour: 11.5, untilHour: 13.5 },
  taken: [],
  stops: [
    stop('demo-deck', [43.401, 5.196], 8, 17),
    stop('demo-courtyard', [43.418, 5.207], 8, 12),
    stop('demo-yard', [43.43, 5.19], 9, 16),
    stop('demo-hall', [43.398, 5.21], 13, 17),
    stop('demo-noon', [43.409, 5.221], 8, 17),
    stop('demo-track', [43.436, 5.222], 8, 17),
  ],
  latePrice: 3,
  confidence: 0.8,
  rainFromHour: null,
};

/** The small electric van of two. */
export const harbourVan: VanSetUp = {
  ...{
    id: 'van',
    name: 'The small electric van',
    home: yard,
    tankL: 60,
    inTankL: 60,
    dirtyL: 40,
    inDirtyL: 0,
    chargePerMin: 0.2,
  },
  ...{
    people: 2,
    matL: 30,
    steps: true,
    roadFactor: 1.4,
    kmPerHour: 24,
    parkMin: 3,
    restocking: harbourDay.restocking,
  },
};

/** The day of the harbour as it is set up in the application: its jobs are those of the date. */
export const harbourSetUp = (date: string): DaySetUp => ({
  ...usualDay(date),
  name: harbourDay.name,
  windows: harbourDay.stops.map(({ job, fromHour, untilHour }) => ({ jobId: job.id, fromHour, untilHour })),
});
