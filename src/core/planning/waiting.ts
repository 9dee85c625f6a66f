import type { Job, ZoneId } from '../model';
import type { ZoneOptions } from '../rules';
import { type PlanningProblem, capacityOf } from './problem';
import { type Prepared, type Shortage, chooseByPaint, prepare } from './choose';
import { fit } from './fit';

/** What a zone takes at least of the budgets that are short, in shares of what there is. */
const shareOfShortage = ({ options }: ZoneOptions, shortages: readonly Shortage[]): number =>
  shortages.reduce(
    (sum, { budget, have }) => sum + Math.min(...options.map(({ usage }) => usage[budget])) / Math.max(1e-9, have),
    0,
  );

/** Zones that are asked for, those first that take most of what is short for each square metre. */
function byShortage({ context, problem }: PlanningProblem, shortages: readonly Shortage[]): readonly ZoneId[] {
  const areas = new Map(context.zones.map(({ zone }) => [zone.id, zone.areaM2]));
  // Nobody goes away from what is wet, or wiped in part.
  const isUnderHand = (id: ZoneId): boolean => {
    const begun = context.begun.zones.get(id);
    return begun !== undefined && (begun.wet.length > 0 || begun.done.wipe > 0);
  };
  return problem.zones
    .filter(({ zoneId, options }) => problem.fixed[zoneId] !== 'leave' && options.length > 0 && !isUnderHand(zoneId))
    .map((zone) => ({ id: zone.zoneId, perM2: shareOfShortage(zone, shortages) / areas.get(zone.zoneId)! }))
    .sort((p, q) => q.perM2 - p.perM2)
    .map(({ id }) => id);
}

/** The least count that does, where all above one that does do as well. */
function leastOf(few: number, many: number, does: (count: number) => boolean): number {
  let [no, yes] = [few, many];
  while (yes - no > 1) {
    const middle = Math.floor((no + yes) / 2);
    if (does(middle)) yes = middle;
    else no = middle;
  }
  return yes;
}

/**
 * Zones that would have to wait for the rest to be done with what there is: those that need most first, no
 * more than it takes; none where that does not help. Not the smallest set there could be: finding
 * that takes seconds, this a few plans. Fractions of towels tell below which count nothing does, at
 * next to no cost; from there on whole towels are dealt out, in wider and wider steps.
 */
export function waitingOf(all: PlanningProblem, job: Job, shortages: readonly Shortage[]): readonly ZoneId[] {
  const { context, problem } = all;
  const capacity = capacityOf(job, context.begun);
  const order = byShortage(all, shortages);
  const without = (count: number): Prepared => {
    const left = Object.fromEntries(order.slice(0, count).map((id) => [id, 'leave'] as const));
    return prepare({ ...problem, fixed: { ...problem.fixed, ...left } });
  };
  const inFractions = (count: number): boolean => chooseByPaint(without(count), capacity).ok;
  const whole = (count: number): boolean => fit(without(count), capacity, context, true).ok;
  const most = order.length - 1;
  if (most < 1 || !inFractions(most)) return [];
  let few = leastOf(0, most, inFractions) - 1;
  for (let step = 1; ; step *= 2) {
    const many = Math.min(most, few + step);
    if (whole(many)) return order.slice(0, leastOf(few, many, whole));
    if (many === most) return [];
    few = many;
  }
}
