import { type Change, withChange } from '../edit';
import { type Job, type SoilLevel, type TowelRole, type VehicleMethod, type ZoneId, gearKinds, schools, towelRoles } from '../model';
import { type Plan, type PlanningProblem, bestPlan, methodOf, planJob, planningProblem } from '../planning';
import { choicesOf } from '../rules';
import { celsius } from '../units';
import type { Study } from './study';

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
function quickMethod(job: Job, all: PlanningProblem = planningProblem(job)): VehicleMethod {
  const fitted = bestPlan(all, job);
  return fitted.ok ? methodOf([...fitted.realised.choice.picks.values()]) : 'decline';
}

/** The smallest step that flips the method. Only the budget differs from step to step: weighed once. */
function smallestStep({ from, to, at }: Ladder, job: Job, method: VehicleMethod): Change | null {
  if (!(from < to)) return null;
  const all = planningProblem(withChange(job, at(to)));
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
