/** A day of the calendar, written 2031-07-14. */
export type Day = string;

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const MINUTES_AN_HOUR = 60;

/** Days are counted in universal time, where there is neither summer time nor travel. */
const dateOf = (day: Day): Date => new Date(`${day}T00:00:00Z`);
const dayOf = (at: number): Day => new Date(at).toISOString().slice(0, 10);

/**
 * The day it is at a place: that of the job decides, whatever the device’s clock says.
 * @param at milliseconds since 1970
 * @param offsetH local time less universal time, h
 * @example dayAt(0, 1) // '1970-01-01'
 */
export const dayAt = (at: number, offsetH: number): Day =>
  dayOf(at + Math.round(offsetH * MINUTES_AN_HOUR) * (HOUR_MS / MINUTES_AN_HOUR));

/** The instant of an hour of a day at a place, milliseconds since 1970. */
export const instantAt = (day: Day, hour: number, offsetH: number): number =>
  dateOf(day).getTime() + (hour - offsetH) * HOUR_MS;

/** @example dayAfter('2031-02-28', 1) // '2031-03-01' */
export const dayAfter = (day: Day, days: number): Day => dayOf(dateOf(day).getTime() + days * DAY_MS);

/** Days from one to the other; less than nothing where that lies before. */
export const daysBetween = (from: Day, to: Day): number => (dateOf(to).getTime() - dateOf(from).getTime()) / DAY_MS;

export function isDay(text: string): boolean {
  if (!/^\d{4}-\d\d-\d\d$/.test(text)) return false;
  const at = Date.parse(text);
  return !Number.isNaN(at) && new Date(at).toISOString().startsWith(text);
}

/** A month of the calendar, written 2031-07. */
export type Month = string;

export const monthOf = (day: Day): Month => day.slice(0, 7);

const months = new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric', timeZone: 'UTC' });

/** @example monthName('2031-07') // 'July 2031' */
export const monthName = (month: Month): string => months.format(dateOf(`${month}-01`));
