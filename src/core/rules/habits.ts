import type { Choices, Habits, Job, Vehicle } from '../model';
import { outOfScope } from '../vehicle';

/** What a finish forbids, whatever anybody chose: nothing shiny and no brush on matte. */
const finishRules = ({ finish }: Vehicle): Partial<Habits> =>
  finish === 'matte' ? { topping: 'none', brush: 'never' } : {};

/** The choices that count: the job's own, the client's wishes on top, then what the finish forbids; what nobody asked for is left. */
export const choicesOf = (job: Job): Choices => ({
  ...job.choices,
  ...job.wishes,
  ...finishRules(job.vehicle),
  fixed: { ...job.choices.fixed, ...Object.fromEntries(outOfScope(job).map((id) => [id, 'leave'])) },
});
