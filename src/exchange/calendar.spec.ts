import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { demoJobs } from '@esmero/demo';
import type { Job } from '@esmero/model';
import { runs } from '@esmero/testing';
import { dayAfter } from '@esmero/units';
import { calendarHoldings } from './calendar-holdings';
import { readCollection, writeCollection } from './collection-file';
import { type CalendarFound, type CalendarSpan, type CalendarStop, readCalendar, writeCalendar } from './calendar';

const HOUR = 3_600_000;
const NOON = Date.UTC(2031, 6, 14, 10);
const span: CalendarSpan = { from: '2031-07-14', until: '2031-08-14', offsetAt: () => 2 };
const stop = (rest: Partial<CalendarStop> = {}): CalendarStop => ({
  ...{
    jobId: 'demo-deck',
    name: 'Estate; on, the "deck"',
    note: 'Ring\nat the gate',
    place: { name: 'Deck', latitudeDeg: 43.4 as never, longitudeDeg: 5.2 as never },
  },
  ...{ beginAt: NOON, endAt: NOON + HOUR, changedAt: NOON - HOUR },
  ...rest,
});
const eventsIn = (text: string): readonly ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
const found = (text: string, within = span): CalendarFound => {
  const read = readCalendar(text, within);
  if (!read.ok) throw new Error(read.detail);
  return read.found;
};
const calendar = (...events: readonly (readonly string[])[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//x//y//EN',
    ...events.flatMap((lines) => ['BEGIN:VEVENT', 'DTSTAMP:20310101T000000Z', ...lines, 'END:VEVENT']),
    'END:VCALENDAR',
    '',
  ].join('\r\n');

describe('a calendar that is written', () => {
  it('is read by another reader with hours, words, place and days that are due', () => {
    const text = writeCalendar(
      [stop()],
      [{ key: 'c/v', name: 'Wash due', from: '2031-07-20', until: '2031-07-25' }],
      NOON,
    );
    const [visit, due] = eventsIn(text);
    expect([visit!.summary, visit!.description, visit!.location]).toEqual([
      'Estate; on, the "deck"',
      'Ring\nat the gate',
      'Deck',
    ]);
    expect(visit!.startDate.toJSDate().getTime()).toBe(NOON);
    expect(visit!.endDate.toJSDate().getTime()).toBe(NOON + HOUR);
    expect(visit!.component.getFirstPropertyValue('geo')).toEqual([43.4, 5.2]);
    expect([due!.startDate.toString(), due!.endDate.toString(), due!.startDate.isDate]).toEqual([
      '2031-07-20',
      '2031-07-26',
      true,
    ]);
    for (const line of text.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  });

  it('comes back with its stops where they were, or where they were moved to, and nothing blocked by what is our own', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.stringMatching(/^[\w-]{1,30}$/),
            fc.integer({ min: 0, max: 28 * 24 * 4 }),
            fc.string({ minLength: 1, maxLength: 60 }),
          ),
          { maxLength: 6 },
        ),
        (all) => {
          const stops = all.map(([jobId, quarters, name]) =>
            stop({ jobId, name, beginAt: NOON + quarters * (HOUR / 4), endAt: NOON + quarters * (HOUR / 4) + HOUR }),
          );
          const { stops: read, blocked } = found(writeCalendar(stops, [], NOON));
          expect(read).toEqual(stops.map(({ jobId, beginAt }) => ({ jobId, beginAt })));
          expect(blocked).toEqual([]);
        },
      ),
      { numRuns: runs(60) },
    );
  });
});

describe('what a calendar comes to', () => {
  const [deck, yard] = demoJobs as readonly [Job, Job];
  const kept = [deck, yard].map((job) => ({
    job: { ...job, date: '2031-07-14', hour: 12, site: { ...job.site, utcOffsetH: 2 } },
    archived: false,
    changedAt: 1,
    vector: { a: 2 },
  }));

  it('is our stops where they are now, as later changes of them, and time that is taken', () => {
    const moved = found(
      writeCalendar(
        [
          stop({ jobId: deck.id, beginAt: NOON + 27.5 * HOUR, endAt: NOON + 28 * HOUR }),
          stop({ jobId: yard.id }),
          stop({ jobId: 'gone' }),
        ],
        [],
        NOON,
      ),
    );
    const { jobs, library } = calendarHoldings(
      { ...moved, blocked: [{ id: 'b', name: 'Dentist', date: '2031-07-14', fromHour: 8, untilHour: 9 }] },
      kept,
      7,
    );
    expect(jobs.map(({ job, changedAt, vector }) => [job.id, job.date, job.hour, changedAt, vector])).toEqual([
      [deck.id, '2031-07-15', 15.5, 7, { a: 2, calendar: 1 }],
    ]);
    expect(library).toMatchObject([{ kind: 'blocked', item: { name: 'Dentist' } }]);
    expect(readCollection(writeCollection(calendarHoldings({ ...moved, blocked: [] }, kept, 7))).ok).toBe(true);
  });
});

