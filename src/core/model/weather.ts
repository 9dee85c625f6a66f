import type { Celsius } from '../units';

/** The air at the site in one hour of the day, local time. */
export interface WeatherHour {
  /** 0 to 23; the values hold at the full hour. */
  readonly hour: number;
  readonly airC: Celsius;
  /** 0 to 1. */
  readonly humidity: number;
  readonly windMs: number;
  /** On a level panel in the open, clouds reckoned with. */
  readonly sunWm2: number;
}

/** A day's weather, and who says so. */
export interface DayWeather {
  readonly source: string;
  readonly hours: readonly WeatherHour[];
}
