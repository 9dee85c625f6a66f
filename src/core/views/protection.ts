import { type CareReach, type CareUse, type Job, type Protection, type ZoneId, careUses } from '../model';
import type { Plan } from '../planning';
import { dayAfter } from '../units';

/** Reach of what was put on paint; trim and tyres have none. */
function reachOf(use: CareUse, { care }: Pick<Job, 'care'>): CareReach | null {
  return care.paint?.use === use ? care.paint.on : null;
}

/** What this job has put onto the car. @param done parts that are through; all of them before anything is done */
export function puttingOn(job: Job, { zones }: Plan, done: ReadonlySet<ZoneId> | null = null): readonly Protection[] {
  return careUses.flatMap((use): Protection[] => {
    const on = zones.some(
      ({ zone, option }) => option?.care?.use === use && option.care.left === null && (!done || done.has(zone.id)),
    );
    const product = job.products.find(({ uses }) => uses.some(({ purpose }) => purpose === use));
    if (!on || !product) return [];
    const days = product.uses.find(({ purpose }) => purpose === use)!.protectsDays;
    return [
      {
        product: product.name,
        use,
        on: reachOf(use, job),
        since: job.date,
        until: days === null ? null : dayAfter(job.date, days),
      },
    ];
  });
}

/** What is on the car after this job: what it has put on, and of what was there before what is neither replaced nor has lapsed. */
export function protectionAfter(job: Job, plan: Plan, done: ReadonlySet<ZoneId> | null = null): readonly Protection[] {
  const now = puttingOn(job, plan, done);
  const before = job.vehicle.protection.filter(
    ({ use, until }) => !now.some((one) => one.use === use) && (until === null || until >= job.date),
  );
  return [...before, ...now];
}
