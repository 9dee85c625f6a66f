import { type Change, atHour, withChange } from '../edit';
import {
  type GearKind,
  type Job,
  type SoilLevel,
  type TowelRole,
  type VehicleMethod,
  type ZoneId,
  flushes,
  gearKinds,
  habitAnswers,
  towelRoles,
} from '../model';
import {
  type Answer,
  type Plan,
  type PlanningProblem,
  answerWithin,
  isUnbound,
  outcomeOf,
  planJob,
  planningProblem,
} from '../planning';
import type { Gate, ShortBudget } from '../reasons';
import { choicesOf, flushRules } from '../rules';
import { celsius } from '../units';
import type { Study } from './study';

/** A change that gives another answer, and which. */
export interface WhatIf {
  readonly change: Change;
  readonly method: VehicleMethod;
  readonly minutes: number;
  readonly litres: number;
  /** Parts that are done with it and are left out without. */
  readonly regained: number;
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

/** Gear that opens a treatment; a blower and brushes open none. */
const rinsingGear = gearKinds.filter((kind) => flushes.some((flush) => flushRules[flush].gear === kind));

/** Changes that either are or are not, one alternative after the other; only the first that works counts. */
type Ways = readonly Change[];

const one = (possible: boolean, change: Change): Ways => (possible ? [change] : []);

/** The zones whose soil matters most: those that nothing may touch, or else those nearest their limit. */
function levelWays(job: Job, plan: Plan, blocked: readonly ZoneId[]): readonly Ways[] {
  const level = (id: ZoneId): number => Math.max(0, ...(job.soil[id]?.deposits ?? []).map((deposit) => deposit.level));
  const levels = (id: ZoneId, steps: readonly number[]): Ways =>
    steps.filter((to) => to >= 0 && to <= 5).map((to) => ({ code: 'level', zone: id, level: to as SoilLevel }));
  const down = (id: ZoneId): Ways =>
    levels(
      id,
      Array.from({ length: level(id) }, (_, i) => level(id) - 1 - i),
    );
  if (blocked.length > 0) return blocked.length <= MOST_ZONES ? blocked.map(down) : [];
  const seen = plan.zones.filter(({ zone, option }) => option && level(zone.id) > 0);
  const worst = [...seen].sort((p, q) => q.option!.marring.index - p.option!.marring.index).slice(0, MOST_ZONES);
  return worst.map(({ zone: { id } }) => levels(id, [level(id) + 1]));
}

/** What the panels are under at an hour: where that is the same, so is the answer. */
const conditions = ({ site, readings, hour }: Job): string =>
  JSON.stringify([site, readings, site.sunWm2 > 0 ? hour : null]);

/** Later hours at which something is other than at those before. */
function hoursAfter(job: Job): readonly number[] {
  const known = new Set([conditions(job)]);
  return Array.from({ length: LATEST_HOUR }, (_, i) => i + 1).filter((hour) => {
    const then = hour > job.hour ? conditions(atHour(job, hour)) : '';
    return hour > job.hour && !known.has(then) && known.add(then);
  });
}

function plainWays(job: Job, plan: Plan): readonly Ways[] {
  const { site } = job;
  const habits = choicesOf(job);
  const blocked = plan.verdicts.flatMap((one) =>
    one.code === 'zones-blocked' || one.code === 'parts-left' ? one.zones : [],
  );
  const waiting =
    blocked.length > 0 ? blocked : plan.verdicts.flatMap((one) => (one.code === 'zones-wait' ? one.zones : []));
  // Half a car is not a wash.
  const some = waiting.length > 0 && waiting.length * 2 < plan.zones.length;
  const own = job.wishes.approach ?? job.choices.approach;
  const later = hoursAfter(job);
  const warmer = WARM_LIQUIDS_C.filter((c) => site.airC < COLD_AIR_C && c > site.liquidC);
  return [
    ...habitAnswers.approach.map((approach) => one(approach !== own, { code: 'approach', approach })),
    one(!site.shade, { code: 'shade' }),
    site.indoors ? [] : later.map((hour) => ({ code: 'hour', hour }) as const),
    one(site.panelC !== null && site.panelC > site.airC + 3, { code: 'cool-panels', panelC: celsius(site.airC) }),
    warmer.map((c) => ({ code: 'warm-liquid', liquidC: celsius(c) }) as const),
    one(!site.power, { code: 'power' }),
    ...rinsingGear.map((gear) => one(!job.gear.some(({ kind }) => kind === gear), { code: 'gear', gear })),
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
  /** More of it opens treatments, too: they are weighed anew. */
  readonly opens: boolean;
  readonly from: number;
  readonly to: number;
  at(step: number): Change;
}

function ladders({ site, towels }: Job): readonly Ladder[] {
  const clean = (role: TowelRole): number => towels.find((batch) => batch.role === role)?.clean ?? Infinity;
  return [
    {
      opens: false,
      from: site.tap ? Infinity : Math.floor(site.waterL),
      to: MOST_LITRES,
      at: (litres) => ({ code: 'water', litres }),
    },
    { opens: false, from: Math.floor(site.minutes), to: MOST_MINUTES, at: (minutes) => ({ code: 'minutes', minutes }) },
    {
      opens: site.runoff === 'forbidden',
      from: site.runoff === 'allowed' ? Infinity : site.runoff === 'captured' ? Math.floor(site.captureL) : 0,
      to: MOST_LITRES,
      at: (litres) => ({ code: 'capture', litres }),
    },
    ...towelRoles.map((role): Ladder => ({
      opens: clean(role) === 0,
      from: clean(role),
      to: clean(role) + MOST_TOWELS,
      at: (count) => ({ code: 'towels', role, clean: count }),
    })),
  ];
}

/** What comes out, without laying the other methods beside it. */
const quickAnswer = (job: Job): Answer => answerWithin(planningProblem(job), job);

const answerOf = ({ method, zones }: Plan): Answer => ({
  method,
  left: zones.filter(({ leftBecause }) => leftBecause).length,
});

/** Another method, or the same on more of the car. */
const isOther = (then: Answer, now: Answer): boolean =>
  now.method === 'decline' || then.method === 'decline'
    ? then.method !== now.method
    : then.left < now.left || (then.left === now.left && then.method !== now.method);

/** The smallest step that flips the method. Only the budget differs from step to step: weighed once. */
function smallestStep({ opens, from, to, at }: Ladder, job: Job, known: PlanningProblem, now: Answer): Change | null {
  if (!(from < to)) return null;
  const all = opens ? planningProblem(withChange(job, at(to))) : known;
  const flips = (step: number): boolean => isOther(answerWithin(all, withChange(job, at(step))), now);
  if (!flips(to)) return null;
  let [low, high] = [from, to];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (flips(middle)) high = middle;
    else low = middle;
  }
  return at(high);
}

/** An answer with what it takes. */
type Told = Answer & Pick<WhatIf, 'minutes' | 'litres'>;

/** With the other methods laid beside it: where parts are left out, one of those may leave less. */
function fullAnswer(job: Job): Told {
  const plan = planJob(job);
  return { ...answerOf(plan), minutes: plan.totals.minutes.value, litres: plan.totals.litres.value };
}

function toldOf(job: Job): Told {
  const { fitted, method, minutes, litres } = outcomeOf(job);
  return fitted.ok && fitted.left.size === 0 ? { method, left: 0, minutes, litres } : fullAnswer(job);
}

/** What a change really leads to; null where a second look says that it changes nothing. */
function answer(job: Job, change: Change, now: Answer): WhatIf | null {
  const { method, left, minutes, litres } = toldOf(withChange(job, change));
  return isOther({ method, left }, now)
    ? { change, method, minutes, litres, regained: Math.max(0, now.left - left) }
    : null;
}

/**
 * What would change the answer: every single change that leads to another method, hours by the
 * next one and budgets by the smallest whole step that does. Found by planning again.
 */
export function* whatIf(job: Job, plan: Plan): Study<readonly WhatIf[]> {
  const free: Job = { ...job, choices: { ...job.choices, method: 'auto' } };
  const ways = plainWays(free, plan).filter(({ length }) => length > 0);
  const all = planningProblem(free);
  // Where no budget binds, more of it changes nothing unless it opens something.
  const steps = isUnbound(all, plan) ? ladders(free).filter(({ opens }) => opens) : ladders(free);
  const now = answerOf(plan);
  const found: WhatIf[] = [];
  const total = ways.length + steps.length;
  let done = 0;
  const note = (change: Change | null | undefined): void => {
    const what = change && answer(free, change, now);
    if (what) found.push(what);
  };
  for (const changes of ways) {
    note(changes.find((change) => isOther(quickAnswer(withChange(free, change)), now)));
    yield ++done / total;
  }
  for (const ladder of steps) {
    note(smallestStep(ladder, free, all, now));
    yield ++done / total;
  }
  return found;
}

/** Steps above what there is that are tried for a budget, the smallest first. */
const MORE = { minutes: [15, 30, 60, 120], litres: [10, 20, 40], towels: [1, 2, 4, 8] } as const;

function budgetWays({ budget }: ShortBudget, job: Job): readonly Ways[] {
  const { site, towels } = job;
  switch (budget) {
    case 'minutes':
      return [
        MORE.minutes.map((more) => ({ code: 'minutes', minutes: site.minutes + more }) as const),
        one(site.workers === 1, { code: 'second-person' }),
      ];
    case 'litres':
      return [MORE.litres.map((more) => ({ code: 'water', litres: site.waterL + more }) as const)];
    case 'runoffL':
      return [MORE.litres.map((more) => ({ code: 'capture', litres: site.captureL + more }) as const)];
    case 'batteryMin':
      return [];
    default:
      return [
        MORE.towels.map(
          (more) =>
            ({
              code: 'towels',
              role: budget,
              clean: (towels.find(({ role }) => role === budget)?.clean ?? 0) + more,
            }) as const,
        ),
      ];
  }
}

/** What may help against a gate, the nearest first. */
function gateWays({ code }: Gate, job: Job): readonly Ways[] {
  const { site } = job;
  const bring = (kind: GearKind): Ways =>
    one(!job.gear.some((piece) => piece.kind === kind), { code: 'gear', gear: kind });
  const capture: Ways =
    site.runoff === 'allowed'
      ? []
      : MORE.litres.map((litres) => ({ code: 'capture', litres: site.captureL + litres }) as const);
  switch (code) {
    case 'out-of-reach':
      return [one(!site.steps, { code: 'steps' })];
    case 'panel-too-hot':
    case 'dries-first':
    case 'sun-habit':
      return [
        one(!site.shade, { code: 'shade' }),
        site.indoors ? [] : hoursAfter(job).map((hour) => ({ code: 'hour', hour }) as const),
      ];
    case 'freezes':
    case 'freezes-first':
      return [
        bring('heater'),
        one(!site.power, { code: 'power' }),
        WARM_LIQUIDS_C.filter((c) => c > site.liquidC).map(
          (c) => ({ code: 'warm-liquid', liquidC: celsius(c) }) as const,
        ),
      ];
    case 'no-power':
      return [one(!site.power, { code: 'power' })];
    default:
      return [bring('cordless-wand'), bring('mains-wand'), capture];
  }
}

/**
 * What would let parts be done that are left out, or a car that is refused: for each thing that decides the nearest
 * change that works, found by planning again; and for a refusal leaving them.
 */
export function* helpOf(job: Job, plan: Plan): Study<readonly WhatIf[]> {
  const told = plan.verdicts.flatMap((verdict): readonly (readonly Ways[])[] => {
    if (verdict.code === 'zones-blocked') return verdict.gates.map((gate) => gateWays(gate, job));
    if (verdict.code === 'over-budget') return [budgetWays(verdict, job)];
    if (verdict.code !== 'parts-left') return [];
    return [
      verdict.because === 'budget'
        ? budgetWays(verdict.shortage, job)
        : verdict.gate
          ? gateWays(verdict.gate, job)
          : [],
    ];
  });
  const left = plan.verdicts.flatMap((verdict) =>
    verdict.code === 'zones-blocked' || verdict.code === 'zones-wait' ? verdict.zones : [],
  );
  const ways = [
    ...told.flat(),
    one(left.length > 0 && plan.method === 'decline', { code: 'leave', zones: left }),
  ].filter(({ length }) => length > 0);
  const now = answerOf(plan);
  const found = new Map<string, WhatIf>();
  for (const [i, changes] of ways.entries()) {
    for (const change of changes) {
      const then = answer(job, change, now);
      if (!then) continue;
      found.set(JSON.stringify(change), then);
      break;
    }
    yield (i + 1) / ways.length;
  }
  return [...found.values()];
}
