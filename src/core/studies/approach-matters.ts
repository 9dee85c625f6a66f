import { type Habits, type Job, habitAnswers, habitKeys } from '../model';
import { type Outcome, outcomeOf } from '../planning';
import { choicesOf } from '../rules';
import type { Study } from './study';

/** What another answer to one question would have made of the job. */
export interface ApproachEffect {
  readonly key: keyof Habits;
  readonly answer: Habits[keyof Habits];
  readonly then: Outcome;
  readonly now: Outcome;
}

/** Differences that nobody would notice beside the car. */
const noticed = (p: Outcome, q: Outcome): boolean =>
  p.method !== q.method ||
  Math.abs(p.minutes - q.minutes) >= 1 ||
  Math.abs(p.litres - q.litres) >= 0.3 ||
  Math.abs(p.index - q.index) >= 0.5 ||
  p.towels !== q.towels;

/** Where the choice of approach mattered in this job: each other answer, with what it would change. */
export function* approachEffectsOf(job: Job): Study<readonly ApproachEffect[]> {
  // As if nobody had wished otherwise: a wish that is asked about must not undo the answer.
  const settled: Job = { ...job, wishes: {}, choices: { ...choicesOf(job), method: 'auto' } };
  const now = outcomeOf(settled);
  const found: ApproachEffect[] = [];
  let done = 0;
  for (const key of habitKeys) {
    for (const answer of habitAnswers[key]) {
      if (answer === settled.choices[key]) continue;
      const then = outcomeOf({ ...settled, choices: { ...settled.choices, [key]: answer } });
      if (noticed(now, then)) found.push({ key, answer, then, now });
    }
    yield ++done / habitKeys.length;
  }
  return found;
}
