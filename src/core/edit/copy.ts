import type { Job } from '../model';
import { onDate } from './hour';

const MOST_LETTERS = 160;

/**
 * The same car, place and habits for another visit. What was seen, measured, agreed or done belongs to that day: soil
 * becomes forecast, and readings, weather, consent, signature, pictures, bills and run stay behind.
 * @param date ISO day of the new visit
 */
export const copyJob = (job: Job, id: string, date: string): Job => ({
  ...onDate(job, date),
  id,
  name: `${job.name} (copy)`.slice(0, MOST_LETTERS),
  soil: {},
  readings: {},
  weather: null,
  consent: null,
  signed: null,
  refused: null,
  pictures: [],
  proofs: [],
  arrivedAt: null,
  bills: [],
  run: null,
});
