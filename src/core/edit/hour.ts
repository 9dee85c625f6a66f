import { defaultAssumptions } from '../assumptions';
import type { DayWeather, Job, Site, WeatherHour } from '../model';
import { clearSkyWm2, sunAt } from '../sun';
import { type Day, celsius } from '../units';

const between = (p: number, q: number, share: number): number => p + (q - p) * share;

/** The weather at an hour, between the two full hours around it; null outside of what is known. */
function weatherAt(hours: readonly WeatherHour[], hour: number): Omit<WeatherHour, 'hour'> | null {
  const before = hours.find((one) => one.hour === Math.floor(hour));
  const after = hours.find((one) => one.hour === Math.ceil(hour));
  if (!before || !after) return null;
  const share = hour - Math.floor(hour);
  return {
    airC: celsius(between(before.airC, after.airC, share)),
    humidity: between(before.humidity, after.humidity, share),
    windMs: between(before.windMs, after.windMs, share),
    sunWm2: between(before.sunWm2, after.sunWm2, share),
  };
}

const clearSkyOn = ({ site, date, hour }: Job): number =>
  clearSkyWm2(sunAt(site, date, hour).altitudeDeg, defaultAssumptions);

/**
 * Without a forecast the same haze and the same air are there at another time; the sun moves. Out of the
 * shade, where nobody has seen a haze, the sky is taken as clear: the hotter guess.
 */
function byHand(now: Job, then: Job): Pick<Site, 'sunWm2'> {
  const clearNow = clearSkyOn(now);
  const haze = !now.site.shade && clearNow > 1 ? Math.min(1, now.site.sunWm2 / clearNow) : 1;
  return { sunWm2: clearSkyOn(then) * haze };
}

/** Shade at an hour by the place's own list; without a list it stays as it is. */
const shadeAt = ({ shade, shadeHours, indoors }: Site, hour: number): boolean =>
  indoors || (shadeHours.length > 0 ? shadeHours.includes(Math.floor(hour)) : shade);

/**
 * The job at another hour of its day: air, wind and sun as they are then, shade as the place has
 * it. Panels that were read off are read off no more: a reading holds for its own time.
 * @param hour local, 0 to 24
 */
export const atHour = (job: Job, hour: number): Job => (hour === job.hour ? job : standingAt(job, { ...job, hour }));

/**
 * The job on another day at the same hour: the sun is as high as it is then, and a day's weather and what was read off panels
 * stay behind with their own day.
 * @param utcOffsetH of the place on that day
 */
export const onDate = (job: Job, date: Day, utcOffsetH = job.site.utcOffsetH): Job =>
  date === job.date && utcOffsetH === job.site.utcOffsetH
    ? job
    : standingAt(job, { ...job, date, weather: null, site: { ...job.site, utcOffsetH } });

/** The job with a day's weather, as it is at the job's hour; null goes back to what is typed. */
export const withWeather = (job: Job, weather: DayWeather | null): Job =>
  weather ? standingAt(job, { ...job, weather }) : { ...job, weather };

/** What is true of one time only, made true of another. */
function standingAt(now: Job, then: Job): Job {
  const { hour, site, weather } = then;
  const air = (weather && weatherAt(weather.hours, hour)) ?? byHand(now, then);
  const shade = shadeAt(site, hour);
  // In the shade nothing of the sun is reckoned with unless somebody has put a number to it.
  const sunWm2 = shade ? 0 : air.sunWm2;
  return { ...then, readings: {}, site: { ...site, ...air, shade, sunWm2, panelC: null } };
}
