import { type Holdings, type KeptJob, advanced, unstamped } from '@esmero/records';
import { dayAt } from '@esmero/units';
import type { CalendarFound } from './calendar';

const CALENDAR = 'calendar';
const HOUR_MS = 3_600_000;

/**
 * What a calendar comes to: our own stops at the day and hour at which they are there now, where that is another one, and time that is taken.
 * @param kept jobs that the calendar has stops of
 * @param at when it is read
 */
export function calendarHoldings({ stops, blocked }: CalendarFound, kept: readonly KeptJob[], at: number): Holdings {
  const mineOf = new Map(kept.map((one) => [one.job.id, one]));
  const jobs = stops.flatMap(({ jobId, beginAt }): KeptJob[] => {
    const mine = mineOf.get(jobId);
    if (!mine || mine.job.run) return [];
    const { utcOffsetH } = mine.job.site;
    const date = dayAt(beginAt, utcOffsetH);
    const hour = (beginAt + utcOffsetH * HOUR_MS - Date.parse(`${date}T00:00:00Z`)) / HOUR_MS;
    if (mine.job.date === date && Math.abs(mine.job.hour - hour) < 1 / 60) return [];
    return [{ ...mine, changedAt: at, vector: advanced(mine.vector, CALENDAR), job: { ...mine.job, date, hour } }];
  });
  return {
    library: blocked.map((item) => ({ ...unstamped, changedAt: at, kind: 'blocked', archived: false, item })),
    jobs,
    movements: [],
    photos: [],
  };
}
