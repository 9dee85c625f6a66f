import { Between, Day, Many, Maybe, Text, UniqueBy, WholeBetween } from './rules';

export class WeatherHourDocument {
  @WholeBetween(0, 23) hour!: number;
  @Between(-40, 55) airC!: number;
  @Between(0, 1) humidity!: number;
  @Between(0, 20) windMs!: number;
  @Between(0, 1400) sunWm2!: number;
}

/** An hour as a service tells it: with rain, which jobs know nothing of. */
export class ForecastHourDocument extends WeatherHourDocument {
  @Maybe() @Between(0, 300) rainMmH?: number;
}

/** A day's weather by the hour, local time, and who says so. */
export class DayWeatherDocument {
  @Text(160, 1) source!: string;
  @UniqueBy('hour') @Many(() => WeatherHourDocument, 24) hours!: WeatherHourDocument[];
}

export class ForecastDocument {
  @Text(160, 1) source!: string;
  @UniqueBy('hour') @Many(() => ForecastHourDocument, 24) hours!: ForecastHourDocument[];
}

/** A question to a weather service. */
export class WeatherQuestionDocument {
  @Between(-66, 66) latitude!: number;
  @Between(-180, 180) longitude!: number;
  @Between(-12, 14) utcOffset!: number;
  @Day() date!: string;
}
