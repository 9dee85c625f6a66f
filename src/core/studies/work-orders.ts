import { type Choices, type Job, habitAnswers } from '../model';
import { type Outcome, outcomeOf } from '../planning';
import { choicesOf } from '../rules';
import type { Study } from './study';

/** In which order the work is done, and how two people share it. */
export type RunOrdering = Pick<Choices, 'order' | 'wheels' | 'glass' | 'pair'>;

export interface Ordering extends Omit<Outcome, 'method' | 'index'>, RunOrdering {
  /** The one that the plan goes by. */
  readonly now: boolean;
}

const orderings: readonly Omit<RunOrdering, 'pair'>[] = habitAnswers.order.flatMap((order) =>
  (['first', 'last'] as const).flatMap((wheels) => habitAnswers.glass.map((glass) => ({ order, wheels, glass }))),
);

/**
 * The order of work that was chosen beside all others, and for two people the other ways to share it, each planned
 * anew; those that come to the same way round the car, or to no plan, are left out.
 */
export function* workOrdersOf(job: Job): Study<readonly Ordering[]> {
  const settled: Job = { ...job, wishes: {}, choices: choicesOf(job) };
  const { order, wheels, glass, pair } = settled.choices;
  const pairs = settled.site.workers === 2 ? habitAnswers.pair : [];
  const ways: readonly RunOrdering[] = [
    { order, wheels, glass, pair },
    ...pairs.map((other) => ({ order, wheels, glass, pair: other })),
    ...orderings.map((ordering) => ({ ...ordering, pair })),
  ];
  const known = new Set<string>();
  const found: Ordering[] = [];
  for (const [i, way] of ways.entries()) {
    const { fitted, minutes, waiting, litres, towels } = outcomeOf({
      ...settled,
      choices: { ...settled.choices, ...way },
    });
    if (fitted.ok) {
      const key = `${way.glass}/${way.pair}/${fitted.realised.timeline.passes.map(({ parts }) => parts.map(({ zoneId, section }) => `${zoneId}${section}`).join('+')).join()}`;
      if (!known.has(key)) found.push({ ...way, now: i === 0, minutes, waiting, litres, towels });
      known.add(key);
    }
    yield (i + 1) / ways.length;
  }
  return found.sort((p, q) => p.minutes - q.minutes);
}
