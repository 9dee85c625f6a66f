import { defaultChoices, habitsIn, newJob } from '../edit';
import type {
  Blocked,
  Brought,
  Day,
  DaySetUp,
  EntryItems,
  EntryKind,
  Job,
  LibraryEntry,
  Lot,
  LotClassSetUp,
  LotSetUp,
  Spot,
  TowelRole,
  Travel,
  Van,
  VanSetUp,
} from '../model';
import { zonesIn } from '../vehicle';
import { carrying } from './stocks';
import { END, START, rowOfRestock, rowOfStop, travelTable } from './travel';

/** What the stock has for a van. */
export interface InStock {
  readonly batteryMin: number;
  readonly towels: Readonly<Record<TowelRole, number>>;
}

/** Earliest and latest that a job may be begun, unless its day says otherwise. */
const windowOf = (
  { windows, startHour, endHour }: DaySetUp,
  jobId: string,
): { readonly fromHour: number; readonly untilHour: number } => {
  const { fromHour, untilHour } = windows.find((one) => one.jobId === jobId) ?? {
    fromHour: startHour,
    untilHour: endHour,
  };
  return { fromHour, untilHour };
};

/** A van that is full in the morning. */
export const fullVan = ({ tankL, dirtyL, chargePerMin }: VanSetUp, { batteryMin, towels }: InStock): Van => ({
  waterL: tankL,
  dirtyL,
  batteryMin,
  chargePerMin,
  towels,
});

/** A van as it stands now. */
export const vanNow = (van: VanSetUp, stock: InStock): Van => ({
  ...fullVan(van, stock),
  waterL: Math.min(van.tankL, van.inTankL),
  dirtyL: Math.max(0, van.dirtyL - van.inDirtyL),
});

/** With what is carried besides on a day. */
export const withMore = (van: Van, { more }: DaySetUp): Van =>
  more.reduce((all, { kind, amount }) => carrying(all, kind, amount), van);

/** The name that a typed way knows a row of the travel table by. */
function keysOf({ stops, restocking }: Day): ReadonlyMap<string, number> {
  return new Map([
    ['home', START],
    ...stops.map(({ job }, i): [string, number] => [job.id, rowOfStop(i)]),
    ...restocking.map(({ name }, i): [string, number] => [name, rowOfRestock({ stops }, i)]),
  ]);
}

/** Straight lines, but for the ways of which somebody knows better. */
function travelOf(day: Day, { ways }: DaySetUp): Travel {
  if (ways.length === 0) return day.travel;
  const rows = keysOf(day);
  const minutes = travelTable(day).map((row) => [...row]);
  for (const { from, to, minutes: known } of ways) {
    const [p, q] = [rows.get(from), rows.get(to)];
    if (p === undefined || q === undefined) continue;
    for (const [a, b] of [
      [p, q],
      [q, p],
    ] as const) {
      minutes[a]![b] = known;
      // The day ends where it starts.
      if (a === START) minutes[END]![b] = known;
      if (b === START) minutes[a]![END] = known;
    }
  }
  return { kind: 'table', minutes };
}

/**
 * A day with its jobs and its van.
 * @param jobs those of that date, in any order
 * @param blocked hours that are taken, of any date
 */
export function dayOf(
  setUp: DaySetUp,
  jobs: readonly Job[],
  van: VanSetUp,
  stock: InStock,
  blocked: readonly Blocked[] = [],
): Day {
  const { id, name, date, startHour, endHour, latePrice, confidence, rainFromHour } = setUp;
  const { home, roadFactor, kmPerHour, parkMin, restocking } = van;
  const day: Day = {
    ...{ id, name, date, startHour, endHour, latePrice, confidence, rainFromHour },
    break: setUp.break,
    taken: blocked
      .filter((one) => one.date === date)
      .map(({ name: what, fromHour, untilHour }) => ({ name: what, fromHour, untilHour })),
    start: home,
    end: home,
    travel: { kind: 'line', roadFactor, kmPerHour, parkMin },
    van: withMore(fullVan(van, stock), setUp),
    restocking: [...restocking, ...setUp.restocking],
    stops: jobs.map((job) => ({ job: { ...job, date }, ...windowOf(setUp, job.id) })),
  };
  return { ...day, travel: travelOf(day, setUp) };
}

