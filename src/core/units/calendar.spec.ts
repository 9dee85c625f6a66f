import { TZDate } from '@date-fns/tz';
import { addDays, differenceInCalendarDays, format } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayAfter, dayAt, daysBetween, instantAt, isDay, monthName, monthOf } from './calendar';

describe('the calendar of a place', () => {
  it('begins the day where the place is', () => {
    const at = Date.parse('2031-07-14T22:30:00Z');
    expect(dayAt(at, 0)).toBe('2031-07-14');
    expect(dayAt(at, 2)).toBe('2031-07-15');
    expect(dayAt(at, 5.75)).toBe('2031-07-15');
    expect(dayAt(Date.parse('2031-07-14T02:00:00Z'), -3.5)).toBe('2031-07-13');
  });

  it('finds the instant of an hour there', () => {
    expect(instantAt('2031-07-14', 9.5, 2)).toBe(Date.parse('2031-07-14T07:30:00Z'));
    expect(dayAt(instantAt('2031-12-31', 23.9, -11), -11)).toBe('2031-12-31');
  });

  it('counts over months, years and leap days', () => {
    expect(dayAfter('2032-02-28', 1)).toBe('2032-02-29');
    expect(dayAfter('2031-12-31', 1)).toBe('2032-01-01');
    expect(dayAfter('2031-03-01', -1)).toBe('2031-02-28');
    expect(daysBetween('2032-02-28', '2032-03-01')).toBe(2);
    expect(daysBetween('2031-07-14', '2031-07-13')).toBe(-1);
    expect(monthName(monthOf('2031-07-14'))).toBe('July 2031');
  });

  it('tells what a library of time zones tells', () => {
    const at = fc.integer({ min: Date.UTC(1930, 0), max: Date.UTC(2180, 0) });
    const quarters = fc.integer({ min: -48, max: 56 });
    const iso = (date: Date): string => format(date, 'yyyy-MM-dd');
    const zone = (n: number): string =>
      `${n < 0 ? '-' : '+'}${String(Math.floor(Math.abs(n) / 4)).padStart(2, '0')}:${String((Math.abs(n) % 4) * 15).padStart(2, '0')}`;
    fc.assert(
      fc.property(at, quarters, fc.integer({ min: -4000, max: 4000 }), (when, n, days) => {
        const there = new TZDate(when, zone(n));
        expect(dayAt(when, n / 4)).toBe(iso(there));
        const after = dayAfter(iso(there), days);
        expect(after).toBe(iso(addDays(there, days)));
        expect(daysBetween(iso(there), after)).toBe(differenceInCalendarDays(addDays(there, days), there));
        expect(monthName(monthOf(after))).toBe(format(addDays(there, days), 'MMMM yyyy'));
      }),
    );
  });

  it('knows a day when it sees one', () => {
    expect(['2031-07-14', '2032-02-29'].every(isDay)).toBe(true);
    expect(['2031-02-29', '2031-13-01', '14.07.2031', '2031-7-4', ''].some(isDay)).toBe(false);
  });
});
