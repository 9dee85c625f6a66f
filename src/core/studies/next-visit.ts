import type { CleanlinessClass, Job, Leg, ZoneId } from '../model';
import { isPure } from '../planning';
import { type PlanningContext, type SoiledZone, contextOf, isBody, isOpen, type PureMethod } from '../rules';
import { forecastOn, totalLoad } from '../soil';
import { gPerM2 } from '../units';
import type { Study } from './study';

/** Methods that a next visit is hoped to do with. */
export type LowWater = Exclude<PureMethod, 'shampoo'>;

/**
 * Days after which a method no longer does: if the car gets dirty faster than forecast, as forecast,
 * or slower. 0: not even at once; `furthestDays`: that long and perhaps longer.
 */
export interface Until {
  readonly early: number;
  readonly likely: number;
  readonly late: number;
}

export type Lasts = Readonly<Record<LowWater, Until>>;

interface ZoneLasts extends Lasts {
  readonly zoneId: ZoneId;
  readonly cleanliness: CleanlinessClass;
}

export interface NextVisit {
  readonly furthestDays: number;
  readonly usual: Leg;
  readonly zones: readonly ZoneLasts[];
  readonly car: Lasts;
  /** The method that is on the safe side for longest enough, and until when; null: flushed first, whenever it is. */
  readonly suggested: { readonly method: LowWater; readonly days: number } | null;
}

const FURTHEST_DAYS = 120;
/** Nobody comes back sooner than this for the sake of a method. */
const LEAST_DAYS = 3;

/** How the car is used: the last stretch that is known, or an ordinary week in town. */
export const usualLeg = ({ since }: Pick<Job, 'since'>): Leg =>
  [...since].reverse().find(({ days }) => days > 0) ?? {
    days: 7,
    surroundings: 'town',
    shelter: 'street',
    km: 100,
    road: 'dry',
  };

/** A clean zone after so many such days, so many times as dirty as forecast. */
function after(soiled: SoiledZone, days: number, times: number, usual: Leg, { job, a }: PlanningContext): SoiledZone {
  const leg: Leg = { ...usual, days, km: (usual.km * days) / Math.max(1, usual.days) };
  const loads = forecastOn(soiled.zone, job.vehicle.body, [leg], a).map(({ kind, loadGm2 }) => ({
    kind,
    loadGm2: gPerM2(loadGm2 * times),
  }));
  return {
    ...soiled,
    soil: {
      loads,
      totalGm2: totalLoad(loads),
      spots: {},
      bugs: null,
      basis: 'forecast',
      spread: a.spreadForecast,
      lumps: false,
    },
  };
}

/** Last whole day on which something still holds, which never holds again once it has failed. */
function lastDay(holds: (days: number) => boolean): number {
  if (!holds(0)) return 0;
  let [good, bad] = [0, FURTHEST_DAYS + 1];
  while (bad - good > 1) {
    const middle = Math.floor((good + bad) / 2);
    if (holds(middle)) good = middle;
    else bad = middle;
  }
  return good;
}

function untilOn(soiled: SoiledZone, method: LowWater, usual: Leg, context: PlanningContext): Until {
  const treatments = context.treatments.filter((treatment) => isPure(method, treatment));
  const within = (times: number): number =>
    lastDay((days) => {
      const then = after(soiled, days, times, usual, context);
      return treatments.some((treatment) => isOpen(then, treatment, context));
    });
  const { spreadForecast } = context.a;
  return { early: within(spreadForecast), likely: within(1), late: within(1 / spreadForecast) };
}

const soonest = (all: readonly Until[]): Until => ({
  early: Math.min(FURTHEST_DAYS, ...all.map(({ early }) => early)),
  likely: Math.min(FURTHEST_DAYS, ...all.map(({ likely }) => likely)),
  late: Math.min(FURTHEST_DAYS, ...all.map(({ late }) => late)),
});

/** The car, or a part of it, lasts as long as the zone that gives out first. */
export const lastsOf = (zones: readonly Lasts[]): Lasts => ({
  waterless: soonest(zones.map(({ waterless }) => waterless)),
  rinseless: soonest(zones.map(({ rinseless }) => rinseless)),
});

function suggestedOf({ waterless, rinseless }: Lasts): NextVisit['suggested'] {
  if (waterless.early >= LEAST_DAYS) return { method: 'waterless', days: waterless.early };
  return rinseless.early >= LEAST_DAYS ? { method: 'rinseless', days: rinseless.early } : null;
}

/**
 * When to come back: how long each zone, clean today, can still be done waterless, and rinseless, in
 * weather like today’s, if the car goes on being used like this. The forecast is right within
 * `spreadForecast`; the suggestion stays on the safe side of it.
 */
export function* nextVisitOf(job: Job, usual: Leg = usualLeg(job)): Study<NextVisit> {
  const context = contextOf(job);
  const asked = context.zones.filter(({ zone }) => job.choices.fixed[zone.id] !== 'leave');
  const zones: ZoneLasts[] = [];
  for (const [i, soiled] of asked.entries()) {
    const { id: zoneId, cleanliness } = soiled.zone;
    const [waterless, rinseless] = (['waterless', 'rinseless'] as const).map((method) =>
      untilOn(soiled, method, usual, context),
    );
    zones.push({ zoneId, cleanliness, waterless: waterless!, rinseless: rinseless! });
    yield (i + 1) / asked.length;
  }
  // Wheels and door shuts never decide how the car is washed.
  const car = lastsOf(zones.filter(({ zoneId, cleanliness }) => isBody({ id: zoneId, cleanliness })));
  return { furthestDays: FURTHEST_DAYS, usual, zones, car, suggested: zones.length > 0 ? suggestedOf(car) : null };
}