function itemOf<K extends EntryKind>(
  library: readonly LibraryEntry[],
  kind: K,
  id: string | null,
): EntryItems[K] | undefined {
  return library.find((entry) => entry.kind === kind && entry.item.id === id)?.item as EntryItems[K] | undefined;
}

/** One car of a class: as it comes from the library, with the dirt of its class all over. */
function carOf(
  { name, vehicleId, soil, level }: LotClassSetUp,
  { id, date, startHour, siteId, habitsId, scope, method }: LotSetUp,
  library: readonly LibraryEntry[],
): Job | null {
  const [vehicle, site, habits] = [
    itemOf(library, 'vehicle', vehicleId),
    itemOf(library, 'site', siteId),
    itemOf(library, 'habits', habitsId),
  ];
  if (!vehicle || !site) return null;
  const job = { ...newJob(`${id}.${vehicleId}`, date, library), name, vehicle, site, scope, hour: startHour };
  const dirt = Object.fromEntries(
    zonesIn(job).map((zone) => [zone.id, { deposits: [{ kind: soil, level }], spots: {} }]),
  );
  return { ...job, soil: dirt, choices: { ...defaultChoices, ...habitsIn(habits), method } };
}

/** A lot with cars and place of the library; a class whose car is gone is left out. */
export function lotOf(setUp: LotSetUp, library: readonly LibraryEntry[], van: Van, products: readonly Brought[]): Lot {
  const { id, name, date, startHour, people, moveMin, carsPerBucket, laundry, classes } = setUp;
  const known = classes.flatMap((one) => {
    const job = carOf(one, setUp, library);
    return job && one.count > 0 ? [{ name: one.name, count: one.count, job }] : [];
  });
  return { id, name, date, startHour, people, moveMin, carsPerBucket, laundry, van, products, classes: known };
}

/** A lot nobody has set up: twenty dusty cars of the first kind there is, by the bucket. */
export function usualLot(id: string, date: string, library: readonly LibraryEntry[]): LotSetUp {
  const first = (kind: 'vehicle' | 'site'): string =>
    library.find((entry) => entry.kind === kind && !entry.archived)?.item.id ?? kind;
  return {
    ...{
      id,
      name: 'New lot',
      date,
      startHour: 8,
      people: 1,
      moveMin: 1,
      carsPerBucket: 8,
      baysPerRow: 15,
      siteId: first('site'),
      habitsId: null,
    },
    scope: ['body', 'trim', 'glass'],
    method: 'auto',
    laundry: null,
    classes: [{ name: 'dusty cars', vehicleId: first('vehicle'), soil: 'dust', level: 1, count: 20 }],
    begunAt: null,
    done: [],
  };
}

/** A day nobody has set up: eight to six, half an hour at noon. */
export const usualDay = (date: string): DaySetUp => ({
  ...{ id: `day-${date}`, name: date, date, startHour: 8, endHour: 18 },
  break: { minutes: 30, fromHour: 11.5, untilHour: 13.5 },
  ...{
    latePrice: 3,
    confidence: 0.8,
    rainFromHour: null,
    more: [],
    restocking: [],
    windows: [],
    ways: [],
    order: [],
    done: [],
    packed: [],
  },
});

/** A van nobody has set up: a small one, at the first place there is. */
export const usualVan = (home: Spot): VanSetUp => ({
  ...{ id: 'van', name: 'Van', home, tankL: 60, inTankL: 60, dirtyL: 40, inDirtyL: 0, chargePerMin: 0 },
  ...{ people: 1, matL: 0, steps: true, roadFactor: 1.4, kmPerHour: 30, parkMin: 3, restocking: [] },
});
