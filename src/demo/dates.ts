import type { Job } from '@esmero/model';
import { type Day, dayAfter } from '@esmero/units';
import { harbourDay } from './day';

/** Days from the first start to the work that is ahead. */
const ahead: Readonly<Record<string, number>> = {
  'demo-deck': 0,
  'demo-courtyard': 0,
  'demo-yard': 0,
  'demo-hall': 0,
  'demo-track': 0,
  'demo-topper': 0,
  'demo-seams': 4,
  'demo-courier': 5,
  'demo-refusal': 3,
};

/** The next time that it is that day of the year: frost and noon sun have their season. */
function nextOn(season: Day, today: Day): Day {
  const thisYear = `${today.slice(0, 4)}${season.slice(4)}`;
  return thisYear >= today ? thisYear : `${Number(today.slice(0, 4)) + 1}${season.slice(4)}`;
}

/** Stops of the harbour day are about the town. */
function aboutTown(job: Job): Job {
  const stop = harbourDay.stops.find((one) => one.job.id === job.id);
  if (!stop) return job;
  const { latitudeDeg, longitudeDeg } = stop.job.site;
  return { ...job, site: { ...job.site, latitudeDeg, longitudeDeg } };
}

/** A job of the demo as it is planned from the day of the first start. */
export function placed(job: Job, today: Day): Job {
  const days = ahead[job.id];
  return { ...aboutTown(job), date: days === undefined ? nextOn(job.date, today) : dayAfter(today, days) };
}
