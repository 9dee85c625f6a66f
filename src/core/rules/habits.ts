import type { Choices, Habits, Job, Vehicle } from '../model';

/** What a finish forbids, whatever anybody chose: nothing shiny and no brush on matte. */
const finishRules = ({ finish }: Vehicle): Partial<Habits> =>
  finish === 'matte' ? { topping: 'none', brush: 'never' } : {};

/** The choices that count: the job's own, the client's wishes on top, then what the finish forbids. */
export const choicesOf = ({ choices, wishes, vehicle }: Job): Choices => ({
  ...choices,
  ...wishes,
  ...finishRules(vehicle),
});
