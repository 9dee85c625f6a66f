import { defaultAssumptions } from '../assumptions';
import type { DayWeather, Job, Site, WeatherHour } from '../model';
import { clearSkyWm2, sunAt } from '../sun';
import { celsius } from '../units';

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

/**
 * Without a forecast the same haze and the same air are there all day; the sun moves. Out of the
 * shade, where nobody has seen a haze, the sky is taken as clear: the hotter guess.
 */
function byHand({ site, date, hour: now }: Job, hour: number): Pick<Site, 'sunWm2'> {
  const clearAt = (h: number): number => clearSkyWm2(sunAt(site, date, h).altitudeDeg, defaultAssumptions);
  const [clearNow, clearThen] = [clearAt(now), clearAt(hour)];
  const haze = !site.shade && clearNow > 1 ? Math.min(1, site.sunWm2 / clearNow) : 1;
  return { sunWm2: clearThen * haze };
}

/** Shade at an hour by the place's own list; without a list it stays as it is. */
const shadeAt = ({ shade, shadeHours, indoors }: Site, hour: number): boolean =>
  indoors || (shadeHours.length > 0 ? shadeHours.includes(Math.floor(hour)) : shade);

/**
 * The job at another hour of its day: air, wind and sun as they are then, shade as the place has
 * it. Panels that were read off are read off no more: a reading holds for its own time.
 * @param hour local, 0 to 24
 */
export const atHour = (job: Job, hour: number): Job => (hour === job.hour ? job : standingAt(job, hour));

/** The job with a day's weather, as it is at the job's hour; null goes back to what is typed. */
export const withWeather = (job: Job, weather: DayWeather | null): Job =>
  weather ? standingAt({ ...job, weather }, job.hour) : { ...job, weather };

function standingAt(job: Job, hour: number): Job {
  const then = (job.weather && weatherAt(job.weather.hours, hour)) ?? byHand(job, hour);
  const shade = shadeAt(job.site, hour);
  // In the shade nothing of the sun is reckoned with unless somebody has put a number to it.
  const sunWm2 = shade ? 0 : then.sunWm2;
  return { ...job, hour, readings: {}, site: { ...job.site, ...then, shade, sunWm2, panelC: null } };
}
