import { type Choices, type Job, glassSchools, orders } from '../model';
import { type Outcome, outcomeOf } from '../planning';
import { choicesOf } from '../rules';
import type { Study } from './study';

/** In which order the work is done. */
export type RunOrdering = Pick<Choices, 'order' | 'wheels' | 'glass'>;

export interface Ordering extends Omit<Outcome, 'method' | 'index'>, RunOrdering {
  /** The one that the plan goes by. */
  readonly now: boolean;
}

const orderings: readonly RunOrdering[] = orders.flatMap((order) =>
  (['first', 'last'] as const).flatMap((wheels) => glassSchools.map((glass): RunOrdering => ({ order, wheels, glass }))),
);

/**
 * The order of work that was chosen beside all others, each planned anew; those that come to the
 * same way round the car, or to no plan, are left out.
 */
export function* workOrdersOf(job: Job): Study<readonly Ordering[]> {
  const settled: Job = { ...job, wishes: {}, choices: choicesOf(job) };
  const { order, wheels, glass } = settled.choices;
  const ways = [{ order, wheels, glass }, ...orderings];
  const known = new Set<string>();
  const found: Ordering[] = [];
  for (const [i, way] of ways.entries()) {
    const { fitted, minutes, waiting, litres, towels } = outcomeOf({ ...settled, choices: { ...settled.choices, ...way } });
    if (fitted.ok) {
      const key = `${way.glass}/${fitted.realised.timeline.passes.map(({ parts }) => parts.map(({ zoneId, section }) => `${zoneId}${section}`).join('+')).join()}`;
      if (!known.has(key)) found.push({ ...way, now: i === 0, minutes, waiting, litres, towels });
      known.add(key);
    }
    yield (i + 1) / ways.length;
  }
  return found.sort((p, q) => p.minutes - q.minutes);
}
