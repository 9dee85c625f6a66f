import {
  type Job,
  type School,
  type TowelRole,
  type VehicleMethod,
  type ZoneId,
  schools,
  towelRoles,
} from '../model';
import { type Celsius, celsius } from '../units';
import type { Plan } from './plan';
import { planJob } from './plan-job';

/** One thing that might be otherwise. */
export type Change =
  | { readonly code: 'school'; readonly school: School }
  | { readonly code: 'shade' }
  | { readonly code: 'cool-panels'; readonly panelC: Celsius }
  | { readonly code: 'power' }
  | { readonly code: 'second-person' }
  | { readonly code: 'capture'; readonly litres: number }
  | { readonly code: 'water'; readonly litres: number }
  | { readonly code: 'minutes'; readonly minutes: number }
  | { readonly code: 'towels'; readonly role: TowelRole; readonly clean: number }
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

const withSite = (job: Job, site: Partial<Job['site']>): Job => ({ ...job, site: { ...job.site, ...site } });

function withTowels(job: Job, role: TowelRole, clean: number): Job {
  const first = job.towels.findIndex((batch) => batch.role === role);
  return { ...job, towels: job.towels.map((batch, i) => (i === first ? { ...batch, clean } : batch)) };
}

/** The job with the one thing changed. */
export function withChange(job: Job, change: Change): Job {
  switch (change.code) {
    case 'school':
      return { ...job, choices: { ...job.choices, school: change.school } };
    case 'shade':
      return withSite(job, { shade: true, sunWm2: 0, panelC: null });
    case 'cool-panels':
      return withSite(job, { panelC: change.panelC });
    case 'power':
      return withSite(job, { power: true });
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
    case 'leave':
      return {
        ...job,
        choices: {
          ...job.choices,
          fixed: { ...job.choices.fixed, ...Object.fromEntries(change.zones.map((id) => [id, 'leave'] as const)) },
        },
      };
  }
}

/** Changes that either are or are not. */
function plainChanges(job: Job, plan: Plan): readonly Change[] {
  const { site, choices } = job;
  const blocked = plan.verdicts.flatMap((verdict) => (verdict.code === 'zones-blocked' ? verdict.zones : []));
  // Half a car is not a wash.
  const some = blocked.length > 0 && blocked.length * 2 < plan.zones.length;
  const candidates: readonly (readonly [boolean, Change])[] = [
    ...schools.map((school) => [school !== choices.school, { code: 'school', school }] as const),
    [!site.shade, { code: 'shade' }],
    [site.panelC !== null && site.panelC > site.airC + 3, { code: 'cool-panels', panelC: celsius(site.airC) }],
    [!site.power, { code: 'power' }],
    [site.workers === 1, { code: 'second-person' }],
    [some, { code: 'leave', zones: blocked }],
  ];
  return candidates.flatMap(([possible, change]) => (possible ? [change] : []));
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

/**
 * What would change the answer: every single change that leads to another method, budgets by the
 * smallest whole step that does. Found by planning again.
 */
export function whatIf(job: Job, plan: Plan): readonly WhatIf[] {
  const free: Job = { ...job, choices: { ...job.choices, method: 'auto' } };
  const answer = (change: Change): WhatIf | null => {
    const other = planJob(withChange(free, change));
    if (other.method === plan.method) return null;
    const { minutes, litres } = other.totals;
    return { change, method: other.method, minutes: minutes.value, litres: litres.value };
  };
  const smallest = ({ from, to, at }: Ladder): WhatIf | null => {
    if (!(from < to)) return null;
    let best = answer(at(to));
    let [low, high] = [from, to];
    while (best && high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      const there = answer(at(middle));
      if (there) [best, high] = [there, middle];
      else low = middle;
    }
    return best;
  };
  const found = [...plainChanges(job, plan).map(answer), ...ladders(job).map(smallest)];
  return found.filter((one) => one !== null);
}
