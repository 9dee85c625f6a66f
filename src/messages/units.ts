import {
  M2_PER_FT2,
  ML_PER_US_FL_OZ,
  ML_PER_US_GAL,
  M_PER_INCH,
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  moneyText,
} from '@esmero/units';
import { locale } from './english';
import type { UnitSystem } from './unit-systems';

/** A number with so many digits after the point, with a true minus, never "-0". */
export const fixed = (value: number, digits = 0): string => {
  const text = value.toFixed(digits);
  return Number(text) === 0 ? (0).toFixed(digits) : text.replace('-', '−');
};

/** Fewer digits the larger the number, so that all show about three. */
export const threeDigits = (value: number): string => {
  const size = Math.abs(value);
  const text = fixed(value, size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};

/** A quantity that a form edits: its unit on the label, and the way there and back. */
export interface Editable {
  readonly unit: string;
  show(value: number): number;
  read(shown: number): number;
}

const scaled = (unit: string, factor: number): Editable => ({
  unit,
  show: (value) => value / factor,
  read: (shown) => shown * factor,
});

/** A quantity that is shown as it is kept. */
export const plainUnit = (unit: string): Editable => scaled(unit, 1);

/** How quantities are written in one system of units. Minutes and shares are the same in both. */
export interface Units {
  readonly system: UnitSystem;
  /** Product and mixes: mL or fl oz. */
  volume(ml: number): string;
  /** Water: L or gal. */
  water(litres: number): string;
  area(m2: number): string;
  height(m: number): string;
  /** On foot: m or ft. */
  walk(m: number): string;
  /** By road: km or mi. */
  distance(km: number): string;
  temperature(c: number): string;
  load(gm2: number): string;
  /** Of laundry: kg or lb. */
  weight(kg: number): string;
  readonly edit: Readonly<
    Record<'length' | 'distance' | 'towel' | 'water' | 'volume' | 'temperature' | 'wind' | 'flow' | 'share', Editable>
  >;
}

const metric: Units = {
  system: 'metric',
  volume: (ml) => (ml >= 1000 ? `${threeDigits(ml / 1000)} L` : `${threeDigits(ml)} mL`),
  water: (litres) => `${fixed(litres, 1)} L`,
  area: (m2) => `${fixed(m2, 2)} m²`,
  height: (m) => `${fixed(m, 2)} m`,
  walk: (m) => `${fixed(m)} m`,
  distance: (km) => `${fixed(km)} km`,
  temperature: (c) => `${fixed(c)} °C`,
  load: (gm2) => `${threeDigits(gm2)} g/m²`,
  weight: (kg) => `${fixed(kg, 2)} kg`,
  edit: {
    length: plainUnit('m'),
    distance: plainUnit('km'),
    towel: scaled('cm', 0.01),
    water: plainUnit('L'),
    volume: plainUnit('mL'),
    temperature: plainUnit('°C'),
    wind: plainUnit('m/s'),
    flow: plainUnit('L/min'),
    share: scaled('%', 0.01),
  },
};

const LITRES_PER_GAL = ML_PER_US_GAL / 1000;
const OUNCE_G = 28.349523125;
/** Statute mile an hour in m/s (exact). */
const MS_PER_MPH = 0.44704;

/** Foot in metres. */
const M_PER_FOOT = 12 * M_PER_INCH;
/** Statute mile in km (exact). */
const KM_PER_MILE = 1.609344;

const us: Units = {
  system: 'us',
  volume: (ml) =>
    ml >= ML_PER_US_GAL ? `${threeDigits(ml / ML_PER_US_GAL)} gal` : `${threeDigits(ml / ML_PER_US_FL_OZ)} fl oz`,
  water: (litres) => `${fixed(litres / LITRES_PER_GAL, 2)} gal`,
  area: (m2) => `${fixed(m2 / M2_PER_FT2, 1)} ft²`,
  height: (m) => `${fixed(m / M_PER_INCH)} in`,
  walk: (m) => `${fixed(m / M_PER_FOOT)} ft`,
  distance: (km) => `${fixed(km / KM_PER_MILE)} mi`,
  temperature: (c) => `${fixed(celsiusToFahrenheit(c))} °F`,
  // A towel is weighed in grams, wherever one lives.
  load: (gm2) => `${threeDigits(gm2 * M2_PER_FT2)} g/ft²`,
  weight: (kg) => `${fixed((kg * 1000) / (16 * OUNCE_G), 1)} lb`,
  edit: {
    length: scaled('in', M_PER_INCH),
    distance: scaled('mi', KM_PER_MILE),
    towel: scaled('in', M_PER_INCH),
    water: scaled('gal', LITRES_PER_GAL),
    volume: scaled('fl oz', ML_PER_US_FL_OZ),
    temperature: { unit: '°F', show: celsiusToFahrenheit, read: fahrenheitToCelsius },
    wind: scaled('mph', MS_PER_MPH),
    flow: scaled('gal/min', LITRES_PER_GAL),
    share: scaled('%', 0.01),
  },
};

export const unitsOf = (system: UnitSystem): Units => (system === 'us' ? us : metric);

export const minutes = (value: number): string => `${fixed(value)} min`;

const twoDigits = (value: number): string => String(value).padStart(2, '0');

/** "2031-07-14 09:30", where the reader is. */
export const dayAndTime = (at: number): string => {
  const moment = new Date(at);
  return `${moment.getFullYear()}-${twoDigits(moment.getMonth() + 1)}-${twoDigits(moment.getDate())} ${timeOfDay(at)}`;
};

/** One for each English, kept: making one takes longer than thousands of words. */
function formatOf(options: Intl.DateTimeFormatOptions): () => Intl.DateTimeFormat {
  const made = new Map<string, Intl.DateTimeFormat>();
  return () => {
    const known = made.get(locale());
    if (known) return known;
    const format = new Intl.DateTimeFormat(locale(), options);
    made.set(locale(), format);
    return format;
  };
}

const dayFormat = formatOf({ day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });
const momentFormat = formatOf({ dateStyle: 'medium', timeStyle: 'short' });

/** A calendar day as people write it: "14 Jul 2031". */
export function dayText(day: string): string {
  const [year, month, date] = day.split('-').map(Number);
  if (!year || !month || !date) return day;
  return dayFormat().format(Date.UTC(year, month - 1, date));
}

/** A moment with day and time, as people write it where the reader is. */
export const momentText = (at: number): string => momentFormat().format(at);

/** A moment as a clock where the reader is. */
export const timeOfDay = (at: number): string => {
  const moment = new Date(at);
  return hourText(moment.getHours() + moment.getMinutes() / 60);
};

/** Seconds as a clock, minutes and seconds. */
export const clock = (seconds: number): string => {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
};

const MINUTES_OF_DAY = 1440;

/** Hours of the day as a clock, 9.5 is 09:30. */
export const hourText = (hour: number): string => {
  const whole = Math.round(hour * 60);
  return `${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
};

/** A time of day in minutes from midnight. */
export const clockText = (minutes: number): string => hourText((minutes % MINUTES_OF_DAY) / 60);

export const percent = (share: number, digits = 0): string => `${fixed(share * 100, digits)} %`;

export const indexText = (index: number): string => fixed(index, 1);

/** Money from minor units. */
export const money = moneyText;
