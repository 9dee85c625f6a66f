import {
  type GearKind,
  type Habits,
  type Job,
  type School,
  type SoilLevel,
  type TowelRole,
  type VehicleMethod,
  type ZoneId,
  gearKinds,
  schools,
  towelRoles,
} from '../model';
import { atHour, newItem } from '../edit';
import { choicesOf } from '../method/habits';
import { type Celsius, celsius } from '../units';
import type { Plan } from './plan';
import { planJob } from './plan-job';
import type { Study } from './study';
import { type Weighed, bestOf, methodOf, weighed } from './weighed';

/** One thing that might be otherwise. */
export type Change =
  | { readonly code: 'school'; readonly school: School }
  | { readonly code: 'shade' }
  | { readonly code: 'hour'; readonly hour: number }
  | { readonly code: 'cool-panels'; readonly panelC: Celsius }
  | { readonly code: 'warm-liquid'; readonly liquidC: Celsius }
  | { readonly code: 'power' }
  | { readonly code: 'gear'; readonly gear: GearKind }
  | { readonly code: 'second-person' }
  | { readonly code: 'steps' }
  /** All eight sides of a wetted towel, with solution poured on from a cup. */
  | { readonly code: 'cup' }
  /** The medium rinsed above a guard in place of many towels. */
  | { readonly code: 'guarded-bucket' }
  | { readonly code: 'capture'; readonly litres: number }
  | { readonly code: 'water'; readonly litres: number }
  | { readonly code: 'minutes'; readonly minutes: number }
  | { readonly code: 'towels'; readonly role: TowelRole; readonly clean: number }
  | { readonly code: 'level'; readonly zone: ZoneId; readonly level: SoilLevel }
  | { readonly code: 'leave'; readonly zones: readonly ZoneId[] };

/** A change that gives another answer, and which. */
export interface WhatIf {
  readonly change: Change;
  readonly method: VehicleMethod;
  readonly minutes: number;
  readonly litres: number;
}

/** Most that is looked for of each budget: beyond it nobody would carry or wait. */
const MOST_LITRES = 60;
const MOST_MINUTES = 240;
const MOST_TOWELS = 12;
const LATEST_HOUR = 20;
const WARM_LIQUIDS_C = [20, 30, 40, 50];
/** Above this air no liquid is warmed for the panel's sake. */
const COLD_AIR_C = 8;
/** Zones that are asked about one by one. */
const MOST_ZONES = 3;

const withSite = (job: Job, site: Partial<Job['site']>): Job => ({ ...job, site: { ...job.site, ...site } });

/** A habit of the day, whatever was wished. */
const withHabits = (job: Job, habits: Partial<Habits>): Job => ({
  ...job,
  wishes: (Object.keys(habits) as (keyof Habits)[]).reduce((wishes, key) => without(wishes, key), job.wishes),
  choices: { ...job.choices, ...habits },
});

function withTowels(job: Job, role: TowelRole, clean: number): Job {
  const first = job.towels.findIndex((batch) => batch.role === role);
  return { ...job, towels: job.towels.map((batch, i) => (i === first ? { ...batch, clean } : batch)) };
}

function withGear(job: Job, kind: GearKind): Job {
  return { ...job, gear: [...job.gear, { ...newItem.gear(`added-${kind}`), ...ordinary[kind], kind }] };
}

/** A piece of each kind as it is commonly found, for a van that has none. */
const ordinary = {
  heater: { name: 'Immersion heater', flowLMin: 0, batteryMin: null, noiseDb: 50 },
  'cordless-wand': { name: 'Battery wand', flowLMin: 3, batteryMin: 20, noiseDb: 72 },
  'mains-wand': { name: 'Pressure wand', flowLMin: 7, batteryMin: null, noiseDb: 86 },
  steamer: { name: 'Steamer', flowLMin: 0.06, batteryMin: null, noiseDb: 66 },
} as const;

/** The worst deposit of a zone at another level; the others stay. */
function withLevel(job: Job, zone: ZoneId, level: SoilLevel): Job {
  const soil = job.soil[zone];
  if (!soil || soil.deposits.length === 0) return job;
  const worst = soil.deposits.reduce((p, q) => (q.level > p.level ? q : p));
  const deposits = soil.deposits.map((one) => (one === worst ? { ...one, level } : one));
  return { ...job, soil: { ...job.soil, [zone]: { ...soil, deposits } } };
}