describe('what a calendar may ask for', () => {
  const coming = (rule: string, start = '20310701T060000Z'): readonly string[] => [
    'UID:r',
    'SUMMARY:Ping',
    `DTSTART:${start}`,
    'DURATION:PT1H',
    `RRULE:${rule}`,
  ];

  it.each([
    ['FREQ=HOURLY;BYMONTHDAY=31;BYMONTH=4', 'too-often'],
    ['FREQ=SECONDLY', 'too-often'],
    ['FREQ=DAILY;INTERVAL=1000000000', 'too-many'],
    ['FREQ=DAILY;BYMONTHDAY=31;BYMONTH=4', 'too-many'],
    ['FREQ=DAILY;COUNT=1000000;BYMONTHDAY=31;BYMONTH=4', 'too-many'],
  ] as const)('%s is left out, and said to be', (rule, why) => {
    const { blocked, leftOut } = found(
      calendar(coming(rule), ['UID:a', 'SUMMARY:Dentist', 'DTSTART:20310714T080000Z', 'DTEND:20310714T093000Z']),
    );
    expect(blocked.map(({ name }) => name)).toEqual(['Dentist']);
    expect(leftOut).toEqual({ count: 1, first: [{ name: 'Ping', why }] });
  });

  it.each([
    'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30;BYDAY=MO',
    'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=9',
    'FREQ=MONTHLY;BYMONTHDAY=31;BYMONTH=4',
    'FREQ=YEARLY;BYDAY=5MO;BYMONTH=2;BYMONTHDAY=1',
  ])('%s ends', (rule) => {
    found(calendar(...Array.from({ length: 20 }, () => coming(rule))));
  });

  it('are daily events that began long ago, and absences of years', () => {
    const { blocked, leftOut } = found(
      calendar(
        coming('FREQ=DAILY', '19520301T060000Z'),
        coming('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '19991207T100000Z').map((line) =>
          line.replace('UID:r', 'UID:s').replace('Ping', 'Choir'),
        ),
        ['UID:w', 'SUMMARY:Away', 'DTSTART;VALUE=DATE:20290101', 'DTEND;VALUE=DATE:20350101'],
      ),
    );
    const days = (name: string): readonly string[] =>
      blocked.filter((one) => one.name === name).map(({ date }) => date);
    expect([days('Ping').length, days('Away').length]).toEqual([32, 32]);
    // Every other Tuesday since 7 December 1999, counted by hand from the calendar’s days.
    const fortnights = Array.from({ length: 32 }, (_, i) => dayAfter('2031-07-14', i)).filter(
      (day) => (Date.parse(day) - Date.UTC(1999, 11, 7)) % (14 * 24 * HOUR) === 0,
    );
    expect(days('Choir')).toEqual(fortnights);
    expect(fortnights.length).toBeGreaterThan(1);
    expect(leftOut.count).toBe(0);
  });

  it('is never a zone by the second, nor one out of another file', () => {
    const zone = (rule: string, offset: string): readonly string[] => [
      'BEGIN:VTIMEZONE',
      'TZID:Far',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      `TZOFFSETFROM:${offset}`,
      `TZOFFSETTO:${offset}`,
      `RRULE:${rule}`,
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    const meeting = ['UID:m', 'SUMMARY:Call', 'DTSTART;TZID=Far:20310715T060000', 'DURATION:PT1H'];
    const within = (lines: readonly string[]): string =>
      calendar(meeting).replace('PRODID:-//x//y//EN', ['PRODID:-//x//y//EN', ...lines].join('\r\n'));
    const hours = (text: string): readonly number[] => found(text).blocked.map(({ fromHour }) => fromHour);
    // By one’s own clock where nothing sound says otherwise.
    expect(hours(within(zone('FREQ=SECONDLY', '-0500')))).toEqual([6]);
    expect(hours(within(zone('FREQ=YEARLY', '-0500')))).toEqual([13]);
    expect(hours(within(zone('FREQ=YEARLY', '-0300')))).toEqual([11]);
    expect(hours(calendar(meeting))).toEqual([6]);
  });

  it('has an end, however it is made', () => {
    expect(readCalendar(calendar(['DTSTART:20310701T060000Z', `SUMMARY${';A=B'.repeat(6000)}:x`]), span)).toMatchObject(
      { ok: false },
    );
    expect(readCalendar('x'.repeat(10_000_001), span)).toMatchObject({ ok: false });
    const { leftOut } = found(
      calendar([...coming('FREQ=DAILY'), ...Array.from({ length: 2001 }, () => 'EXDATE:20310714T060000Z')]),
    );
    expect(leftOut.first).toEqual([{ name: 'Ping', why: 'too-many' }]);
  });
});

describe('a calendar of another program', () => {
  it('takes time by one’s own clock, whatever zone it is in, and over midnight', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Far',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:-0500',
      'TZOFFSETTO:-0500',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    const text = calendar(
      ['UID:a', 'SUMMARY:Dentist', 'DTSTART:20310714T080000Z', 'DTEND:20310714T093000Z'],
      ['UID:b', 'SUMMARY:Call', 'DTSTART;TZID=Far:20310715T150000', 'DURATION:PT4H'],
      ['UID:c', 'SUMMARY:Own clock', 'DTSTART:20310716T070000', 'DTEND:20310716T080000'],
    ).replace('PRODID:-//x//y//EN', ['PRODID:-//x//y//EN', ...zone].join('\r\n'));
    expect(found(text).blocked.map(({ name, date, fromHour, untilHour }) => [name, date, fromHour, untilHour])).toEqual(
      [
        ['Dentist', '2031-07-14', 10, 11.5],
        ['Call', '2031-07-15', 22, 24],
        ['Call', '2031-07-16', 0, 2],
        ['Own clock', '2031-07-16', 7, 8],
      ],
    );
  });

  it('takes whole days, and what comes again and again as often as it does', () => {
    const text = calendar(
      ['UID:h', 'SUMMARY:Holiday', 'DTSTART;VALUE=DATE:20310720', 'DTEND;VALUE=DATE:20310722'],
      [
        'UID:w',
        'SUMMARY:School run',
        'DTSTART:20310701T060000Z',
        'DTEND:20310701T063000Z',
        'RRULE:FREQ=WEEKLY;BYDAY=TU',
        'EXDATE:20310722T060000Z',
      ],
    );
    const { blocked } = found(text);
    expect(
      blocked
        .filter(({ name }) => name === 'Holiday')
        .map(({ date, fromHour, untilHour }) => [date, fromHour, untilHour]),
    ).toEqual([
      ['2031-07-20', 0, 24],
      ['2031-07-21', 0, 24],
    ]);
    expect(blocked.filter(({ name }) => name === 'School run').map(({ date }) => date)).toEqual([
      '2031-07-15',
      '2031-07-29',
      '2031-08-05',
      '2031-08-12',
    ]);
  });

  it('goes by a time that was moved on its own, and leaves out what leaves one free', () => {
    const weekly = [
      'UID:w',
      'SUMMARY:Run',
      'DTSTART:20310715T060000Z',
      'DTEND:20310715T070000Z',
      'RRULE:FREQ=WEEKLY;COUNT=2',
    ];
    const moved = [
      'UID:w',
      'SUMMARY:Run',
      'RECURRENCE-ID:20310722T060000Z',
      'DTSTART:20310723T080000Z',
      'DTEND:20310723T090000Z',
    ];
    const free = [
      'UID:f',
      'SUMMARY:Birthday',
      'DTSTART:20310716T060000Z',
      'DTEND:20310716T070000Z',
      'TRANSP:TRANSPARENT',
    ];
    const off = ['UID:o', 'SUMMARY:Off', 'DTSTART:20310716T060000Z', 'DTEND:20310716T070000Z', 'STATUS:CANCELLED'];
    expect(found(calendar(weekly, moved, free, off)).blocked.map(({ date, fromHour }) => [date, fromHour])).toEqual([
      ['2031-07-15', 8],
      ['2031-07-23', 10],
    ]);
  });

  it('names the same time the same each time it is read', () => {
    const text = calendar(['UID:a', 'SUMMARY:Dentist', 'DTSTART:20310714T080000Z', 'DTEND:20310714T093000Z']);
    expect(found(text).blocked).toEqual(found(text).blocked);
    expect(found(text).blocked[0]!.id).toMatch(/^[\w.-]{1,80}$/);
    const early = readCalendar(text, { ...span, from: dayAfter('2031-07-14', 1) });
    expect(early).toMatchObject({ ok: true, found: { blocked: [] } });
  });

  it('is refused with a reason where it is none, whatever is in it', () => {
    expect(readCalendar('{"a":1}', span).ok).toBe(false);
    const whole = calendar([
      'UID:a',
      'SUMMARY:Dentist',
      'DTSTART:20310714T080000Z',
      'DTEND:20310714T093000Z',
      'RRULE:FREQ=DAILY;COUNT=3',
    ]);
    fc.assert(
      fc.property(fc.nat(whole.length), fc.string({ maxLength: 12 }), fc.nat(20), (at, text, cut) => {
        readCalendar(whole.slice(0, at) + text + whole.slice(at + cut), span);
      }),
      { numRuns: runs(300) },
    );
  });
});
