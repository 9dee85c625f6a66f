import { TZDate } from '@date-fns/tz';
import { addDays, differenceInCalendarDays, format } from 'date-fns';

/** A day of the calendar, written 2031-07-14. */
export type Day = string;

/** Days are counted where there is neither summer time nor travel. */
const dateOf = (day: Day): TZDate => new TZDate(`${day}T00:00:00Z`, 'UTC');
const dayOf = (date: Date): Day => format(date, 'yyyy-MM-dd');

/** A clock ahead of universal time as a time zone: 5.5 is "+05:30". */
function zoneOf(offsetH: number): string {
  const minutes = Math.round(Math.abs(offsetH) * 60);
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${offsetH < 0 ? '-' : '+'}${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

/**
 * The day it is at a place: that of the job decides, whatever the device’s clock says.
 * @param at milliseconds since 1970
 * @param offsetH local time less universal time, h
 * @example dayAt(0, 1) // '1970-01-01'
 */
export const dayAt = (at: number, offsetH: number): Day => dayOf(new TZDate(at, zoneOf(offsetH)));

/** The instant of an hour of a day at a place, milliseconds since 1970. */
export const instantAt = (day: Day, hour: number, offsetH: number): number =>
  dateOf(day).getTime() + (hour - offsetH) * 3_600_000;

/** @example dayAfter('2031-02-28', 1) // '2031-03-01' */
export const dayAfter = (day: Day, days: number): Day => dayOf(addDays(dateOf(day), days));

/** Days from one to the other; less than nothing where that lies before. */
export const daysBetween = (from: Day, to: Day): number => differenceInCalendarDays(dateOf(to), dateOf(from));

export function isDay(text: string): boolean {
  if (!/^\d{4}-\d\d-\d\d$/.test(text)) return false;
  const at = Date.parse(text);
  return !Number.isNaN(at) && new Date(at).toISOString().startsWith(text);
}

/** A month of the calendar, written 2031-07. */
export type Month = string;

export const monthOf = (day: Day): Month => day.slice(0, 7);

/** @example monthName('2031-07') // 'July 2031' */
export const monthName = (month: Month): string => format(dateOf(`${month}-01`), 'MMMM yyyy');