/** The job with zones left out. */
export const leaving = (job: Job, zones: readonly ZoneId[]): Job => ({
  ...job,
  choices: {
    ...job.choices,
    fixed: { ...job.choices.fixed, ...Object.fromEntries(zones.map((id) => [id, 'leave'] as const)) },
  },
});

/** The job with the one thing changed. */
export function withChange(job: Job, change: Change): Job {
  switch (change.code) {
    case 'school':
      return withHabits(job, { school: change.school });
    case 'shade':
      return { ...withSite(job, { shade: true, sunWm2: 0, panelC: null }), readings: {} };
    case 'hour':
      return atHour(job, change.hour);
    case 'cool-panels':
      return { ...withSite(job, { panelC: change.panelC }), readings: {} };
    case 'warm-liquid':
      return withSite(job, { liquidC: change.liquidC });
    case 'power':
      return withSite(job, { power: true });
    case 'gear':
      return withGear(job, change.gear);
    case 'steps':
      return withSite(job, { steps: true });
    case 'cup':
      return withHabits(job, { soakedSides: 8 });
    case 'guarded-bucket':
      return withHabits(job, { bucket: 'one-guarded' });
    case 'second-person':
      return withSite(job, { workers: 2 });
    case 'capture':
      return withSite(job, { runoff: 'captured', captureL: change.litres });
    case 'water':
      return withSite(job, { waterL: change.litres });
    case 'minutes':
      return withSite(job, { minutes: change.minutes });
    case 'towels':
      return withTowels(job, change.role, change.clean);
    case 'level':
      return withLevel(job, change.zone, change.level);
    case 'leave':
      return leaving(job, change.zones);
  }
}

const without = <T extends object>(record: T, key: keyof T): T => {
  const { [key]: _gone, ...rest } = record;
  return rest as T;
};

/** Changes that either are or are not, one alternative after the other; only the first that works counts. */
type Ways = readonly Change[];

const one = (possible: boolean, change: Change): Ways => (possible ? [change] : []);

/** The zones whose soil matters most: those that nothing may touch, or else those nearest their limit. */
function levelWays(job: Job, plan: Plan, blocked: readonly ZoneId[]): readonly Ways[] {
  const level = (id: ZoneId): number => Math.max(0, ...(job.soil[id]?.deposits ?? []).map((deposit) => deposit.level));
  const levels = (id: ZoneId, steps: readonly number[]): Ways =>
    steps.filter((to) => to >= 0 && to <= 5).map((to) => ({ code: 'level', zone: id, level: to as SoilLevel }));
  const down = (id: ZoneId): Ways => levels(id, Array.from({ length: level(id) }, (_, i) => level(id) - 1 - i));
  if (blocked.length > 0) return blocked.length <= MOST_ZONES ? blocked.map(down) : [];
  const seen = plan.zones.filter(({ zone, option }) => option && level(zone.id) > 0);
  const worst = [...seen].sort((p, q) => q.option!.marring.index - p.option!.marring.index).slice(0, MOST_ZONES);
  return worst.map(({ zone: { id } }) => levels(id, [level(id) + 1]));
}

