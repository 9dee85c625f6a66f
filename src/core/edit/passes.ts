import type { Job, PassChange } from '../model';
import { setChoices } from './choices';

/** One more change of passes by hand. */
export const changePass = (job: Job, change: PassChange): Job =>
  setChoices(job, { passes: [...job.choices.passes, change] });

/** Without one of the changes by hand. */
export const dropPassChange = (job: Job, change: PassChange): Job =>
  setChoices(job, { passes: job.choices.passes.filter((one) => one !== change) });
