import { describe, expect, it } from 'vitest';
import { harbourDay } from '@esmero/demo';
import type { Day } from '@esmero/model';
import { readDay, writeDay } from './day-file';

const read = (day: Day) => readDay(writeDay(day));
const faultsOf = (text: string): readonly string[] => {
  const found = readDay(text);
  return found.ok || found.why.code !== 'faults' ? [] : found.why.faults.map(({ path }) => path);
};

describe('a file with a day', () => {
  it('comes back as it was written, with a table of ways as with straight lines', () => {
    expect(read(harbourDay)).toEqual({ ok: true, value: harbourDay });
    const places = 2 + harbourDay.stops.length + harbourDay.restocking.length;
    const minutes = Array.from({ length: places }, (_row, i) =>
      Array.from({ length: places }, (_to, j) => Math.abs(i - j) * 5),
    );
    const table: Day = { ...harbourDay, travel: { kind: 'table', minutes }, break: null };
    expect(read(table)).toEqual({ ok: true, value: table });
  });

  it('is refused with the place of what is wrong', () => {
    const [first] = harbourDay.stops;
    expect(faultsOf(writeDay({ ...harbourDay, endHour: 6 }))).toEqual(['day.endHour']);
    expect(faultsOf(writeDay({ ...harbourDay, stops: [{ ...first!, fromHour: 12, untilHour: 9 }] }))).toEqual([
      'day.stops[0].untilHour',
    ]);
    expect(faultsOf(writeDay({ ...harbourDay, stops: [first!, first!] }))).toEqual(['day.stops']);
    expect(faultsOf(writeDay({ ...harbourDay, travel: { kind: 'table', minutes: [[0]] } }))).toEqual([
      'day.travel.rows',
    ]);
    expect(faultsOf(writeDay({ ...harbourDay, confidence: 2 }))).toEqual(['day.confidence']);
    expect(faultsOf(writeDay({ ...harbourDay, stops: [{ ...first!, job: { ...first!.job, name: '' } }] }))).toEqual([
      'day.stops[0].job.name',
    ]);
  });

  it('from before is read with its jobs brought up to date', () => {
    const { format, day } = JSON.parse(writeDay(harbourDay)) as {
      format: string;
      day: { stops: { job: Record<string, unknown> }[] };
    };
    for (const { job } of day.stops) {
      delete job['arrivedAt'];
      delete job['around'];
    }
    const old = readDay(JSON.stringify({ format, version: 13, day }));
    expect(old.ok && old.value.stops[0]!.job).toMatchObject({ arrivedAt: null, around: [] });
  });
});