function plainWays(job: Job, plan: Plan): readonly Ways[] {
  const { site } = job;
  const habits = choicesOf(job);
  const zonesOf = (code: 'zones-blocked' | 'zones-wait'): readonly ZoneId[] =>
    plan.verdicts.flatMap((verdict) => (verdict.code === code ? verdict.zones : []));
  const blocked = zonesOf('zones-blocked');
  const waiting = blocked.length > 0 ? blocked : zonesOf('zones-wait');
  // Half a car is not a wash.
  const some = waiting.length > 0 && waiting.length * 2 < plan.zones.length;
  const own = job.wishes.school ?? job.choices.school;
  const later = Array.from({ length: LATEST_HOUR }, (_, i) => i + 1).filter((hour) => hour > job.hour);
  const warmer = WARM_LIQUIDS_C.filter((c) => site.airC < COLD_AIR_C && c > site.liquidC);
  return [
    ...schools.map((school) => one(school !== own, { code: 'school', school })),
    one(!site.shade, { code: 'shade' }),
    site.indoors ? [] : later.map((hour) => ({ code: 'hour', hour }) as const),
    one(site.panelC !== null && site.panelC > site.airC + 3, { code: 'cool-panels', panelC: celsius(site.airC) }),
    warmer.map((c) => ({ code: 'warm-liquid', liquidC: celsius(c) }) as const),
    one(!site.power, { code: 'power' }),
    ...gearKinds.map((gear) => one(!job.gear.some(({ kind }) => kind === gear), { code: 'gear', gear })),
    one(site.workers === 1, { code: 'second-person' }),
    one(!site.steps, { code: 'steps' }),
    one(habits.bucket === 'many-towels' && habits.soakedSides === 4, { code: 'cup' }),
    one(habits.bucket === 'many-towels', { code: 'guarded-bucket' }),
    ...levelWays(job, plan, blocked),
    one(some, { code: 'leave', zones: waiting }),
  ];
}

/** A budget as a ladder of whole steps above what there is, and the change at each step. */
interface Ladder {
  readonly from: number;
  readonly to: number;
  at(step: number): Change;
}

function ladders({ site, towels }: Job): readonly Ladder[] {
  const clean = (role: TowelRole): number => towels.find((batch) => batch.role === role)?.clean ?? Infinity;
  return [
    { from: site.tap ? Infinity : Math.floor(site.waterL), to: MOST_LITRES, at: (litres) => ({ code: 'water', litres }) },
    { from: Math.floor(site.minutes), to: MOST_MINUTES, at: (minutes) => ({ code: 'minutes', minutes }) },
    {
      from: site.runoff === 'allowed' ? Infinity : site.runoff === 'captured' ? Math.floor(site.captureL) : 0,
      to: MOST_LITRES,
      at: (litres) => ({ code: 'capture', litres }),
    },
    ...towelRoles.map((role): Ladder => ({
      from: clean(role),
      to: clean(role) + MOST_TOWELS,
      at: (count) => ({ code: 'towels', role, clean: count }),
    })),
  ];
}

/** The method that comes out, without laying the others beside it. */
function quickMethod(job: Job, all: Weighed = weighed(job)): VehicleMethod {
  const fitted = bestOf(all, job);
  return fitted.ok ? methodOf([...fitted.realised.choice.picks.values()]) : 'decline';
}

/** The smallest step that flips the method. Only the budget differs from step to step: weighed once. */
function smallestStep({ from, to, at }: Ladder, job: Job, method: VehicleMethod): Change | null {
  if (!(from < to)) return null;
  const all = weighed(withChange(job, at(to)));
  const flips = (step: number): boolean => quickMethod(withChange(job, at(step)), all) !== method;
  if (!flips(to)) return null;
  let [low, high] = [from, to];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (flips(middle)) high = middle;
    else low = middle;
  }
  return at(high);
}

/** What a change really leads to; null where a second look says that it changes nothing. */
function answer(job: Job, change: Change, method: VehicleMethod): WhatIf | null {
  const other = planJob(withChange(job, change));
  if (other.method === method) return null;
  const { minutes, litres } = other.totals;
  return { change, method: other.method, minutes: minutes.value, litres: litres.value };
}

/**
 * What would change the answer: every single change that leads to another method, hours by the
 * next one and budgets by the smallest whole step that does. Found by planning again.
 */
export function* whatIf(job: Job, plan: Plan): Study<readonly WhatIf[]> {
  const free: Job = { ...job, choices: { ...job.choices, method: 'auto' } };
  const ways = plainWays(free, plan).filter(({ length }) => length > 0);
  const steps = ladders(free);
  const found: WhatIf[] = [];
  const total = ways.length + steps.length;
  let done = 0;
  const note = (change: Change | null | undefined): void => {
    const what = change && answer(free, change, plan.method);
    if (what) found.push(what);
  };
  for (const changes of ways) {
    note(changes.find((change) => quickMethod(withChange(free, change)) !== plan.method));
    yield ++done / total;
  }
  for (const ladder of steps) {
    note(smallestStep(ladder, free, plan.method));
    yield ++done / total;
  }
  return found;
}
