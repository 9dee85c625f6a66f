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

  it('knows a day when it sees one', () => {
    expect(['2031-07-14', '2032-02-29'].every(isDay)).toBe(true);
    expect(['2031-02-29', '2031-13-01', '14.07.2031', '2031-7-4', ''].some(isDay)).toBe(false);
  });
});
