import { resolveAssumptions } from '../assumptions';
import type { Job, VanSetUp } from '../model';
import type { Plan } from '../planning';
import { kmBetween, stockKinds, takenFrom } from '../tour';

/** What a visit takes of everything that costs something. */
export interface VisitTakes {
  /** On site, as one says it to a client. */
  readonly minutes: number;
  readonly people: number;
  /** There and back. */
  readonly drivingMin: number;
  readonly km: number;
  /** null where a bottle has no price. */
  readonly productMinor: number | null;
  readonly towels: number;
  readonly litres: number;
  /** Carried away again to be disposed of. */
  readonly wasteL: number;
  /** The packs run a washer for so long. */
  readonly batteryMin: number;
}

/** There and back from home, km and minutes; where no van is set up, nothing. */
function wayTo(site: Job['site'], van: VanSetUp | null): { readonly km: number; readonly minutes: number } {
  const straight = van ? kmBetween(van.home, site) : 0;
  if (!van || straight === 0) return { km: 0, minutes: 0 };
  const km = straight * van.roadFactor;
  return { km: 2 * km, minutes: 2 * ((km / van.kmPerHour) * 60 + van.parkMin) };
}

/** What a plan takes, in the minutes that it is planned for. */
export function takesOf(plan: Plan, job: Job, van: VanSetUp | null): VisitTakes {
  const way = wayTo(job.site, van);
  const taken = takenFrom(plan, job);
  const of = (kind: (typeof stockKinds)[number]): number => taken[stockKinds.indexOf(kind)]!;
  return {
    minutes: plan.slot.value,
    people: job.site.workers,
    drivingMin: way.minutes,
    km: way.km,
    productMinor: plan.totals.costMinor?.value ?? null,
    towels: plan.totals.towels.value,
    litres: plan.totals.litres.value,
    wasteL: of('drain'),
    batteryMin: of('battery'),
  };
}

const secondsOf = ({ timeline: { steps } }: Plan, kind: 'setup' | 'pack', people: number): number =>
  steps.reduce((sum, step) => sum + (step.kind === kind ? step.endS - step.startS : 0), 0) / people;

/** Minutes of a visit that are needed once, however many cars stand there: arriving, setting up, packing. */
export function onceMin(plan: Plan, job: Job): number {
  const { workers } = job.site;
  const { arriving } = resolveAssumptions(job.choices.assumptions);
  return arriving + (secondsOf(plan, 'setup', workers) + secondsOf(plan, 'pack', workers)) / 60;
}

/**
 * Several like cars in one visit: what is needed once is needed once.
 * @param once minutes of a visit that do not come again
 */
export const takesFor = (one: VisitTakes, cars: number, once: number): VisitTakes => ({
  ...one,
  minutes: one.minutes + (cars - 1) * Math.max(0, one.minutes - once),
  productMinor: one.productMinor === null ? null : one.productMinor * cars,
  towels: one.towels * cars,
  litres: one.litres * cars,
  wasteL: one.wasteL * cars,
  batteryMin: one.batteryMin * cars,
});
